import { describe, expect, it } from 'vitest';
import { wayAt } from './way';

const day = (h: number) => new Date(Date.UTC(2026, 10, 20, h));
const windows = [
  { opens: null, closes: day(3).toISOString(), closed_by: 'too deep at the gut' },
  { opens: day(9).toISOString(), closes: day(15).toISOString(), closed_by: 'too deep at the gut' },
  { opens: day(21).toISOString(), closes: null, closed_by: '' },
];

describe('the way, as the windows known have it', () => {
  it('is open within one, until it shuts', () => {
    expect(wayAt(windows, day(1))).toEqual({ open: true, why: '', shuts: day(3).toISOString() });
    expect(wayAt(windows, day(23))).toEqual({ open: true, why: '' });
  });
  it('is shut between two, with why and until when, hours after it was asked', () => {
    expect(wayAt(windows, day(3))).toEqual({
      open: false,
      why: 'too deep at the gut',
      opens: day(9).toISOString(),
    });
    expect(wayAt(windows, day(20))?.opens).toBe(day(21).toISOString());
  });
  it('is shut where nothing opens, and unsaid where nothing is known', () => {
    expect(wayAt([], day(3))).toEqual({ open: false, why: '' });
    expect(wayAt(undefined, day(3))).toBeUndefined();
  });
});
