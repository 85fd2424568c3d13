import { unknown } from './cells';
import { highest as top, lowest as bottom, type Screen } from './screen';

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

/** Levels of the water that are drawn, cm either side of chart datum. */
const tides = 1000;
/** Depths the table of colours covers begin so far above the water, and there are so many, cm. */
const dry = top + tides;
const n = dry + tides - bottom + 1;
const shades = 64;
/** A line is drawn to so many pixels from where it lies. */
const reach = 2.2;

/** Colours by light and depth, ready to be looked up. */
export interface Lookup {
  colours: Uint32Array;
  land: Uint32Array;
  nearest: Uint8Array;
  /** Centimetres to the nearest contour; 255 and more are all one. */
  off: Uint8Array;
  contours: Contour[];
  line: Rgb;
}

/** A colour in one light after another, from shade to sun, packed as pixels. */
function inLights([r, g, b]: Rgb, relief: number, out: Uint32Array, at: number, step: number) {
  for (let s = 0; s < shades; s++) {
    // Towards white on the lit side, towards black in the shade.
    const k = ((s + 0.5) / shades - 0.5) * 2 * relief;
    const up = k > 0 ? k * 0.55 : 0;
    const by = k > 0 ? 1 - up : 1 + k * 0.75;
    const mix = (v: number) => Math.round(v * by + 255 * up);
    out[at + s * step] = (255 << 24) | (mix(b) << 16) | (mix(g) << 8) | mix(r);
  }
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
  const colours = new Uint32Array(shades * n);
  const land = new Uint32Array(shades);
  const nearest = new Uint8Array(n);
  const off = new Uint8Array(n).fill(255);
  for (let d = 0; d < n; d++) {
    inLights(tone(ink.tones, d - dry), ink.relief, colours, d, n);
    contours.forEach((k, i) => {
      if (Math.abs(d - dry - k.depth) < Math.abs(d - dry - contours[nearest[d]!]!.depth)) nearest[d] = i;
    });
    const c = contours[nearest[d]!];
    if (c) off[d] = Math.min(255, Math.abs(d - dry - c.depth));
  }
  inLights(ink.land, ink.relief, land, 0, 1);
  return { colours, land, nearest, off, contours, line: ink.line };
}

/**
 * Floods the ground to a level (cm) and writes the pixels. This is all that happens while the ribbon moves.
 * Ground above highest (cm) is land.
 */
export function paint(s: Screen, look: Lookup, level: number, highest: number, out: Uint32Array) {
  const { cm, lit, flat } = s;
  const nobodyKnows = unknown;
  const { colours, land, off } = look;
  const water = Math.max(-tides, Math.min(tides, Math.round(level)));
  for (let o = 0; o < out.length; o++) {
    const z = cm[o]!;
    if (z === nobodyKnows) {
      out[o] = 0;
      continue;
    }
    const k = water - z + dry;
    const shade = lit[o]! >> 2;
    const colour = z > highest ? land[shade]! : colours[shade * n + k]!;
    // Far from any line, as nearly all of the ground is.
    out[o] = off[k]! * flat[o]! > reach ? colour : lined(s, look, level, o, k, colour);
  }
}

/** The colour of a pixel near a line of equal depth. */
function lined(s: Screen, look: Lookup, level: number, o: number, k: number, colour: number): number {
  const c = look.contours[look.nearest[k]!];
  if (!c) return colour;
  const away = Math.abs(level - s.z[o]! - c.depth) * s.flat[o]!;
  if (away >= c.width) return colour;
  const a = Math.min(c.width - away, 1) * c.strength;
  const [lr, lg, lb] = look.line;
  const r = (colour & 255) * (1 - a) + lr * a;
  const g = ((colour >> 8) & 255) * (1 - a) + lg * a;
  const b = ((colour >> 16) & 255) * (1 - a) + lb * a;
  return (255 << 24) | (b << 16) | (g << 8) | r;
}
