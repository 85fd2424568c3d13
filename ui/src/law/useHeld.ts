import { keptOf } from '../device/entries';
import { useWaiting } from '../device/useWaiting';
import { caughtOf } from '../fish/caught';
import { useOuting, useTold } from '../fish/useOuting';

const nothing = {};

/** What this device knows: where and for what one fishes, and the fish so far that the log may not have. */
export function useHeld() {
  const outing = useOuting();
  const waiting = useWaiting();
  const { told } = useTold(outing.touches, nothing, undefined, nothing);
  const now = outing.touches.findLast((t) => t.kind === 'fish')?.doing;
  const caught = told && outing.kept ? caughtOf(told) : { kept: [], released: [] };
  return {
    spot: outing.kept ? now?.spot_id : undefined,
    sought: outing.kept ? now?.target : undefined,
    released: caught.released,
    kept: [...caught.kept, ...keptOf(waiting)],
  };
}
