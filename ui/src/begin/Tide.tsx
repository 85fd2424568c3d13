import { Fault } from '../frame/Fault';
import { keepPreviousData, useMutation, useQuery } from '@tanstack/react-query';
import { Button, Input } from 'antd';
import { useState, type ReactNode } from 'react';
import { v7 } from 'uuid';
import { api, type Known, type LatLon, type Station } from '../api/client';
import { keys } from '../api/keys';
import { useSettled } from '../conditions/useSettled';
import { NumberField } from '../format/NumberField';
import { distance } from '../format/spoken';
import { FromRecord } from '../setup/Analyse';
import { Bring } from '../setup/Bring';
import { begin as say } from '../words/begin';

type Way = 'near' | 'after' | 'file' | 'record' | 'none';

const ways: { id: Way; name: string; says: string }[] = [
  { id: 'near', name: say.aKnownStationNearBy, says: say.n5800PublishedOnesAre },
  {
    id: 'after',
    name: say.highWaterHereIsSo,
    says: say.whatAnglersKnowOfA,
  },
  { id: 'file', name: say.aFileOfConstituents, says: say.jsonOrCsv },
  { id: 'record', name: say.aGaugeRecordOrA, says: say.workedOutFromIt },
  { id: 'none', name: say.itHasNoTide, says: say.aLakeAnInlandSea },
];

/** How the tide of a new water is known. */
export function Tide(props: {
  pin: LatLon;
  water: string;
  zone: string;
  /** The station, and the time zone it lies in where that is known. */
  onStation: (s: Station, zone?: string) => void;
}) {
  const { pin, water, zone, onStation } = props;
  const [way, setWay] = useState<Way>('near');
  const [id] = useState(() => v7());
  const none = useMutation({
    mutationFn: () =>
      api.putStation(id, {
        name: say.noTide(water.slice(0, 60)),
        source: say.saidToHaveNone,
        z0_m: 0,
        constituents: [{ name: 'M2', amplitude_m: 0, phase_deg: 0 }],
      }),
    onSuccess: (s) => onStation(s),
  });
  // What each way asks stands beneath it, not beneath all of them.
  const told: Record<Way, ReactNode> = {
    near: <Near pin={pin} onStation={onStation} />,
    after: <After pin={pin} water={water} onStation={onStation} />,
    file: <Bring onKept={onStation} />,
    record: <FromRecord zone={zone} water={water} onKept={onStation} />,
    none: (
      <>
        <p className="quiet">{say.levelsStayWhereTheyAre}</p>
        <Fault of={[none]} />
        <Button type="primary" size="large" loading={none.isPending} onClick={() => none.mutate()}>
          {say.goOnWithoutATide}
        </Button>
      </>
    ),
  };
  return (
    <>
      <div className="tide-ways" role="radiogroup" aria-label={say.howTheTideIsKnown}>
        {ways.map((w) => (
          <div key={w.id} className={way === w.id ? 'on' : undefined}>
            <label>
              <input type="radio" name="tide" checked={way === w.id} onChange={() => setWay(w.id)} />
              <b>{w.name}</b>
              <span className="quiet small">{w.says}</span>
            </label>
            {way === w.id && <div className="tide-way">{told[w.id]}</div>}
          </div>
        ))}
      </div>
    </>
  );
}

/** Published stations, nearest first, and searched by name. */
function Choose(props: { pin: LatLon; act: string; busy: boolean; onChoose: (k: Known) => void }) {
  const { pin, act, busy, onChoose } = props;
  const [typed, setTyped] = useState('');
  const q = useSettled(typed, 200);
  const [taken, setTaken] = useState('');
  const found = useQuery({
    queryKey: [...keys.known, pin.lat, pin.lon, q],
    queryFn: () => api.knownStations({ q: q ?? '', lat: pin.lat, lon: pin.lon, most: 6 }),
    placeholderData: keepPreviousData,
    staleTime: Infinity,
  });
  const list = found.data?.stations ?? [];
  return (
    <>
      <Input
        allowClear
        value={typed}
        aria-label={say.findAStationByName}
        placeholder={say.findByNameStateOr}
        onChange={(e) => setTyped(e.target.value)}
      />
      {found.error && <p role="alert">{found.error.message}</p>}
      {found.data && list.length === 0 && <p className="quiet">{say.noneGoesByThatTry}</p>}
      <ul className="known" aria-label={say.knownStations}>
        {list.map((k) => (
          <li key={k.id}>
            <span>
              <b>{k.name}</b> <span className="quiet">{k.region}</span>
              <br />
              <span className="quiet small">
                {say.aboutAStation(
                  k.distance_m === undefined ? undefined : distance(k.distance_m),
                  k.secondary,
                  k.datum,
                  k.source,
                  k.licence,
                )}
              </span>
            </span>
            <Button
              loading={busy && taken === k.id}
              onClick={() => {
                setTaken(k.id);
                onChoose(k);
              }}
              aria-label={`${act}: ${k.name} ${k.region}`}
            >
              {act}
            </Button>
          </li>
        ))}
      </ul>
      <p className="quiet small">{found.data?.says}</p>
    </>
  );
}

function Near(props: { pin: LatLon; onStation: (s: Station, zone?: string) => void }) {
  const [ids] = useState(() => ({ own: v7(), of: v7() }));
  const take = useMutation({
    mutationFn: async (k: Known) => ({
      // The ids hold for one station: another choice is another station.
      s: await api.takeKnown(v7(), k.id, k.secondary ? ids.of : undefined),
      zone: k.time_zone,
    }),
    onSuccess: ({ s, zone }) => props.onStation(s, zone),
  });
  return (
    <>
      <Fault of={[take]} />
      <Choose pin={props.pin} act={say.takeIt} busy={take.isPending} onChoose={(k) => take.mutate(k)} />
    </>
  );
}

/** "High water here is about 40 minutes after Newport." */
function After(props: { pin: LatLon; water: string; onStation: (s: Station, zone?: string) => void }) {
  const { pin, water, onStation } = props;
  const [later, setLater] = useState<number | undefined>();
  const [known, setKnown] = useState<Known>();
  const keep = useMutation({
    mutationFn: async () => {
      const k = known!;
      const of = v7();
      // A secondary station cannot be followed itself: its reference is, by both lags.
      const s = await api.takeKnown(of, k.id, k.secondary ? v7() : undefined);
      const own = s.offsets;
      return api.putStation(v7(), {
        name: water.slice(0, 80),
        source: say.highWaterMinAfterAs(later, k.name).slice(0, 200),
        reference_id: s.reference_id ?? s.id,
        offsets: {
          ...(own ?? { factor_high: 1, factor_low: 1, difference_high_m: 0, difference_low_m: 0 }),
          lag_high_min: (own?.lag_high_min ?? 0) + later!,
          lag_low_min: (own?.lag_low_min ?? 0) + later!,
        },
      });
    },
    onSuccess: (s) => onStation(s, known!.time_zone),
  });
  return (
    <>
      {known ? (
        <p>
          {say.after(<b>{known.name}</b>, known.region)}
          <button className="plain" onClick={() => setKnown(undefined)}>
            {say.anotherPlace}
          </button>
        </p>
      ) : (
        <Choose pin={pin} act={say.afterThis} busy={false} onChoose={setKnown} />
      )}
      {known && (
        <form
          className="keep"
          onSubmit={(e) => {
            e.preventDefault();
            keep.mutate();
          }}
        >
          <label>
            <span>{say.highWaterHereIsLater}</span>
            <NumberField unit="min" value={later} min={-840} max={840} onChange={setLater} />
          </label>
          <Fault of={[keep]} />
          <Button type="primary" htmlType="submit" disabled={later === undefined} loading={keep.isPending}>
            {say.goOn}
          </Button>
        </form>
      )}
    </>
  );
}
