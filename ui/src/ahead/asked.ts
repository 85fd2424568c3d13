import { useCallback, useState } from 'react';
import type { AheadQuery } from '../api/client';

/** What one asks of the days ahead: it stays from one opening of the page to the next. */
export interface Asked {
  targets: string[];
  byDay: boolean;
  weekend: boolean;
  manners: NonNullable<AheadQuery['manners']>;
  /** Kinds of place. */
  places: string[];
  least: number;
}

const key = 'greypebble.ahead';
const first: Asked = { targets: [], byDay: false, weekend: false, manners: [], places: [], least: 1.2 };

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
export const query = (a: Asked, from: string, most: number): AheadQuery => ({
  from,
  most,
  least: a.least,
  ...(a.targets.length > 0 && { targets: a.targets }),
  ...(a.byDay && { by_day: true }),
  ...(a.weekend && { weekdays: [0, 6] }),
  ...(a.manners.length > 0 && { manners: a.manners }),
  ...(a.places.length > 0 && { places: a.places }),
});

/** Where the same windows are had as a calendar. */
export function calendar(q: AheadQuery): string {
  const out = new URLSearchParams();
  for (const [k, v] of Object.entries(q))
    for (const one of Array.isArray(v) ? v : [v]) if (one !== undefined) out.append(k, String(one));
  return `/api/v1/ahead/windows.ics?${out}`;
}
