/** What a person on a flat can say of a fish they see, and the metres and degrees the aim is asked in. */
export interface Sighted {
  /** About how far off, metres. */
  far: number;
  /** Where, by the clock: twelve is straight ahead. */
  clock: string;
  /** Which way its head points, from where one stands. */
  heads: string;
  /** How fast, in words. */
  swims: string;
}

export const clocks = ['9', '10', '11', '12', '1', '2', '3', '4', '5', '6', '7', '8'].map(
  (h) => `${h} o’clock`,
);

/** Of its head, degrees clockwise from the line of sight away from one. */
const heading: Record<string, number> = {
  left: -90,
  right: 90,
  'left and nearer': -135,
  'right and nearer': 135,
  'left and away': -45,
  'right and away': 45,
  'at you': 180,
  'away from you': 0,
};
export const heads = Object.keys(heading);

/** Metres a second (common practice, no source: a fish of two feet, a person's walk). */
const pace: Record<string, number> = {
  'stands or tails': 0,
  'one length in two seconds': 0.3,
  'a slow walk': 0.7,
  'a brisk walk': 1.4,
  'faster than you walk': 2.5,
};
export const paces = Object.keys(pace);

const ahead = (clock: string) => ((parseInt(clock, 10) % 12) * 30 * Math.PI) / 180;

/** The fish as the aim wants it: ahead is north. */
export function placed(s: Sighted) {
  const a = ahead(s.clock);
  const bearing = (a * 180) / Math.PI + (heading[s.heads] ?? 0);
  return {
    x_m: round(s.far * Math.sin(a)),
    y_m: round(s.far * Math.cos(a)),
    speed_ms: pace[s.swims] ?? 0,
    bearing_deg: ((bearing % 360) + 360) % 360,
  };
}

/** A direction by the clock, in degrees. */
export const degrees = (clock: string) => (parseInt(clock, 10) % 12) * 30;

const round = (m: number) => Math.round(m * 100) / 100;
