import { useEffect, useState, useSyncExternalStore } from 'react';
import { coming, warm } from '../core/core';
import type { Spot } from '../api/client';
import { packedAt } from '../device/pack';
import { clock } from '../format/time';
import { useSession } from '../signin/session';
import { fish as say } from '../words/fish';

/** How often it is looked whether the device has all it needs, ms. */
const look = 2_000;

/** Whether this device could do with no signal: the page itself, the core, and what it answers from. */
export function Ready({ spot }: { spot: Spot }) {
  const { name } = useSession();
  const [of, setOf] = useState<string>();
  const share = useSyncExternalStore(coming.subscribe, coming.share);
  const can = 'serviceWorker' in navigator && !!navigator.serviceWorker;
  useEffect(warm, []);
  useEffect(() => {
    if (!can) return undefined;
    let gone = false;
    const now = async () => {
      const installed = (await navigator.serviceWorker.getRegistration())?.active;
      const { made } = await packedAt(name, spot.water_id);
      if (gone) return;
      if (installed && made) setOf(made);
      else timer = setTimeout(() => void now().catch(() => undefined), look);
    };
    let timer = setTimeout(() => void now().catch(() => undefined), 0);
    return () => {
      gone = true;
      clearTimeout(timer);
    };
  }, [can, name, spot.water_id]);
  if (!can) return <p className="quiet small">{say.notWithoutSignal}</p>;
  return (
    <p className="quiet small" role="status">
      {of ? say.readyForNoSignal(clock(of, spot.time_zone)) : say.gettingReady(share)}
    </p>
  );
}
