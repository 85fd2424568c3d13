import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { api } from '../api/client';
import { useMoment, usePlace } from '../moment/moment';
import { useSettled } from './useSettled';

/** The water, windows, conditions and cautions at the chosen spot once the moment stands still. */
export function useSpotState() {
  const { spot } = usePlace();
  const { frame } = useMoment();
  const time = useSettled(frame?.time, 120);
  return useQuery({
    queryKey: ['state', spot.id, time],
    queryFn: ({ signal }) => api.state(spot.id, time!, signal),
    enabled: !!time,
    placeholderData: (previous, q) => (q?.queryKey[1] === spot.id ? keepPreviousData(previous) : undefined),
  });
}
