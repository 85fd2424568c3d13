import { useQueryClient } from '@tanstack/react-query';
import { useCallback } from 'react';

/** The first word of every query's key: each stands for one answer of the server. */
export const keys = {
  me: ['me'],
  welcome: ['welcome'],
  account: ['account'],
  sessions: ['sessions'],
  invites: ['invites'],
  known: ['known-stations'],
  outlook: ['outlook'],
  ahead: ['ahead'],
  templates: ['templates'],
  waters: ['waters'],
  kinds: ['kinds'],
  formats: ['formats'],
  columns: ['columns'],
  words: ['words'],
  knots: ['knots'],
  spots: ['spots'],
  targets: ['targets'],
  playbook: ['playbook'],
  kit: ['kit'],
  bylaws: ['bylaws'],
  limits: ['limits'],
  stations: ['stations'],
  plans: ['plans'],
  /** What this device keeps; the server does not know of it yet. */
  outing: ['outing'],
  waiting: ['waiting'],
  clashes: ['clashes'],
  seasons: ['seasons'],
  imports: ['imports'],
} as const;

/** Everything that rests on what is known of the moment. */
const ofReadings = [
  'outlook',
  'ahead',
  'ahead-windows',
  'ahead-window',
  'state',
  'ribbon',
  'visits',
  'chart',
  'conditions',
  'advise',
  'state-in-hand',
  'elsewhere',
  'compare-advice',
  'edge',
  'shelter',
  'pier',
  'usual',
  'plans',
  'plan',
  'plan-sheet',
  'usual-of-water',
  'seasons',
];
/** Everything that rests on a spot's place, ground and tide. */
const ofSpots = [...ofReadings, 'spots', 'spot', 'reach', 'surf', 'month'];

/** What one's log says. */
const ofLog = ['evidence', 'evidence-rule', 'curve', 'calibration', 'lessons'] as const;

/** What a person changes, and the answers that follow from it. */
export const rests = {
  session: ['me'],
  account: ['account', 'sessions', 'invites'],
  // Advice goes by the log, and where a run lies rests on what it met.
  log: [
    'keep',
    'day-card',
    'spells',
    'imports',
    'coming',
    'log-days',
    'log-places',
    'tags',
    'growth',
    'seasons',
    'outings',
    ...ofLog,
    'ahead',
    'ahead-windows',
    'ahead-window',
    'outlook',
    'advise',
    'compare-advice',
    'edge',
    'elsewhere',
    'plan',
    'plan-sheet',
  ],
  outing: ['outing', 'outings'],
  readings: ofReadings,
  spots: [...ofSpots, 'waters', 'account', 'me', 'water', 'spot-tide', 'spells', 'imported'],
  /** Shores, zones and depths of a water. */
  water: [...ofSpots, 'water', 'cells', 'finds'],
  noted: ['spot-tide'],
  plans: ['plans', 'plan', 'plan-sheet'],
  trials: ['trials', 'trial'],
  sightings: ['sightings'],
  tide: [...ofSpots, 'waters', 'spot-tide', 'stations', 'water', 'compare-stations', 'finds'],
  playbook: [
    ...ofLog,
    'playbook',
    'targets',
    'ahead',
    'ahead-windows',
    'ahead-window',
    'advise',
    'compare-advice',
    'edge',
    'rig-card',
    'spells',
    'elsewhere',
  ],
  kit: [
    'kit',
    'ahead-windows',
    'advise',
    'compare-advice',
    'edge',
    'usual',
    'plan',
    'plan-sheet',
    'elsewhere',
  ],
  care: ['care'],
  bylaws: [
    ...ofReadings,
    'bylaws',
    'bylaw-check',
    'bylaw-said',
    'keep',
    'day-card',
    'spot',
    'plan',
    'plan-sheet',
  ],
  limits: ['limits', 'ahead', 'ahead-windows', 'ahead-window', 'advise', 'edge', 'state'],
} as const satisfies Record<string, readonly string[]>;

export type Subject = keyof typeof rests;

/** Asks anew whatever rests on a subject. */
export function useInvalidate() {
  const queries = useQueryClient();
  return useCallback(
    (subject: Subject) =>
      Promise.all(rests[subject].map((key) => queries.invalidateQueries({ queryKey: [key] }))),
    [queries],
  );
}

/** For the test that every key a page asks by is either fixed or rests on some subject. */
export const known = new Set<string>([
  ...Object.values(keys).map(([k]) => k),
  ...Object.values(rests).flat(),
  'bench',
  'ice',
  'live-bait',
  'practice',
  'rate-ratio',
  'shares',
  'trial-power',
  'trial-result',
]);
