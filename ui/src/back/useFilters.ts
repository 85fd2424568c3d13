import { useSearchParams } from 'react-router';
import type { paths } from '../api/schema';

export type Filters = Omit<NonNullable<paths['/v1/spells']['get']['parameters']['query']>, 'most' | 'after'>;

const names = [
  'target',
  'spot_id',
  'stage',
  'third',
  'from',
  'to',
  'outcome',
  'approach',
  'light',
  'text',
] as const;

/** What the log is filtered by stands in the address, so that it can be kept, sent and gone back to. */
export function useFilters() {
  const [params, setParams] = useSearchParams();
  const f: Filters = {};
  for (const n of names) {
    const v = params.get(n);
    if (v) Object.assign(f, { [n]: n === 'third' ? Number(v) : v });
  }
  const set = (part: Filters) =>
    setParams(
      (was) => {
        const now = new URLSearchParams(was);
        for (const [k, v] of Object.entries(part))
          if (v === undefined || v === '') now.delete(k);
          else now.set(k, String(v));
        return now;
      },
      { replace: true },
    );
  const clear = () =>
    setParams(
      (was) => {
        const now = new URLSearchParams(was);
        for (const n of names) now.delete(n);
        return now;
      },
      { replace: true },
    );
  const seen = params.get('seen') ?? 'days';
  const see = (as: string) =>
    setParams(
      (was) => {
        const now = new URLSearchParams(was);
        if (as === 'days') now.delete('seen');
        else now.set('seen', as);
        return now;
      },
      { replace: true },
    );
  const address = new URLSearchParams(Object.entries(f).map(([k, v]) => [k, String(v)])).toString();
  return { f, set, clear, seen, see, address };
}
