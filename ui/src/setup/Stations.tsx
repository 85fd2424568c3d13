import { Fault } from '../frame/Fault';
import { show } from '../format/spoken';
import { useMutation, useQuery } from '@tanstack/react-query';
import { Button, Select } from 'antd';
import { api, type Station } from '../api/client';
import { keys, useInvalidate } from '../api/keys';
import { fixed, metres } from '../format/measure';
import { useUndo } from '../frame/useUndo';
import { Bring } from './Bring';
import { Compare } from './Compare';
import { Secondary } from './Secondary';
import { tides as say } from '../words/tides';

/** How a secondary station follows its reference. */
function follows(s: Station, reference: string): string {
  const o = s.offsets!;
  const lag = (min: number) => say.min2(min < 0 ? '−' : '+', Math.abs(Math.round(min)));
  return say.followsHighLow(
    reference,
    lag(o.lag_high_min),
    (o.factor_high ?? 1).toFixed(2),
    lag(o.lag_low_min),
    (o.factor_low ?? 1).toFixed(2),
  );
}

/** The angler's tide stations, and which water follows which. */
export function Stations() {
  const invalidate = useInvalidate();
  const undo = useUndo();
  const stations = useQuery({ queryKey: keys.stations, queryFn: api.stations });
  const use = useMutation({
    mutationFn: (v: { water: string; station: string }) => api.useStation(v.water, v.station),
    // Everything drawn hangs on the tide.
    onSuccess: () => invalidate('tide'),
  });
  const remove = useMutation({
    mutationFn: (s: Station) => api.deleteStation(s.id),
    onSuccess: (_, s) => {
      void invalidate('tide');
      undo(s.name, () =>
        api
          .putStation(s.id, {
            name: s.name,
            source: s.source,
            z0_m: s.z0_m,
            constituents: s.constituents.map(({ name, amplitude_m, phase_deg }) => ({
              name,
              amplitude_m,
              phase_deg,
            })),
            reference_id: s.reference_id,
            offsets: s.offsets,
          })
          .then(() => invalidate('tide')),
      );
    },
  });
  const list = stations.data ?? [];
  const waters = list.flatMap((s) => s.waters.map((w) => ({ ...w, station: s.id })));
  return (
    <section className="panel">
      <h2>{say.stations}</h2>
      <Fault of={[stations]} />
      {list.map((s) => (
        <details key={s.id} className="station">
          <summary>
            <b>{s.name}</b>
            <span className="quiet">
              {say.springsAbout(
                s.reference_id
                  ? follows(s, list.find((o) => o.id === s.reference_id)?.name ?? 'another station')
                  : say.constituentsMeanLevelAboveDatum2(s.constituents.length, metres(s.z0_m)),
                metres(s.mean_spring_range_m),
              )}
            </span>
            <span className="quiet small">{s.source}</span>
          </summary>
          <ul className="constituents">
            {[...s.constituents]
              .sort((a, b) => b.amplitude_m - a.amplitude_m)
              .map((c) => (
                <li key={c.name}>
                  <b>{c.name}</b> {show('depth', c.amplitude_m, 3)}, {fixed(c.phase_deg, 1)}°
                </li>
              ))}
          </ul>
          <Fault of={[remove]} />
          <p className="take">
            {say.takeItAlong(
              !s.reference_id && (
                <>
                  <a href={`/api/v1/stations/${s.id}/file?format=json`} download={`${s.name}.json`}>
                    {say.json}
                  </a>{' '}
                  <a href={`/api/v1/stations/${s.id}/file?format=csv`} download={`${s.name}.csv`}>
                    {say.csv}
                  </a>{' '}
                </>
              ),
              <a href={`/api/v1/stations/${s.id}/turns.csv`} download={say.turnsCsv(s.name)}>
                {say.thisYearsHighAndLow}
              </a>,
            )}
            {s.waters.length === 0 && (
              <Button size="small" onClick={() => remove.mutate(s)} loading={remove.isPending}>
                {say.remove}
              </Button>
            )}
          </p>
        </details>
      ))}
      {list.length > 1 && (
        <div className="follow">
          <Fault of={[use]} />
          {waters.map((w) => (
            <label key={w.id}>
              <span>{say.follows2(w.name)}</span>
              <Select
                aria-label={say.stationOf(w.name)}
                value={w.station}
                onChange={(station) => use.mutate({ water: w.id, station })}
                options={list.map((s) => ({ value: s.id, label: s.name }))}
              />
            </label>
          ))}
        </div>
      )}
      <Bring />
      <Secondary stations={list} />
      {list.length > 1 && <Compare stations={list} />}
    </section>
  );
}
