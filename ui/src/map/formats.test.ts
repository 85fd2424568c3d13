import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import Feature from 'ol/Feature';
import GeoJSON from 'ol/format/GeoJSON';
import GPX from 'ol/format/GPX';
import KML from 'ol/format/KML';
import { LineString, MultiLineString, Point, Polygon } from 'ol/geom';
import type Geometry from 'ol/geom/Geometry';
import { describe, expect, it } from 'vitest';

// What this program writes is read by another library, and what that library writes is kept as a file
// which this program's own tests read (interchange/*/others_test.go).

const file = (format: string, who: string) => `../interchange/${format}/testdata/${who}.${format}`;

/** The sample of interchange/feature, as longitude and latitude. */
const sample: [string, Geometry][] = [
  ['Drowned post', new Point([-45.1375, 31.2125, -1.5])],
  [
    'Ebb drift',
    new MultiLineString([
      [
        [-45.1, 31.2],
        [-45.1025, 31.201],
      ],
      [
        [-45.104, 31.203],
        [-45.105, 31.204],
      ],
    ]),
  ],
  [
    'Way in',
    new LineString([
      [-45.09, 31.19],
      [-45.095, 31.195],
    ]),
  ],
  [
    'Eelgrass',
    new Polygon([
      [
        [-45.2, 31.2],
        [-45.19, 31.2],
        [-45.19, 31.21],
        [-45.2, 31.21],
        [-45.2, 31.2],
      ],
    ]),
  ],
];

const flat = (g: Geometry) =>
  (g as Point)
    .getFlatCoordinates()
    .filter((_, i) => i % (g as Point).getStride() < 2)
    .map((v) => Math.round(v * 1e7) / 1e7);

interface Format {
  readFeatures: (text: string) => unknown;
  writeFeatures: (list: Feature[]) => unknown;
}

function check(format: string, ol: Format, n: number) {
  const read = ol.readFeatures(readFileSync(file(format, 'written'), 'utf8')) as Feature<Geometry>[];
  expect(read).toHaveLength(sample.length);
  for (const [name, geometry] of sample.slice(0, n)) {
    const f = read.find((f) => f.get('name') === name);
    expect(f, name).toBeDefined();
    expect(flat(f!.getGeometry()!)).toEqual(flat(geometry));
  }
  const theirs = String(
    ol.writeFeatures(sample.slice(0, n).map(([name, geometry]) => new Feature({ geometry, name }))),
  );
  const kept = file(format, 'openlayers');
  if (!existsSync(kept)) writeFileSync(kept, theirs);
  expect(theirs).toBe(readFileSync(kept, 'utf8'));
}

describe('formats of places', () => {
  // GPX has no areas: one is written as a closed track, which that library would not write.
  it('GPX', () => check('gpx', new GPX(), 3));
  it('KML', () => check('kml', new KML({ extractStyles: false, writeStyles: false }), 4));
  it('GeoJSON', () => check('geojson', new GeoJSON(), 4));
});
