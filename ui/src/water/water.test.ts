import { beforeEach, describe, expect, it } from 'vitest';
import type { ChartSpot, Find } from '../api/client';
import { rejected } from './FindList';
import { picked, unpicked } from './SpotFilter';

const spot = (id: string, place: string, open: boolean, sheltered: boolean) =>
  ({ id, place, open, surface: { sheltered } }) as ChartSpot;

describe('picking spots out', () => {
  const spots = [
    spot('a', 'pier', true, false),
    spot('b', 'pier', false, true),
    spot('c', 'reef', true, true),
  ];
  const ids = (p: Parameters<typeof picked>[1], reaches?: Parameters<typeof picked>[2]) =>
    picked(spots, p, reaches).map((s) => s.id);
  it('asks for all of it at once', () => {
    expect(ids(unpicked)).toEqual(['a', 'b', 'c']);
    expect(ids({ ...unpicked, kind: 'pier' })).toEqual(['a', 'b']);
    expect(ids({ ...unpicked, open: true, sheltered: true })).toEqual(['c']);
  });
  it('leaves out what no way leads to, and what is too far,', () => {
    const reaches = new Map([
      ['a', { spot_id: 'a', minutes: 20, bee_line: false }],
      ['b', { spot_id: 'b', minutes: 50, bee_line: false }],
      ['c', { spot_id: 'c', bee_line: false }],
    ]);
    expect(ids(unpicked)).toEqual(['a', 'b', 'c']);
    expect(ids({ ...unpicked, within: 60 }, reaches)).toEqual(['a', 'b']);
    expect(ids({ ...unpicked, within: 30 }, reaches)).toEqual(['a']);
  });
});

describe('what was passed over', () => {
  const find: Find = { kind: 'hole', lat: 31.2, lon: -45.1, elevation_m: -1, why: '' };
  beforeEach(() => localStorage.clear());
  it('is remembered by water, and a broken memory is no harm', () => {
    localStorage.setItem('greypebble.rejected.w', '["hole 31.20000 -45.10000"]');
    expect(rejected('w').has(find)).toBe(true);
    expect(rejected('other').has(find)).toBe(false);
    localStorage.setItem('greypebble.rejected.w', '{');
    expect(rejected('w').has(find)).toBe(false);
  });
});
