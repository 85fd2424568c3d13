import type { ReactNode } from 'react';
import { counted } from './joined';

export const tie = {
  // Positions.tsx
  usual: (position: string) => `${position} (usual)`,
  whatEachSideSays: 'What each side says',
  usualHereYourOwnLog: (says: ReactNode, why: ReactNode) => (
    <>
      Usual here: {says}. {why} Your own log should decide in the end.
    </>
  ),

  // Whisker.tsx
  ordinary: 'ordinary',
  edge80BetweenAnd1: (edge: string, low: string, high: string) =>
    `Edge ${edge}, 80 % between ${low} and ${high}; 1 is an ordinary spell`,

  // Sketch.tsx

  // Compare.tsx
  sideBySide: 'Side by side',
  close: 'close',
  whatDiffers: 'What differs',
  nothingDiffers: 'Nothing differs.',
  asGoodAsEven: 'As good as even',
  inFavourOfThe: (by: string, ratio: string) => `${by} in favour of the ${ratio}`,

  // Beside.tsx
  atIsLaidAside: (offering: ReactNode, says: ReactNode) => (
    <>
      {offering} at {says} is laid aside.
    </>
  ),
  compareItWith: 'Compare it with',
  anyOtherTypeItsName: 'any other: type its name',
  orChooseAnotherInThe: 'Or choose another in the list, or move the time and',
  compareItWithThisMoment: 'compare it with this moment',
  neverMind: 'Never mind',

  // Reasons.tsx
  ofTheBestThatCould: 'of the best that could be offered',
  inAnOrdinarySpell: 'in an ordinary spell',
  anglersDisagree: (school: string) => `Anglers disagree. ${school}.`,
  theRule: 'The rule',
  aItHoldsHereYour: (
    effect: ReactNode,
    certainty: ReactNode,
    origin: ReactNode,
    idea: ReactNode,
    applies: ReactNode,
    ordinary: ReactNode,
    part: ReactNode,
    school: ReactNode,
    theRule: ReactNode,
  ) => (
    <>
      A {effect}, {certainty} ({origin}, {idea}). It holds {applies} here, {ordinary} {part}. {school} Your
      log does not speak to it yet. {theRule}
    </>
  ),

  smallerReasons: (n: number) =>
    n === 1 ? 'one smaller reason' : counted(n, 'smaller reason', 'smaller reasons'),
  inFull: 'in full',
  to: (w: number) => `to ${w} %`,
  forWord: 'for',
  against: 'against',

  // Parts.tsx
  areTheyHere: 'are they here?',
  areTheyEating: 'are they eating?',
  doTheyTakeThis: 'do they take this?',
  somethingUsualOnTheHook: (usual: string) => `Something usual on the hook would be ${usual} of the best.`,
  aboutFishARodHour: (median: ReactNode, low: ReactNode, high: ReactNode, usual: ReactNode) => (
    <>
      About {median} fish a rod-hour, four times in five between {low} and {high}. {usual}
    </>
  ),

  // Detail.tsx
  why: (edge: string) => `Why ${edge}`,
  whyThisOne: 'Why this one',
  theArithmetic: 'The arithmetic',
  theChosenPresentation: 'The chosen presentation',
  caughtOnThis: 'Caught on this',
  goFishWithThis: 'Go fish with this',
  blankOnThis: 'Blank on this',
  offering: 'Offering',
  rig: 'Rig',
  leader: 'Leader',
  depth: 'Depth',
  rod: 'Rod',
  bite: 'Bite',
  refused: 'Refused',
  groundbait: 'Groundbait',
  stayOrGo: 'Stay or go',
  inHand: 'In hand',
  yourKit: 'Your kit',
  missing: 'Missing',
  practiseTheCadence: 'Practise the cadence',
  compareWith: 'Compare with…',
  mind: 'Mind',
  sizeAndBagLimitsAre: 'Size and bag limits are your authority’s: check them.',
  theRigDrawnWhyThe: (edge: string) => `The rig drawn, why ${edge}, the arithmetic`,
  drawnWithItsMeasures: (data: string) => `${data}, drawn with its measures`,
  allRigsAndKnotsTo: 'All rigs and knots, to print',

  // Going.tsx
  thinkAgain: 'Think again.',
  doNotGo: (shut: string) => `Do not go. ${shut}`,
  byYourLimitsInSet: 'By your limits in Set-up. Local rules, lifeguards and harbour masters come first.',

  // MyWay.tsx
  andIfIDoIt: 'And if I do it my way?',
  where: 'Where',
  what: 'What',
  onWhichRig: 'On which rig',
  movedHow: 'Moved how',
  whicheverIsBest: 'whichever is best',
  whatIsItWorth: 'What is it worth?',

  // Seen.tsx

  goBy: 'Go by',
  beliefs: [
    { value: 'log' as const, label: 'your log' },
    { value: 'book' as const, label: 'the book' },
    { value: 'both' as const, label: 'log and book' },
  ],
  byTheBook: (edge: string) => `by the book ${edge}`,
  fishAt: (levels: string) => `fish at ${levels}`,
  youSee: 'You see:',
  nothing: 'nothing',
  seenOnTheWater: 'Seen on the water',
  onTheSounder: 'On the sounder',
  fishShowAtDeep: 'Fish show at, deep',
  andAt: 'and at',

  // Targets.tsx
  target: 'Target',
  otherTargets: 'Other targets',
  others: 'Others…',
  oneOnly: 'one only',
  several: 'several',

  // Thresholds.tsx
  whatWouldChangeIt: 'What would change it',
  cannotWorkHereNow: (n: number) => `${counted(n, 'thing', 'things')} cannot work here now`,

  // TiePage.tsx
  tieOn: 'Tie on',
  at: (wayTitle: string, time: string, way: string) => `${wayTitle} at ${time}. ${way}`,
  howYouGoThere: 'How you go there',
  today: 'Today:',
  asSetUp: 'as set up',
  takenOtherwise: (disagreed: number) => `${disagreed} taken otherwise`,
  whereAnglersDisagreeForThis: 'Where anglers disagree, for this outing only. Set-up keeps them for good.',
  onlyWhatIHave: 'Only what I have',
  enterYourKitAndAdvice: 'Enter your kit and advice starts from it',
  rigsAndKnots: 'Rigs and knots',
  theBench: 'The bench',
  forWord2: 'For',
  more: 'More',
  whatOneWouldTieOn: 'What one would tie on, were it not for that',
  choicesBestFirst: 'Choices, best first',
  betterButNotInYour: 'Better, but not in your kit:',
  yourWay: 'Your way:',
  theBarHoldsFourIn: (basis: ReactNode) => <>{basis} The bar holds four in five of what could be true.</>,

  aboutARodHour: (target: string, median: string, absent: boolean) =>
    absent
      ? `${target}, about ${median} a rod-hour; hardly here now`
      : `${target}, about ${median} a rod-hour`,
  missing2: (lacks: string) => `Missing: ${lacks}`,
};
