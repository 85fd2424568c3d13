import { describe, expect, it } from 'vitest';
import { onTheWall } from '../format/time';
import { against, bestAt, ordered, worth, type Row } from './fortnight';
import { hourAt, runs } from './Skyline';

const row = (spot: string, state: string, cells: Record<string, number[]>): Row => ({
  spot,
  spot_id: spot,
  state,
  cells,
  place: 'pier',
  manner: 'on foot',
  water_id: 'w',
  dark: '0'.repeat(state.length),
  told: '1'.repeat(state.length),
  against: [],
});

describe('the fortnight', () => {
  const pier = row('Pier', 'oosd', { drum: [90, 150, 0, 400], trout: [200, 100, 0, 10] });
  const lake = row('Lake', 'cccc', {});
  const bar = row('Bar', 'sooo', { drum: [0, 300, 20, 20] });
  it('is worth what the best of those sought is', () => {
    expect([...worth(pier, [])]).toEqual([200, 150, 0, 400]);
    expect([...worth(pier, ['drum'])]).toEqual([90, 150, 0, 400]);
    expect([...worth(pier, ['bream'])]).toEqual([0, 0, 0, 0]);
    expect(bestAt(pier, 0, [])).toEqual([
      { id: 'trout', edge: 2 },
      { id: 'drum', edge: 0.9 },
    ]);
    expect(bestAt(pier, 2, [])).toEqual([]);
  });
  it('has the best that can be fished first, and what stays shut last', () => {
    // The pier's four times lie beyond the limits to going.
    expect(ordered([lake, pier, bar], []).map((r) => r.row.spot)).toEqual(['Bar', 'Pier', 'Lake']);
    expect(ordered([lake, bar, pier], ['trout']).map((r) => r.row.spot)).toEqual(['Pier', 'Bar', 'Lake']);
  });
  it('says why one does not go', () => {
    const rough = {
      ...pier,
      against: [
        { hour: 1, says: 'Breakers.' },
        { hour: 3, says: 'Wind.' },
      ],
    };
    expect(against(rough, 3)).toBe('Wind.');
    expect(against(pier, 0)).toBeUndefined();
    expect(against(lake, 0)).toContain('rule');
    expect(against(bar, 0)).toContain('shut');
  });
  it('finds the hour under a finger, and stretches of one letter', () => {
    expect([hourAt(-5, 100, 4), hourAt(0, 100, 4), hourAt(49, 100, 4), hourAt(100, 100, 4)]).toEqual([
      0, 0, 1, 3,
    ]);
    const found: number[][] = [];
    runs('aabacca', 'a', (from, to) => found.push([from, to]));
    expect(found).toEqual([
      [0, 2],
      [3, 4],
      [6, 7],
    ]);
  });
});

describe('the clock on the wall', () => {
  it('is read in the zone, on the days the clocks change too', () => {
    expect(onTheWall('2026-11-21', 6, 'Etc/GMT+3').toISOString()).toBe('2026-11-21T09:00:00.000Z');
    expect(onTheWall('2026-07-01', 6.5, 'America/New_York').toISOString()).toBe('2026-07-01T10:30:00.000Z');
    // Back at two o'clock on 1 November 2026, ahead on 8 March.
    expect(onTheWall('2026-11-01', 0, 'America/New_York').toISOString()).toBe('2026-11-01T04:00:00.000Z');
    expect(onTheWall('2026-11-01', 6, 'America/New_York').toISOString()).toBe('2026-11-01T11:00:00.000Z');
    expect(onTheWall('2026-03-08', 24, 'America/New_York').toISOString()).toBe('2026-03-09T04:00:00.000Z');
  });
});
