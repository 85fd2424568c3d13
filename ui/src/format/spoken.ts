import type { Schemas } from '../api/client';
import { scaleLinear } from 'd3-scale';
import units from './units.json';
import { format as say } from '../words/format';

/**
 * How the person speaks of measures and hours. Values are kept in SI everywhere; this alone writes and
 * reads them. It is set when one signs in and when one chooses anew, after which the page is drawn anew.
 */
export type Settings = Schemas['SettingsBody'];
type Base = keyof typeof units.measures;

/** What measures there are: those one chooses a unit for, and those that follow one of them. */
export type Measure =
  | Base
  /** Heights judged by eye: waves. */
  | 'height'
  /** Rods, and what is as long. */
  | 'rod'
  /** What a turn of the reel brings in. */
  | 'turn'
  /** Lines, by their thickness. */
  | 'thick'
  /** How long a fish is. */
  | 'fish_length'
  /** How fast the water rises. */
  | 'rise'
  /** How much warmer. */
  | 'warming'
  /** Spools, by their diameter. */
  | 'spool'
  /** Rain of an hour, kept in millimetres. */
  | 'rain';

/** A unit as a measure is written in it. */
export interface Way {
  unit: string;
  scale: number;
  offset: number;
  decimals: number;
  step: number;
  fractions: boolean;
}

export const metricSettings: Settings = {
  units: units.systems.metric as Settings['units'],
  week: 'monday',
  chosen: false,
};

/** The settings a system stands for. */
export const systemOf = (name: 'metric' | 'us') => units.systems[name] as Settings['units'];

let now: Settings = metricSettings;
let ways = new Map<Measure, Way>();

/** From here on measures are written so. */
export function speak(settings: Settings) {
  now = settings;
  ways = new Map();
}

export const spoken = () => now;

type Symbol = keyof typeof units.units;
const conversion = (unit: string) => {
  const u = units.units[unit as Symbol];
  return { unit, scale: u.scale, offset: u.offset };
};

function based(base: Base): Way {
  const chosen = now.units[base];
  const choice = units.measures[base].choices.find((c) => c.unit === chosen)!;
  const way = { ...conversion(chosen), ...choice };
  // Lines break at newtons and are spoken of by the weight that does it.
  return base === 'line' ? { ...way, scale: way.scale * gravity } : way;
}

/** The standard one, m/s². */
const gravity = 9.80665;

const as = (unit: string, decimals: number, step: number): Way => ({
  ...conversion(unit),
  decimals,
  step,
  fractions: false,
});

const followed: Record<Exclude<Measure, Base>, () => Way> = {
  height: () => (now.units.depth === 'ft' ? as('ft', 0, 1) : as('m', 1, 0.1)),
  rod: () => (now.units.tackle === 'in' ? as('ft', 1, 0.5) : as('m', 2, 0.1)),
  turn: () => (now.units.tackle === 'in' ? as('in', 0, 1) : as('cm', 0, 1)),
  thick: () => (now.units.tackle === 'in' ? as('in', 3, 0.001) : as('mm', 2, 0.01)),
  spool: () => (now.units.tackle === 'in' ? as('in', 2, 0.1) : as('mm', 0, 1)),
  fish_length: () => ({ ...based('tackle'), decimals: now.units.tackle === 'mm' ? 0 : 1, step: 0.5 }),
  rise: () => (now.units.depth === 'ft' ? as('ft/h', 1, 0.1) : as('m/h', 2, 0.05)),
  warming: () => ({ ...based('temperature'), offset: 0, decimals: 1, step: 0.5 }),
  rain: () =>
    now.units.depth === 'ft' ? { ...as('in', 1, 0.1), scale: 25.4 } : { ...as('mm', 0, 1), scale: 1 },
};

/** How a measure is written. */
export function way(m: Measure): Way {
  let w = ways.get(m);
  if (!w) {
    w = m in units.measures ? based(m as Base) : followed[m as Exclude<Measure, Base>]();
    ways.set(m, w);
  }
  return w;
}

export const toSI = (w: Way, shown: number) => shown * w.scale + w.offset;
export const fromSI = (w: Way, si: number) => (si - w.offset) / w.scale;

/** Trade names of a unit's fractions: "1/4", "1 1/2". */
function fraction(x: number): string {
  for (const parts of [1, 2, 4, 8, 16, 32]) {
    const n = Math.round(x * parts);
    if (n > 0 && Math.abs(n / parts - x) <= 0.04 * x) {
      if (parts === 1) return String(n);
      return n > parts ? `${Math.floor(n / parts)} ${n % parts}/${parts}` : `${n}/${parts}`;
    }
  }
  return x.toFixed(2);
}

/** A number with a true minus, and never minus nought. */
export const fixed = (x: number, n: number) => {
  const s = x.toFixed(n);
  return (Number(s) === 0 ? (0).toFixed(n) : s).replace('-', '−');
};

/** Deep water is told more roughly, from here on, metres. */
const coarse = 9.995;

/** A value as it is written, without its unit. */
export function number(m: Measure, si: number, decimals?: number): string {
  const w = way(m);
  const x = fromSI(w, si);
  if (w.fractions && decimals === undefined) return fraction(x);
  let n = decimals ?? w.decimals;
  if (m === 'depth' && decimals === undefined && Math.abs(si) >= coarse) n = w.unit === 'm' ? 1 : 0;
  if (m === 'weight' && decimals === undefined) n = x < 15 && Math.abs(Math.round(x) - x) > 0.03 * x ? 1 : 0;
  if (m === 'tackle' && w.unit === 'in' && decimals === undefined) return String(Math.round(x * 2) / 2);
  return fixed(x, n);
}

/** A value as it is written: "0.34 m", "1.1 ft", "1/4 oz". */
export const show = (m: Measure, si: number, decimals?: number) =>
  `${number(m, si, decimals)} ${way(m).unit}`;

/** From some way on, distances are told in miles or kilometres, metres. */
const long = 1000;

/** How far off: "52 m", "171 ft", "1.4 km", "0.9 mi". */
export function distance(si: number): string {
  if (si < long) return show('distance', si);
  const w = conversion(now.units.distance === 'm' ? 'km' : 'mi');
  const x = si / w.scale;
  return `${fixed(x, x < 10 ? 1 : 0)} ${w.unit}`;
}

/** A line's strength in newtons as lines are sold: by the pound, in metric with kilograms beside it. */
export function line(n: number): string {
  const lb = say.lb(fixed(n / gravity / units.units.lb.scale, 0));
  return now.units.line === 'lb' ? lb : say.kg(lb, fixed(n / gravity, 0));
}

export const depth = (m: number) => show('depth', m);
export const unitOf = (m: Measure) => way(m).unit;

/** Round values of a scale in the person's unit, and how each is written. */
export function axis(m: Measure, from: number, to: number, count: number): { si: number; text: string }[] {
  const w = way(m);
  const values = scaleLinear()
    .domain([fromSI(w, from), fromSI(w, to)])
    .ticks(count);
  const step = values.length > 1 ? Math.abs(values[1]! - values[0]!) : 1;
  const decimals = Math.max(0, -Math.floor(Math.log10(step) + 1e-9));
  return values.map((v) => ({ si: toSI(w, v), text: fixed(v, decimals) }));
}

/** Hours as the person writes them. */
export const halfDays = () => now.units.clock === '12 h';
