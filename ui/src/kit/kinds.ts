import type { KitBody } from '../api/client';
import { line, number, way, type Measure } from '../format/spoken';
import { kit as say } from '../words/kit';

/** A number of a thing owned, as it is shown. */
export interface KitField {
  key: keyof KitBody;
  label: string;
  /** What is measured, in the person’s unit. */
  measure?: Measure;
  unit?: string;
  /** How many SI units one of the shown units is. */
  si?: number;
  step?: number;
  words?: readonly string[];
  text?: boolean;
  /** The number in a line of others, where it would not say what it measures. */
  said?: (shown: string) => string;
}

const weight: KitField = { key: 'weight_kg', label: say.weight, measure: 'weight' };
const diameter: KitField = { key: 'diameter_m', label: say.thick, measure: 'thick' };
const strength: KitField = { key: 'break_n', label: say.breaksAt, measure: 'line' };
const material: KitField = {
  key: 'material',
  label: say.ofWord,
  words: ['braid', 'mono', 'fluorocarbon', 'wire'],
};
const count: KitField = { key: 'count', label: say.howMany, step: 1, said: (s) => say.pieces(s) };

/** What is asked of each kind of thing; fitting the columns of the kit's table. */
export const fieldsOf: Record<KitBody['kind'], KitField[]> = {
  rod: [
    { key: 'length_m', label: say.length, measure: 'rod' },
    { key: 'rated_kg', label: say.castsUpTo, measure: 'weight', said: (s) => say.castsUpTo2(s) },
  ],
  reel: [
    { key: 'turn_m', label: say.aTurnMeasured, measure: 'turn', said: (s) => say.aTurn(s) },
    { key: 'ratio', label: say.gearRatio, step: 0.1, said: (s) => `${s}:1` },
    {
      key: 'spool_m',
      label: say.spoolOverTheLine,
      measure: 'spool',
      said: (s) => say.spool(s),
    },
  ],
  line: [material, strength, diameter],
  leader: [material, strength, diameter],
  sinker: [weight, { key: 'pattern', label: say.shape, words: ['egg', 'bank', 'pyramid', 'grip'] }, count],
  head: [weight, count],
  hook: [
    { key: 'size', label: say.size, text: true },
    { key: 'pattern', label: say.pattern, words: ['circle', 'J', 'weedless', 'treble', 'double'] },
    count,
  ],
  lure: [
    { key: 'length_m', label: say.length, measure: 'tackle' },
    weight,
    { key: 'rated_m', label: say.divesTo, measure: 'depth', said: (s) => say.divesTo2(s) },
    { key: 'fall_ms', label: say.fallsTimed, measure: 'run', said: (s) => say.falls(s) },
    count,
  ],
  bait: [count],
};

const short = (m: Measure, v: number) =>
  number(m, v)
    .replace(/(\.\d*?)0+$/, '$1')
    .replace(/\.$/, '');
const plain = (n: number) => String(Number(n.toPrecision(3)));

/** A thing's numbers in one line. */
export function inShort(b: KitBody): string {
  return [
    b.finish,
    ...fieldsOf[b.kind].map((f) => {
      const v = b[f.key];
      if (!v) return '';
      if (typeof v !== 'number') return String(v);
      const shown =
        f.measure === 'line'
          ? line(v)
          : f.measure
            ? `${short(f.measure, v)} ${way(f.measure).unit}`
            : `${plain(v / (f.si ?? 1))}${f.unit ? ' ' + f.unit : ''}`;
      return f.said ? f.said(shown) : shown;
    }),
    b.snag_proof ? 'weedless' : '',
  ]
    .filter(Boolean)
    .join(', ');
}
