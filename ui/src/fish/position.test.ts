import { describe, expect, it } from 'vitest';
import type { Spot } from '../api/client';
import { nearestSpot } from './position';

const spot = (name: string, lat: number, lon: number) => ({ name, lat, lon }) as Spot;

describe('the nearest spot', () => {
  it('minds that degrees of longitude are shorter than those of latitude', () => {
    const spots = [spot('north', 60.012, 10), spot('east', 60, 10.02)];
    expect(nearestSpot(spots, { lat: 60, lon: 10 })?.name).toBe('east');
  });
  it('minds the line where the day changes', () => {
    const spots = [spot('over there', 0, -179.99), spot('here', 0, 179)];
    expect(nearestSpot(spots, { lat: 0, lon: 179.99 })?.name).toBe('over there');
  });
  it('is none where there are none', () => {
    expect(nearestSpot([], { lat: 0, lon: 0 })).toBeUndefined();
  });
});
