import { Fault } from '../frame/Fault';
import { show } from '../format/spoken';
import { useMutation } from '@tanstack/react-query';
import { App, Button } from 'antd';
import { v7 } from 'uuid';
import { api, type Find } from '../api/client';
import { useInvalidate } from '../api/keys';
import { usePlace } from '../moment/moment';
import { water as say } from '../words/water';

const key = (water: string) => `greypebble.rejected.${water}`;
const name = (f: Find) => `${f.kind} ${f.lat.toFixed(5)} ${f.lon.toFixed(5)}`;

/** What the angler took or did not want, by water; kept in this browser. */
export function rejected(water: string): { has: (f: Find) => boolean } {
  let list: string[] = [];
  try {
    list = JSON.parse(localStorage.getItem(key(water)) ?? '[]') as string[];
  } catch {
    // What cannot be read is forgotten.
  }
  const set = new Set(list);
  return { has: (f) => set.has(name(f)) };
}

function reject(water: string, f: Find) {
  let list: string[] = [];
  try {
    list = JSON.parse(localStorage.getItem(key(water)) ?? '[]') as string[];
  } catch {
    // As above.
  }
  localStorage.setItem(key(water), JSON.stringify([...list, name(f)]));
  return rejected(water);
}

const title: Record<string, string> = {
  step: say.dropOff,
  cut: say.cut,
  hole: say.hole,
  channel: say.dugChannel,
};

/** Features the depths suggest, each with why, to take as a mark or to pass over. */
export function FindList(props: {
  waterId: string;
  finds: Find[];
  loading: boolean;
  error?: string;
  gridded: boolean;
  level: number;
  onAgain: () => void;
  chosen?: number;
  onChoose: (i?: number) => void;
  onGone: (r: { has: (f: Find) => boolean }) => void;
}) {
  const { waterId, finds, loading, error, gridded, level, onAgain, chosen, onChoose, onGone } = props;
  const here = usePlace();
  const invalidate = useInvalidate();
  const { message } = App.useApp();
  const take = useMutation({
    mutationFn: (f: Find) =>
      api.putMark(here.spot.id, v7(), {
        name: title[f.kind] ?? f.kind,
        kind: f.kind,
        at: { lat: f.lat, lon: f.lon },
        elevation_m: f.elevation_m,
        note: say.suggestedFromTheDepths(f.why),
      }),
    onSuccess: (_, f) => {
      void message.success(say.isAMarkOf2(title[f.kind] ?? f.kind, here.spot.name));
      onGone(reject(waterId, f));
      onChoose(undefined);
      void invalidate('spots');
    },
  });
  if (!gridded) return <p className="panel">{say.bringDepthsInUnderSet}</p>;
  return (
    <>
      <p className="quiet small">
        {say.whatTheDepthsSuggestAt(show('depth', level, 1), here.spot.name)}{' '}
        <button className="plain" onClick={onAgain}>
          {say.lookAgainAtThisTide}
        </button>
      </p>
      {error && <p role="alert">{error}</p>}
      {loading && <p className="quiet">{say.lookingTheGroundOver}</p>}
      {!loading && finds.length === 0 && <p className="panel">{say.nothingStandsOutThatYou}</p>}
      <ul className="spot-list finds">
        {finds.map((f, i) => (
          <li key={name(f)}>
            <button aria-pressed={i === chosen} onClick={() => onChoose(i)}>
              <i className="find-dot" aria-hidden="true" />
              <b>{title[f.kind] ?? f.kind}</b>
              <span className="when">{say.deep2(show('depth', level - f.elevation_m, 1))}</span>
              <span className="quiet small">{f.why}</span>
            </button>
            {i === chosen && (
              <div className="find-acts">
                <Fault of={[take]} />
                <Button size="small" type="primary" loading={take.isPending} onClick={() => take.mutate(f)}>
                  {say.takeAsAMark}
                </Button>
                <Button
                  size="small"
                  onClick={() => {
                    onGone(reject(waterId, f));
                    onChoose(undefined);
                  }}
                >
                  {say.notWorthIt}
                </Button>
              </div>
            )}
          </li>
        ))}
      </ul>
    </>
  );
}
