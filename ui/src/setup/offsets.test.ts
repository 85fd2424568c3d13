import { expect, it } from 'vitest';
import { number, plainOffsets, readOffsets, writeOffsets } from './offsets';

it('reads numbers as people write them', () => {
  expect(number('−12,5')).toBe(-12.5);
  expect(number(' 3.25 ')).toBe(3.25);
  expect(number('')).toBeNaN();
  expect(number('ten')).toBeNaN();
});

it('goes there and back', () => {
  const o = readOffsets({ ...plainOffsets, lagHigh: '−20', factorLow: '0,85' })!;
  expect(o.lag_high_min).toBe(-20);
  expect(o.factor_low).toBe(0.85);
  expect(readOffsets(writeOffsets(o))).toEqual(o);
  expect(readOffsets({ ...plainOffsets, lagLow: '' })).toBeNull();
});
