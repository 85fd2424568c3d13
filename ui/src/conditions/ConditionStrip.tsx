import { Suspense, useState } from 'react';
import type { Condition } from '../api/client';
import { page } from '../frame/page';
import type { Kind } from './kinds';
import { Overrulable } from './Overrulable';
import { TideChip } from './TideChip';
import { useSpotState } from './useSpotState';
import './conditions.css';
import { conditions as say } from '../words/conditions';

const Sheet = page(() => import('./Sheet'));

/**
 * What the water is like, each value underlined by where it came from: plain predicted, dashed forecast, ochre
 * observed, dotted assumed. One touch overrules it; the sheet has the rest.
 */
export function ConditionStrip() {
  const state = useSpotState();
  const [open, setOpen] = useState(false);
  const by = new Map<string, Condition>((state.data?.conditions ?? []).map((c) => [c.kind, c]));
  const surface = by.get('wind_wave_m');
  return (
    <>
      <ul className="strip" aria-label={say.conditions}>
        <TideChip />
        {surface?.says && (
          <li className="strip-wide">
            <button className={`cond ${surface.origin}`} title={surface.source} onClick={() => setOpen(true)}>
              <b>{state.data?.surface.word}</b>
              <span className="unseen">, {surface.origin}</span>
            </button>
          </li>
        )}
        {(state.data?.shown ?? []).map((k) => {
          const c = by.get(k);
          return c ? <Overrulable key={k} kind={c.kind as Kind} believed={c} by={by} /> : null;
        })}
        <li>
          <button className="strip-all" aria-expanded={open} onClick={() => setOpen(true)}>
            {say.all}
          </button>
        </li>
      </ul>
      {open && (
        <Suspense>
          <Sheet onClose={() => setOpen(false)} />
        </Suspense>
      )}
    </>
  );
}
