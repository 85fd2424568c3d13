import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useCallback, useMemo, useState } from 'react';
import { api } from '../api/client';
import type { Going, Plan } from './moment';

const planKey = 'greypebble.plan';
/** Visits are shown for so long from the ribbon's beginning. */
const visitHours = 84;
const none: Going['visits'] = [];
const first: Plan = { margin: 20, daylight: false, night: false };

function stored(): Plan {
  try {
    const p = JSON.parse(localStorage.getItem(planKey) ?? '') as Partial<Plan>;
    return { margin: Number(p.margin) || 0, daylight: !!p.daylight, night: !!p.night };
  } catch {
    return first;
  }
}

/** How one goes to a spot, remembered, and the visits that follow from it. */
export function useGoingState(spotId: string, from: number): Going {
  const [plan, set] = useState(stored);
  const { data } = useQuery({
    queryKey: ['visits', spotId, from, plan],
    queryFn: ({ signal }) =>
      api.visits(
        spotId,
        {
          from: new Date(from).toISOString(),
          to: new Date(from + visitHours * 3600_000).toISOString(),
          margin_min: plan.margin,
          daylight: plan.daylight,
          night: plan.night,
        },
        signal,
      ),
    placeholderData: (previous, q) => (q?.queryKey[1] === spotId ? keepPreviousData(previous) : undefined),
  });
  const setPlan = useCallback((p: Plan) => {
    localStorage.setItem(planKey, JSON.stringify(p));
    set(p);
  }, []);
  return useMemo(
    () => ({ plan, setPlan, visits: data?.visits ?? none, why: data?.why }),
    [plan, setPlan, data],
  );
}
