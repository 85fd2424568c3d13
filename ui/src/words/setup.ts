export const setup = {
  // Said in several places of Set-up
  leaveIt: 'Leave it',

  // Said in several rooms
  name: 'Name',

  // UnitsPage.tsx
  monday: 'Monday',
  sunday: 'Sunday',
  saturday: 'Saturday',
  units: 'Units',
  forEverythingThatIsShown:
    'For everything that is shown. Whatever you type is understood with its unit, whatever is set here: “3 ft 6”, “1/2 oz”, “54F”, “12 kn”.',
  allAtOnce: 'All at once',
  myOwn: 'My own',
  hooksAndLinesKeepThe:
    'Hooks and lines keep the sizes they are sold by; “ankle” and “waist” stay what they are.',
  hoursAndWeeks: 'Hours and weeks',
  hours: 'Hours',
  n640Pm: '6:40 pm',
  aWeekBeginsOn: 'A week begins on',
  lightOfTheScreen: 'Light of the screen',
  light: 'Light',
  keptOnThisDevice: 'Kept on this device.',

  // Limits.tsx
  yourLimitsAreKept: 'Your limits are kept.',
  bylaws: 'Bylaws',
  wordsOfBylaws:
    'law rules keep release size slot limit bag season closed licence authority minimum length gear code',
  goingOrNot: 'Going or not',
  anEmptyFieldStandsFor: (basis: string) => `${basis} An empty field stands for never.`,
  byManner: 'By manner',
  thinkAgain: 'Think again',
  doNotGo: 'Do not go',
  usual: 'usual',
  atOrUnder: 'at or under',
  atOrOver: 'at or over',
  thinkAgain2: 'think again',
  doNotGo2: 'do not go',
  keepMyLimits: 'Keep my limits',
  yourLimits: 'Your limits',
  backToTheUsual: 'Back to the usual',

  // WatersPage.tsx
  makeAnotherWater: 'Make another water',
  isGone: (w: string) => `${w} is gone.`,
  takeAway: (w: string) => `Take ${w} away?`,
  allOfIt: 'All of it',
  ofTheInventedCoast: 'Of the invented coast.',
  rename: 'Rename',
  takeThisWaterAway: 'Take this water away…',
  theForecastAddress: 'The forecast address',
  forecastAddress: 'Forecast address',
  anAddressOfHourlyCsv: 'https://… hourly CSV with CF standard names',
  tryItAgain: 'Try it again',
  tryIt: 'Try it',
  takeItAway: 'Take it away',
  itDidNotGoWell: (problem: string) => `It did not go well: ${problem}.`,
  readingsCameIssued: (readings: number, issued: string, issued2: string) =>
    `${readings} readings came, issued ${issued} ${issued2}.`,
  fetched: (fetched: string, fetched2: string) => `Fetched ${fetched} ${fetched2}.`,
  withoutOneWhatIsUsual: 'Without one, what is usual is assumed, and said to be.',

  // Said in several rooms
  placesInAndOut: 'Places in and out',

  // rooms.ts
  passwordSessionsDevicesRecoveryCodes:
    'password sessions devices recovery codes invite export take along delete sign out',
  unitsAndLight: 'Units and light',
  feetMetresOuncesPoundsFahrenheit:
    'feet metres ounces pounds fahrenheit knots clock 12 24 hours week glare night',
  windWavesWadingKayakBoat: 'wind waves wading kayak boat limits caution do not',
  rodsReelsLinesLeadersLures: 'rods reels lines leaders lures weights hooks csv',
  theBook: 'The book',
  fishSpeciesOwnTarget: 'fish species own target',
  rulesOfThumbEffectCertainty: 'rules of thumb effect certainty own rule',
  disputedQuestionsPositions: 'disputed questions positions',
  forecastAddressRemoveInventedCoast: 'forecast address remove invented coast new water',
  tideStations: 'Tide stations',
  constituentsSecondaryKnownStationsCompare: 'constituents secondary known stations compare',
  aGaugeRecord: 'A gauge record',
  analyseHarmonicCsvLevels: 'analyse harmonic csv levels',
  thisSpotsTide: 'This spot’s tide',
  lagFactorNotedHighLow: 'lag factor noted high low water current usual',
  soundingsGridGroundBathymetry: 'soundings grid ground bathymetry',
  readingsFromALogger: 'Readings from a logger',
  temperatureWindCsvLog: 'temperature wind csv log',

  // SetupPage.tsx
  setUp: 'Set-up',
  findInSetUp: 'Find in Set-up',
  nothingHereGoesByThat: 'Nothing here goes by that.',

  // Usual.tsx
  usualConditions: 'Usual conditions',
  wordsOfTheUsual: 'usual mean month temperature clarity wind season climate',
  usualConditionsAre:
    'What each month usually has. It is believed where nobody told anything: beyond the forecast, and in the year by months.',
  usualOf: 'Of',
  waterOfTheUsual: 'Water of the usual conditions',
  theUsualIsKept: 'The usual conditions are kept.',
  monthOfTheYear: 'Month',
  usualIn: (kind: string, month: string) => `${kind} in ${month}`,
  keepTheUsual: 'Keep these',
  bringATable: 'Bring a table (CSV)',
  takeTheTable: 'Take it along as a table',
  aTableHas:
    'A table has a column “month” and any of water_temp_c, clarity_secchi_m and wind_speed_ms, or water_temp_f, clarity_secchi_ft, wind_speed_kn, _mph or _kmh; beside one, the same name with _spread.',
  theTableIsIn: (file: string) => `${file} stands in the months above. Look it over and keep it.`,
  takeWhatMyReadingsSay: 'Take what my readings say',
  readOnFiveDays: 'With readings on five days of a month or more, the month can be learned from them.',
  monthNames: [
    'January',
    'February',
    'March',
    'April',
    'May',
    'June',
    'July',
    'August',
    'September',
    'October',
    'November',
    'December',
  ],
};
