import { describe, expect, it } from 'vitest';
import { kinds } from '../testkit/coast';
import { table, write } from './kinds';

const of = (kind: string) => table(kinds).of(kind)!;

describe('a value of a kind', () => {
  it('is written by what the table says of it', () => {
    expect(write(of('water_temp_c'), -0.04)).toBe('0.0 °C');
    expect(write(of('clarity_secchi_m'), 1.26)).toBe('1.3 m');
    expect(write(of('wind_from_deg'), 359)).toBe('N');
    expect(write(of('cloud_fraction'), 0.5)).toBe('4/8');
  });
});

describe('the table', () => {
  it('finds a kind, and what is shown with it', () => {
    expect(table(kinds).of('unheard of')).toBeUndefined();
    expect(table(kinds).alongside('wind_speed_ms')?.kind).toBe('wind_from_deg');
    expect(table(kinds).alongside('cloud_fraction')).toBeUndefined();
  });
  it('is made once for an answer', () => expect(table(kinds)).toBe(table(kinds)));
});
