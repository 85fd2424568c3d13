import { afterEach, expect, it } from 'vitest';
import { goOn, rest, restingSince } from './rest';

afterEach(() => localStorage.clear());

it('a block rests until it goes on, each by itself, over a reload', () => {
  const at = (s: number) => new Date(Date.UTC(2026, 10, 20, 6, 30, s));
  expect(restingSince('a')).toBeUndefined();
  rest('a', at(0));
  expect(restingSince('a')).toEqual(at(0));
  expect(restingSince('b')).toBeUndefined();
  expect(goOn('a', at(42))).toBe(42);
  expect(restingSince('a')).toBeUndefined();
  expect(goOn('a', at(50))).toBe(0);
  expect(restingSince(undefined)).toBeUndefined();
});
