import { expect, it } from 'vitest';
import { surfaces } from './surfaces';

const at = (min: number, surface: 'glassy' | 'ripple' | 'chop') => ({
  time: new Date(Date.UTC(2026, 10, 20, 0, min)).toISOString(),
  surface,
});

it('joins frames of one surface and drops flickers', () => {
  const frames = [
    ...[0, 10, 20, 30, 40].map((m) => at(m, 'ripple')),
    at(50, 'chop'),
    ...[60, 70, 80].map((m) => at(m, 'ripple')),
    ...[90, 100, 110, 120, 130].map((m) => at(m, 'chop')),
  ];
  const runs = surfaces(frames);
  expect(runs.map((r) => r.surface)).toEqual(['ripple', 'chop']);
  expect(runs[0]!.to).toBe(runs[1]!.from);
  expect(surfaces([])).toEqual([]);
});
