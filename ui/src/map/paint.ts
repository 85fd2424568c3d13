import type { Screen } from './screen';

export type Rgb = [number, number, number];

/** A tone of a class of depth, from its least depth (cm) downwards. */
export interface Tone {
  from: number;
  colour: Rgb;
}

export interface Ink {
  land: Rgb;
  /** From dry ground downwards; the first is dry. */
  tones: Tone[];
  line: Rgb;
  /** How strongly relief shows, 0 to 1. */
  relief: number;
}

/** A line of equal depth: cm, and how strong it is drawn. */
export interface Contour {
  depth: number;
  strength: number;
  width: number;
}

/** Depths the table of colours covers, cm: from ground dry by 8 m to 40 m of water. */
const dry = 800;
const deep = 4000;
const shades = 64;

/** Colours by light and depth, ready to be looked up. */
export interface Lookup {
  colours: Uint32Array;
  land: Uint32Array;
  nearest: Uint8Array;
  contours: Contour[];
  line: Rgb;
}

const pack = ([r, g, b]: Rgb) => (255 << 24) | (Math.round(b) << 16) | (Math.round(g) << 8) | Math.round(r);

function lit(c: Rgb, shade: number, relief: number): Rgb {
  // Towards white on the lit side, towards black in the shade.
  const k = ((shade + 0.5) / shades - 0.5) * 2 * relief;
  return c.map((v) => (k > 0 ? v + (255 - v) * k * 0.55 : v * (1 + k * 0.75))) as Rgb;
}

/** The tone of a depth: that of its class, drifting a little towards the next. */
export function tone(tones: Tone[], depth: number): Rgb {
  let i = tones.length - 1;
  while (i > 0 && depth < tones[i]!.from) i--;
  const a = tones[i]!;
  const b = tones[i + 1];
  if (!b || i === 0) return a.colour;
  const share = 0.3 * Math.min((depth - a.from) / (b.from - a.from), 1);
  return a.colour.map((v, k) => v + (b.colour[k]! - v) * share) as Rgb;
}

export function lookup(ink: Ink, contours: Contour[]): Lookup {
  const n = dry + deep;
  const colours = new Uint32Array(shades * n);
  const land = new Uint32Array(shades);
  const nearest = new Uint8Array(n);
  for (let d = 0; d < n; d++) {
    const c = tone(ink.tones, d - dry);
    for (let s = 0; s < shades; s++) colours[s * n + d] = pack(lit(c, s, ink.relief));
    contours.forEach((k, i) => {
      if (Math.abs(d - dry - k.depth) < Math.abs(d - dry - contours[nearest[d]!]!.depth)) nearest[d] = i;
    });
  }
  for (let s = 0; s < shades; s++) land[s] = pack(lit(ink.land, s, ink.relief));
  return { colours, land, nearest, contours, line: ink.line };
}

/**
 * Floods the ground to a level (cm) and writes the pixels. This is all that happens while the ribbon moves.
 * Ground above highest (cm) is land.
 */
export function paint(s: Screen, look: Lookup, level: number, highest: number, out: Uint32Array) {
  const n = dry + deep;
  const { colours, land, nearest, contours } = look;
  const [lr, lg, lb] = look.line;
  for (let o = 0; o < out.length; o++) {
    const z = s.z[o]!;
    if (z !== z) {
      out[o] = 0;
      continue;
    }
    const depth = level - z;
    const shade = s.lit[o]! >> 2;
    let k = (depth + dry) | 0;
    if (k < 0) k = 0;
    else if (k >= n) k = n - 1;
    let colour = z > highest ? land[shade]! : colours[shade * n + k]!;
    if (contours.length > 0) {
      const c = contours[nearest[k]!]!;
      const off = Math.abs(depth - c.depth) * s.flat[o]!;
      if (off < c.width) {
        const a = Math.min(c.width - off, 1) * c.strength;
        const r = (colour & 255) * (1 - a) + lr * a;
        const g = ((colour >> 8) & 255) * (1 - a) + lg * a;
        const b = ((colour >> 16) & 255) * (1 - a) + lb * a;
        colour = (255 << 24) | (b << 16) | (g << 8) | r;
      }
    }
    out[o] = colour;
  }
}
