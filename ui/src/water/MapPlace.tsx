import { depth } from '../format/spoken';
import { keepPreviousData, useQueries, useQuery } from '@tanstack/react-query';
import { Button, Segmented } from 'antd';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { useNavigate } from 'react-router';
import { api, type ChartSpot, type Find, type LatLon } from '../api/client';
import { keys } from '../api/keys';
import { useSettled } from '../conditions/useSettled';
import MapView from '../map/MapView';
import { DepthKey } from '../map/DepthKey';
import { useWater } from '../map/useWater';
import { useMoment, usePlace } from '../moment/moment';
import { NewMark } from './NewMark';
import { ContourPick } from './ContourPick';
import { FindList, rejected } from './FindList';
import { meansLast, picked, rememberMeans, SpotFilter, unpicked, type Pick } from './SpotFilter';
import { fishedAt, LogHere, useFished, type Fished } from './LogHere';
import { SpotList } from './SpotList';
import { ZoneList } from './ZoneList';
import { water as say } from '../words/water';

type Tool = 'spot' | 'mark' | 'zone' | 'start';
type Side = 'spots' | 'zones' | 'features' | 'log';

const asks: Record<Tool, string> = {
  spot: say.touchTheMapWhereThe,
  mark: say.touchTheMapWhereThe2,
  zone: say.touchTheCornersOfThe,
  start: say.touchTheMapWhereYou,
};

const none: Find[] = [];
const nowhere: ChartSpot[] = [];
const nowhereFished: Fished[] = [];

/** The water from above, flooding and draining with the ribbon, and the same in words beside it. */
export default function MapPlace() {
  const here = usePlace();
  const moment = useMoment();
  const go = useNavigate();
  const { water, cells, words } = useWater(here.spot.water_id);
  const time = useSettled(moment.frame?.time, 120);
  const chart = useQuery({
    queryKey: ['chart', time],
    queryFn: ({ signal }) => api.chart(time!, signal),
    enabled: !!time,
    placeholderData: keepPreviousData,
  });
  const bylaws = useQuery({ queryKey: keys.bylaws, queryFn: api.bylaws });
  const ruled = useMemo(
    () =>
      (bylaws.data?.bylaws ?? []).flatMap((b) =>
        b.area ? [{ name: b.name ?? b.area.name ?? b.authority ?? '', ring: b.area.ring }] : [],
      ),
    [bylaws.data],
  );
  const [side, setSide] = useState<Side>('spots');
  const [pick, setPick] = useState<Pick>(() => ({ ...unpicked, by: meansLast() }));
  const [tool, setTool] = useState<Tool>();
  const [points, setPoints] = useState<LatLon[]>([]);
  const [find, setFind] = useState<number>();
  const [contoursM, setContours] = useState<number[]>([1.5, 3, 5, 10]);
  const [ring, setRing] = useState<LatLon[]>();
  const [mark, setMark] = useState<LatLon>();

  const drawn = useRef<HTMLDivElement>(null);
  useEffect(() => {
    // What is touched next is the map: on a phone it may lie above.
    if (tool) drawn.current?.scrollIntoView({ block: 'nearest' });
  }, [tool]);
  const spots = chart.data?.spots ?? nowhere;
  const { start, by } = pick;
  const waters = useMemo(() => [...new Set(here.spots.map((s) => s.water_id))], [here.spots]);
  const reaches = useQueries({
    queries: waters.map((id) => ({
      queryKey: ['reach', id, start, by, time],
      queryFn: ({ signal }: { signal: AbortSignal }) => api.reach(id, { ...start!, time: time!, by }, signal),
      enabled: !!start && !!time,
      placeholderData: keepPreviousData,
    })),
    combine: (all) => new Map(all.flatMap((q) => q.data ?? []).map((r) => [r.spot_id, r])),
  });
  const shown = useMemo(
    () => new Set(picked(spots, pick, start ? reaches : undefined).map((s) => s.id)),
    [spots, pick, start, reaches],
  );
  const kinds = useMemo(() => [...new Set(spots.map((s) => s.place))].sort(), [spots]);
  const askStart = useCallback(() => setTool('start'), []);
  const level = moment.frame?.level_m ?? 0;
  const [lookedAt, setLookedAt] = useState<number>();
  const finds = useQuery({
    queryKey: ['finds', here.spot.water_id, lookedAt],
    queryFn: ({ signal }) => api.finds(here.spot.water_id, lookedAt!, signal),
    enabled: lookedAt !== undefined && !!cells,
    staleTime: Infinity,
  });
  const fished = useFished(side === 'log');
  const places = useMemo(
    () => (side === 'log' ? fishedAt(fished.places ?? [], spots) : nowhereFished),
    [side, fished.places, spots],
  );
  const [gone, setGone] = useState(() => rejected(here.spot.water_id));
  const offered = useMemo(
    () => (side === 'features' ? (finds.data ?? none).filter((f) => !gone.has(f)) : none),
    [finds.data, gone, side],
  );

  const leave = () => {
    setTool(undefined);
    setPoints([]);
  };
  useEffect(() => {
    const onKey = (e: KeyboardEvent) => {
      if (e.key === 'Escape') leave();
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, []);
  const place = (p: LatLon) => {
    if (tool === 'spot') {
      void go(`/water/edit?lat=${p.lat.toFixed(6)}&lon=${p.lon.toFixed(6)}&water=${here.spot.water_id}`);
    } else if (tool === 'mark') {
      setMark(p);
      leave();
    } else if (tool === 'start') {
      setPick({ ...pick, start: p });
      leave();
    } else {
      setPoints((l) => [...l, p]);
    }
  };
  const sketch = useMemo(
    () => ({ points: mark ? [mark] : (ring ?? points), area: true }),
    [mark, ring, points],
  );
  if (!water || !words) return <p className="quiet">{say.fetchingTheMap}</p>;
  return (
    <div className="water-two water-map">
      <div className="water-chart" ref={drawn}>
        <MapView
          water={water}
          classes={words.classes}
          cells={cells}
          levelM={level}
          contoursM={contoursM}
          spots={spots}
          shown={shown}
          chosen={here.spot.id}
          onChoose={here.choose}
          finds={offered}
          find={find}
          onFind={setFind}
          start={start}
          sketch={sketch}
          fished={places}
          ruled={ruled}
          onPlace={tool ? place : undefined}
        />
        <DepthKey classes={words.classes} />
        {tool && (
          <div className="map-ask panel" role="status">
            {asks[tool]} <span className="quiet small">{say.orMoveTheCrossAnd}</span>
            {tool === 'zone' && points.length > 2 && (
              <Button
                type="primary"
                size="small"
                onClick={() => {
                  setRing(points);
                  leave();
                }}
              >
                {say.theseAreAll}
              </Button>
            )}
            {points.length > 0 && (
              <Button size="small" onClick={() => setPoints((l) => l.slice(0, -1))}>
                {say.oneBack}
              </Button>
            )}
            <Button size="small" onClick={leave}>
              {say.leave}
            </Button>
          </div>
        )}
      </div>
      <aside className="water-side">
        <Segmented<Side>
          block
          aria-label={say.whatTheListShows}
          value={side}
          onChange={(s) => {
            setSide(s);
            setFind(undefined);
            if (s === 'features' && lookedAt === undefined) setLookedAt(Math.round(level * 10) / 10);
          }}
          options={[
            { value: 'spots', label: say.spots },
            { value: 'zones', label: say.zones },
            { value: 'features', label: say.features },
            { value: 'log', label: say.log.side },
          ]}
        />
        {side === 'spots' && mark && <NewMark at={mark} words={words} onDone={() => setMark(undefined)} />}
        {side === 'spots' && !mark && (
          <>
            <SpotFilter
              pick={pick}
              onPick={(p) => {
                rememberMeans(p.by);
                setPick(p);
              }}
              kinds={kinds}
              onStart={askStart}
            />
            <SpotList
              spots={spots}
              shown={shown}
              reaches={start ? reaches : undefined}
              by={start && by}
              chosen={here.spot.id}
              onChoose={here.choose}
            />
            <div className="map-acts">
              <Button onClick={() => setTool('spot')}>{say.newSpot}</Button>
              <Button onClick={() => setTool('mark')}>{say.newMark}</Button>
              <ContourPick value={contoursM} onChange={setContours} />
            </div>
            <p className="quiet small">
              {say.depthsAreDrawnForS(
                here.spot.name,
                depth(level),
                water.grid ? say.ground(water.grid.source) : say.nobodyHasSoundedThisWater,
              )}
            </p>
          </>
        )}
        {side === 'log' && <LogHere fished={fished} onChoose={here.choose} />}
        {side === 'zones' && (
          <ZoneList
            water={water}
            ring={ring}
            onDraw={() => setTool('zone')}
            onDone={() => setRing(undefined)}
          />
        )}
        {side === 'features' && (
          <FindList
            waterId={water.id}
            finds={offered}
            loading={finds.isFetching}
            error={finds.error?.message}
            gridded={!!water.grid}
            level={lookedAt ?? level}
            onAgain={() => setLookedAt(Math.round(level * 10) / 10)}
            chosen={find}
            onChoose={setFind}
            onGone={setGone}
          />
        )}
      </aside>
    </div>
  );
}
