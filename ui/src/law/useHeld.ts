import { caughtOf } from '../fish/caught';
import { useOuting, useTold } from '../fish/useOuting';

const nothing = {};

/** What the outing in hand knows: where and for what one fishes, and the fish of it so far. */
export function useHeld() {
  const outing = useOuting();
  const { told } = useTold(outing.touches, nothing, undefined, nothing);
  const now = outing.touches.findLast((t) => t.kind === 'fish')?.doing;
  const caught = told && outing.kept ? caughtOf(told) : { kept: [], released: [] };
  return {
    spot: outing.kept ? now?.spot_id : undefined,
    sought: outing.kept ? now?.target : undefined,
    ...caught,
  };
}
