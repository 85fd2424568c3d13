import { describe, expect, it } from 'vitest';
import type { ChartSpot, Spell } from '../api/client';
import { logWords } from './LogDots';
import { fishedAt } from './LogHere';

const spots = [
  { id: 'a', name: 'Bar', lat: 1, lon: 2, marks: [{ name: 'Edge', lat: 1.1, lon: 2.1 }] },
] as unknown as ChartSpot[];
const place = (mark: string, catches: number, spot_id = 'a') => ({
  spot_id,
  spot_name: 'Bar',
  mark,
  spells: 2,
  blanks: 1,
  rod_hours: 3,
  catches,
});

describe('the log on the ground', () => {
  it('lies at marks from nearby, and at the spot from afar', () => {
    const out = fishedAt(
      [place('Edge', 4), place('', 1), place('Gone', 2), place('Edge', 9, 'elsewhere')],
      spots,
    );
    expect(out.filter((f) => !f.near)).toEqual([
      { lat: 1, lon: 2, near: false, spot: true, fish: 7, rodHours: 9 },
    ]);
    expect(out.filter((f) => f.near && !f.spot)).toEqual([
      { lat: 1.1, lon: 2.1, near: true, spot: false, fish: 4, rodHours: 3 },
    ]);
    expect(out.filter((f) => f.near && f.spot).reduce((n, f) => n + f.fish, 0)).toBe(3);
  });
  it('is told in words: how many spells, between which levels, with fish and without', () => {
    const spell = (mark: string, level: number, blank: boolean) =>
      ({ mark, tide_level_m: level, blank, catches: [] }) as unknown as Spell;
    const m = (v: number) => `${v} m`;
    expect(logWords([spell('Edge', 1, true), spell('Edge', 2, false), spell('', 0.5, true)], m)).toEqual([
      { mark: 'Edge', says: '2 spells from 1 m to 2 m; with fish 1, at 2 m' },
      { mark: 'no mark told', says: '1 spell at 0.5 m, all blank' },
    ]);
  });
});
