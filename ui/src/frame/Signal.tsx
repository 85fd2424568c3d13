import { useEffect, useState, useSyncExternalStore } from 'react';
import { packedAt } from '../device/pack';
import { signal } from '../device/stand';
import { useUnsent } from '../device/useUnsent';
import { clock } from '../format/time';
import { usePlace } from '../moment/moment';
import { useSession } from '../signin/session';
import { frame as say } from '../words/frame';

/** With no signal: that there is none, what is kept here, and of when the forecast is. */
export function Signal() {
  const lost = useSyncExternalStore(signal.subscribe, signal.lost);
  const { name } = useSession();
  const { spot } = usePlace();
  const [of, setOf] = useState<{ made?: string; issued?: string }>({});
  const kept = useUnsent() ?? 0;
  useEffect(() => {
    if (lost) void packedAt(name, spot.water_id).then(setOf, () => undefined);
  }, [lost, name, spot.water_id]);
  if (!lost) return null;
  const at = (t: string | undefined) => t && clock(t, spot.time_zone);
  return (
    <p className="no-signal" role="status">
      {say.noSignal(kept, at(of.issued), at(of.made))}
    </p>
  );
}
