/** Numbers as they are read on a beach. Values come in SI and stay so; this only writes them. */
import { show } from './spoken';
import { format as say } from '../words/format';

export { depth as metres, fixed } from './spoken';

export const rate = (mPerH: number) => show('rise', Math.abs(mPerH));
export const times = (x: number) => `×${x >= 9.95 ? x.toFixed(0) : x >= 0.095 ? x.toFixed(1) : x.toFixed(2)}`;
/** Fish a rod-hour: finer where they are few. */
export const perHour = (x: number) => (x >= 9.5 ? x.toFixed(0) : x >= 0.095 ? x.toFixed(1) : x.toFixed(2));
export const factor = (x: number) => `×${x.toFixed(2)}`;

const compass = [
  'N',
  'NNE',
  'NE',
  'ENE',
  'E',
  'ESE',
  'SE',
  'SSE',
  'S',
  'SSW',
  'SW',
  'WSW',
  'W',
  'WNW',
  'NW',
  'NNW',
];
export const bearing = (deg: number) => compass[Math.round((((deg % 360) + 360) % 360) / 22.5) % 16]!;

/** How old a reading is, in words. */
export const aged = (s: number) => {
  const min = Math.round(Math.abs(s) / 60);
  const span =
    min < 90 ? say.min(min) : min < 36 * 60 ? `${Math.round(min / 60)} h` : `${Math.round(min / 1440)} d`;
  return s < -60 ? say.inWord(span) : min === 0 ? 'now' : say.old(span);
};
/** A number and its unit kept on one line. */
export const unbroken = (text: string) =>
  text.replace(
    /(\d) (g|kg|oz|lb|m|cm|mm|ft|in|s|h|min|kn|°C|°F|%|m\/s|ft\/s|turns)(?=[\s.,;:)]|$)/g,
    '$1\u00a0$2',
  );
