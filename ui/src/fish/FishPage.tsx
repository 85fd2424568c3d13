import { useQuery } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import { api } from '../api/client';
import { keys } from '../api/keys';
import { useTitle } from '../frame/useTitle';
import { usePlace } from '../moment/moment';
import { Change } from './Change';
import { Clashes } from './Clash';
import { Elsewhere } from './Elsewhere';
import './fish.css';
import { Going } from './Going';
import { Mail } from './Mail';
import { Over } from './Over';
import { nearestSpot, positionNow, type Fix } from './position';
import { Ready } from './Ready';
import { TellSomebody } from './TellSomebody';
import { wayAt } from './way';
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
  const [fishAt, setFishAt] = useState<number[]>([]);
  const [at, setAt] = useState<Fix>();
  const deep = now?.mark === undefined ? undefined : around.depths?.[now.mark];
  const { told, fault } = useTold(outing.touches, around, around.windows, {
    deep_m: deep && deep > 0 ? deep : undefined,
    fish_m: fishAt,
    at: at && { lat: at.lat, lon: at.lon },
  });
  const [wished] = useSearchParams();
  const targets = useQuery({
    queryKey: keys.targets,
    queryFn: api.targets,
    staleTime: Infinity,
  });
  // When somebody is to call, once they were told.
  const [call, setCall] = useState<Date>();
  const [over, setOver] = useState<Told>();
  const [start, setStart] = useState(0);
  const [found, setFound] = useState('');
  // What is opened from here on the beach, where there may be no signal to fetch it.
  useEffect(() => void import('../law/HandPage').catch(() => undefined), []);
  const way = wayAt(around.windows, here.present());
  const shuts = way?.shuts ? new Date(way.shuts) : undefined;

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
            <Elsewhere />
            <button
              className="plain"
              onClick={() =>
                void positionNow(8_000).then((at) => {
                  const near = at && nearestSpot(here.spots, at);
                  if (near) here.choose(near.id);
                  setFound(near ? say.nearestIs(near.name) : say.noPosition);
                  setStart((n) => n + 1);
                })
              }
            >
              {say.iAmHere}
            </button>
            {found && <p role="status">{found}</p>}
            <Change
              key={start}
              spots={here.spots}
              targets={targets.data ?? []}
              now={begun(wished, here.spot.id)}
              word={say.begin}
              onDone={(d) => {
                here.choose(d.spot_id);
                const spot = here.spots.find((s) => s.id === d.spot_id)?.name ?? '';
                void outing.begin(
                  spot,
                  { kind: 'fish', doing: d },
                  {
                    plan_id: wished.get('plan') ?? undefined,
                    call_at: call?.toISOString(),
                  },
                );
              }}
            />
            <TellSomebody spot={here.spot} from={here.present()} until={shuts} onCall={setCall} />
            <p>
              <Link className="fish-hand" to="/fish/hand">
                {say.keepOrRelease}
              </Link>
            </p>
            <p className="quiet small">{say.cautionAtTheStart}</p>
            <Ready spot={here.spot} />
          </section>
        )}
        <Clashes />
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
          fishAt={fishAt}
          onFishAt={setFishAt}
          onAt={setAt}
          outing={outing.kept.id}
          say={outing.say}
          onEnd={() => {
            setOver(told);
            void outing.say({ kind: 'end' });
          }}
        />
      )}
      <Clashes />
      <Mail post={outing.post} sendNow={outing.sendNow} />
    </div>
  );
}

/** What an outing begins with: what a plan's stay or an advice handed over, or nothing yet. */
function begun(wished: URLSearchParams, spot: string): Doing {
  const some = (...names: ('mark' | 'offering' | 'offering_id' | 'rig_id' | 'style')[]) =>
    Object.fromEntries(names.flatMap((n) => (wished.get(n) ? [[n, wished.get(n)!]] : [])));
  return {
    spot_id: wished.get('spot') ?? spot,
    target: wished.get('target') ?? '',
    rods: 1,
    ...some('mark', 'offering', 'offering_id', 'rig_id', 'style'),
  };
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
