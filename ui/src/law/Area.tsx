import { useQueries, useQuery } from '@tanstack/react-query';
import { Input, Select } from 'antd';
import { Suspense, useState } from 'react';
import { api, type Schemas } from '../api/client';
import { keys } from '../api/keys';
import { page } from '../frame/page';
import { law as say } from '../words/law';

// With the map's library, fetched when an area is drawn.
const AreaMap = page(() => import('./AreaMap'));

type AreaBody = Schemas['AreaBody'];
const written = 'written';

/** Where a rule holds: everywhere, within a zone of a water, or within corners touched on its map or written down. */
export function Area({
  area,
  onArea,
}: {
  area: AreaBody | undefined;
  onArea: (a: AreaBody | undefined) => void;
}) {
  const waters = useQuery({ queryKey: keys.waters, queryFn: api.waters });
  const each = useQueries({
    queries: (waters.data ?? []).map((w) => ({ queryKey: ['water', w.id], queryFn: () => api.water(w.id) })),
  });
  const zones = each.flatMap((w) => w.data?.zones ?? []);
  const same = zones.find((z) => JSON.stringify(z.ring) === JSON.stringify(area?.ring));
  const [picked, setOwn] = useState<boolean>();
  // One of no zone there is was drawn; which zones there are is known a moment later.
  const own = picked ?? (!!area && !same && !waters.isPending && !each.some((w) => w.isPending));
  const [corners, setCorners] = useState(() => (area ? textOf(area.ring) : ''));
  const points = pointsOf(corners);
  const draw = (ring: AreaBody['ring'] | undefined) =>
    onArea({ ...(area?.name ? { name: area.name } : {}), ring: ring ?? [] });
  return (
    <fieldset>
      <legend>{say.where}</legend>
      <div className="bylaw-row">
        <label className="wide">
          {say.where}
          <Select
            aria-label={say.where}
            value={own ? written : (same?.id ?? '')}
            options={[
              { value: '', label: say.everywhere },
              ...zones.map((z) => ({ value: z.id, label: z.name })),
              { value: written, label: say.drawn },
            ]}
            onChange={(v: string) => {
              const zone = zones.find((z) => z.id === v);
              setOwn(v === written);
              if (v === written) setCorners(textOf(area?.ring ?? []));
              if (zone) onArea({ name: zone.name, ring: zone.ring });
              else onArea(v === written ? { ring: [], ...area } : undefined);
            }}
          />
          <span className="quiet small">{say.whereHint}</span>
        </label>
        {(own || same) && (
          <label>
            {say.areaName}
            <Input
              aria-label={say.areaName}
              maxLength={80}
              value={area?.name ?? ''}
              onChange={(e) => area && onArea({ ...area, name: e.target.value })}
            />
          </label>
        )}
        {own && (
          <Suspense fallback={null}>
            <AreaMap
              ring={points ?? []}
              onRing={(ring) => {
                setCorners(textOf(ring));
                draw(ring);
              }}
            />
          </Suspense>
        )}
        {own && (
          <label className="wide">
            {say.corners}
            <Input
              aria-label={say.corners}
              placeholder={say.cornersHint}
              status={points ? '' : 'error'}
              value={corners}
              onChange={(e) => {
                setCorners(e.target.value);
                draw(pointsOf(e.target.value));
              }}
            />
            {!points && <span className="caution small">{say.cornersWrong}</span>}
          </label>
        )}
      </div>
    </fieldset>
  );
}

const textOf = (ring: AreaBody['ring']) => ring.map((p) => `${p.lat} ${p.lon}`).join('; ');

/** Corners, each latitude and longitude; nothing where one is not. */
export function pointsOf(text: string): AreaBody['ring'] | undefined {
  const ring = text
    .split(';')
    .map((c) => c.trim())
    .filter(Boolean)
    .map((c) => c.split(/[\s,]+/).map(Number))
    .map(([lat, lon, ...more]) => ({ lat: more.length > 0 ? NaN : (lat ?? NaN), lon: lon ?? NaN }));
  return ring.every((p) => Math.abs(p.lat) <= 90 && Math.abs(p.lon) <= 180) ? ring : undefined;
}
