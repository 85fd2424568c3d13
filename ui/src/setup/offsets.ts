import type { Schemas } from '../api/client';

export type Offsets = Schemas['OffsetsBody'];

/** Offsets as a form holds them while they are typed. */
export type OffsetsTyped = { [K in keyof Offsets]?: number | undefined };

export const plainOffsets: Offsets = {
  lag_high_min: 0,
  lag_low_min: 0,
  factor_high: 1,
  factor_low: 1,
  difference_high_m: 0,
  difference_low_m: 0,
};

/** The offsets a form holds, or nothing while a field is empty. */
export function readOffsets(t: OffsetsTyped): Offsets | null {
  const keys = Object.keys(plainOffsets) as (keyof Offsets)[];
  return keys.every((k) => t[k] !== undefined) ? (t as Offsets) : null;
}
