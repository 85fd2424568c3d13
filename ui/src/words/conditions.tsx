import type { ReactNode } from 'react';

export const conditions = {
  // origin.ts
  fromTheForecast: 'From the forecast',
  observed: 'Observed',
  predictedOrigin: 'Predicted',
  asThatMonthUsuallyHas: 'As that month usually has it',
  notKnownAssumed: 'Not known; assumed',

  // Overrule.tsx
  youSaidForNotYet: (pending: string, time: string) =>
    `You said ${pending} for ${time}; not yet with the server.`,
  youSaidSo: 'You said so',
  /** Who says so, of which place, and since when. */
  believedSince: (who: string, place: string | undefined, when: string, aged: string) =>
    place ? `${who} at ${place}, ${when} (${aged}).` : `${who}, ${when} (${aged}).`,
  likelyBetweenAnd: (low: string, high: string) => `Likely between ${low} and ${high}.`,
  inAWord: 'In a word',
  soItIs: 'So it is',
  takeItBack: 'Take it back',

  // Overrulable.tsx
  changeIt: (meaning: string | number | undefined) => `${meaning}. Change it`,

  // TideChip.tsx
  theTide: 'The tide',
  oneMoment: 'One moment…',
  tidePredictedSayWhatYou: 'Tide, predicted. Say what you see',
  withTheSurgeYouSaw: 'with the surge you saw',
  predicted: 'predicted',
  whatYouSawOfThe: 'What you saw of the level',

  /** The tide now: its stage, how far it goes, and how strong that is. */
  tideNow: (stage: ReactNode, rising: boolean, range: string, ofSprings?: string) => (
    <>
      <b>{stage}</b>, {rising ? 'rising' : 'falling'} {range}
      {ofSprings && <>, {ofSprings} % of a spring tide</>}.
    </>
  ),
  springsOrNeapsOn: (springs: boolean, on: string) => (springs ? `Springs on ${on}.` : `Neaps on ${on}.`),
  youSawAtItFades: (by: string, seen: string, ends: string, on: string) =>
    `You saw ${by} at ${seen}; it fades until ${ends}, ${on} on.`,
  higherThanPredictedByLower: 'Higher than predicted by (lower: minus)',
  fadesWithin: 'Fades within',
  soItStandsAt: (time: string) => `So it stands at ${time}`,
  backToThePrediction: 'Back to the prediction',

  // LightColumn.tsx
  to: (from: string, to: string) => `${from} to ${to}`,
  whyAndNot: (why: string | undefined, finish: string | undefined) => `${why}; not ${finish}`,

  // WarmthChart.tsx
  nothingIsUnderWaterHere: 'Nothing is under water here.',
  temperatureOverEachMark: 'Temperature over each mark',

  // Sheet.tsx
  conditionsAt: (spot: string) => `Conditions at ${spot}`,
  readings: 'Readings',
  theWater: 'The water',
  tide: 'Tide',

  tideAsItStands: (stage: string, level: string, range: string, rising: boolean, ofSprings: string) =>
    rising
      ? `${stage}, ${level}, ${range} rise, ${ofSprings} % of springs`
      : `${stage}, ${level}, ${range} fall, ${ofSprings} % of springs`,
  surge: 'Surge',
  fading: (get: string) => `${get}, fading`,
  current: 'Current',
  withTheFlood: 'with the flood',
  withTheEbb: 'with the ebb',
  surface: 'Surface',
  wavesOfOverOfWater: (says: ReactNode, get: ReactNode, fetch: ReactNode) => (
    <>
      {says}, waves of {get} over {fetch} of water
    </>
  ),
  sun: 'Sun',
  onTheWater: (get: ReactNode, says: ReactNode) => (
    <>
      {get}°, {says} on the water
    </>
  ),
  moon: 'Moon',
  lit: (says: ReactNode, get: ReactNode, says2: ReactNode) => (
    <>
      {says}, {get} % lit, {says2}
    </>
  ),
  lightBelowAndWhatShows: 'Light below, and what shows there',
  warmthOverEachMark: 'Warmth over each mark',

  workedOutFromSunCloud: (trend?: string) =>
    trend
      ? `Worked out from sun, cloud, air, wind and depth about the open water, which ${trend}.`
      : 'Worked out from sun, cloud, air, wind and depth about the open water.',
  whatTheWordsForClarity: 'What the words for clarity stand for',
  to2: (word: string, from: string, to: string) => `${word} ${from} to ${to}`,
  howDeepAWhitePlate: (clarityWords: string) =>
    `How deep a white plate shows: ${clarityWords}. The limits are the house’s judgement.`,
  changeIt2: (source: string) => `${source}. Change it`,
  you: 'you',
  changeIt3: (n: string, time: string) => `${n}: change it, ${time}`,
  noForecastIsSetUp: 'No forecast is set up for this water.',
  forecastIssued: (issued: string, issued2: string, ageS: string) =>
    `Forecast issued ${issued} ${issued2}, ${ageS}.`,
  noForecastHasComeYet: 'No forecast has come yet.',
  theLastTryFailedThe: (problem: string) => `The last try failed (${problem}); the last good one is used.`,

  // ConditionStrip.tsx
  conditions: 'Conditions',
  all: 'all',
};
