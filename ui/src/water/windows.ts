import type { Window } from '../api/client';
import { clock, lasting } from '../format/time';

const current = (list: Window[], at: number) =>
  list.find(
    (w) => (w.opens ? Date.parse(w.opens) <= at : true) && (w.closes ? at < Date.parse(w.closes) : true),
  );
const next = (list: Window[], at: number) => list.find((w) => w.opens && Date.parse(w.opens) > at);

export function wayInWords(windows: Window[], at: number, zone: string): string {
  const now = current(windows, at);
  if (now) {
    if (!now.closes) return 'For as long as the ribbon shows.';
    return `Until ${clock(now.closes, zone)}, in ${lasting(Date.parse(now.closes) - at)}: then it is ${now.closed_by}.`;
  }
  const later = next(windows, at);
  if (!later) return 'Not as far as the ribbon shows.';
  const until = later.closes ? ` until ${clock(later.closes, zone)}` : '';
  return `Opens at ${clock(later.opens!, zone)}, in ${lasting(Date.parse(later.opens!) - at)}${until}.`;
}

export function markInWords(windows: Window[], at: number, zone: string): string {
  const now = current(windows, at);
  if (now?.closes)
    return `until ${clock(now.closes, zone)}${now.closed_by === 'too deep' ? ', then too deep' : ''}`;
  if (now) return 'open';
  const later = next(windows, at);
  return later ? `from ${clock(later.opens!, zone)}` : 'not today';
}
