import Feature from 'ol/Feature';
import OlMap from 'ol/Map';
import View from 'ol/View';
import { unByKey } from 'ol/Observable';
import { containsExtent, createEmpty, extend, isEmpty } from 'ol/extent';
import { LineString, MultiPolygon, Point, Polygon } from 'ol/geom';
import type Geometry from 'ol/geom/Geometry';
import VectorLayer from 'ol/layer/Vector';
import { fromLonLat, toLonLat } from 'ol/proj';
import VectorSource from 'ol/source/Vector';
import { useEffect, useMemo, useRef, useState, type KeyboardEvent } from 'react';
import type { ChartSpot, Find, LatLon, Water, Words } from '../api/client';
import { useLight } from '../theme/light';
import { GroundLayer } from './GroundLayer';
import type { Cells } from './cells';
import { lookup } from './paint';
import { contours, ink } from './palette';
import { ScaleBar } from './ScaleBar';
import { styles } from './styles';
import './map.css';
import { map as say } from '../words/map';

export interface Sketch {
  points: LatLon[];
  area: boolean;
}

type Props = {
  water: Water;
  classes: Words['classes'];
  cells?: Cells;
  levelM: number;
  contoursM: number[];
  spots: Pick<ChartSpot, 'id' | 'name' | 'water_id' | 'lat' | 'lon' | 'open' | 'line' | 'marks' | 'shape'>[];
  /** Spots that were picked out; the rest stays faint. */
  shown: Set<string>;
  chosen: string;
  onChoose: (id: string) => void;
  finds: Find[];
  find?: number;
  onFind: (i: number) => void;
  start?: LatLon;
  sketch?: Sketch;
  /** Places that were fished, with how many fish in how many rod-hours. */
  fished?: (LatLon & { near: boolean; spot: boolean; fish: number; rodHours: number })[];
  /** Where bylaws hold that have an area of their own. */
  ruled?: { name: string; ring: LatLon[] }[];
  /** What is asked for; then a touch on the map gives a place. */
  onPlace?: (p: LatLon) => void;
  /** Opened so near the chosen spot, instead of on the whole water. */
  zoom?: number;
};

const at = (p: LatLon) => fromLonLat([p.lon, p.lat]);
const back = (c: number[]): LatLon => {
  const [lon, lat] = toLonLat(c);
  return { lat: lat!, lon: lon! };
};

function feature(kind: string, geometry: Geometry, rest: object) {
  const f = new Feature({ geometry });
  f.setProperties({ kind, ...rest });
  return f;
}

/** The water from above, drawn from the program's own ground. */
export default function MapView(p: Props) {
  const box = useRef<HTMLDivElement>(null);
  const { light } = useLight();
  const [parts] = useState(() => {
    const source = new VectorSource();
    const ground = new GroundLayer();
    const over = new VectorLayer({ source, declutter: true, updateWhileInteracting: true });
    const map = new OlMap({
      layers: [ground, over],
      controls: [],
      view: new View({ maxZoom: 20, minZoom: 9, enableRotation: false, constrainResolution: false }),
    });
    return { source, ground, over, map };
  });
  const { source, ground, over, map } = parts;
  const [resolution, setResolution] = useState(10);
  const [moving, setMoving] = useState(false);
  const [touches, setTouches] = useState(0);
  const latest = useRef(p);
  useEffect(() => {
    latest.current = p;
  });

  useEffect(() => {
    map.setTarget(box.current!);
    const moved = () => {
      setMoving(false);
      setResolution(map.getView().getResolution() ?? 10);
    };
    const hit = (pixel: number[]) =>
      map.forEachFeatureAtPixel(
        pixel,
        (f) => (f.get('kind') === 'spot' || f.get('kind') === 'find' ? f : undefined),
        { hitTolerance: 9 },
      );
    const click = map.on('singleclick', (e) => {
      const { onPlace, onChoose, onFind } = latest.current;
      setTouches((n) => n + 1);
      if (onPlace) return onPlace(back(e.coordinate));
      const f = hit(e.pixel);
      if (f?.get('kind') === 'spot') onChoose(f.get('id') as string);
      if (f?.get('kind') === 'find') onFind(f.get('index') as number);
    });
    const hover = map.on('pointermove', (e) => {
      if (e.dragging) return;
      const on = map.getTargetElement();
      if (on) on.style.cursor = latest.current.onPlace ? 'crosshair' : hit(e.pixel) ? 'pointer' : '';
    });
    const start = map.on('movestart', () => setMoving(true));
    const end = map.on('moveend', moved);
    return () => {
      unByKey([click, hover, start, end]);
      map.setTarget(undefined);
    };
  }, [map]);

  const look = useMemo(
    () => lookup(ink(p.classes, light === 'night'), contours(p.classes, p.contoursM)),
    [p.classes, p.contoursM, light],
  );
  useEffect(() => ground.show(p.cells, look), [ground, p.cells, look]);
  useEffect(() => ground.flood(p.levelM, p.water.high_m), [ground, p.levelM, p.water.high_m]);
  useEffect(() => {
    over.setStyle(styles(light === 'glare' ? 17 : 14));
  }, [over, light]);

  useEffect(() => {
    const list: Feature[] = [];
    // A grid shows its own shores, at the water's level.
    const rings = p.water.grid ? [] : p.water.outline.map((r) => (r ?? []).map(at));
    if (rings.length > 0)
      list.push(feature('outline', new MultiPolygon(rings.map((r) => [[...r, r[0]!]])), {}));
    for (const z of p.water.zones)
      list.push(feature('zone', new Polygon([[...z.ring, z.ring[0]!].map(at)]), { name: z.name }));
    for (const r of p.ruled ?? [])
      list.push(feature('zone', new Polygon([[...r.ring, r.ring[0]!].map(at)]), { name: r.name }));
    for (const s of p.spots) {
      const chosen = s.id === p.chosen;
      const rest = { id: s.id, name: s.name, open: s.open, chosen, shown: p.shown.has(s.id) };
      if (s.shape) {
        const shape = s.shape.points.map(at);
        list.push(feature('shape', s.shape.area ? new Polygon([shape]) : new LineString(shape), rest));
      }
      if (s.line.length === 2) list.push(feature('line', new LineString(s.line.map(at)), rest));
      for (const k of s.marks)
        list.push(feature('mark', new Point(at(k)), { name: k.name, snag: k.snag, chosen }));
      list.push(feature('spot', new Point(at(s)), rest));
    }
    p.finds.forEach((f, index) =>
      list.push(feature('find', new Point(at(f)), { index, chosen: index === p.find })),
    );
    for (const f of p.fished ?? []) list.push(feature('fished', new Point(at(f)), f));
    if (p.start) list.push(feature('start', new Point(at(p.start)), {}));
    const sketch = p.sketch?.points.map(at) ?? [];
    for (const q of sketch) list.push(feature('sketch', new Point(q), {}));
    if (sketch.length > 1)
      list.push(
        feature(
          'sketch',
          p.sketch!.area && sketch.length > 2
            ? new Polygon([[...sketch, sketch[0]!]])
            : new LineString(sketch),
          {},
        ),
      );
    source.clear(true);
    source.addFeatures(list);
  }, [source, p.water, p.spots, p.shown, p.chosen, p.finds, p.find, p.start, p.sketch, p.fished, p.ruled]);

  /** Everything there is to see, or one place. */
  const whole = () => {
    const e = createEmpty();
    for (const s of p.spots.filter((s) => s.water_id === p.water.id)) extend(e, new Point(at(s)).getExtent());
    const g = p.water.grid;
    if (isEmpty(e) && g)
      extend(
        e,
        new LineString([
          at({ lat: g.south_deg, lon: g.west_deg }),
          at({ lat: g.south_deg + g.rows * g.dlat_deg, lon: g.west_deg + g.cols * g.dlon_deg }),
        ]).getExtent(),
      );
    return isEmpty(e) ? undefined : e;
  };
  const toWhole = () => {
    const e = whole();
    if (e) map.getView().fit(e, { size: map.getSize(), padding: [56, 60, 60, 60], maxZoom: 17 });
  };
  const chosenSpot = p.spots.find((s) => s.id === p.chosen);
  const toSpot = () => {
    if (!chosenSpot) return;
    const e = new Point(at(chosenSpot)).getExtent();
    for (const q of [...chosenSpot.line, ...chosenSpot.marks, ...(chosenSpot.shape?.points ?? [])])
      extend(e, at(q));
    map.getView().fit(e, { size: map.getSize(), padding: [80, 90, 80, 90], maxZoom: 18.5, duration: 200 });
  };

  // Opened on the whole water; a spot chosen elsewhere is brought into sight.
  const fitted = useRef('');
  useEffect(() => {
    if (p.spots.length === 0 || fitted.current === p.water.id) return;
    fitted.current = p.water.id;
    map.updateSize();
    if (!p.zoom) toWhole();
    if (!map.getView().getCenter()) {
      const s = p.spots[0]!;
      map.getView().setCenter(at(s));
      map.getView().setZoom(p.zoom ?? 13);
    }
  });
  useEffect(() => {
    const view = map.getView();
    const seen = map.getSize() && view.getCenter() ? view.calculateExtent(map.getSize()) : null;
    if (chosenSpot && seen && !containsExtent(seen, new Point(at(chosenSpot)).getExtent()))
      view.animate({ center: at(chosenSpot), duration: 160 });
    // Only a new choice moves the map.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [p.chosen]);
  const found = p.find === undefined ? undefined : p.finds[p.find];
  useEffect(() => {
    if (found)
      map.getView().animate({ center: at(found), resolution: Math.min(resolution, 3), duration: 160 });
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [found]);

  const zoom = (by: number) =>
    map.getView().animate({ zoom: (map.getView().getZoom() ?? 13) + by, duration: 120 });
  const keys = (e: KeyboardEvent) => {
    if (e.key === 'Enter' && p.onPlace) {
      e.preventDefault();
      p.onPlace(back(map.getView().getCenter()!));
    }
  };
  return (
    <div className="map" data-light={light}>
      {/* An application of its own: arrow keys, plus, minus and Enter move and place. */}
      {/* eslint-disable-next-line jsx-a11y/no-noninteractive-element-interactions */}
      <div
        className="map-view"
        ref={box}
        // eslint-disable-next-line jsx-a11y/no-noninteractive-tabindex
        tabIndex={0}
        role="application"
        aria-label={say.mapOfArrowKeysMove(p.water.name, p.onPlace ? ', Enter takes the middle' : '')}
        data-level={p.levelM.toFixed(2)}
        data-moving={moving}
        data-touches={touches}
        onKeyDown={keys}
      />
      {p.onPlace && <div className="map-cross" aria-hidden="true" />}
      <div className="map-buttons">
        <button onClick={() => zoom(1)} aria-label={say.nearer}>
          +
        </button>
        <button onClick={() => zoom(-1)} aria-label={say.farther}>
          −
        </button>
        <button onClick={toWhole} title={say.theWholeWater} aria-label={say.theWholeWater}>
          <svg viewBox="0 0 20 20" width="18" height="18" aria-hidden="true">
            <path d="M2 7V2h5M13 2h5v5M18 13v5h-5M7 18H2v-5" />
          </svg>
        </button>
        <button onClick={toSpot} title={say.toTheSpot} aria-label={say.toTheSpot}>
          <svg viewBox="0 0 20 20" width="18" height="18" aria-hidden="true">
            <ellipse cx="10" cy="10" rx="4.4" ry="3.4" />
            <path d="M10 1v3M10 16v3M1 10h3M16 10h3" />
          </svg>
        </button>
      </div>
      <ScaleBar resolution={resolution} lat={p.spots[0]?.lat ?? 0} />
    </div>
  );
}
