import type { Frame } from '../api/client';

/** A stretch of time in which the wind leaves the water alike. */
export interface Run {
  from: number;
  to: number;
  surface: Frame['surface'];
}

/** Frames of one surface together. A stretch of under half an hour is only a flicker at a limit. */
export function surfaces(frames: { time: string; surface: Frame['surface'] }[]): Run[] {
  const out: Run[] = [];
  for (const f of frames) {
    const t = Date.parse(f.time);
    const last = out[out.length - 1];
    if (last) last.to = t;
    if (!last || last.surface !== f.surface) {
      if (last && last.to - last.from < 1800_000 && out.length > 1) {
        out.pop();
        const before = out[out.length - 1]!;
        before.to = t;
        if (before.surface === f.surface) continue;
      }
      out.push({ from: t, to: t, surface: f.surface });
    }
  }
  return out;
}
