/** Width of the cards everybody carries: ISO/IEC 7810, ID-1, metres. */
export const cardM = 0.0856;

/** So much longer everything is to be drawn when a card drawn in true size came out at a measured width. */
export function scaleOf(measuredM: number | undefined): number {
  return measuredM && measuredM > 0.04 && measuredM < 0.16 ? cardM / measuredM : 1;
}

export interface Strip {
  from: number;
  to: number;
}

/** Strips of a ruler up to a length, each with as many whole units as fit; all metres. */
export function stripsOf(length: number, width: number, unit: number): Strip[] {
  const each = Math.max(Math.floor(width / unit), 1) * unit;
  const n = Math.ceil(length / each - 1e-9);
  return Array.from({ length: n }, (_, i) => ({ from: i * each, to: Math.min((i + 1) * each, length) }));
}
