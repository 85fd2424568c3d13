import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useDeferredValue } from 'react';
import { api, type Schemas } from '../api/client';
import { heldLicences } from './licences';

export type FishInHand = Omit<Schemas['KeepBody'], 'licences'>;

/** What the rules say of a fish, as one drags its length; with no signal the device answers. */
export function useVerdict(fish: FishInHand | undefined) {
  const asked = useDeferredValue(fish);
  const licences = heldLicences();
  return useQuery({
    queryKey: ['keep', asked, licences],
    queryFn: ({ signal }) => api.keep({ ...asked!, ...(licences ? { licences } : {}) }, signal),
    enabled: !!asked?.species && (!!asked.spot_id || asked.lat !== undefined),
    placeholderData: keepPreviousData,
    retry: false,
  });
}
