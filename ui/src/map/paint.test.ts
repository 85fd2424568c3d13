import { describe, expect, it } from 'vitest';
import { readCells, unknown } from './cells';
import { lookup, paint, tone, type Ink } from './paint';
import { screen } from './screen';

/** A plane that rises 10 cm a cell eastwards, one cell unknown. */
function plane(dlon_deg = 0.001) {
  const [rows, cols] = [30, 40];
  const raw = new ArrayBuffer(2 * rows * cols);
  const v = new DataView(raw);
  for (let r = 0; r < rows; r++)
    for (let c = 0; c < cols; c++) v.setInt16(2 * (r * cols + c), c === 39 ? unknown : 10 * c - 150, true);
  return readCells({ south_deg: 10, west_deg: 20, dlat_deg: 0.001, dlon_deg, rows, cols }, raw);
}

const view = {
  width: 81,
  height: 61,
  lon: (x: number) => 20 + x * 0.0005,
  lat: (y: number) => 10.03 - y * 0.0005,
};

const ink: Ink = {
  land: [1, 2, 3],
  tones: [
    { from: -1e6, colour: [200, 180, 150] },
    { from: 0, colour: [150, 160, 170] },
    { from: 75, colour: [50, 60, 70] },
  ],
  line: [0, 0, 0],
  relief: 0,
};

describe('the grid on screen', () => {
  it('reads planes exactly between cells', () => {
    const s = screen(plane(), view);
    for (const x of [0, 1, 7, 33, 60]) expect(s.z[20 * 81 + x]).toBeCloseTo(5 * x - 150, 3);
    expect(s.z[20 * 81 + 77]).toBeNaN();
    expect(s.z[0 * 81 + 5]).toBeNaN();
    expect(1 / s.flat[20 * 81 + 33]!).toBeCloseTo(5, 3);
  });
  it('lights slopes that face the north-west', () => {
    const p = plane(0.00002);
    expect(p.lit[10 * 40 + 10]).toBeGreaterThan(128);
  });
});

describe('flooding', () => {
  const s = screen(plane(), view);
  const at = (out: Uint32Array, x: number) => {
    const v = out[20 * 81 + x]!;
    return [v & 255, (v >> 8) & 255, (v >> 16) & 255];
  };
  const plain = lookup(ink, []);
  const wet = (level: number) => {
    const out = new Uint32Array(s.z.length);
    paint(s, plain, level, 100, out);
    return out;
  };
  it('covers what lies below the level and nothing else', () => {
    const out = wet(0);
    expect(at(out, 40)).toEqual([200, 180, 150]); // 50 cm above it
    expect(at(out, 0)).toEqual([50, 60, 70]); // 150 cm under it
    expect(at(out, 60)).toEqual([1, 2, 3]); // land
    expect(out[20 * 81 + 78]).toBe(0);
  });
  it('never drains where it rises', () => {
    let was = 0;
    for (let level = -160; level < 100; level += 5) {
      const out = wet(level);
      const n = Array.from({ length: 78 }, (_, x) => at(out, x)).filter(
        (c) => c[0]! <= 150 && c[0]! > 3,
      ).length;
      expect(n).toBeGreaterThanOrEqual(was);
      was = n;
    }
  });
  it('draws a contour where the depth is', () => {
    const out = new Uint32Array(s.z.length);
    paint(s, lookup(ink, [{ depth: 75, strength: 1, width: 1 }]), 0, 100, out);
    const dark = Array.from({ length: 60 }, (_, x) => x).filter((x) => at(out, x)[0] === 0);
    expect(dark).toEqual([15]);
  });
  it('keeps each class apart from the next', () => {
    expect(tone(ink.tones, 74)[0]).toBeGreaterThan(tone(ink.tones, 75)[0] + 60);
  });
});
