import { useCallback, useState } from 'react';
import type { AheadQuery, Along, LatLon } from '../api/client';
import { written } from '../format/position';

/** What one asks of the days ahead: it stays from one opening of the page to the next. */
export interface Asked {
  targets: string[];
  byDay: boolean;
  /** Days of the week one is free on, Sunday is 0; none: all. */
  weekdays: number[];
  /** Hours of the day one is free. */
  free: [number, number];
  manners: NonNullable<AheadQuery['manners']>;
  /** Kinds of place. */
  places: string[];
  least: number;
  along: Along[];
  /** So many minutes from where one sets out; 0: however far. */
  withinMin: number;
  /** Only what is worth it with one's own kit. */
  kit: boolean;
}

const key = 'greypebble.ahead';
const first: Asked = {
  targets: [],
  byDay: false,
  weekdays: [],
  free: [0, 24],
  manners: [],
  places: [],
  least: 1.2,
  along: [],
  withinMin: 0,
  kit: false,
};

function stored(): Asked {
  try {
    return { ...first, ...(JSON.parse(localStorage.getItem(key) ?? '{}') as Partial<Asked>) };
  } catch {
    return first;
  }
}

export function useAsked() {
  const [asked, set] = useState(stored);
  const change = useCallback((part: Partial<Asked>) => {
    set((was) => {
      const now = { ...was, ...part };
      localStorage.setItem(key, JSON.stringify(now));
      return now;
    });
  }, []);
  return [asked, change] as const;
}

/** As the server is asked. */
export const query = (a: Asked, home: LatLon | undefined, from: string, most: number): AheadQuery => ({
  from,
  most,
  least: a.least,
  ...(a.targets.length > 0 && { targets: a.targets }),
  ...(a.byDay && { by_day: true }),
  ...(a.weekdays.length > 0 && { weekdays: a.weekdays }),
  ...(a.free[0] > 0 && { free_from_h: a.free[0] }),
  ...(a.free[1] < 24 && { free_until_h: a.free[1] }),
  ...(a.along.length > 0 && { along: a.along }),
  ...(a.withinMin > 0 && home && { within_min: a.withinMin, home: written(home) }),
  ...(a.kit && { kit: true }),
  ...(a.manners.length > 0 && { manners: a.manners }),
  ...(a.places.length > 0 && { places: a.places }),
});

/** Where the same windows are had as a calendar, or one of them. */
export function calendar(q: AheadQuery, one: { spot_id?: string; best_from?: string } = {}): string {
  const out = new URLSearchParams();
  for (const [k, v] of Object.entries({ ...q, ...one }))
    for (const one of Array.isArray(v) ? v : [v]) if (one !== undefined) out.append(k, String(one));
  return `/api/v1/ahead/windows.ics?${out}`;
}
