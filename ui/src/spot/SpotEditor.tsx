import { useUndo } from '../frame/useUndo';
import { useLeaveGuard } from '../frame/unkept';
import { useTitle } from '../frame/useTitle';
import { keepPreviousData, useMutation, useQuery } from '@tanstack/react-query';
import { App, Button, Popconfirm } from 'antd';
import { useMemo, useState } from 'react';
import { useNavigate, useParams, useSearchParams } from 'react-router';
import { v7 } from 'uuid';
import { api, Problem, type ChartSpot, type LatLon, type SpotBody } from '../api/client';
import { useInvalidate } from '../api/keys';
import { useSettled } from '../conditions/useSettled';
import MapView from '../map/MapView';
import { DepthKey } from '../map/DepthKey';
import { useWater } from '../map/useWater';
import { useMoment, usePlace } from '../moment/moment';
import { MarksEditor } from './MarksEditor';
import { SectionEditor } from './SectionEditor';
import { SpotFields } from './SpotFields';
import './spot.css';
import { spot as say } from '../words/spot';

type Draft = { id: string; body: SpotBody; revision: number };

/** A spot being written: new at a place of the map, or one there is. */
export default function SpotEditor() {
  useTitle(say.aSpot);
  const { id } = useParams();
  const [query] = useSearchParams();
  const here = usePlace();
  const known = useQuery({
    queryKey: ['spot', id],
    queryFn: () => api.spot(id!),
    enabled: !!id,
    refetchOnMount: 'always',
    staleTime: 0,
  });
  const fresh = useMemo<Draft>(
    () => ({
      id: v7(),
      revision: 0,
      body: {
        water_id: query.get('water') ?? here.spot.water_id,
        name: '',
        place: 'estuary',
        lat: Number(query.get('lat') ?? here.spot.lat),
        lon: Number(query.get('lon') ?? here.spot.lon),
        manner: 'on foot',
        in: { name: '', elevation_m: 0, clear: true },
        out: { name: '', elevation_m: 0, clear: true },
      },
    }),
    [query, here.spot.water_id, here.spot.lat, here.spot.lon],
  );
  if (known.error) return <p role="alert">{known.error.message}</p>;
  if (id && (!known.data || known.isFetching)) return <p className="quiet">{say.fetchingTheSpot}</p>;
  const draft = id ? { id, body: known.data!.written, revision: known.data!.revision } : fresh;
  return <Editor key={draft.id} draft={draft} />;
}

type Tool = 'place' | 'section' | 'shape';

const asks: Record<Tool, string> = {
  place: say.touchTheMapWhereThe,
  shape: say.touchThePointsOfA,
  section: say.touchWhereTheSectionBegins,
};

function Editor({ draft }: { draft: Draft }) {
  const here = usePlace();
  const moment = useMoment();
  const go = useNavigate();
  const invalidate = useInvalidate();
  const { message } = App.useApp();
  const [body, setBody] = useState(draft.body);
  const [tool, setTool] = useState<Tool>();
  const [points, setPoints] = useState<LatLon[]>([]);
  const { water, cells, words } = useWater(body.water_id);
  const set = (part: Partial<SpotBody>) => setBody((b) => ({ ...b, ...part }));
  const isNew = draft.revision === 0;
  const { letGo } = useLeaveGuard(body !== draft.body);

  const follow = async () => {
    await invalidate('spots');
  };
  const [line, setLine] = useState<LatLon[]>();
  const time = useSettled(moment.frame?.time, 120);
  const chart = useQuery({
    queryKey: ['chart', time],
    queryFn: ({ signal }) => api.chart(time!, signal),
    enabled: !!time && !isNew,
    placeholderData: keepPreviousData,
  });
  const drawnLine = line ?? chart.data?.spots.find((s) => s.id === draft.id)?.line ?? nothing;
  const put = useMutation({
    mutationFn: () => api.putSpot(draft.id, { ...body, revision: draft.revision }),
    onSuccess: async () => {
      letGo();
      await follow();
      here.choose(draft.id);
      void message.success(say.isKept(body.name));
      void go('/water');
    },
  });
  const undo = useUndo();
  const remove = useMutation({
    mutationFn: () => api.deleteSpot(draft.id),
    onSuccess: async () => {
      letGo();
      await follow();
      void go('/water');
      undo(draft.body.name, () => api.putSpot(draft.id, draft.body).then(follow));
    },
  });
  const cut = useMutation({
    mutationFn: ([from, to]: [LatLon, LatLon]) => api.cut(body.water_id, from, to),
    onSuccess: (c, [from, to]) => {
      setLine([from, to]);
      set({
        section: c.section.map((p) => ({
          distance_m: Math.round(p.distance_m * 10) / 10,
          elevation_m: Math.round(p.elevation_m * 100) / 100,
        })),
        section_from: from,
        section_bearing_deg: Math.round(c.bearing_deg * 10) / 10,
      });
    },
  });
  const place = (p: LatLon) => {
    const q = { lat: Number(p.lat.toFixed(6)), lon: Number(p.lon.toFixed(6)) };
    if (tool === 'place') {
      set(q);
      setTool(undefined);
    } else if (tool === 'shape') {
      setPoints([...points, q]);
    } else if (tool === 'section') {
      const two = [...points, q];
      if (two.length < 2) return setPoints(two);
      setPoints([]);
      setTool(undefined);
      cut.mutate([two[0]!, two[1]!]);
    }
  };
  const shape = (area: boolean) => {
    set({ shape: { area, points } });
    setPoints([]);
    setTool(undefined);
  };
  // The spot as it stands on the map while it is being written.
  const written = useMemo<ChartSpot[]>(
    () => [
      {
        id: draft.id,
        name: body.name || say.newSpot,
        place: body.place,
        manner: body.manner,
        manners: body.manners ?? [],
        lat: body.lat,
        lon: body.lon,
        open: true,
        closing: false,
        says: '',
        note: '',
        time_zone: here.spot.time_zone,
        water: water?.name ?? '',
        water_id: body.water_id,
        warnings: [],
        line: drawnLine,
        marks: (body.marks ?? [])
          .filter((k) => k.at)
          .map((k) => ({ ...k.at!, name: k.name, kind: k.kind, snag: !!k.snag, depth_m: 0 })),
        surface: { word: 'glassy', wave_m: 0, fetch_m: 0, side: 'lee', outlined: false, sheltered: true },
        shape: body.shape,
      },
    ],
    [draft.id, body, drawnLine, water?.name, here.spot.time_zone],
  );
  const sketch = useMemo(() => ({ points, area: false }), [points]);
  const shown = useMemo(() => new Set([draft.id]), [draft.id]);
  const waters = [
    ...new Map(here.spots.map((s) => [s.water_id, { id: s.water_id, name: s.water }])).values(),
  ];
  const problem = put.error ?? remove.error ?? cut.error;
  if (!words) return null;
  return (
    <form
      className="spot-editor"
      onSubmit={(e) => {
        e.preventDefault();
        put.mutate();
      }}
    >
      {problem && (
        <p role="alert" className="caution">
          {problem.message}{' '}
          {problem instanceof Problem && problem.status === 409
            ? say.itWasChangedElsewhereMeanwhile
            : problem instanceof Problem &&
              problem.fields.map((f) => `${f.location}: ${f.message}`).join('; ')}
        </p>
      )}
      <div className="spot-head">
        <h1>{isNew ? say.aNewSpot : say.change(draft.body.name)}</h1>
        <div className="map-acts">
          {!isNew && (
            <Popconfirm
              title={say.removeWithItsSectionAnd(draft.body.name)}
              okText={say.remove}
              onConfirm={() => remove.mutate()}
            >
              <Button>{say.remove}</Button>
            </Popconfirm>
          )}
          <Button onClick={() => void go('/water')}>{say.leaveIt}</Button>
          <Button type="primary" htmlType="submit" loading={put.isPending}>
            {say.keepTheSpot}
          </Button>
        </div>
      </div>
      <div className="spot-two">
        <section className="panel form">
          <SpotFields body={body} words={words} waters={waters} onChange={set} />
        </section>
        <section className="spot-ground">
          <div className="spot-map">
            {water && (
              <MapView
                water={water}
                classes={words.classes}
                cells={cells}
                levelM={moment.frame?.level_m ?? 0}
                contoursM={lines}
                spots={written}
                shown={shown}
                chosen={draft.id}
                onChoose={() => undefined}
                finds={nothing}
                onFind={() => undefined}
                sketch={sketch}
                onPlace={tool ? place : undefined}
                zoom={16}
              />
            )}
            <DepthKey classes={words.classes} />
            {tool && (
              <div className="map-ask panel" role="status">
                {asks[tool]}
                {tool === 'shape' && points.length > 1 && (
                  <Button size="small" type="primary" onClick={() => shape(false)}>
                    {say.aDrift}
                  </Button>
                )}
                {tool === 'shape' && points.length > 2 && (
                  <Button size="small" type="primary" onClick={() => shape(true)}>
                    {say.anArea}
                  </Button>
                )}
                <Button
                  size="small"
                  onClick={() => {
                    setTool(undefined);
                    setPoints([]);
                  }}
                >
                  {say.leave}
                </Button>
              </div>
            )}
          </div>
          <div className="map-acts spot-tools">
            <Button onClick={() => setTool('place')}>{say.moveTheSpot}</Button>
            <Button onClick={() => setTool('section')} disabled={!cells}>
              {say.cutTheSectionHere}
            </Button>
            {body.shape ? (
              <Button onClick={() => set({ shape: undefined })}>
                {say.forgetThe(body.shape.area ? say.area : say.drift)}
              </Button>
            ) : (
              <Button onClick={() => setTool('shape')}>{say.drawADriftOrAn}</Button>
            )}
            <span className="quiet small">
              {body.lat.toFixed(5)}, {body.lon.toFixed(5)}
            </span>
          </div>
          <div className="panel">
            <h2>{say.theSection}</h2>
            <SectionEditor
              section={body.section ?? []}
              levelM={moment.frame?.level_m ?? 0}
              lowM={moment.ribbon?.lowest_m ?? 0}
              highM={moment.ribbon?.highest_m ?? 1}
              onChange={(section) => set({ section })}
            />
          </div>
        </section>
      </div>
      <section className="panel">
        <h2>{say.marks}</h2>
        <MarksEditor marks={body.marks ?? []} words={words} onChange={(marks) => set({ marks })} />
      </section>
    </form>
  );
}

const lines = [1.5, 3, 5];
const nothing: never[] = [];
