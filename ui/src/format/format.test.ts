import { describe, expect, it } from 'vitest';
import { bearing, fixed, times, unbroken } from './measure';
import { clock, day, lasting } from './time';

describe('measures', () => {
  it('writes a true minus and never minus nought', () => {
    expect(fixed(-0.341, 2)).toBe('−0.34');
    expect(fixed(-0.001, 2)).toBe('0.00');
  });
  it('keeps edges short', () => {
    expect(times(1.94)).toBe('×1.9');
    expect(times(12.3)).toBe('×12');
    expect(times(0.04)).toBe('×0.04');
  });
  it('keeps a number and its unit together', () => {
    expect(unbroken('with a 28 g egg sinker in 0.91 m of water.')).toBe(
      'with a 28\u00a0g egg sinker in 0.91\u00a0m of water.',
    );
    expect(unbroken('2 hooks, 3 marks')).toBe('2 hooks, 3 marks');
  });
  it('names the wind', () => {
    expect(bearing(225)).toBe('SW');
    expect(bearing(-10)).toBe('N');
    expect(bearing(359)).toBe('N');
  });
});

describe('times', () => {
  it('are those of the water', () => {
    expect(clock('2026-11-20T09:30:00Z', 'Etc/GMT+3')).toBe('06:30');
    expect(day('2026-11-20T01:30:00Z', 'Etc/GMT+3')).toBe('Thu 19 Nov');
  });
  it('last in words', () => {
    expect(lasting(45 * 60000)).toBe('45 min');
    expect(lasting(80 * 60000)).toBe('1 h 20');
    expect(lasting(120 * 60000)).toBe('2 h');
  });
});
