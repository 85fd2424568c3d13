import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { api } from '../api/client';
import { keys } from '../api/keys';
import { useTitle } from '../frame/useTitle';
import { usePlace } from '../moment/moment';
import { Change } from './Change';
import './fish.css';
import { Going } from './Going';
import { Mail } from './Mail';
import { Over } from './Over';
import type { Doing, Told, Touch } from './touch';
import { useAround } from './useAround';
import { useOuting, useTold } from './useOuting';
import { fish as say } from '../words/fish';

/** The outing in hand: begun, told by touches, ended. */
export default function FishPage() {
  useTitle(say.fish);
  const here = usePlace();
  const outing = useOuting();
  const now = last(outing.touches);
  const around = useAround(now?.spot_id ?? here.spot.id, now?.target);
  const { told, fault } = useTold(outing.touches, around, around.windows);
  const targets = useQuery({
    queryKey: keys.targets,
    queryFn: api.targets,
    staleTime: Infinity,
  });
  const [over, setOver] = useState<Told>();

  if (outing.kept === undefined) return null;
  if (!outing.kept)
    return (
      <div className="fish">
        {outing.unkept && <p role="alert">{say.notKept(outing.unkept)}</p>}
        {over ? (
          <Over told={over} targets={targets.data ?? []} onClose={() => setOver(undefined)} />
        ) : (
          <section className="panel fish-begin">
            <h1>{say.goFishing}</h1>
            <Change
              spots={here.spots}
              targets={targets.data ?? []}
              now={{ spot_id: here.spot.id, target: '', rods: 1 }}
              word={say.begin}
              onDone={(d) => {
                here.choose(d.spot_id);
                const spot = here.spots.find((s) => s.id === d.spot_id)?.name ?? '';
                void outing.begin(spot, { kind: 'fish', doing: d });
              }}
            />
            <p className="quiet small">{say.cautionAtTheStart}</p>
          </section>
        )}
        <Mail post={outing.post} sendNow={outing.sendNow} />
      </div>
    );
  return (
    <div className="fish">
      {fault && <p role="alert">{fault}</p>}
      {outing.unkept && <p role="alert">{say.notKept(outing.unkept)}</p>}
      {told && now && (
        <Going
          told={told}
          touches={outing.touches}
          doing={now}
          around={around}
          spots={here.spots}
          targets={targets.data ?? []}
          present={here.present}
          say={outing.say}
          onEnd={() => {
            setOver(told);
            void outing.say({ kind: 'end' });
          }}
        />
      )}
      <Mail post={outing.post} sendNow={outing.sendNow} />
    </div>
  );
}

/** What one does now: what was last said of it and not taken back. */
function last(touches: Touch[]): Doing | undefined {
  const gone = new Set<string>();
  for (const t of touches.toReversed()) {
    if (gone.has(t.id)) continue;
    if (t.kind === 'undo' && t.of) gone.add(t.of);
    if (t.kind === 'fish' && t.doing) return t.doing;
  }
  return undefined;
}
