import { useSuspenseQuery } from '@tanstack/react-query';
import { api, type Schemas } from '../api/client';
import { keys } from '../api/keys';
import { bearing, fixed } from '../format/measure';
import { show, way } from '../format/spoken';

/** A kind of reading, as the server's table has it. */
export type Nature = Schemas['KindOut'];
export type Kind = Schemas['ReadingIn']['kind'];

/** The angler, as the source of a reading. */
export const theAngler = 'the angler';

/** The question for all kinds of reading, in the order they are asked after. */
export const askKinds = { queryKey: keys.kinds, queryFn: () => api.kinds(), staleTime: Infinity };

/** All kinds of reading. The page is not shown before they are here. */
export function useKinds() {
  const { data } = useSuspenseQuery(askKinds);
  return table(data);
}

const made = new WeakMap<Nature[], Kinds>();

/** The table in the forms the page asks it in. */
export interface Kinds {
  list: Nature[];
  of: (kind: string) => Nature | undefined;
  /** Kinds that are shown and asked for with another. */
  alongside: (kind: string) => Nature | undefined;
}

export function table(list: Nature[]): Kinds {
  const known = made.get(list);
  if (known) return known;
  const by = new Map<string, Nature>(list.map((n) => [n.kind, n]));
  const kinds = {
    list,
    of: (k: string) => by.get(k),
    alongside: (k: string) => list.find((n) => n.alongside === k),
  };
  made.set(list, kinds);
  return kinds;
}

/** A value of a kind as it is written: a number with its unit, a compass point, or eighths. */
export function write(n: Nature, value: number): string {
  if (n.drawn === 'compass') return bearing(value);
  if (n.drawn === 'eighths') return `${Math.round(value * 8)}/8`;
  if (n.measure) return show(n.measure, value, way(n.measure).unit === n.unit ? n.decimals : undefined);
  return n.unit ? `${fixed(value, n.decimals)} ${n.unit}` : fixed(value, n.decimals);
}
