import type { SectionPoint } from '../api/client';

const round = (v: number, to: number) => Math.round(v / to) * to;
const tidy = (p: SectionPoint): SectionPoint => ({
  distance_m: Number(round(p.distance_m, 0.5).toFixed(1)),
  elevation_m: Number(round(p.elevation_m, 0.01).toFixed(2)),
});
/** Two points are at least so far apart, metres. */
const apart = 0.5;

/** A point moved; it does not pass its neighbours. */
export function moved(section: SectionPoint[], i: number, to: SectionPoint): SectionPoint[] {
  const least = i > 0 ? section[i - 1]!.distance_m + apart : -Infinity;
  const most = i + 1 < section.length ? section[i + 1]!.distance_m - apart : Infinity;
  const p = tidy({ ...to, distance_m: Math.min(Math.max(to.distance_m, least), most) });
  return section.map((q, k) => (k === i ? p : q));
}

/** A new point put in its place; none where one is already. */
export function between(section: SectionPoint[], p: SectionPoint): SectionPoint[] {
  const q = tidy(p);
  if (section.some((s) => Math.abs(s.distance_m - q.distance_m) < apart)) return section;
  return [...section, q].sort((a, b) => a.distance_m - b.distance_m);
}

export const without = (section: SectionPoint[], i: number) => section.filter((_, k) => k !== i);
