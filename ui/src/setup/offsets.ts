import type { Schemas } from '../api/client';

export type Offsets = Schemas['OffsetsBody'];
export type OffsetText = Record<
  'lagHigh' | 'lagLow' | 'factorHigh' | 'factorLow' | 'differenceHigh' | 'differenceLow',
  string
>;

export const plainOffsets: OffsetText = {
  lagHigh: '0',
  lagLow: '0',
  factorHigh: '1',
  factorLow: '1',
  differenceHigh: '0',
  differenceLow: '0',
};

const show = (x: number, n: number) => String(Number(x.toFixed(n))).replace('-', '−');

export function writeOffsets(o: Offsets): OffsetText {
  return {
    lagHigh: show(o.lag_high_min, 1),
    lagLow: show(o.lag_low_min, 1),
    factorHigh: show(o.factor_high ?? 1, 3),
    factorLow: show(o.factor_low ?? 1, 3),
    differenceHigh: show(o.difference_high_m ?? 0, 2),
    differenceLow: show(o.difference_low_m ?? 0, 2),
  };
}

/** A number as people write it: comma or point, hyphen or minus. */
export const number = (text: string): number =>
  text.trim() === '' ? NaN : Number(text.trim().replace(',', '.').replace('−', '-'));

/** The offsets a form holds, or nothing while a field is not a number. */
export function readOffsets(t: OffsetText): Offsets | null {
  const o: Offsets = {
    lag_high_min: number(t.lagHigh),
    lag_low_min: number(t.lagLow),
    factor_high: number(t.factorHigh),
    factor_low: number(t.factorLow),
    difference_high_m: number(t.differenceHigh),
    difference_low_m: number(t.differenceLow),
  };
  return Object.values(o).every((v) => Number.isFinite(v)) ? o : null;
}
