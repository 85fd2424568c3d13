import { expect, it } from 'vitest';
import { nearest } from './moment';

const frames = ['00:00', '00:10', '00:14', '00:20'].map((t) => ({ time: `2026-11-20T${t}:00Z` }));

it('finds the frame nearest to a time', () => {
  const at = (t: string) => nearest(frames, Date.parse(`2026-11-20T${t}:00Z`));
  expect(at('00:00')).toBe(0);
  expect(at('00:04')).toBe(0);
  expect(at('00:06')).toBe(1);
  expect(at('00:13')).toBe(2);
  expect(at('00:16')).toBe(2);
  expect(at('09:00')).toBe(3);
});
