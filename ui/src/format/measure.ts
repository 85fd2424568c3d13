/** Numbers as they are read on a beach. Values come in SI and stay so; this only writes them. */
const minus = (s: string) => s.replace('-', '−');

export const fixed = (x: number, n: number) => {
  const s = x.toFixed(n);
  return minus(Number(s) === 0 ? (0).toFixed(n) : s);
};

export const metres = (m: number) => `${fixed(m, 2)} m`;
export const rate = (mPerH: number) => `${fixed(Math.abs(mPerH), 2)} m/h`;
export const times = (x: number) => `×${x >= 9.95 ? x.toFixed(0) : x >= 0.095 ? x.toFixed(1) : x.toFixed(2)}`;
export const factor = (x: number) => `×${x.toFixed(2)}`;

const compass = [
  'N',
  'NNE',
  'NE',
  'ENE',
  'E',
  'ESE',
  'SE',
  'SSE',
  'S',
  'SSW',
  'SW',
  'WSW',
  'W',
  'WNW',
  'NW',
  'NNW',
];
export const bearing = (deg: number) => compass[Math.round((((deg % 360) + 360) % 360) / 22.5) % 16]!;

/** How each kind of reading is named and written. */
export const kinds = {
  clarity_secchi_m: {
    name: 'clarity',
    unit: 'm',
    step: 0.1,
    min: 0.05,
    max: 60,
    long: 'Clarity (how deep a white plate shows)',
    write: (v: number) => `${fixed(v, 1)} m`,
  },
  water_temp_c: {
    name: 'water',
    unit: '°C',
    step: 0.5,
    min: -2.5,
    max: 40,
    long: 'Water temperature',
    write: (v: number) => `${fixed(v, 1)} °C`,
  },
  wind_speed_ms: {
    name: 'wind',
    unit: 'm/s',
    step: 0.5,
    min: 0,
    max: 60,
    long: 'Wind speed',
    write: (v: number) => `${fixed(v, 1)} m/s`,
  },
  wind_from_deg: {
    name: 'from',
    unit: '°',
    step: 5,
    min: 0,
    max: 360,
    long: 'Wind from (degrees, north is 0)',
    write: (v: number) => bearing(v),
  },
  cloud_fraction: {
    name: 'cloud',
    unit: '',
    step: 0.1,
    min: 0,
    max: 1,
    long: 'Cloud (part of the sky, 0 to 1)',
    write: (v: number) => `${Math.round(v * 8)}/8`,
  },
  air_temp_c: {
    name: 'air',
    unit: '°C',
    step: 0.5,
    min: -60,
    max: 60,
    long: 'Air temperature',
    write: (v: number) => `${fixed(v, 1)} °C`,
  },
  swell_height_m: {
    name: 'swell',
    unit: 'm',
    step: 0.1,
    min: 0,
    max: 30,
    long: 'Swell height in deep water',
    write: (v: number) => `${fixed(v, 1)} m`,
  },
  swell_period_s: {
    name: 'every',
    unit: 's',
    step: 0.5,
    min: 1,
    max: 30,
    long: 'Swell period',
    write: (v: number) => `${fixed(v, 0)} s`,
  },
} as const;
export type Kind = keyof typeof kinds;
export const kindList = Object.keys(kinds) as Kind[];
/** Those shown with a spot: the swell only on an open beach, air temperature in the sheet of a spell only. */
export const shownAt = (place: string): Kind[] =>
  kindList.filter(
    (k) => k !== 'wind_from_deg' && k !== 'air_temp_c' && (place === 'surf beach' || !k.startsWith('swell')),
  );
export const isKind = (k: string): k is Kind => k in kinds;
