import { unknown, type Cells } from './cells';

/** Where each pixel of the screen lies. */
export interface View {
  width: number;
  height: number;
  lon: (x: number) => number;
  lat: (y: number) => number;
}

/** What the pixels of a screen show of the ground. It changes with the view, not with the water. */
export interface Screen {
  width: number;
  height: number;
  /** Elevation in centimetres; NaN where nobody knows. */
  z: Float32Array;
  /** The same in whole centimetres within what colours are kept for; unknown where nobody knows. */
  cm: Int16Array;
  lit: Uint8Array;
  /** Pixels a centimetre of height: how near a contour lies on screen. */
  flat: Float32Array;
}

/** Elevations beyond these, cm, are drawn like them. */
export const lowest = -2500;
export const highest = 1600;

/** Reads the grid at every pixel, between the four cells around it. */
export function screen(g: Cells, v: View): Screen {
  const { width, height } = v;
  const n = width * height;
  const z = new Float32Array(n).fill(NaN);
  const lit = new Uint8Array(n).fill(128);
  const flat = new Float32Array(n);
  const cm = new Int16Array(n).fill(unknown);
  const col = new Float32Array(width);
  for (let x = 0; x < width; x++) col[x] = (v.lon(x) - g.west) / g.dLon;
  for (let y = 0; y < height; y++) {
    const r = (v.lat(y) - g.south) / g.dLat;
    if (!(r >= 0 && r <= g.rows - 1)) continue;
    const r0 = Math.min(Math.floor(r), g.rows - 2);
    const fy = r - r0;
    for (let x = 0; x < width; x++) {
      const c = col[x]!;
      if (!(c >= 0 && c <= g.cols - 1)) continue;
      const c0 = Math.min(Math.floor(c), g.cols - 2);
      const fx = c - c0;
      const i = r0 * g.cols + c0;
      const j = i + g.cols;
      const o = y * width + x;
      z[o] =
        (g.z[i]! * (1 - fx) + g.z[i + 1]! * fx) * (1 - fy) + (g.z[j]! * (1 - fx) + g.z[j + 1]! * fx) * fy;
      lit[o] =
        (g.lit[i]! * (1 - fx) + g.lit[i + 1]! * fx) * (1 - fy) +
        (g.lit[j]! * (1 - fx) + g.lit[j + 1]! * fx) * fy;
    }
  }
  for (let y = 0; y < height; y++) {
    for (let x = 0; x < width; x++) {
      const o = y * width + x;
      const dx = x + 1 < width ? z[o + 1]! - z[o]! : z[o]! - z[o - 1]!;
      const dy = y + 1 < height ? z[o + width]! - z[o]! : z[o]! - z[o - width]!;
      const steep = Math.sqrt(dx * dx + dy * dy);
      // At the edge of what is known no line is drawn.
      flat[o] = steep === steep ? 1 / Math.max(steep, 0.02) : 1e6;
      const v = z[o]!;
      if (v === v) cm[o] = Math.max(lowest, Math.min(highest, Math.round(v)));
    }
  }
  return { width, height, z, cm, lit, flat };
}
