import type { ReactNode } from 'react';

export const cards = {
  // CardsPage.tsx
  rigsAndKnots: 'Rigs and knots',
  whatToTieOn: '‹ What to tie on',
  allForTheTackleBox: 'All, for the tackle box',
  rigs: 'Rigs',
  knots: 'Knots',
  print: 'Print',
  drawnWithItsMeasures: (c: string) => `${c}, drawn with its measures`,
  rod: 'Rod.',
  bite: 'Bite.',
  refused: 'Refused.',
  changeFirst: (refused: ReactNode, refused2: ReactNode) => (
    <>
      {refused} Change first: {refused2}.
    </>
  ),
  forWord: (x: string) => `For ${x}.`,
  step: (i: number) => `Step ${i}`,
  wetEveryKnotBeforeIt: 'Wet every knot before it is drawn tight; pull on it before you trust it.',
};
