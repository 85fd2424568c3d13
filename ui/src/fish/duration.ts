import { fish as say } from '../words/fish';

/** "1 h 20" or "18 min". */
export function duration(ms: number): string {
  const min = Math.max(Math.floor(ms / 60_000), 0);
  return min < 60 ? say.minutes(min) : say.hours(Math.floor(min / 60), min % 60);
}
