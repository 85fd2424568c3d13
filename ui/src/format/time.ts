import { halfDays } from './spoken';
import { format as say } from '../words/format';

/** Times are shown where the water is, whatever the browser's own zone. */
const cache = new Map<string, Intl.DateTimeFormat>();

function format(zone: string, options: Intl.DateTimeFormatOptions): Intl.DateTimeFormat {
  const key = zone + JSON.stringify(options);
  let f = cache.get(key);
  if (!f) {
    f = new Intl.DateTimeFormat('en-GB', { timeZone: zone, ...options });
    cache.set(key, f);
  }
  return f;
}

export const clock = (t: string | Date, zone: string) =>
  halfDays()
    ? format(zone, { hour: 'numeric', minute: '2-digit', hourCycle: 'h12' })
        .format(new Date(t))
        .replace(/\s/g, '\u00a0')
    : format(zone, { hour: '2-digit', minute: '2-digit', hourCycle: 'h23' }).format(new Date(t));

export const day = (t: string | Date, zone: string) =>
  format(zone, { weekday: 'short', day: 'numeric', month: 'short' }).format(new Date(t)).replace(',', '');

export const dayShort = (t: string | Date, zone: string) =>
  format(zone, { weekday: 'short', day: 'numeric' }).format(new Date(t)).replace(',', '');

export const dayOfYear = (t: string | Date, zone: string) =>
  format(zone, { weekday: 'long', day: 'numeric', month: 'long', year: 'numeric' }).format(new Date(t));

/** The day of the week at a place, in full. */
export const weekday = (t: string | Date, zone: string) =>
  new Intl.DateTimeFormat('en-GB', { weekday: 'long', timeZone: zone }).format(new Date(t));

/** The days of the week, Monday first; Sunday is 0. */
export const weekdays = () =>
  [1, 2, 3, 4, 5, 6, 0].map((day) => ({
    day,
    // 1 January 2023 was a Sunday.
    name: format('UTC', { weekday: 'short' }).format(new Date(Date.UTC(2023, 0, 1 + day))),
  }));

/** Hour and date parts where the water is. */
export function hourThere(t: Date, zone: string): number {
  return Number(format(zone, { hour: '2-digit', hourCycle: 'h23' }).format(t));
}

/** An hour on an axis: "06", "6 am". */
export const hourMark = (h: number) =>
  halfDays() ? `${h % 12 || 12} ${h % 24 < 12 ? 'am' : 'pm'}` : String(h).padStart(2, '0');

/** "45 min", "1 h 20". */
export function lasting(ms: number): string {
  const min = Math.round(ms / 60000);
  if (min < 60) return say.min(min);
  return min % 60 === 0 ? `${min / 60} h` : `${Math.floor(min / 60)} h ${String(min % 60).padStart(2, '0')}`;
}

/** A day and hour where the person is: of what has no water. */
export const dayThere = (t: string) => {
  const zone = Intl.DateTimeFormat().resolvedOptions().timeZone;
  return `${day(t, zone)} ${clock(t, zone)}`;
};

/** A day as a field for dates has it. */
export const isoDay = (t: string | Date, zone: string) =>
  new Intl.DateTimeFormat('en-CA', {
    timeZone: zone,
    year: 'numeric',
    month: '2-digit',
    day: '2-digit',
  }).format(new Date(t));

/** The moment at which the clock on the wall of a zone says an hour of a day ("2026-11-21"). */
export function onTheWall(isoDate: string, hour: number, zone: string): Date {
  const wanted = Date.parse(`${isoDate}T00:00:00Z`) + hour * 3600_000;
  const says = (t: number) => {
    const d = new Date(t);
    const [h, m] = format(zone, { hour: '2-digit', minute: '2-digit', hourCycle: 'h23' })
      .format(d)
      .split(':');
    return Date.parse(`${isoDay(d, zone)}T00:00:00Z`) + (Number(h) * 60 + Number(m)) * 60_000;
  };
  let t = wanted;
  // Twice: the first may land on the other side of a change of the clocks.
  for (let i = 0; i < 2; i++) t += wanted - says(t);
  return new Date(t);
}
