import { useQuery } from '@tanstack/react-query';
import { api, type Schemas, type Target } from '../api/client';
import { keys } from '../api/keys';

type Sex = NonNullable<Schemas['KeepBody']['are']>[number];

/** What some rule of a fish asks about its sex and state: else nobody is asked. */
export function useSexes(target: Target | undefined): Sex[] {
  const rules = useQuery({ queryKey: keys.bylaws, queryFn: api.bylaws });
  if (!target) return [];
  return [...new Set((rules.data?.bylaws ?? []).flatMap((r) => (r.not_kept ?? []) as Sex[]))];
}
