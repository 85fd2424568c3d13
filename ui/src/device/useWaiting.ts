import { useQuery } from '@tanstack/react-query';
import { useEffect } from 'react';
import { keys } from '../api/keys';
import { useSession } from '../signin/session';
import { changed } from './device';
import { entriesOf, type Waiting } from './entries';

const none: Waiting[] = [];

/** What was written for the log and waits on this device to be sent; undefined until it has been looked for. */
export function useWaitingIfKnown(): Waiting[] | undefined {
  const { name } = useSession();
  const { data, refetch } = useQuery({
    queryKey: [...keys.waiting, name],
    // In a private window nothing is kept.
    queryFn: () => entriesOf(name).catch(() => none),
    staleTime: 0,
  });
  useEffect(() => changed(() => void refetch()), [refetch]);
  return data;
}

/** The same, none until it is known. */
export const useWaiting = () => useWaitingIfKnown() ?? none;
