import { describe, expect, it } from 'vitest';
import { fits, guess, header, renamed, type Column } from './columns';

const wanted: Column[] = [
  { says: 'time', names: ['time'], needed: true },
  { says: 'height', names: ['height_m', 'height_cm', 'height_ft'], needed: true },
  { says: 'high or low', names: ['kind'], needed: false },
];

describe('columns of other names', () => {
  it('are read from the first line, whatever stands between', () => {
    expect(header('\uFEFFDate Time;"Water Level (ft)"\r\n1;2').names).toEqual([
      'Date Time',
      'Water Level (ft)',
    ]);
    expect(header('a\tb\n').separator).toBe('\t');
  });
  it('fit or do not', () => {
    expect(fits(['Time', 'HEIGHT_FT', 'x'], wanted)).toBe(true);
    expect(fits(['Date Time', 'Water Level'], wanted)).toBe(false);
  });
  it('are guessed where it is clear', () => {
    expect(guess('Date Time', wanted)).toBe('time');
    expect(guess('Water Level (ft)', wanted)).toBe('height_ft');
    expect(guess('level, cm', wanted)).toBe('height_cm');
    expect(guess('Water Level', wanted), 'no unit is said').toBeUndefined();
    expect(guess('Quality', wanted)).toBeUndefined();
  });
  it('are named anew in the first line alone', () => {
    expect(renamed('Date Time,Level (ft),Q\n2026-11-20,1.2,a\n', ['time', 'height_ft', undefined])).toBe(
      'time,height_ft,passed over 3\n2026-11-20,1.2,a\n',
    );
  });
});
