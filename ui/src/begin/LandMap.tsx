import Feature from 'ol/Feature';
import OlMap from 'ol/Map';
import View from 'ol/View';
import TopoJSON from 'ol/format/TopoJSON';
import { Point } from 'ol/geom';
import VectorLayer from 'ol/layer/Vector';
import { fromLonLat, toLonLat } from 'ol/proj';
import VectorSource from 'ol/source/Vector';
import { Circle, Fill, Stroke, Style } from 'ol/style';
import { useEffect, useRef, useState, type KeyboardEvent } from 'react';
// Natural Earth, public domain.
import land from 'world-atlas/land-50m.json?raw';
import type { LatLon } from '../api/client';
import { useLight } from '../theme/light';
import { begin as say } from '../words/begin';
import { colour } from '../theme/colour';

/** The coasts of the world, coarse, to put a pin on. */
export default function LandMap({ pin, onPin }: { pin: LatLon | undefined; onPin: (p: LatLon) => void }) {
  const box = useRef<HTMLDivElement>(null);
  const { light } = useLight();
  const latest = useRef(onPin);
  useEffect(() => {
    latest.current = onPin;
  });
  const [parts] = useState(() => {
    const shores = new VectorLayer({
      source: new VectorSource({
        features: new TopoJSON().readFeatures(land, { featureProjection: 'EPSG:3857' }),
      }),
    });
    const pins = new VectorSource();
    const over = new VectorLayer({ source: pins });
    const map = new OlMap({
      layers: [shores, over],
      controls: [],
      view: new View({
        center: fromLonLat([-40, 30]),
        zoom: 2,
        minZoom: 1,
        maxZoom: 14,
        enableRotation: false,
      }),
    });
    return { shores, over, pins, map };
  });
  const { map, shores, over, pins } = parts;

  useEffect(() => {
    map.setTarget(box.current!);
    const touched = (e: { coordinate: number[] }) => {
      const [lon, lat] = toLonLat(e.coordinate);
      latest.current({ lat: lat!, lon: lon! });
    };
    map.on('singleclick', touched);
    return () => {
      map.un('singleclick', touched);
      map.setTarget(undefined);
    };
  }, [map]);

  useEffect(() => {
    shores.setStyle(
      new Style({
        fill: new Fill({ color: colour('--ground') }),
        stroke: new Stroke({ color: colour('--ground-line') }),
      }),
    );
    over.setStyle(
      new Style({
        image: new Circle({
          radius: 8,
          fill: new Fill({ color: colour('--accent') }),
          stroke: new Stroke({ color: colour('--panel'), width: 2.5 }),
        }),
      }),
    );
  }, [shores, over, light]);

  useEffect(() => {
    pins.clear();
    if (!pin) return;
    const at = fromLonLat([pin.lon, pin.lat]);
    pins.addFeature(new Feature({ geometry: new Point(at) }));
    const view = map.getView();
    const far = !view.calculateExtent(map.getSize()).every((v, i) => (i < 2 ? v <= at[i]! : v >= at[i - 2]!));
    if (far || (view.getZoom() ?? 0) < 6)
      view.animate({ center: at, zoom: Math.max(view.getZoom() ?? 0, 8), duration: 300 });
  }, [pins, pin, map]);

  const zoom = (by: number) => {
    const view = map.getView();
    view.animate({ zoom: (view.getZoom() ?? 2) + by, duration: 150 });
  };
  const keys = (e: KeyboardEvent) => {
    const view = map.getView();
    const by = (view.getResolution() ?? 1) * 60;
    const [x, y] = view.getCenter()!;
    const to: Record<string, [number, number]> = {
      ArrowLeft: [-by, 0],
      ArrowRight: [by, 0],
      ArrowUp: [0, by],
      ArrowDown: [0, -by],
    };
    const move = to[e.key];
    if (move) {
      e.preventDefault();
      view.setCenter([x! + move[0], y! + move[1]]);
    } else if (e.key === '+' || e.key === '-') zoom(e.key === '+' ? 1 : -1);
    else if (e.key === 'Enter') {
      const [lon, lat] = toLonLat(view.getCenter()!);
      onPin({ lat: lat!, lon: lon! });
    }
  };
  return (
    <div className="land-map-box">
      {/* It is moved by keys, and Enter puts the pin in its middle. */}
      {/* eslint-disable-next-line jsx-a11y/no-noninteractive-element-interactions */}
      <div
        ref={box}
        className="land-map"
        role="application"
        aria-label={say.mapOfCoastsArrowKeys}
        // eslint-disable-next-line jsx-a11y/no-noninteractive-tabindex
        tabIndex={0}
        onKeyDown={keys}
      />
      <div className="land-zoom">
        <button aria-label={say.nearer} onClick={() => zoom(1)}>
          +
        </button>
        <button aria-label={say.furtherOff} onClick={() => zoom(-1)}>
          −
        </button>
      </div>
    </div>
  );
}
