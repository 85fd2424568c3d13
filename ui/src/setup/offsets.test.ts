import { expect, it } from 'vitest';
import { plainOffsets, readOffsets } from './offsets';

it('are whole or nothing', () => {
  expect(readOffsets({ ...plainOffsets, lag_high_min: -20 })?.lag_high_min).toBe(-20);
  expect(readOffsets({ ...plainOffsets, lag_low_min: undefined })).toBeNull();
});
