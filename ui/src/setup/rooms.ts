import { lazy, type ComponentType } from 'react';
import { setup as say } from '../words/setup';

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
  room('You', 'you', 'Account', say.passwordSessionsDevicesRecoveryCodes, () => import('./You'), 'You', true),
  room(
    'You',
    'units',
    say.unitsAndLight,
    say.feetMetresOuncesPoundsFahrenheit,
    () => import('./UnitsPage'),
    'UnitsPage',
    true,
  ),
  room('You', 'limits', say.goingOrNot, say.windWavesWadingKayakBoat, () => import('./Limits'), 'Limits'),
  room('You', 'bylaws', say.bylaws, say.wordsOfBylaws, () => import('../law/Bylaws'), 'Bylaws'),
  room('Tackle', 'kit', 'Kit', say.rodsReelsLinesLeadersLures, () => import('../kit/Kit'), 'Kit'),
  room(
    say.theBook,
    'book/targets',
    'Targets',
    say.fishSpeciesOwnTarget,
    () => import('./TargetsPanel'),
    'TargetsPanel',
  ),
  room(say.theBook, 'book/rules', 'Rules', say.rulesOfThumbEffectCertainty, () => import('./Rules'), 'Rules'),
  room(
    say.theBook,
    'book/schools',
    'Schools',
    say.disputedQuestionsPositions,
    () => import('./Schools'),
    'Schools',
  ),
  room(
    'Waters',
    'waters',
    'Waters',
    say.forecastAddressRemoveInventedCoast,
    () => import('./WatersPage'),
    'WatersPage',
  ),
  room(
    'Waters',
    'waters/stations',
    say.tideStations,
    say.constituentsSecondaryKnownStationsCompare,
    () => import('./Stations'),
    'Stations',
  ),
  room(
    'Waters',
    'waters/gauge',
    say.aGaugeRecord,
    say.analyseHarmonicCsvLevels,
    () => import('./Analyse'),
    'Analyse',
  ),
  room(
    'Waters',
    'waters/spot-tide',
    say.thisSpotsTide,
    say.lagFactorNotedHighLow,
    () => import('./SpotTide'),
    'SpotTide',
  ),
  room(
    'Waters',
    'waters/ground',
    'Depths',
    say.soundingsGridGroundBathymetry,
    () => import('./Depths'),
    'Depths',
  ),
  room('Waters', 'waters/usual', say.usualConditions, say.wordsOfTheUsual, () => import('./Usual'), 'Usual'),
  room(
    'Waters',
    'waters/readings',
    say.readingsFromALogger,
    say.temperatureWindCsvLog,
    () => import('./Logs'),
    'Logs',
  ),
  room(
    'Files',
    'files',
    say.placesInAndOut,
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
