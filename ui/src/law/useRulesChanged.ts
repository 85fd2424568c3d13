import { useCallback } from 'react';
import { useInvalidate } from '../api/keys';
import { refreshPack } from '../device/pack';

/** After rules changed: what rests on them is asked anew, and the device keeps them for when there is no signal. */
export function useRulesChanged() {
  const invalidate = useInvalidate();
  return useCallback(async () => {
    void refreshPack().catch(() => undefined);
    await invalidate('bylaws');
  }, [invalidate]);
}
