import type { KitBody } from '../api/client';

/** A number of a thing owned, as it is shown. */
export interface KitField {
  key: keyof KitBody;
  label: string;
  unit?: string;
  /** How many SI units one of the shown units is. */
  si?: number;
  step?: number;
  words?: readonly string[];
  text?: boolean;
  /** The number in a line of others, where it would not say what it measures. */
  said?: (shown: string) => string;
}

const pound = 4.4482216152605;
const weight: KitField = { key: 'weight_kg', label: 'Weight', unit: 'g', si: 0.001, step: 0.5 };
const diameter: KitField = { key: 'diameter_m', label: 'Thick', unit: 'mm', si: 0.001, step: 0.01 };
const strength: KitField = { key: 'break_n', label: 'Breaks at', unit: 'lb', si: pound, step: 1 };
const material: KitField = {
  key: 'material',
  label: 'Of',
  words: ['braid', 'mono', 'fluorocarbon', 'wire'],
};
const count: KitField = { key: 'count', label: 'How many', step: 1, said: (s) => `${s} pieces` };

/** What is asked of each kind of thing; fitting the columns of the kit's table. */
export const fieldsOf: Record<KitBody['kind'], KitField[]> = {
  rod: [
    { key: 'length_m', label: 'Length', unit: 'm', step: 0.1 },
    { key: 'rated_kg', label: 'Casts up to', unit: 'g', si: 0.001, step: 5, said: (s) => `casts up to ${s}` },
  ],
  reel: [
    { key: 'turn_m', label: 'A turn, measured', unit: 'm', step: 0.01, said: (s) => `${s} a turn` },
    { key: 'ratio', label: 'Gear ratio', step: 0.1, said: (s) => `${s}:1` },
    {
      key: 'spool_m',
      label: 'Spool over the line',
      unit: 'mm',
      si: 0.001,
      step: 1,
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
    { key: 'length_m', label: 'Length', unit: 'cm', si: 0.01, step: 0.5 },
    weight,
    { key: 'rated_m', label: 'Dives to', unit: 'm', step: 0.1, said: (s) => `dives to ${s}` },
    { key: 'fall_ms', label: 'Falls, timed', unit: 'm/s', step: 0.05, said: (s) => `falls ${s}` },
    count,
  ],
  bait: [count],
};

const plain = (n: number) => String(Number(n.toPrecision(3)));

/** A thing's numbers in one line. */
export function inShort(b: KitBody): string {
  return [
    b.finish,
    ...fieldsOf[b.kind].map((f) => {
      const v = b[f.key];
      if (!v) return '';
      if (typeof v !== 'number') return String(v);
      const shown = `${plain(v / (f.si ?? 1))}${f.unit ? ' ' + f.unit : ''}`;
      return f.said ? f.said(shown) : shown;
    }),
    b.snag_proof ? 'weedless' : '',
  ]
    .filter(Boolean)
    .join(', ');
}
