import { cleanup, render } from '@testing-library/react';
import Feature from 'ol/Feature';
import type { Style } from 'ol/style';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { DepthKey } from './DepthKey';
import { contours, token } from './palette';
import { ScaleBar } from './ScaleBar';
import { styles } from './styles';

const classes = [
  { name: 'dry', from_m: -1000 },
  { name: 'ankle', from_m: 0 },
  { name: 'over wading', from_m: 0.75 },
  { name: 'boat', from_m: 1.5 },
] as Parameters<typeof contours>[0];

beforeEach(() => {
  const brush = new Proxy({}, { get: () => () => ({}), set: () => true });
  vi.spyOn(HTMLCanvasElement.prototype, 'getContext').mockReturnValue(brush as never);
});

describe('the scale bar', () => {
  const bar = (resolution: number, lat = 0) => {
    const { container } = render(<ScaleBar resolution={resolution} lat={lat} />);
    const e = container.querySelector<HTMLElement>('.map-scale')!;
    const shown = { says: e.textContent, px: parseFloat(e.style.width) };
    cleanup();
    return shown;
  };
  it('is a round length within 110 px', () => {
    expect(bar(1)).toEqual({ says: '100 m', px: 100 });
    expect(bar(2)).toEqual({ says: '200 m', px: 100 });
    expect(bar(5)).toEqual({ says: '500 m', px: 100 });
    expect(bar(20)).toEqual({ says: '2 km', px: 100 });
    for (let r = 0.05; r < 400; r *= 1.37) {
      const b = bar(r);
      expect(b.px).toBeLessThanOrEqual(110.001);
      expect(b.px).toBeGreaterThan(110 / 2.6);
      expect(b.says).toMatch(/^[125]0* (m|km)$/);
    }
  });
  it('allows for the projection, which stretches distances away from the equator', () => {
    expect(bar(1, 60)).toEqual({ says: '50 m', px: expect.closeTo(100, 6) });
  });
});

describe('contours', () => {
  it('are the shore, where wading ends, and those chosen, none twice', () => {
    expect(contours(classes, [0.75, 2, 5]).map((c) => c.depth)).toEqual([0, 75, 200, 500]);
    expect(contours([], [2]).map((c) => c.depth)).toEqual([0, 200]);
  });
  it('are the heavier the more they matter', () => {
    const [shore, wading, other] = contours(classes, [2]);
    expect(shore!.strength).toBeGreaterThan(wading!.strength);
    expect(wading!.strength).toBeGreaterThan(other!.strength);
  });
});

describe('the key of depths', () => {
  it('says of every tone how far it reaches', () => {
    const { container } = render(<DepthKey classes={classes} />);
    expect([...container.querySelectorAll('li')].map((l) => l.textContent)).toEqual([
      'drynow',
      'ankleto 0.75 m',
      'over wadingto 1.5 m',
      'boatdeeper',
    ]);
    expect(token('over wading')).toBe('--depth-over-wading');
  });
});

describe('what lies over the ground', () => {
  const look = (resolution: number, rest: object) => {
    const f = new Feature();
    f.setProperties(rest);
    return styles(14)(f, resolution);
  };
  const text = (s: unknown) => (s as Style).getText()?.getText();
  it('names a spot that is picked out, and leaves the rest a dot', () => {
    expect(text(look(50, { kind: 'spot', name: 'Bar', shown: true, open: true }))).toBe('Bar');
    expect(text(look(50, { kind: 'spot', name: 'Bar', shown: false, open: true }))).toBeUndefined();
    expect(text(look(50, { kind: 'spot', name: 'Bar', shown: false, chosen: true }))).toBe('Bar');
  });
  it('shows marks only from near by, and names those of the chosen spot only from nearer', () => {
    const mark = { kind: 'mark', name: 'Crest', chosen: true };
    expect(look(11, mark)).toBeUndefined();
    expect(text(look(8, mark))).toBeUndefined();
    expect(text(look(2, mark))).toBe('Crest');
    expect(text(look(2, { ...mark, chosen: false }))).toBeUndefined();
  });
  it('draws what line is the chosen one from afar, others only from near by', () => {
    expect(look(50, { kind: 'line', chosen: true })).toHaveLength(2);
    expect(look(50, { kind: 'line', chosen: false })).toBeUndefined();
    expect(look(5, { kind: 'line', chosen: false })).toBeTruthy();
  });
  it('puts what is chosen above what is not', () => {
    const z = (s: unknown) => (s as Style).getZIndex()!;
    const at = (chosen: boolean) => z(look(5, { kind: 'spot', name: 'x', shown: true, chosen }));
    expect(at(true)).toBeGreaterThan(at(false));
    expect(at(false)).toBeGreaterThan(z(look(5, { kind: 'zone', name: 'Refuge' })));
  });
});
