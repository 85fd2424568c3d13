import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { Select } from 'antd';
import { useState } from 'react';
import { Link } from 'react-router';
import { api, type ChartSpot, type LatLon, type Schemas } from '../api/client';
import { keys } from '../api/keys';
import { fixed } from '../format/measure';
import { water as say } from '../words/water';

/** A place that was fished, where it lies. */
export interface Fished extends LatLon {
  /** Seen from nearby, mark by mark, or from afar: all of a spot. */
  near: boolean;
  /** At the spot itself, which is drawn there too. */
  spot: boolean;
  fish: number;
  rodHours: number;
}

/** Marks are found by their names; what was told of none, or of one that is gone, lies at its spot. */
export function fishedAt(places: readonly Schemas['PlaceOut'][], spots: readonly ChartSpot[]): Fished[] {
  const out = new Map<string, Fished>();
  const add = (key: string, at: LatLon, p: Schemas['PlaceOut'], near: boolean, spot: boolean) => {
    const one = out.get(key) ?? { lat: at.lat, lon: at.lon, near, spot, fish: 0, rodHours: 0 };
    out.set(key, { ...one, fish: one.fish + p.catches, rodHours: one.rodHours + p.rod_hours });
  };
  for (const p of places) {
    const spot = spots.find((s) => s.id === p.spot_id);
    if (!spot) continue;
    const mark = spot.marks.find((m) => m.name === p.mark);
    add(spot.id, spot, p, false, true);
    add(`${spot.id} ${mark?.name ?? ''}`, mark ?? spot, p, true, !mark);
  }
  return [...out.values()];
}

/** What the log says of each place, for the map and in words. */
export function useFished(on: boolean) {
  const [target, setTarget] = useState<string>();
  const places = useQuery({
    queryKey: ['log-places', target],
    queryFn: () => api.logPlaces(target ? { target } : {}),
    enabled: on,
    placeholderData: keepPreviousData,
  });
  return { target, setTarget, places: places.data?.places, error: places.error?.message };
}

export function LogHere({
  fished,
  onChoose,
}: {
  fished: ReturnType<typeof useFished>;
  onChoose: (spot: string) => void;
}) {
  const targets = useQuery({ queryKey: keys.targets, queryFn: api.targets, staleTime: Infinity });
  const list = [...(fished.places ?? [])].sort((a, b) => b.catches / b.rod_hours - a.catches / a.rod_hours);
  return (
    <div className="log-here">
      <Select
        aria-label={say.log.target}
        allowClear
        virtual={false}
        placeholder={say.log.anyTarget}
        value={fished.target}
        onChange={(t?: string) => fished.setTarget(t)}
        options={(targets.data ?? []).map((t) => ({ value: t.id, label: t.name }))}
      />
      {fished.error && <p role="alert">{fished.error}</p>}
      {fished.places?.length === 0 && <p className="quiet">{say.log.nothing}</p>}
      <ul>
        {list.map((p) => (
          <li key={`${p.spot_id} ${p.mark}`}>
            <button className="plain" onClick={() => onChoose(p.spot_id)}>
              {p.mark ? say.log.markOf(p.spot_name, p.mark) : p.spot_name}
            </button>
            <span>
              {say.log.tally(
                p.catches,
                fixed(p.rod_hours, 1),
                p.rod_hours > 0 ? fixed(p.catches / p.rod_hours, 2) : '',
                p.blanks,
                p.spells,
              )}
            </span>
          </li>
        ))}
      </ul>
      <p className="quiet small">{say.log.legend}</p>
      <p>
        <Link to="/back/evidence">{say.log.evidence}</Link>
      </p>
    </div>
  );
}
