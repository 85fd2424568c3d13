import { cleanup, fireEvent, screen, waitFor } from '@testing-library/react';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { api } from '../api/client';
import { iso, noon, ribbon, serve, show, spell } from '../testkit/coast';
import { Ribbon } from './Ribbon';
import { spread } from './spread';
import { SurfaceRun } from './SurfaceRun';

let width = 1000;
beforeEach(() => {
  localStorage.clear();
  serve();
  vi.spyOn(HTMLElement.prototype, 'clientWidth', 'get').mockImplementation(() => width);
  Element.prototype.setPointerCapture = () => undefined;
});

async function drawn(at = 1000) {
  width = at;
  show(<Ribbon />);
  return screen.findByRole('slider', { name: 'Moment' });
}
const texts = (e: Element, selector: string) => [...e.querySelectorAll(selector)].map((t) => t.textContent);

describe('the ribbon', () => {
  it('says the moment to a screen reader, with its bounds', async () => {
    const slider = await drawn();
    expect(slider.getAttribute('aria-valuetext')).toBe('Fri 20 Nov 12:00, 0.10 m, flood, first third');
    expect(slider.getAttribute('aria-valuemax')).toBe(String(36 * 6));
    expect(slider.getAttribute('aria-valuenow')).toBe(String(5 * 6));
  });
  it('is moved by arrows, to turns and to its ends', async () => {
    const slider = await drawn();
    const at = () => slider.getAttribute('data-time');
    fireEvent.keyDown(slider, { key: 'ArrowRight' });
    expect(at()).toBe(iso(noon + 600_000));
    fireEvent.keyDown(slider, { key: 'PageUp' });
    expect(at()).toBe(iso(noon + 6 * 3600_000));
    fireEvent.keyDown(slider, { key: 'Home' });
    expect(at()).toBe(iso(noon - 5 * 3600_000));
    fireEvent.keyDown(slider, { key: 'End' });
    expect(at()).toBe(iso(noon + 31 * 3600_000));
  });
  it('follows a finger that is down, and no other', async () => {
    const slider = await drawn();
    // 24 to 888 px are 36 hours.
    const px = (h: number) => 24 + ((h + 5) / 36) * 864;
    fireEvent.pointerDown(slider, { clientX: px(2), buttons: 1, pointerId: 1 });
    expect(slider.getAttribute('data-time')).toBe(iso(noon + 2 * 3600_000));
    fireEvent.pointerMove(slider, { clientX: px(7.02), buttons: 1, pointerId: 1 });
    expect(slider.getAttribute('data-time')).toBe(iso(noon + 7 * 3600_000));
    fireEvent.pointerMove(slider, { clientX: px(20), buttons: 0, pointerId: 1 });
    expect(slider.getAttribute('data-time')).toBe(iso(noon + 7 * 3600_000));
  });
  it('names the lines the tide comes near, apart from one another, and danger as such', async () => {
    const slider = await drawn();
    const lines = [...slider.querySelectorAll('.limit text')];
    expect(lines.map((l) => l.textContent).sort()).toEqual(['crest covers', 'wading ends']);
    const y = lines.map((l) => Number(l.getAttribute('y')));
    expect(Math.abs(y[0]! - y[1]!)).toBeGreaterThanOrEqual(15);
    expect(texts(slider, '.limit.danger text')).toEqual(['wading ends']);
  });
  it('keeps turns off the moment and off the edges, and leaves heights out on a phone', async () => {
    const wide = await drawn();
    expect(texts(wide, '.turn.high')).toEqual(['18:00 1.10', '06:00 1.10']);
    const low = wide.querySelector('.turn.low')!;
    const now = Number(
      /translate\(([\d.]+)/.exec(wide.querySelector('.now')!.getAttribute('transform')!)![1],
    );
    expect(Math.abs(Number(low.getAttribute('x')) - now)).toBeGreaterThanOrEqual(45.9);
    cleanup();
    const narrow = await drawn(390);
    for (const t of texts(narrow, '.turn')) expect(t).toMatch(/^\d\d:\d\d$/);
    expect(texts(narrow, '.turn')).not.toContain('12:00');
  });
  it('shades what lies outside daylight, once for twilight and once for night', async () => {
    const slider = await drawn();
    const fills = [...slider.querySelectorAll('rect[fill]')].map((r) => r.getAttribute('fill'));
    // The ribbon begins with the light: after dusk it is dark to its end.
    expect(fills).toEqual(['var(--night)', 'var(--twilight)']);
  });
  it('draws the prediction only where a surge lifts the water off it', async () => {
    expect((await drawn()).querySelector('.bare')).toBeNull();
    cleanup();
    vi.mocked(api.ribbon).mockImplementation((_, from, hours) => {
      const r = ribbon(Date.parse(from), hours);
      return Promise.resolve({ ...r, frames: r.frames.map((f) => ({ ...f, surge_m: 0.3 })) });
    });
    expect((await drawn()).querySelector('.bare')).not.toBeNull();
  });
  it('lays a pebble for each spell, full where something was caught', async () => {
    const fish = { id: 'c' } as never;
    vi.mocked(api.spells).mockResolvedValue({
      spells: [spell({ id: 'a' }), spell({ id: 'b', blank: false, catches: [fish] })],
    } as never);
    const slider = await drawn();
    await waitFor(() => expect(texts(slider, '.pebble')).toEqual(['10:00 blank', '10:00 1 caught']));
    expect(slider.querySelectorAll('.pebble.full')).toHaveLength(1);
  });
  it('pages by days and comes back to the present', async () => {
    await drawn();
    fireEvent.click(screen.getByRole('button', { name: 'A day on' }));
    await waitFor(() =>
      expect(screen.getByRole('slider').getAttribute('data-time')).toBe(iso(noon + 24 * 3600_000)),
    );
    fireEvent.click(screen.getByRole('button', { name: 'now' }));
    await waitFor(() => {
      const at = Date.parse(screen.getByRole('slider').getAttribute('data-time')!);
      expect(Math.abs(at - noon)).toBeLessThanOrEqual(600_000);
    });
  });
  it('says in place of itself why it cannot be drawn', async () => {
    vi.mocked(api.ribbon).mockRejectedValue(new Error('no signal'));
    show(<Ribbon />);
    expect(await screen.findByText('no signal')).toBeTruthy();
  });
});

describe('labels', () => {
  it('are pushed apart without changing their order', () => {
    const out = spread([{ at: 30 }, { at: 10 }, { at: 12 }, { at: 13 }], 10);
    expect(out.map((l) => l.label)).toEqual([10, 20, 30, 40]);
    expect(out.map((l) => l.at)).toEqual([10, 12, 13, 30]);
  });
});

describe('the surface', () => {
  const run = (hours: number, word: 'glassy' | 'rough') => {
    const r = { from: iso(noon), to: iso(noon + hours * 3600_000), word };
    const { container } = show(
      <svg>
        <SurfaceRun run={r} x={(t) => ((t - noon) / 3600_000) * 30} y={20} />
      </svg>,
    );
    return container;
  };
  it('is flat when glassy, waves else, and named where the name fits', async () => {
    const calm = run(4, 'glassy');
    await waitFor(() => expect(texts(calm, 'text')).toEqual(['glassy']));
    for (const p of calm.querySelectorAll('path')) expect(p.getAttribute('d')).toMatch(/^M[\d.]+ 20H[\d.]+$/);
    cleanup();
    const short = run(1, 'rough');
    await waitFor(() => expect(short.querySelector('path')?.getAttribute('d')).toContain('q'));
    expect(texts(short, 'text')).toEqual([]);
    expect(texts(short, 'title')).toEqual(['rough']);
  });
});
