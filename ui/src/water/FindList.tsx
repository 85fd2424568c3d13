import { Fault } from '../frame/Fault';
import { show } from '../format/spoken';
import { useMutation } from '@tanstack/react-query';
import { App, Button } from 'antd';
import { v7 } from 'uuid';
import { api, type Find } from '../api/client';
import { useInvalidate } from '../api/keys';
import { usePlace } from '../moment/moment';

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
  step: 'Drop-off',
  cut: 'Cut',
  hole: 'Hole',
  channel: 'Dug channel',
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
        note: `Suggested from the depths: ${f.why}`,
      }),
    onSuccess: (_, f) => {
      void message.success(`${title[f.kind] ?? f.kind} is a mark of ${here.spot.name}.`);
      onGone(reject(waterId, f));
      onChoose(undefined);
      void invalidate('spots');
    },
  });
  if (!gridded)
    return <p className="panel">Bring depths in under Set-up, and what stands out in them is listed here.</p>;
  return (
    <>
      <p className="quiet small">
        What the depths suggest at {show('depth', level, 1)} of tide. Take what you believe as a mark of{' '}
        {here.spot.name}; the depths may be old, and sand moves.{' '}
        <button className="plain" onClick={onAgain}>
          Look again at this tide
        </button>
      </p>
      {error && <p role="alert">{error}</p>}
      {loading && <p className="quiet">Looking the ground over…</p>}
      {!loading && finds.length === 0 && (
        <p className="panel">Nothing stands out that you have not dealt with.</p>
      )}
      <ul className="spot-list finds">
        {finds.map((f, i) => (
          <li key={name(f)}>
            <button aria-pressed={i === chosen} onClick={() => onChoose(i)}>
              <i className="find-dot" aria-hidden="true" />
              <b>{title[f.kind] ?? f.kind}</b>
              <span className="when">{show('depth', level - f.elevation_m, 1)} deep</span>
              <span className="quiet small">{f.why}</span>
            </button>
            {i === chosen && (
              <div className="find-acts">
                <Fault of={[take]} />
                <Button size="small" type="primary" loading={take.isPending} onClick={() => take.mutate(f)}>
                  Take as a mark
                </Button>
                <Button
                  size="small"
                  onClick={() => {
                    onGone(reject(waterId, f));
                    onChoose(undefined);
                  }}
                >
                  Not worth it
                </Button>
              </div>
            )}
          </li>
        ))}
      </ul>
    </>
  );
}
