import { useCallback, useMemo, useState } from 'react';
import type { Spot } from '../api/client';
import type { Place } from './moment';

const spotKey = 'greypebble.spot';

/** The spot last chosen on this device; nothing for none. */
export const chosenSpot = () => localStorage.getItem(spotKey) ?? '';

/** The chosen spot, remembered from one visit to the next, and the clock. */
export function usePlaceState(now: Date, spots: Spot[], best?: string): Place {
  const [spotId, setSpotId] = useState(chosenSpot);
  const spot = spots.find((s) => s.id === spotId) ?? spots.find((s) => s.id === best) ?? spots[0]!;
  const [opened] = useState(() => Date.now());
  const present = useCallback(() => new Date(now.getTime() + Date.now() - opened), [now, opened]);
  const choose = useCallback((id: string) => {
    localStorage.setItem(spotKey, id);
    setSpotId(id);
  }, []);
  return useMemo(() => ({ now, present, spots, spot, choose }), [now, present, spots, spot, choose]);
}
