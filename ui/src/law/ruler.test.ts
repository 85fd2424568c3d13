import { describe, expect, it } from 'vitest';
import { cardM, scaleOf, stripsOf } from './ruler';
import { pointsOf } from './Area';

describe('a ruler on paper', () => {
  it('is drawn longer by what a card came out too short', () => {
    expect(scaleOf(cardM)).toBe(1);
    expect(scaleOf(cardM * 0.97)).toBeCloseTo(1 / 0.97, 9);
    expect(scaleOf(undefined)).toBe(1);
    expect(scaleOf(3)).toBe(1);
  });
  it('goes on from strip to strip without a gap, in whole units', () => {
    for (const [unit, width] of [
      [0.01, 0.255],
      [0.0254, 0.25],
    ] as const) {
      const strips = stripsOf(1, width, unit);
      expect(strips[0]!.from).toBe(0);
      expect(strips.at(-1)!.to).toBe(1);
      strips.slice(1).forEach((s, i) => expect(s.from).toBeCloseTo(strips[i]!.to, 12));
      strips.forEach((s) => expect(s.to - s.from).toBeLessThanOrEqual(width + 1e-9));
    }
  });
});

describe('corners written down', () => {
  it('are read with commas or without', () => {
    expect(pointsOf('31.2 -45.1; 31.3, -45.1; 31.3 -45')).toEqual([
      { lat: 31.2, lon: -45.1 },
      { lat: 31.3, lon: -45.1 },
      { lat: 31.3, lon: -45 },
    ]);
  });
  it('may be none yet', () => {
    expect(pointsOf('')).toEqual([]);
    expect(pointsOf('31 -45;')).toEqual([{ lat: 31, lon: -45 }]);
  });
  it('are refused where one is none', () => {
    for (const bad of ['31 -45; 31 -44; 31', '91 0; 0 0; 1 1', 'a b; c d; e f', '1 2 3; 1 2; 3 4'])
      expect(pointsOf(bad)).toBeUndefined();
  });
});
