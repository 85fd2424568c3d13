import type { ReactNode } from 'react';
import { counted } from './joined';

export const setup = {
  // FitChart.tsx
  fitOverTheRecordAnd: 'Fit over the record, and the residual',
  left: 'left',

  // Said in several places of Set-up
  is: 'is',
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

  // Invites.tsx
  letOthersIn: 'Let others in',
  whoeverHasTheCodeMakes:
    'Whoever has the code makes an account of their own here. It holds for a fortnight.',
  itIsNotShownAgain: 'It is not shown again.',
  forWhom: 'For whom',
  howMany: 'How many',
  makeAnInvite: 'Make an invite',
  forAnyone: 'for anyone',
  leftUntil: (usesLeft: number, expires: string) => `${usesLeft} left, until ${expires}`,
  takeItBack: 'Take it back',

  // RecoveryCodes.tsx
  recoveryCodes: 'Recovery codes',
  youHaveNoneYet: 'You have none yet.',
  youHaveLeft: (n: number) => `You have ${n} left.`,
  thereIsNoMailTo: (n: ReactNode) => (
    <>
      There is no mail to send a lost password to. With one of these codes you set a new one; each works once.{' '}
      {n}
    </>
  ),
  writeThemDownOrPrint: 'Write them down or print them now: they are not shown again.',
  iHaveThem: 'I have them',
  yourPassword: 'Your password',
  makeNewOnes: 'Make new ones',
  makeCodes: 'Make codes',

  // You.tsx
  oneMoment: 'One moment…',
  nobodyElseHereSeesAnything: 'Nobody else here sees anything of yours.',
  signOut: 'Sign out',
  signedIn: 'Signed in',
  here: 'Here',
  sinceLastUsed: (started: string, seen: string) => `since ${started}, last used ${seen}`,
  signOutThere: 'Sign out there',
  signOutEverywhereElse: 'Sign out everywhere else',
  thePasswordIsChangedOther: 'The password is changed; other devices are signed out.',
  password: 'Password',
  now: 'Now',
  theOneYouHave: 'The one you have.',
  fromNowOn: 'From now on',
  itHas10CharactersAt: 'It has 10 characters at least.',
  changeIt: 'Change it',
  takeEverythingAlong: 'Take everything along',
  allYouEnteredAsOne:
    'All you entered, as one file: waters, stations, spots, depths, readings, log, kit, rules, limits and settings. Any Grey Pebble reads it back into an account that is empty.',
  takeTheFile: 'Take the file',
  deleteTheAccount: 'Delete the account',
  everythingInItGoesAt: 'Everything in it goes at once, and nobody can bring it back. Take it along first.',
  deleteTheAccount2: 'Delete the account…',
  /** What goes with an account, counted. */
  theseGo: (
    b: Record<'spots' | 'waters' | 'stations' | 'spells' | 'catches' | 'readings' | 'kit' | 'rules', number>,
  ) =>
    `These go: ${counted(b.spots, 'spot', 'spots')} in ${counted(b.waters, 'water', 'waters')}, ${counted(b.stations, 'tide station', 'tide stations')}, ${counted(b.spells, 'spell', 'spells')} with ${counted(b.catches, 'catch', 'catches')}, ${counted(b.readings, 'reading', 'readings')}, ${counted(b.kit, 'thing', 'things')} of your kit, ${counted(b.rules, 'rule', 'rules')} of your own.`,
  yesAllOfIt: 'Yes, all of it',
  yourPasswordToBeSure: 'Your password, to be sure it is you',
  deleteEverythingNow: 'Delete everything now',

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

  // OwnRule.tsx

  is3: (x: string, any: string) => `${x} is ${any}`,
  isAbove: (x: string, above: string) => `${x} is above ${above}`,
  isBelow: (x: string, below: string) => `${x} is below ${below}`,

  is4: (x: string) => `${x} is …`,
  everyTarget: 'every target',
  aForWhen: (says: string, effect: string, certainty: string, whom: string, when: string) =>
    `“${says}”: a ${effect}, ${certainty}, for ${whom}, when ${when}.`,
  keptBut: (findings: string) => `Kept. But: ${findings}`,
  yourRuleIsInThe: 'Your rule is in the playbook.',
  whatItSays: 'What it says',
  underTheOldPostOn: 'Under the old post on the ebb',
  about: 'About',
  howStrong: 'How strong',
  howSure: 'How sure',
  forNoneAll: 'For (none: all)',
  forWhichTargets: 'For which targets',
  when: 'When',
  and3: 'and',
  condition: (i: number) => `Condition ${i}`,
  conditionIs: (i: number) => `Condition ${i} is`,
  above: 'above',
  below: 'below',
  andAnotherCondition: 'And another condition',
  addTheRule: 'Add the rule',
  cancel: 'Cancel',

  // TargetsPanel.tsx
  targets: 'Targets',
  whatIsSaidOfA:
    'What is said of a target becomes rules. Change one, or copy it under another name: yours lies over the playbook and survives its updates.',
  targetToReadOrChange: 'Target to read or change',
  yours: (target: string) => `${target} (yours)`,
  isKept: (b: string) => `${b} is kept.`,
  your: (t: string) => `Your ${t}`,
  livesAt: 'Lives at',
  likes: 'Likes',
  prefers: 'Prefers',
  feeds: 'Feeds',
  takesToo: 'Takes too',
  bestMonths: 'Best months',
  notThereIn: 'Not there in',
  whatToKnow: 'What to know',
  landingHoldingPuttingBack: 'Landing, holding, putting back',
  feedsWellFrom: 'Feeds well from',
  goneBelow: 'Gone below',
  huntsBy: 'Hunts by',
  latinName: 'Latin name',
  strikesAheadFrom: 'Strikes ahead from',
  to: 'to',
  dangerToTheLeader: 'Danger to the leader',
  add: (b: string) => `Add ${b}`,
  keepForMe: 'Keep for me',
  asThePlaybookHasIt: 'As the playbook has it',
  takeOut: 'Take out',
  giveItAnotherNameTo: 'Give it another name to add it as a target of its own.',

  // SetAside.tsx
  your2: (kind: string, id: string) => `Your ${kind} ${id}`,
  setAside: 'Set aside',
  becauseThisPlaybookDoesNot: (setAside: ReactNode) => (
    <>
      {setAside}, because this playbook does not know what they speak of. They are kept, and count again when
      it does.
    </>
  ),
  your3: (kind: string, id: string, why: string) => `Your ${kind} ${id}: ${why}`,
  takeItOut: 'Take it out',

  // Rules.tsx
  targetsAndRulesAreYours: (count: number, count2: number) =>
    `${count} targets and ${count2} rules are yours.`,
  but: (what: string, findings: string) => `${what} But: ${findings}`,
  thePlaybook: 'The playbook',
  rulesOfThumbTheirStrengths: (count: number) =>
    `${count} rules of thumb. Their strengths are this program’s judgement, not measurements: switch off what you do not believe, or say how strongly you do. Your changes are yours alone and survive its updates.`,
  findARule: 'Find a rule',
  findAmongRules: (count: number) => `Find among ${count} rules`,
  rulesAbout: 'Rules about',
  about2: (f: string) => `about ${f}`,
  changedByYou: (count: number) => `changed by you (${count})`,
  rulesFor: 'Rules for',
  forEveryTarget: 'for every target',
  writeARuleOfYour: 'Write a rule of your own',
  bringAPlaybookFile: 'Bring a playbook file…',
  yoursAsAFile: 'Yours as a file',
  oneRule: 'One rule.',
  allOfThem: 'All of them',
  noRuleSpeaksOfThat: 'No rule speaks of that. Try fewer letters, or another family.',
  andMoreSayMoreOf: (count: number) => `and ${count} more; say more of it`,
  yourRule: 'Your rule',
  off: 'off',
  iBelieveIt: 'I believe it',
  strengthOf: (id: string) => `Strength of ${id}`,
  certaintyOf: (id: string) => `Certainty of ${id}`,
  youWroteIt: 'You wrote it.',
  thePlaybook2: (builtEffect: string, builtCertainty: string, origin: string, idea: string) =>
    `The playbook: ${builtEffect}, ${builtCertainty} (${origin}, ${idea}).`,
  anglersDisagree: (school: string) => `Anglers disagree. ${school}.`,
  youTakeAnotherSideSo: 'You take another side, so it does not speak.',
  speaksOf: (targets: string) => `Speaks of ${targets}.`,

  // Schools.tsx
  whereAnglersDisagree: 'Where anglers disagree',
  twelveOldQuestionsTakeA:
    'Twelve old questions. Take a side and advice follows it; for one outing you can take another in Tie on.',

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
