import type { ReactNode } from 'react';

export const tides = {
  // FitChart.tsx
  fitOverTheRecordAnd: 'Fit over the record, and the residual',
  left: 'left',

  // Said in several rooms
  leaveIt: 'Leave it',
  stillWanted: (missing: string) => `Still wanted: ${missing}.`,

  // Analyse.tsx
  aCsvFileWhoseFirst:
    'A CSV file whose first line names the columns time and height_m (or height_cm, height_ft), fifteen days or more. Other names and units are asked about.',
  aCsvFileWithThe:
    'A CSV file with the columns time, height_m (or height_cm, height_ft) and kind (high or low), fifteen days or more; a year gives a good station.',
  aStationFromWhatWas: 'A station from what was measured',
  whatTheFileHolds: 'What the file holds',
  gaugeRecord: 'Gauge record',
  tableOfHighAndLow: 'Table of high and low waters',
  timesWithoutAnOffsetAre: (about: string, water: string) =>
    `${about} Times without an offset are read as those of ${water}.`,
  chooseARecord: 'Choose a record',
  chooseATable: 'Choose a table',
  analysing: 'Analysing',
  othersGoFirstBefore: (place: number, file: string) => `Others go first: ${place} before ${file}`,
  analysing2: (file: string) => `Analysing ${file}`,
  readings: 'readings',
  highAndLowWaters: 'high and low waters',
  gauges: 'gauge’s',
  tables: 'table’s',
  duplicatesMerged: (duplicates: number) => `${duplicates} duplicates merged.`,
  spikesGivenNoWeight: (spikes: number) => `${spikes} spikes given no weight.`,
  theGaugesZeroMovedBy: (by: string, time: string) =>
    `The gauge’s zero moved by ${by} on ${time}; allowed for.`,
  aLastingMoveOfThe: (leastShift: string) =>
    `A lasting move of the zero is looked for, three at most; one of less than ${leastShift}, or within three days of either end, would not be found.`,
  fromToConstituentsMeanLevel: (
    samples: ReactNode,
    x: ReactNode,
    from: ReactNode,
    to: ReactNode,
    count: ReactNode,
    z0M: ReactNode,
    x2: ReactNode,
    residualRms: ReactNode,
    duplicates: ReactNode,
    x3: ReactNode,
  ) => (
    <>
      {samples} {x} from {from} to {to}: {count} constituents, mean level {z0M} above the {x2} zero, residual{' '}
      {residualRms}. {duplicates} {x3}
    </>
  ),
  constituent: 'Constituent',
  amplitudeM: 'Amplitude, m',
  phase: 'Phase, °',
  from: (inferredFrom: string) => `from ${inferredFrom}`,
  leftOut: 'Left out',
  andMore: (count: number) => `and ${count} more`,
  analysedFrom: (file: string) => `analysed from ${file}`,
  theStationIsKeptChoose: 'The station is kept. Choose in Tide stations which water follows it.',
  name: 'Name',
  chartDatumAboveTheZero: (x: string) => `Chart datum above the ${x} zero`,
  asPublished: 'as published',
  keepAsAStation: 'Keep as a station',

  // Bring.tsx
  from2: (file: string) => `from ${file}`,
  theStationIsKeptChoose2: 'The station is kept. Choose above which water follows it.',
  bringAStation: 'Bring a station',
  constituentsAsJsonOrCsv: 'constituents as JSON, or CSV with name, amplitude_m and phase_deg',
  constituentsMeanLevelAboveDatum: (count: number, z0M: string) =>
    `${count} constituents, mean level ${z0M} above datum. Nothing is stored yet.`,
  nameOfTheStation: 'Name of the station',
  keepTheStation: 'Keep the station',

  // Compare.tsx
  compareTwoStations: 'Compare two stations',
  firstStation: 'First station',
  oneStation: 'one station',
  secondStation: 'Second station',
  another: 'another',
  atTheSameTime: 'at the same time',
  minLater: (min: string) => `${min} min later`,
  minEarlier: (min: string) => `${min} min earlier`,
  overTheNextSixtyDays: (
    b: ReactNode,
    lagHighMin: ReactNode,
    lagHighScatterMin: ReactNode,
    lagLowMin: ReactNode,
    lagLowScatterMin: ReactNode,
    a: ReactNode,
    factor: ReactNode,
    difference: ReactNode,
    difference2: ReactNode,
    meanSpringRangeAM: ReactNode,
    meanSpringRangeBM: ReactNode,
    rms: ReactNode,
  ) => (
    <>
      Over the next sixty days {b} has high water {lagHighMin} (± {lagHighScatterMin}) and low water{' '}
      {lagLowMin} (± {lagLowScatterMin}) than {a}; its heights are ×{factor} {difference} {difference2}.
      Springs range {meanSpringRangeAM} and {meanSpringRangeBM}; the levels differ by {rms} (root mean
      square).
    </>
  ),
  levelsOfAnd: (a: string, b: string) => `Levels of ${a} and ${b}`,

  // OffsetFields.tsx
  highWaterLaterBy: 'High water later by',
  lowWaterLaterBy: 'Low water later by',
  highWaterTimes: 'High water times',
  lowWaterTimes: 'Low water times',
  highWaterPlus: 'High water plus',
  lowWaterPlus: 'Low water plus',

  // Secondary.tsx
  addASecondaryPlace: 'Add a secondary place',
  oneThatFollowsAnotherStation: 'one that follows another station, later and higher or lower',
  nameOfThePlace: 'Name of the place',
  follows: 'Follows',
  whereItsFiguresComeFrom: 'Where its figures come from',
  tableAndYear: 'table and year',
  keepThePlace: 'Keep the place',

  // Stations.tsx
  min2: (min: string, min2: number) => `${min}${min2} min`,
  followsHighLow: (
    reference: string,
    lagHighMin: string,
    factorHigh: string,
    lagLowMin: string,
    factorLow: string,
  ) => `follows ${reference}: high ${lagHighMin} ×${factorHigh}, low ${lagLowMin} ×${factorLow}`,
  stations: 'Stations',
  constituentsMeanLevelAboveDatum2: (count: number, z0M: string) =>
    `${count} constituents, mean level ${z0M} above datum`,
  springsAbout: (referenceId: string, meanSpringRange: string) =>
    `${referenceId}, springs about ${meanSpringRange}`,
  json: 'JSON',
  csv: 'CSV',
  turnsCsv: (s: string) => `${s} turns.csv`,
  thisYearsHighAndLow: 'this year’s high and low waters',
  takeItAlong: (referenceId: ReactNode, thisYearsHighAndLow: ReactNode) => (
    <>
      Take it along: {referenceId}
      {thisYearsHighAndLow}
    </>
  ),
  remove: 'Remove',
  follows2: (w: string) => `${w} follows`,
  stationOf: (w: string) => `Station of ${w}`,

  // Noting.tsx
  whichWater: 'Which water',
  highWater: 'High water',
  lowWater: 'Low water',
  heightAboveDatumIfRead: 'Height above datum, if read',
  itStoodAt: (time: string, time2: string) => `It stood at ${time}, ${time2}`,
  itStoodNow: 'It stood now',
  thatIsYetToCome: 'That is yet to come: move the ribbon back to when it stood.',
  moveTheRibbonToAnother: 'Move the ribbon to another time if need be.',

  // SpotTide.tsx
  theTideAt: (spot: string) => `The tide at ${spot}`,
  theTideAtNowFollows: (spot: string) => `The tide at ${spot} now follows these figures.`,
  theNote: 'The note',
  itFollowsByTheseFigures: (station: string) =>
    `It follows ${station} by these figures: the head of a creek turns later, and ranges differently, than the open coast.`,
  useThese: 'Use these',
  learnThemFromWhatYou: 'Learn them from what you note',
  noteTheTimeWhenThe: 'Note the time when the water stands here, and the height if you can read it.',
  water: (kind: ReactNode, time: ReactNode, time2: ReactNode, height: ReactNode) => (
    <>
      {kind} water {time} {time2}
      {height}
    </>
  ),
  forgetWater: (kind: string, time: string) => `Forget ${kind} water ${time}`,
  forget: 'Forget',
  min3: (lagHighMin: string) => `${lagHighMin} min`,
  min4: (lagLowMin: string) => `${lagLowMin} min`,
  heights: (factorHigh: ReactNode, factorError: ReactNode) => (
    <>
      , heights {factorHigh} (± {factorError})
    </>
  ),
  notesSayHighWaterLater: (
    highs: ReactNode,
    lagHighMin: ReactNode,
    lagHighErrorMin: ReactNode,
    lagLowMin: ReactNode,
    lagLowErrorMin: ReactNode,
    factorError: ReactNode,
  ) => (
    <>
      {highs} notes say: high water {lagHighMin} later (± {lagHighErrorMin}), low water {lagLowMin} later (±{' '}
      {lagLowErrorMin}){factorError}. A few notes are drawn towards no lag at all.
    </>
  ),
  useWhatWasLearned: 'Use what was learned',
  howItRuns: 'How it runs',
  theFastestRunYouHave: 'The fastest run you have seen here, on springs',
  workedOut: 'worked out',
  notKnown: 'not known',
  keepIt: 'Keep it',
};
