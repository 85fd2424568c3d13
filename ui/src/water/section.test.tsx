import { cleanup, render, screen } from '@testing-library/react';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import type { Frame, SpotDetail } from '../api/client';
import { bar, frame, iso, marks, noon } from '../testkit/coast';
import { Section } from './Section';

const detail: SpotDetail = {
  ...bar,
  revision: 1,
  reads: [],
  marks,
  section: [
    { distance_m: 0, elevation_m: 2 },
    { distance_m: 20, elevation_m: 0 },
    { distance_m: 30, elevation_m: -0.5 },
    { distance_m: 40, elevation_m: 0.7 },
    { distance_m: 100, elevation_m: -2 },
  ],
  written: {} as SpotDetail['written'],
};
const turns = [
  { time: iso(noon - 6 * 3600_000), height_m: 1.1, kind: 'high' as const },
  { time: iso(noon), height_m: 0.1, kind: 'low' as const },
  { time: iso(noon + 6 * 3600_000), height_m: 1.1, kind: 'high' as const },
];

let width = 800;
beforeEach(() => {
  vi.spyOn(HTMLElement.prototype, 'clientWidth', 'get').mockImplementation(() => width);
});

function drawn(more: Partial<Frame> = {}, spot: Partial<SpotDetail> = {}, at = 800) {
  width = at;
  const { container } = render(
    <Section spot={{ ...detail, ...spot }} frame={{ ...frame(noon), ...more }} turns={turns} />,
  );
  return container;
}
const number = (e: Element, name: string) => Number(e.getAttribute(name));
const water = (c: Element) => [...c.querySelectorAll('.surface')];

describe('the section', () => {
  it('says in words what it draws', () => {
    drawn();
    const image = screen.getByRole('img', { name: /^Section of Shell Bar/ });
    expect(image.getAttribute('aria-label')).toBe('Section of Shell Bar: Crest dry, Seaward edge 1.60 m');
  });
  it('has water only where the ground lies below the level, shores where the line crosses it', () => {
    // At 0.1 m the bar at 40 m parts the water in two.
    const [inner, outer, ...rest] = water(drawn({ level_m: 0.1 }));
    expect(rest).toEqual([]);
    // 8 to 792 px are 0 to 100 m; the first shore lies at 19 m, the inner one's end at 35 m.
    const px = (m: number) => 8 + m * 7.84;
    expect(number(inner!, 'x1')).toBeCloseTo(px(19), 1);
    expect(number(inner!, 'x2')).toBeCloseTo(px(35), 1);
    expect(number(outer!, 'x1')).toBeCloseTo(px(40 + (60 * 0.6) / 2.7), 1);
    expect(number(outer!, 'x2')).toBeCloseTo(px(100), 1);
    cleanup();
    expect(water(drawn({ level_m: 1 }))).toHaveLength(1);
    cleanup();
    expect(water(drawn({ level_m: -3 }))).toEqual([]);
  });
  it('rises with the level', () => {
    const y = (level_m: number) => {
      const at = number(water(drawn({ level_m }))[0]!, 'y1');
      cleanup();
      return at;
    };
    expect(y(1)).toBeLessThan(y(0.1));
  });
  it('shows the turn before and the turn after, not the one the moment stands on', () => {
    const c = drawn();
    expect([...c.querySelectorAll('.ghost text')].map((t) => t.textContent)).toEqual([
      'high 06:00',
      'high 18:00',
    ]);
  });
  it('tells dry marks from wet ones, and keeps their names apart on a phone', () => {
    const c = drawn({ depths_m: [-0.6, 1.6] });
    expect([...c.querySelectorAll('.mark')].map((m) => m.textContent)).toEqual([
      'Crestdry',
      'Seaward edge1.60 m',
    ]);
    expect(c.querySelectorAll('.mark.dry')).toHaveLength(1);
    cleanup();
    const near = [
      marks[0]!,
      { ...marks[0]!, id: 'm3', distance_m: 41 },
      { ...marks[0]!, id: 'm4', distance_m: 42 },
    ];
    const phone = drawn({ depths_m: [0, 0, 0] }, { marks: near }, 390);
    const names = [...phone.querySelectorAll('.mark-name')];
    const [a, b, d] = names.map((n) => [number(n, 'x'), number(n, 'y')] as const);
    expect(a![1]).not.toBe(b![1]);
    expect(d![1]).toBe(a![1]);
    expect(d![0] - a![0]).toBeGreaterThanOrEqual(74);
  });
  it('says what the core says of it, where it is dark only where it is, and how far heights are stretched', () => {
    const deep = drawn({ dark_below_m: 9, under_says: 'Breakers about 0.8 m.' });
    expect(deep.querySelector('.gloom')).toBeNull();
    expect(deep.textContent).toMatch(
      /Breakers about 0.8 m\. Heights drawn \d+ times larger than distances\./,
    );
    cleanup();
    expect(drawn({ dark_below_m: 1 }).querySelector('.gloom')).not.toBeNull();
  });
  it('ruffles the surface where waves break', () => {
    expect(drawn().querySelector('.foam')).toBeNull();
    cleanup();
    const c = drawn({ white: [{ from_m: 30, to_m: 50 }], breaker_m: 0.8 });
    expect(c.querySelector('.foam')).not.toBeNull();
  });
  it('stands the angler on the shore, or on the deck of a pier', () => {
    expect(drawn().querySelectorAll('.angler')).toHaveLength(1);
    cleanup();
    const pier = drawn({}, { place: 'pier' });
    expect(pier.querySelector('.pier .deck')).not.toBeNull();
    expect(pier.querySelectorAll('.angler')).toHaveLength(1);
  });
  it('is nothing where there is no section', () => {
    expect(drawn({}, { section: [] }).querySelector('svg')).toBeNull();
  });
});
