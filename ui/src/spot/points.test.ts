import { expect, it } from 'vitest';
import { between, moved, without } from './points';

const p = (distance_m: number, elevation_m: number) => ({ distance_m, elevation_m });
const section = [p(0, 2), p(10, 1), p(20, -1)];

it('keeps points in order while one is dragged', () => {
  expect(moved(section, 1, p(14.13, 0.503))).toEqual([p(0, 2), p(14, 0.5), p(20, -1)]);
  expect(moved(section, 1, p(99, 0))[1]).toEqual(p(19.5, 0));
  expect(moved(section, 1, p(-99, 0))[1]).toEqual(p(0.5, 0));
  expect(moved(section, 2, p(99, -2))[2]).toEqual(p(99, -2));
});

it('puts a new point where it belongs, and none on another', () => {
  expect(between(section, p(15.1, 0)).map((q) => q.distance_m)).toEqual([0, 10, 15, 20]);
  expect(between(section, p(10.1, 5))).toBe(section);
  expect(between([], p(3, 1))).toEqual([p(3, 1)]);
  expect(without(section, 0)).toHaveLength(2);
});
