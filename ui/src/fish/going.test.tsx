import { act, cleanup, render, screen } from '@testing-library/react';
import { MemoryRouter } from 'react-router';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { describe, expect, it, vi } from 'vitest';
import type { Spot, Target } from '../api/client';
import { Going } from './Going';
import type { Told } from './touch';

const none = { rod_hours: 0, fish: 0, lost: 0, missed: 0, bites: 0, robbed: 0, broken: 0 };
const told: Told = {
  began_at: '2026-11-20T09:00:00Z',
  spells: [],
  total: none,
  features: [],
  row: { rods: [], moves: [] },
  column: [],
  above: [],
  trail: [],
  standing_m: 0,
  again: false,
  same_m: 5,
  leader: 0,
  leader_note: 'leader checked',
};
const spot = { id: 's', name: 'Kettle Bar', time_zone: 'UTC' } as Spot;

/** The page so many minutes before the way shuts. */
function before(minutes: number) {
  const now = new Date('2026-11-20T12:00:00Z');
  const shuts = new Date(now.getTime() + minutes * 60_000).toISOString();
  render(
    <MemoryRouter>
      <QueryClientProvider client={new QueryClient()}>
        <Going
          told={told}
          touches={[]}
          doing={{ spot_id: 's', target: 'red-drum', rods: 1 }}
          around={{ windows: [{ opens: null, closes: shuts, closed_by: 'too deep at the gut' }] }}
          spots={[spot]}
          targets={[] as Target[]}
          present={() => now}
          say={() => Promise.resolve()}
          onEnd={() => undefined}
          fishAt={[]}
          onFishAt={() => undefined}
          onAt={() => undefined}
          outing="o"
        />
      </QueryClientProvider>
    </MemoryRouter>,
  );
}

describe('the time left until the way shuts', () => {
  it('is large under an hour, largest at the margin', () => {
    before(150);
    expect(screen.getByText('The way shuts in 2 h 30').className).toBe('fish-left');
    cleanup();
    before(40);
    expect(screen.getByText('The way shuts in 40 min').className).toBe('fish-left near');
    cleanup();
    before(15);
    expect(screen.getByText('The way shuts in 15 min').className).toBe('fish-left soon');
  });
  it('rings by vibration and sound at the margin, again and again, until it is acknowledged', () => {
    vi.useFakeTimers();
    const vibrate = vi.fn(() => true);
    Object.defineProperty(navigator, 'vibrate', { value: vibrate, configurable: true });
    const began = vi.fn();
    class Audio {
      constructor() {
        began();
      }
      currentTime = 0;
      destination = {};
      createOscillator = () => ({
        frequency: {},
        connect: (x: unknown) => x,
        start: () => undefined,
        stop: () => undefined,
      });
      createGain = () => ({
        gain: { setValueAtTime: () => undefined, exponentialRampToValueAtTime: () => undefined },
        connect: (x: unknown) => x,
      });
      close = () => Promise.resolve();
    }
    vi.stubGlobal('AudioContext', Audio);
    before(15);
    expect(screen.getByRole('alert').textContent).toContain('Be out now');
    act(() => void vi.advanceTimersByTime(11_000));
    expect(vibrate).toHaveBeenCalledTimes(3);
    expect(began).toHaveBeenCalledTimes(3);
    act(() => screen.getByRole('button', { name: 'I have seen it' }).click());
    act(() => void vi.advanceTimersByTime(30_000));
    expect(vibrate).toHaveBeenCalledTimes(3);
    expect(screen.queryByRole('alert')).toBeNull();
  });
  it('offers the calendar, for a locked phone', () => {
    before(150);
    expect(screen.getByRole('button', { name: 'Put it into the calendar' })).toBeTruthy();
  });
});
