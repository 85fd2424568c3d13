import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { Select } from 'antd';
import { api } from '../api/client';
import { fixed, metres } from '../format/measure';
import { Bring } from './Bring';

/** The angler's tide stations, and which water follows which. */
export function Stations() {
  const queries = useQueryClient();
  const stations = useQuery({ queryKey: ['stations'], queryFn: api.stations });
  const use = useMutation({
    mutationFn: (v: { water: string; station: string }) => api.useStation(v.water, v.station),
    // Everything drawn hangs on the tide.
    onSuccess: () => queries.invalidateQueries(),
  });
  const list = stations.data ?? [];
  const waters = list.flatMap((s) => s.waters.map((w) => ({ ...w, station: s.id })));
  const error = stations.error ?? use.error;
  return (
    <section className="panel">
      <h2>Stations</h2>
      {error && <p role="alert">{error.message}</p>}
      {list.map((s) => (
        <details key={s.id} className="station">
          <summary>
            <b>{s.name}</b>
            <span className="quiet">
              {s.constituents.length} constituents, springs about {metres(s.mean_spring_range_m)}, mean level{' '}
              {metres(s.z0_m)} above datum
            </span>
            <span className="quiet small">{s.source}</span>
          </summary>
          <ul className="constituents">
            {[...s.constituents]
              .sort((a, b) => b.amplitude_m - a.amplitude_m)
              .map((c) => (
                <li key={c.name}>
                  <b>{c.name}</b> {fixed(c.amplitude_m, 3)} m, {fixed(c.phase_deg, 1)}°
                </li>
              ))}
          </ul>
          <p className="take">
            Take it along:{' '}
            <a href={`/api/v1/stations/${s.id}/file?format=json`} download={`${s.name}.json`}>
              JSON
            </a>{' '}
            <a href={`/api/v1/stations/${s.id}/file?format=csv`} download={`${s.name}.csv`}>
              CSV
            </a>
          </p>
        </details>
      ))}
      {list.length > 1 && (
        <div className="follow">
          {waters.map((w) => (
            <label key={w.id}>
              <span>{w.name} follows</span>
              <Select
                aria-label={`Station of ${w.name}`}
                value={w.station}
                onChange={(station) => use.mutate({ water: w.id, station })}
                options={list.map((s) => ({ value: s.id, label: s.name }))}
              />
            </label>
          ))}
        </div>
      )}
      <Bring />
    </section>
  );
}
