import { expect, test } from 'vitest';
import { clocks, degrees, heads, paces, placed } from './sight';

test('forty feet, two o’clock, coming left', () => {
  const fish = placed({ far: 12, clock: '2 o’clock', heads: 'left', swims: 'one length in two seconds' });
  expect(fish.x_m).toBeCloseTo(12 * Math.sin(Math.PI / 3), 2);
  expect(fish.y_m).toBeCloseTo(6, 2);
  expect(fish.speed_ms).toBe(0.3);
  // At sixty degrees to the right its left is thirty to the left of ahead.
  expect(fish.bearing_deg).toBe(330);
});

test('a fish straight ahead', () => {
  const at = (h: string) => placed({ far: 15, clock: '12 o’clock', heads: h, swims: 'stands or tails' });
  expect(at('right')).toEqual({ x_m: 0, y_m: 15, speed_ms: 0, bearing_deg: 90 });
  expect(at('at you').bearing_deg).toBe(180);
  expect(at('left and nearer').bearing_deg).toBe(225);
});

test('every word has its number', () => {
  for (const clock of clocks)
    for (const h of heads)
      for (const swims of paces) {
        const f = placed({ far: 10, clock, heads: h, swims });
        expect(Math.hypot(f.x_m, f.y_m)).toBeCloseTo(10, 1);
        expect(f.bearing_deg).toBeGreaterThanOrEqual(0);
        expect(f.bearing_deg).toBeLessThan(360);
      }
  expect(degrees('3 o’clock')).toBe(90);
  expect(degrees('12 o’clock')).toBe(0);
});
