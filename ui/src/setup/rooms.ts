import { lazy, type ComponentType } from 'react';

/** A page of Set-up, with the words it is found by. */
export interface Room {
  /** Its address beneath /set-up. */
  at: string;
  name: string;
  group: string;
  words: string;
  Page: ComponentType;
  /** It works without a spot chosen. */
  bare?: boolean;
}

const room = (
  group: string,
  at: string,
  name: string,
  words: string,
  load: () => Promise<unknown>,
  part: string,
  bare = false,
): Room => ({
  group,
  at,
  name,
  words,
  bare,
  Page: lazy(async () => ({ default: ((await load()) as Record<string, ComponentType>)[part]! })),
});

/** The pages of Set-up, in their groups. */
export const rooms: Room[] = [
  room(
    'You',
    'you',
    'Account',
    'password sessions devices recovery codes invite export take along delete sign out',
    () => import('./You'),
    'You',
    true,
  ),
  room(
    'You',
    'units',
    'Units and light',
    'feet metres ounces pounds fahrenheit knots clock 12 24 hours week glare night',
    () => import('./UnitsPage'),
    'UnitsPage',
    true,
  ),
  room(
    'You',
    'limits',
    'Going or not',
    'wind waves wading kayak boat limits caution do not',
    () => import('./Limits'),
    'Limits',
  ),
  room(
    'Tackle',
    'kit',
    'Kit',
    'rods reels lines leaders lures weights hooks csv',
    () => import('../kit/Kit'),
    'Kit',
  ),
  room(
    'The book',
    'book/targets',
    'Targets',
    'fish species own target',
    () => import('./TargetsPanel'),
    'TargetsPanel',
  ),
  room(
    'The book',
    'book/rules',
    'Rules',
    'rules of thumb effect certainty own rule',
    () => import('./Rules'),
    'Rules',
  ),
  room(
    'The book',
    'book/schools',
    'Schools',
    'disputed questions positions',
    () => import('./Schools'),
    'Schools',
  ),
  room(
    'Waters',
    'waters',
    'Waters',
    'forecast address remove invented coast new water',
    () => import('./WatersPage'),
    'WatersPage',
  ),
  room(
    'Waters',
    'waters/stations',
    'Tide stations',
    'constituents secondary known stations compare',
    () => import('./Stations'),
    'Stations',
  ),
  room(
    'Waters',
    'waters/gauge',
    'A gauge record',
    'analyse harmonic csv levels',
    () => import('./Analyse'),
    'Analyse',
  ),
  room(
    'Waters',
    'waters/spot-tide',
    'This spot’s tide',
    'lag factor noted high low water current usual',
    () => import('./SpotTide'),
    'SpotTide',
  ),
  room(
    'Waters',
    'waters/ground',
    'Depths',
    'soundings grid ground bathymetry',
    () => import('./Depths'),
    'Depths',
  ),
  room(
    'Waters',
    'waters/readings',
    'Readings from a logger',
    'temperature wind csv log',
    () => import('./Logs'),
    'Logs',
  ),
  room(
    'Files',
    'files',
    'Places in and out',
    'gpx geojson kml import export waypoints',
    () => import('./Places'),
    'Places',
  ),
];

/** Rooms in which every word of what was typed is found. */
export function found(list: Room[], typed: string): Room[] {
  const words = typed.toLowerCase().split(/\s+/).filter(Boolean);
  return list.filter((r) => words.every((w) => `${r.group} ${r.name} ${r.words}`.toLowerCase().includes(w)));
}
