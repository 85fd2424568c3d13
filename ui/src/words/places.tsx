import type { ReactNode } from 'react';

export const places = {
  // Said in several rooms
  andMore: (count: number) => `and ${count} more`,
  takeTheFile: 'Take the file',

  // Depths.tsx
  chartDatumByTheTide: 'chart datum, by the tide',
  theDepthsOfAreThose: (water: string, file: string | number | undefined) =>
    `The depths of ${water} are those of ${file}.`,
  depthsOf: (water: string) => `Depths of ${water}`,
  anEsriAsciiGridSoundings:
    'An ESRI ASCII grid, soundings as CSV or GeoJSON, or a sounder’s log. They replace what the map is drawn from; spots and their sections stay.',
  chooseAFileOfDepths: 'Choose a file of depths',
  readAs: (file: ReactNode, note: ReactNode) => (
    <>
      {file}, read as {note}.
    </>
  ),
  theFileIs: 'The file is',
  itsNumbersAreIn: 'Its numbers are in',
  sayWhich: 'say which',
  andCount: 'and count',
  upwardsElevation: 'upwards (elevation)',
  downwardsDepth: 'downwards (depth)',
  fromWhichDatum: 'from which datum',
  suchAsChartDatumMean: 'such as chart datum, mean sea level',
  whichLiesAboveChartDatum: 'which lies above chart datum by',
  metresCountFromLatitudeLongitude: 'Metres count from (latitude, longitude)',
  onlyWhereTheGridIs: 'only where the grid is in metres',
  cellsOf: 'Cells of',
  aSoundingSpeaksFor: 'A sounding speaks for',
  nothingWasStored: (file: string, message: string) => `${file}: ${message} Nothing was stored.`,
  lookAtIt: 'Look at it',
  cellsOfOfThemKnown: (
    rows: ReactNode,
    cols: ReactNode,
    cell: ReactNode,
    known: ReactNode,
    low: ReactNode,
    high: ReactNode,
    lat: ReactNode,
    lon: ReactNode,
    soundings: number,
  ) => (
    <>
      {rows} × {cols} cells of {cell}, {known} % of them known, from {low} to {high} above chart datum; the
      middle lies at {lat}, {lon}
      {soundings > 0 && <>; {soundings} soundings</>}. Nothing is stored yet.
    </>
  ),
  keepTheseDepths: 'Keep these depths',
  depthAsc: (water: string) => `${water} depth.asc`,
  takeAlongTheDepthOf: 'Take along the depth of water now',

  // Logs.tsx
  readingsAreKeptFor: (kept: number, water: string) => `${kept} readings are kept for ${water}.`,
  logsOfInstruments: 'Logs of instruments',
  csvWithAColumnTime: (kinds: string, water: string) =>
    `CSV with a column time and others such as ${kinds}; or a sounder’s .nmea file. They become readings of ${water}, whose time holds where the file does not say.`,
  chooseALog: 'Choose a log',
  readingsCsv: (water: string) => `${water} readings.csv`,
  takeAlongWhatWasObserved: (water: string) => `Take along what was observed on ${water}`,
  nothingIsStoredYet: (file: string, from?: string, to?: string) =>
    from && to ? `${file}, from ${from} to ${to}. Nothing is stored yet.` : `${file}. Nothing is stored yet.`,
  ofTo: (n: ReactNode, long: ReactNode, low: ReactNode, high: ReactNode) => (
    <>
      {n} of {long}, {low} to {high}
    </>
  ),
  depthsWithAPlace: (soundings: ReactNode) => <>{soundings} depths with a place</>,
  damagedOrForeignLinesPassed: (passedBy: number) => `${passedBy} damaged or foreign lines passed by`,
  keepTheseReadings: 'Keep these readings',

  // TakeAlong.tsx
  leavePrivateSpotsOut: 'leave private spots out',
  blurPrivateSpots: 'blur private spots',
  withPrivateSpots: 'with private spots',
  takeYourSpotsAlong: 'Take your spots along',
  format: 'Format',
  privateSpots: 'Private spots',
  byUpTo: 'by up to',

  // Places.tsx
  spots: 'spots',
  theShores: 'the shores',
  zonesWithARule: 'zones with a rule',
  ringsOfShore: (rings: number) => `${rings} rings of shore`,
  broughtIntoPassedOver: (n: string, water: string, count: number) =>
    `${n} brought into ${water}; ${count} passed over.`,
  placesInAndOut: 'Places in and out',
  aTableNameLatLon: (known: string, water: string) =>
    `${known} (a table: name, lat, lon), in degrees of WGS 84. Points become spots, tracks and areas spots with a shape; areas may also become the shores of ${water}, or zones.`,
  chooseAFileOfPlaces: 'Choose a file of places',
  expectedAFileEndingIn: (f: string, ends: string) => `${f}: expected a file ending in one of ${ends}.`,
  holdsPlacesNothingIsStored: (file: ReactNode, count: ReactNode) => (
    <>
      {file} holds {count} places. Nothing is stored yet.
    </>
  ),
  noName: '(no name)',
  kindOfPoints: (kind: string, places: number) => (places > 1 ? `${kind} of ${places} points` : kind),
  takeThemAs: 'Take them as',
  kindOfPlace: 'Kind of place',
  whatItAsks: 'What it asks',
  theRuleInWords: 'The rule in words',
  whereItStands: 'Where it stands',
  lookedUpOn: 'Looked up on',
  nothingWasStored2: (message: string) => `${message} Nothing was stored.`,
  bringThemIn: 'Bring them in',
  wouldBeAdded: (what: string, passedOver: number) => (
    <>
      <b>{what} would be added</b>
      {passedOver > 0 && <>, {passedOver} passed over:</>}
    </>
  ),
};
