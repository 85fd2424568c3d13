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
  rain_mm: {
    name: 'rain',
    unit: 'mm',
    step: 0.5,
    min: 0,
    max: 500,
    long: 'Rain in the hour',
    write: (v: number) => `${fixed(v, 1)} mm`,
  },
  sounder_depth_m: {
    name: 'sounder',
    unit: 'm',
    step: 0.1,
    min: 0,
    max: 11000,
    long: 'Depth under the sounder',
    write: (v: number) => `${fixed(v, 1)} m`,
  },
} as const;
export type Kind = keyof typeof kinds;
export const kindList = Object.keys(kinds) as Kind[];
/** Those shown with a spot; the rest is in the sheet. The swell counts only on an open beach. */
export const shownAt = (place: string): Kind[] =>
  place === 'surf beach'
    ? ['clarity_secchi_m', 'water_temp_c', 'wind_speed_ms', 'swell_height_m', 'swell_period_s']
    : ['clarity_secchi_m', 'water_temp_c', 'wind_speed_ms', 'cloud_fraction'];
/** How old a reading is, in words. */
export const aged = (s: number) => {
  const min = Math.round(Math.abs(s) / 60);
  const span =
    min < 90 ? `${min} min` : min < 36 * 60 ? `${Math.round(min / 60)} h` : `${Math.round(min / 1440)} d`;
  return s < -60 ? `in ${span}` : min === 0 ? 'now' : `${span} old`;
};
export const isKind = (k: string): k is Kind => k in kinds;

/** A number and its unit kept on one line. */
export const unbroken = (text: string) =>
  text.replace(
    /(\d) (g|kg|oz|lb|m|cm|mm|ft|in|s|h|min|kn|°C|°F|%|m\/s|ft\/s|turns)(?=[\s.,;:)]|$)/g,
    '$1\u00a0$2',
  );
