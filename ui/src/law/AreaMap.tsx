import { useQuery } from '@tanstack/react-query';
import { Button, Select } from 'antd';
import { useMemo, useState } from 'react';
import { api, type Find, type LatLon } from '../api/client';
import { keys } from '../api/keys';
import MapView from '../map/MapView';
import { useWater } from '../map/useWater';
import { law as say } from '../words/law';
import { water as ofMap } from '../words/water';

const noFinds: Find[] = [];
const noContours: number[] = [];
const rounded = (x: number) => Number(x.toFixed(6));

/** The corners of an area, touched one after the other on the map of a water. */
export default function AreaMap({ ring, onRing }: { ring: LatLon[]; onRing: (ring: LatLon[]) => void }) {
  const waters = useQuery({ queryKey: keys.waters, queryFn: api.waters });
  const [picked, setPicked] = useState<string>();
  const id = picked ?? waters.data?.[0]?.id;
  if (!id) return waters.data ? <p className="quiet small">{say.noWaterToDrawOn}</p> : null;
  return (
    <div className="area-map">
      {waters.data!.length > 1 && (
        <Select
          aria-label={say.onTheMapOf}
          value={id}
          options={waters.data!.map((w) => ({ value: w.id, label: w.name }))}
          onChange={setPicked}
        />
      )}
      <Drawn key={id} water={id} ring={ring} onRing={onRing} />
    </div>
  );
}

function Drawn({
  water: id,
  ring,
  onRing,
}: {
  water: string;
  ring: LatLon[];
  onRing: (ring: LatLon[]) => void;
}) {
  const { water, cells, words } = useWater(id);
  const list = useQuery({ queryKey: keys.spots, queryFn: api.spots });
  const spots = useMemo(
    () =>
      (list.data ?? [])
        .filter((s) => s.water_id === id)
        .map((s) => ({ ...s, open: true, line: [], marks: [] })),
    [list.data, id],
  );
  const shown = useMemo(() => new Set(spots.map((s) => s.id)), [spots]);
  const sketch = useMemo(() => ({ points: ring, area: true }), [ring]);
  if (!water || !words) return <p className="quiet small">{ofMap.fetchingTheMap}</p>;
  return (
    <>
      <div className="area-map-view">
        <MapView
          water={water}
          classes={words.classes}
          cells={cells}
          levelM={water.high_m / 2}
          contoursM={noContours}
          spots={spots}
          shown={shown}
          chosen=""
          onChoose={() => undefined}
          finds={noFinds}
          onFind={() => undefined}
          sketch={sketch}
          onPlace={(p) => onRing([...ring, { lat: rounded(p.lat), lon: rounded(p.lon) }])}
        />
      </div>
      <div className="area-map-acts">
        <span className="quiet small" role="status">
          {say.cornersTouched(ring.length)}
        </span>
        <Button size="small" disabled={ring.length === 0} onClick={() => onRing(ring.slice(0, -1))}>
          {say.takeTheLastBack}
        </Button>
        <Button size="small" disabled={ring.length === 0} onClick={() => onRing([])}>
          {say.beginAgain}
        </Button>
      </div>
    </>
  );
}
