import type { Curve } from '../api/client';
import { number, show } from '../format/spoken';
import { hourMark } from '../format/time';

/** A value on a curve's axis as it is shown; with its unit where it stands alone. */
export function at(by: string, v: number, whole = false): string {
  const as = (m: 'depth' | 'temperature' | 'wind', digits: number) =>
    whole ? show(m, v, digits) : number(m, v, digits);
  switch (by) {
    case 'level':
    case 'clarity':
      return as('depth', 1);
    case 'temperature':
      return as('temperature', 0);
    case 'wind':
      return as('wind', 0);
    case 'hour':
      return hourMark(Math.round(v) % 24);
    case 'from_high':
      return `${v > 0 ? '+' : v < 0 ? '−' : ''}${Math.abs(v).toFixed(v % 1 ? 1 : 0)}${whole ? ' h' : ''}`;
  }
  return `${v.toFixed(0)}`;
}

/** Marks of a curve's axis: a few round ones. */
export function marks(c: Curve): number[] {
  if (c.by === 'hour') return [0, 6, 12, 18, 24];
  if (c.by === 'from_high') return [-6, -3, 0, 3, 6];
  if (c.by === 'moon') return [0, 7, 15, 22, 29];
  const span = c.to - c.from;
  const step = [0.1, 0.2, 0.5, 1, 2, 5, 10].find((s) => span / s <= 6) ?? span / 4;
  const out: number[] = [];
  for (let v = Math.ceil(c.from / step) * step; v <= c.to + 1e-9; v += step)
    out.push(Math.round(v * 100) / 100);
  return out;
}
