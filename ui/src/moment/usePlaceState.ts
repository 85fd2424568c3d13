import { useCallback, useMemo, useState } from 'react';
import type { Spot } from '../api/client';
import type { Place } from './moment';

const spotKey = 'greypebble.spot';

/** The chosen spot, remembered from one visit to the next, and the clock. */
export function usePlaceState(now: Date, spots: Spot[]): Place {
  const [spotId, setSpotId] = useState(() => localStorage.getItem(spotKey) ?? '');
  const spot = spots.find((s) => s.id === spotId) ?? spots[0]!;
  const [opened] = useState(() => Date.now());
  const present = useCallback(() => new Date(now.getTime() + Date.now() - opened), [now, opened]);
  const choose = useCallback((id: string) => {
    localStorage.setItem(spotKey, id);
    setSpotId(id);
  }, []);
  return useMemo(() => ({ now, present, spots, spot, choose }), [now, present, spots, spot, choose]);
}
