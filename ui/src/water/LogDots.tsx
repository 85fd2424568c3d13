import type { Spell, SpotDetail } from '../api/client';
import { water as say } from '../words/water';

type Drawn = { x: (d: number) => number; y: (m: number) => number; dMin: number; dMax: number };

/** So many pixels lie between dots that would cover each other. */
const apart = 9;

/** Spells of the log at the level they were fished at, over the mark that was fished; filled with a fish. */
export function LogDots({
  spells,
  spot,
  drawn,
}: {
  spells: readonly Spell[];
  spot: SpotDetail;
  drawn: Drawn;
}) {
  const taken = new Set<string>();
  const dots = [...spells]
    .sort((a, b) => b.catches.length - a.catches.length)
    .map((s) => {
      const mark = spot.marks.find((m) => m.name === s.mark);
      const y = Math.round(drawn.y(s.tide_level_m));
      let x = Math.round(mark ? drawn.x(mark.distance_m) : drawn.x(drawn.dMin) + 14);
      // Beside the stem, and beside each other.
      for (let k = 0; k < 24 && taken.has(`${Math.round(x / apart)} ${Math.round(y / apart)}`); k++)
        x += apart;
      taken.add(`${Math.round(x / apart)} ${Math.round(y / apart)}`);
      return { s, x, y };
    });
  return (
    <g className="log-dots" aria-hidden="true">
      {dots.map(({ s, x, y }) => (
        <circle key={s.id} cx={x} cy={y} r={s.blank ? 3.2 : 4.4} className={s.blank ? 'blank' : 'caught'} />
      ))}
    </g>
  );
}

/** The same in words: by mark, how many spells with and without a fish, and between which levels. */
export function logWords(
  spells: readonly Spell[],
  metres: (m: number) => string,
): { mark: string; says: string }[] {
  const by = new Map<string, Spell[]>();
  for (const s of spells) by.set(s.mark, [...(by.get(s.mark) ?? []), s]);
  return [...by].map(([mark, list]) => {
    const fish = list.filter((s) => !s.blank);
    const span = (l: readonly Spell[]) => {
      const levels = l.map((s) => s.tide_level_m);
      return say.log.span(metres(Math.min(...levels)), metres(Math.max(...levels)));
    };
    return {
      mark: mark || say.log.noMark,
      says: say.log.dots(list.length, span(list), fish.length, fish.length > 0 ? span(fish) : ''),
    };
  });
}
