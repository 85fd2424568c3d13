import { describe, expect, it } from 'vitest';
import type { KitBody } from '../api/client';
import { idFrom } from '../setup/OwnRule';
import { fieldsOf, inShort } from './kinds';

describe('a thing owned', () => {
  it('is told in one line, in the units it is sold in', () => {
    const line: KitBody = {
      kind: 'line',
      name: 'x',
      material: 'braid',
      break_n: 20 * 4.4482216152605,
      diameter_m: 0.00022,
      in_hand: true,
    };
    expect(inShort(line)).toBe('braid, 20 lb (9 kg), 0.22 mm');
    expect(
      inShort({ kind: 'lure', name: 'x', finish: 'white', length_m: 0.09, snag_proof: true, in_hand: true }),
    ).toBe('white, 9 cm, weedless');
    expect(inShort({ kind: 'bait', name: 'x', count: 12, in_hand: true })).toBe('12 pieces');
    expect(inShort({ kind: 'reel', name: 'x', turn_m: 0.7, ratio: 5.2, in_hand: true })).toBe(
      '70 cm a turn, 5.2:1',
    );
    expect(inShort({ kind: 'rod', name: 'x', length_m: 2.2, rated_kg: 0.02, in_hand: true })).toBe(
      '2.2 m, casts up to 20 g',
    );
    expect(inShort({ kind: 'lure', name: 'x', rated_m: 1.5, fall_ms: 0.4, in_hand: true })).toBe(
      'dives to 1.5 m, falls 0.4 m/s',
    );
  });
  it('is asked for what its kind needs', () => {
    expect(fieldsOf.reel.map((f) => f.key)).toEqual(['turn_m', 'ratio', 'spool_m']);
    expect(Object.keys(fieldsOf)).toHaveLength(9);
  });
});

describe('an id of a rule of one’s own', () => {
  it('is small letters, digits and hyphens', () => {
    expect(idFrom('  Under the OLD post, on the ébb! ')).toBe('under-the-old-post-on-the-ebb');
    expect(idFrom('§§§')).toBe('');
    expect(idFrom('a'.repeat(80))).toHaveLength(50);
  });
});
