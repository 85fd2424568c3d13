import type { KitBody } from '../api/client';
import { line, number, way, type Measure } from '../format/spoken';

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

const weight: KitField = { key: 'weight_kg', label: 'Weight', measure: 'weight' };
const diameter: KitField = { key: 'diameter_m', label: 'Thick', measure: 'thick' };
const strength: KitField = { key: 'break_n', label: 'Breaks at', measure: 'line' };
const material: KitField = {
  key: 'material',
  label: 'Of',
  words: ['braid', 'mono', 'fluorocarbon', 'wire'],
};
const count: KitField = { key: 'count', label: 'How many', step: 1, said: (s) => `${s} pieces` };

/** What is asked of each kind of thing; fitting the columns of the kit's table. */
export const fieldsOf: Record<KitBody['kind'], KitField[]> = {
  rod: [
    { key: 'length_m', label: 'Length', measure: 'rod' },
    { key: 'rated_kg', label: 'Casts up to', measure: 'weight', said: (s) => `casts up to ${s}` },
  ],
  reel: [
    { key: 'turn_m', label: 'A turn, measured', measure: 'turn', said: (s) => `${s} a turn` },
    { key: 'ratio', label: 'Gear ratio', step: 0.1, said: (s) => `${s}:1` },
    {
      key: 'spool_m',
      label: 'Spool over the line',
      measure: 'spool',
      said: (s) => `spool ${s}`,
    },
  ],
  line: [material, strength, diameter],
  leader: [material, strength, diameter],
  sinker: [weight, { key: 'pattern', label: 'Shape', words: ['egg', 'bank', 'pyramid', 'grip'] }, count],
  head: [weight, count],
  hook: [
    { key: 'size', label: 'Size', text: true },
    { key: 'pattern', label: 'Pattern', words: ['circle', 'J', 'weedless', 'treble', 'double'] },
    count,
  ],
  lure: [
    { key: 'length_m', label: 'Length', measure: 'tackle' },
    weight,
    { key: 'rated_m', label: 'Dives to', measure: 'depth', said: (s) => `dives to ${s}` },
    { key: 'fall_ms', label: 'Falls, timed', measure: 'run', said: (s) => `falls ${s}` },
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
