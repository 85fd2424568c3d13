import { bench as say } from '../words/bench';

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

export const clocks = [9, 10, 11, 12, 1, 2, 3, 4, 5, 6, 7, 8].map(say.oClock);

/** Of its head, degrees clockwise from the line of sight away from one. */
const heading: Record<string, number> = {
  [say.left]: -90,
  [say.right]: 90,
  [say.leftAndNearer]: -135,
  [say.rightAndNearer]: 135,
  [say.leftAndAway]: -45,
  [say.rightAndAway]: 45,
  [say.atYou]: 180,
  [say.awayFromYou]: 0,
};
export const heads = Object.keys(heading);

/** Metres a second (common practice, no source: a fish of two feet, a person's walk). */
const pace: Record<string, number> = {
  [say.standsOrTails]: 0,
  [say.oneLengthInTwoSeconds]: 0.3,
  [say.aSlowWalk]: 0.7,
  [say.aBriskWalk]: 1.4,
  [say.fasterThanYouWalk]: 2.5,
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
