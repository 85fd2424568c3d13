import type { Schemas } from '../api/client';
import type { Told } from './touch';

type Fish = Schemas['KeptBody'];

/** The fish of an outing, as rules count them: those kept, and those put back. */
export function caughtOf(told: Told): { kept: Fish[]; released: Fish[] } {
  const all = told.spells.flatMap((s) => s.catches ?? []);
  const fish = (c: (typeof all)[number]): Fish => ({
    id: c.id,
    species: c.target,
    time: c.time,
    ...(c.length_m ? { length_m: c.length_m } : {}),
    ...(c.who ? { angler: c.who } : {}),
  });
  return { kept: all.filter((c) => c.kept).map(fish), released: all.filter((c) => !c.kept).map(fish) };
}
