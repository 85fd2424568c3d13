import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { render } from '@testing-library/react';
import { App } from 'antd';
import { Suspense, type ReactNode } from 'react';
import { vi } from 'vitest';
import { api, type Frame, type RibbonData, type Spell, type Spot, type SpotState } from '../api/client';
import type { Nature } from '../conditions/kinds';
import { MomentProvider } from '../moment/MomentProvider';

/** A made-up shore for tests of single components: a bar whose water falls and rises by 1 m in six hours. */
export const noon = Date.parse('2026-11-20T12:00:00Z');
const minute = 60_000;

export const iso = (ms: number) => new Date(ms).toISOString();

export const spot = (id: string, name: string): Spot => ({
  id,
  name,
  place: 'oyster bar',
  water: 'Sound',
  water_id: `water of ${id}`,
  time_zone: 'Etc/UTC',
  lat: 31,
  lon: -45,
  manner: 'foot',
  manners: [],
  note: '',
});
export const bar = spot('bar', 'Shell Bar');
export const flat = spot('flat', 'Mud Flat');

/** Level over datum: low at noon and midnight. */
export const levelAt = (ms: number) => 0.6 - 0.5 * Math.cos(((ms - noon) / (12 * 60 * minute)) * 2 * Math.PI);

export function frame(ms: number): Frame {
  const level_m = levelAt(ms);
  return {
    time: iso(ms),
    level_m,
    rate_m_per_h: 0.2,
    stage: 'flood, first third',
    slack: false,
    surge_m: 0,
    depths_m: [level_m - 0.7, level_m + 1.5],
    temps_c: [14, null],
    marks_say: ['dry until 15:00', 'open now'],
    breaks: [false, false],
    white: [],
    dark_below_m: 5,
    light: 'bright',
    sun_altitude_deg: 30,
    surface: 'ripple',
    wave_m: 0.1,
    breaker_m: 0,
    open: true,
    closing: false,
    says: 'The crest is dry.',
    under_says: '',
    way: 'You can get in and back until 16:00.',
    way_title: 'Open',
  };
}

const mark = (id: string, kind: string, distance_m: number, elevation_m: number) => ({
  id,
  kind,
  name: kind === 'crest' ? 'Crest' : 'Seaward edge',
  distance_m,
  elevation_m,
  bottom: 'shell',
  windows: [],
});
export const marks = [mark('m1', 'crest', 40, 0.7), mark('m2', 'edge', 90, -1.5)];

/** A ribbon of ten-minute frames over so many hours. */
export function ribbon(from: number, hours: number): RibbonData {
  const n = hours * 6;
  const turns = [-12, -6, 0, 6, 12, 18, 24].map((h) => ({
    time: iso(noon + h * 60 * minute),
    height_m: levelAt(noon + h * 60 * minute),
    kind: (h / 6) % 2 === 0 ? ('low' as const) : ('high' as const),
  }));
  const to = from + hours * 60 * minute;
  return {
    from: iso(from),
    to: iso(to),
    frames: Array.from({ length: n + 1 }, (_, i) => frame(from + i * 10 * minute)),
    turns: turns.filter((t) => Date.parse(t.time) >= from && Date.parse(t.time) <= to),
    lowest_m: 0.1,
    highest_m: 1.1,
    lines: [
      { level_m: 0.7, says: 'crest covers', danger: false },
      { level_m: 0.72, says: 'wading ends', danger: true },
      { level_m: 9, says: 'far above the tide', danger: false },
    ],
    marks,
    peaks: [{ time: iso(noon), springs: true, range_m: 1 }],
    windows: [{ opens: iso(noon - 60 * minute), closes: iso(noon + 240 * minute), closed_by: '' }],
    daylight: [{ from: iso(noon - 300 * minute), to: iso(noon + 300 * minute) }],
    twilight: [{ from: iso(noon - 330 * minute), to: iso(noon + 330 * minute) }],
    surfaces: [{ from: iso(from), to: iso(to), word: 'ripple' }],
  };
}

const nature = (kind: Nature['kind'], name: string, unit: string, more: Partial<Nature> = {}): Nature => ({
  kind,
  name,
  long: name,
  unit,
  min: 0,
  max: 50,
  step: 0.5,
  decimals: 1,
  dimension: 'any',
  drawn: 'number',
  words: [],
  called: [],
  columns: [],
  given_by: ['the angler'],
  ...more,
});
export const kinds: Nature[] = [
  nature('clarity_secchi_m', 'clarity', 'm', { words: ['muddy', 'clear'] }),
  nature('water_temp_c', 'water', '°C', { min: -2 }),
  nature('wind_speed_ms', 'wind', 'm/s'),
  nature('wind_from_deg', 'wind from', '°', { drawn: 'compass', alongside: 'wind_speed_ms' }),
  nature('cloud_fraction', 'cloud', '', { drawn: 'eighths' }),
];

export const state = {
  conditions: [
    { kind: 'water_temp_c', value: 14.26, origin: 'forecast' },
    { kind: 'clarity_secchi_m', value: 0.8, origin: 'assumed' },
  ],
  shown: ['clarity_secchi_m', 'water_temp_c', 'wind_speed_ms', 'cloud_fraction'],
} as unknown as SpotState;

export const spell = (more: Partial<Spell>): Spell => ({
  id: 's1',
  revision: 3,
  spot_id: 'flat',
  spot_name: 'Mud Flat',
  target: 'drum',
  target_name: 'Red drum',
  target_in_sentence: 'red drum',
  started_at: iso(noon - 120 * minute),
  ended_at: iso(noon - 60 * minute),
  time_zone: 'Etc/UTC',
  approach: 'lure',
  offering: 'Paddle tail',
  mark: '',
  note: 'kept as it was',
  light: 'bright',
  moon_phase: 'full moon',
  moon_illumination: 1,
  sun_altitude_deg: 30,
  rods: 2,
  rod_hours: 0.5,
  readings: [],
  catches: [],
  blank: true,
  tide_direction: 'ebb',
  tide_level_m: 0.3,
  tide_rate_m_per_h: -0.1,
  tide_stage: 'ebb, last third',
  tide_third: 3,
  ...more,
});

const target = (id: string, name: string) => ({
  id,
  name,
  name_in_sentence: name.toLowerCase(),
  latin: '',
  note: '',
  lives: ['oyster bar'],
  known: true,
});

/** The server of the made-up shore. What a test is about it replaces. */
export function serve() {
  sessionStorage.clear();
  vi.spyOn(api, 'kinds').mockResolvedValue(kinds);
  vi.spyOn(api, 'state').mockResolvedValue(state);
  vi.spyOn(api, 'visits').mockResolvedValue({ visits: [] });
  vi.spyOn(api, 'spells').mockResolvedValue({ spells: [] } as never);
  vi.spyOn(api, 'targets').mockResolvedValue([target('drum', 'Red drum'), target('trout', 'Seatrout')]);
  vi.spyOn(api, 'ribbon').mockImplementation((_, from, hours) =>
    Promise.resolve(ribbon(Date.parse(from), hours)),
  );
}

/** Shows something at the shore at noon, as the page would. */
export function show(children: ReactNode, spots: Spot[] = [bar, flat]) {
  const queries = new QueryClient({ defaultOptions: { queries: { retry: false } } });
  const shown = render(
    <QueryClientProvider client={queries}>
      <App>
        <Suspense fallback="waiting">
          <MomentProvider now={new Date(noon)} spots={spots}>
            {children}
          </MomentProvider>
        </Suspense>
      </App>
    </QueryClientProvider>,
  );
  return { ...shown, queries };
}
