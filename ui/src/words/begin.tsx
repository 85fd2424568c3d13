import type { ReactNode } from 'react';

export const begin = {
  // Profile.tsx
  fromTheSide: (t: string) => `${t} from the side`,
  dry: 'dry',
  lowWater: 'low water',
  high: 'high',

  // Kind.tsx
  drawingTheKindsOfPlace: 'Drawing the kinds of place…',
  kindsOfPlace: 'Kinds of place',
  anotherKind: 'Another kind',
  depthsYouGiveAreThose: 'Depths you give are those of',
  depthsAtLowWater: 'Depths at low water',
  asItIsNowStanding: 'As it is now, standing there',
  aRodsLengthASounder:
    'A rod’s length, a sounder or a guess will do; leave what you do not know. It can all be drawn better later.',
  atLowWater: /at low water/,
  nowInstead: 'now',
  notKnown: 'not known',

  // Tide.tsx
  aKnownStationNearBy: 'A known station near by',
  n5800PublishedOnesAre: '5,800 published ones are here',
  highWaterHereIsSo: 'High water here is so long after another place',
  whatAnglersKnowOfA: 'what anglers know of a creek',
  aFileOfConstituents: 'A file of constituents',
  jsonOrCsv: 'JSON or CSV',
  aGaugeRecordOrA: 'A gauge record, or a table of high and low waters',
  workedOutFromIt: 'worked out from it',
  itHasNoTide: 'It has no tide',
  aLakeAnInlandSea: 'a lake, an inland sea',
  noTide: (water: string) => `${water}: no tide`,
  saidToHaveNone: 'said to have none',
  levelsStayWhereTheyAre: 'Levels stay where they are; depths are those you give.',
  goOnWithoutATide: 'Go on without a tide',
  howTheTideIsKnown: 'How the tide is known',
  findAStationByName: 'Find a station by name',
  findByNameStateOr: 'Find by name, state or country',
  noneGoesByThatTry: 'None goes by that. Try fewer letters, or another way to know the tide.',
  knownStations: 'Known stations',

  /** How far off a known station is, how it is known, from where, and who made it known. */
  aboutAStation: (
    away: string | undefined,
    secondary: boolean,
    datum: string,
    source: string,
    licence: string,
  ) => {
    const how = secondary ? `by lag and factor on another, above ${datum}` : `above ${datum}`;
    return `${away === undefined ? how : `${away} away, ${how}`}; ${source}, ${licence}`;
  },
  takeIt: 'Take it',
  highWaterMinAfterAs: (later: string | number | undefined, k: string) =>
    `high water ${later} min after ${k}, as noted`,
  after: (known: ReactNode, region: ReactNode) => (
    <>
      After {known}, {region}.{' '}
    </>
  ),
  anotherPlace: 'Another place',
  afterThis: 'After this',
  highWaterHereIsLater: 'High water here is later by (earlier: minus)',
  goOn: 'Go on',

  // LandMap.tsx
  mapOfCoastsArrowKeys:
    'Map of coasts. Arrow keys move it, plus and minus draw it nearer, Enter puts the pin in the middle',
  nearer: 'Nearer',
  furtherOff: 'Further off',

  // Where.tsx
  thisBrowserGivesNoPosition: 'This browser gives no position; touch the map.',
  thePositionWasRefusedTouch: 'The position was refused. Touch the map, or type it.',
  thePositionIsNotTo: 'The position is not to be had just now. Touch the map, or type it.',
  iAmHere: 'I am here',
  orTouchTheMapDraw:
    'or touch the map; draw it nearer first. The land is coarse: the pin may be moved later.',
  fetchingTheMap: 'Fetching the map…',
  latitudeLongitude: 'Latitude, longitude',
  twoNumbersInDegreesLike: 'Two numbers in degrees, like 41.49, -71.32.',

  // Ways.tsx
  onFootDry: 'On foot, dry',
  wading: 'Wading',
  byKayak: 'By kayak',
  byBoat: 'By boat',
  theTideFloodsIt: 'The tide floods it',
  aGutToWade: 'A gut to wade',
  aSillThatDries: 'A sill that dries',
  theTideItself: 'the tide',
  aGut: 'the gut to wade',
  aSill: 'the sill that dries',
  youGo: 'You go',
  onTheWay: 'On the way',
  noDepthInTheWay: 'No depth in the way',
  howDeepIsItThere: 'How deep is it there at low water? (dry: minus how far it stands out)',
  theWayBackMayShut:
    'The way back may shut before the way in: that is how one is cut off. It can be told apart later, in the spot’s own page.',

  // FirstWater.tsx
  theTide: 'The tide',
  thePlace: 'The place',
  thereAndBack: 'There and back',
  firstWater: 'First water',
  steps: 'Steps',
  whereIsIt: 'Where is it?',
  howIsItsTideKnown: 'How is its tide known?',
  whatKindOfPlaceIs: 'What kind of place is it?',
  howDoYouGetThere: 'How do you get there?',
  whatYouCallTheWater: 'What you call the water',
  aSoundAStretchOf: 'a sound, a stretch of beach',
  aName: 'a name',
  aPin: 'a pin',
  whatYouCallTheSpot: 'What you call the spot',
  showMeTheWater: 'Show me the water',
  stillWanted: (wanted: string) => `Still wanted: ${wanted}.`,

  // Invented.tsx
  takeTheInventedCoastAway: 'Take the invented coast away?',
  itsWatersGoWithTheir:
    'Its waters go with their spots, depths and log, and whatever you added to them. Your own waters stay.',
  takeItAway: 'Take it away',
  leaveIt: 'Leave it',
  makeAWaterOfYour: 'Make a water of your own',
  theCoastYouLookAt: (withBegin: ReactNode) => <>The coast you look at is invented. {withBegin} </>,
  takeTheInventedCoastAway2: 'Take the invented coast away',

  // Begin.tsx
  greyPebble: 'Grey Pebble',
  account: 'Account',
  signOut: 'Sign out',
  whereDoYouFish: 'Where do you fish?',
  yourFirstWater: 'Your first water',
  putAPinSayHow:
    'Put a pin, say how the tide is known, pick the kind of place, and give it two or three depths. About five minutes, and the program knows how deep it is there at any minute.',
  makeIt: 'Make it',
  lookAtAnInventedCoast: 'Look at an invented coast first',
  aSoundABeachA:
    'A sound, a beach, a pier and a marsh that are nowhere, with a log that nobody kept. Copied into your account, and taken out again in one go.',
  showIt: 'Show it',
  bringBackWhatYouTook: 'Bring back what you took along',
  theFileAnAccountGave: 'The file an account gave, from here or from another server.',
  readingIt: 'Reading it…',
  chooseTheFile: 'Choose the file',
};
