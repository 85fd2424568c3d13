import { useQuery } from '@tanstack/react-query';
import { useEffect } from 'react';
import { keys } from '../api/keys';
import { useSession } from '../signin/session';
import { changed } from './device';
import { entriesOf, type Waiting } from './entries';

const none: Waiting[] = [];

/** What was written for the log and waits on this device to be sent. */
export function useWaiting(): Waiting[] {
  const { name } = useSession();
  const { data, refetch } = useQuery({
    queryKey: [...keys.waiting, name],
    queryFn: () => entriesOf(name),
    staleTime: 0,
  });
  useEffect(() => changed(() => void refetch()), [refetch]);
  return data ?? none;
}
