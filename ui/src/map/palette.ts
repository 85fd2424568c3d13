import type { Words } from '../api/client';
import { colour } from '../theme/colour';
import type { Contour, Ink, Rgb, Tone } from './paint';

/** A colour of tokens.css as numbers. */
function rgb(name: string): Rgb {
  const v = parseInt(colour(name).slice(1), 16);
  return [(v >> 16) & 255, (v >> 8) & 255, v & 255];
}

/** The name of a class's colour. */
export const token = (name: string) => `--depth-${name.replace(' ', '-')}`;

/** From here on it only gets darker, cm. */
const deepest = 900;

/** The map's colours in the chosen light. */
export function ink(classes: Words['classes'], night: boolean): Ink {
  const tones: Tone[] = classes.map((c) => ({ from: c.from_m * 100, colour: rgb(token(c.name)) }));
  tones.push({ from: deepest, colour: rgb('--depth-deepest') });
  return { land: rgb('--land'), tones, line: rgb('--ink'), relief: night ? 0.5 : 0.62 };
}

/** The shore, where wading ends, and depths of round numbers. */
export function contours(classes: Words['classes'], chosen: number[]): Contour[] {
  const wading = classes.find((c) => c.name === 'over wading')?.from_m;
  const lines: Contour[] = [{ depth: 0, strength: 0.85, width: 1.1 }];
  if (wading) lines.push({ depth: wading * 100, strength: 0.6, width: 0.9 });
  for (const d of chosen) {
    // Two lines on one another would only be heavier.
    if (!lines.some((l) => Math.abs(l.depth - d * 100) < 1))
      lines.push({ depth: d * 100, strength: 0.3, width: 0.8 });
  }
  return lines;
}
