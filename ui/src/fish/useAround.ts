import { useQuery } from '@tanstack/react-query';
import { api, type Window } from '../api/client';
import { keys } from '../api/keys';
import { usePlace } from '../moment/moment';
import type { Around } from './useOuting';

/** What the water does and when the way shuts, as last told. */
export interface Waters extends Around {
  says?: string | undefined;
  rising?: boolean | undefined;
  levelM?: number | undefined;
  cautions?: string[] | undefined;
  /** When the way is open, for two days. */
  windows?: Window[] | undefined;
  /** How deep it is over each mark now, by its name. */
  depths?: Record<string, number> | undefined;
  /** Nothing is known: there is no signal, and this was not asked before. */
  lost?: boolean | undefined;
}

/** How often it is asked anew, ms. */
const anew = 5 * 60_000;

/** What is known around a spot. */
export function useAround(spot: string, target: string | undefined): Waters {
  const { present } = usePlace();
  const state = useQuery({
    queryKey: ['state-in-hand', spot],
    queryFn: ({ signal }) => api.state(spot, present().toISOString(), signal),
    refetchInterval: anew,
  });
  const elsewhere = useQuery({
    queryKey: ['elsewhere', spot, target],
    queryFn: () => api.elsewhere(spot, target!, present().toISOString()),
    enabled: !!target,
    refetchInterval: anew,
  });
  const book = useQuery({
    queryKey: keys.playbook,
    queryFn: api.playbook,
    staleTime: Infinity,
  });

  const w = state.data;
  if (!w) return { lost: state.isError };
  return {
    windows: w.windows,
    says: w.stage.says,
    rising: w.stage.direction === 'flood',
    levelM: w.level_m,
    depths: Object.fromEntries(w.marks.map((m) => [m.name, m.depth_m])),
    cautions: w.cautions,
    here: elsewhere.data?.here,
    others: elsewhere.data?.others,
    winter: elsewhere.data?.winter,
    all_at_once: elsewhere.data?.all_at_once,
    school: schoolOf(book.data?.schools.find((s) => s.id === 'Q3')?.chosen),
  };
}

/** The school of when to leave, as the core of the outing names it. */
const schoolOf = (position: string | undefined) =>
  ({ clock: 'fixed clock', bite: 'while any bite' })[position ?? ''] ?? 'odds';
