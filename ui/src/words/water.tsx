import type { ReactNode } from 'react';

export const water = {
  // SpotFilter.tsx
  asEachIsReached: 'as each is reached',
  onMyLegs: 'on my legs',
  byKayak: 'by kayak',
  byBoat: 'by boat',
  byCar: 'by car',
  kindOfPlace: 'Kind of place',
  everyKind: 'every kind',
  openNow: 'open now',
  sheltered: 'sheltered',
  withinReach: 'within reach…',
  minutesOnTheWay: 'Minutes on the way',
  howYouGetAbout: 'How you get about',
  from: 'from',
  here: 'here',
  forgetWhereISetOut: 'Forget where I set out',

  // Marks.tsx
  marks: 'Marks',
  noneYetAddEdgesHoles: 'None yet. Add edges, holes, bars and snags where you change the spot.',
  mark: 'Mark',
  depthNow: 'Depth now',
  warmth: 'Warmth',
  worthACast: 'Worth a cast',
  catchesLine: 'Catches line',
  dry: 'dry',
  breaking: 'breaking',

  // PierReading.tsx
  readingThePier: 'Reading the pier',
  underTheDeckAt: 'Under the deck at',
  deep: 'deep',
  tryInOrder: 'try, in order',
  out: (distance: string) => `${distance} out`,
  depthsFromTheSurfaceIn: 'Depths from the surface in metres.',

  // Section.tsx
  sectionOf: (spot: string, frame: string) => `Section of ${spot}: ${frame}`,
  heightsDrawnTimesLargerThan: (underSays: string, stretch: number) =>
    `${underSays} Heights drawn ${stretch} times larger than distances.`,

  // Shelter.tsx
  shelterInOfWind: (wind: string) => `Shelter in ${wind} of wind`,
  wavesByTheDirectionOf: 'Waves by the direction of the wind',

  // SurfReading.tsx
  readTheSurf: 'Read the surf',
  markTheWhiteWater: 'Mark the white water',
  theSectionIsWhatThe: 'The section is what the surf says it is.',
  atWaterTouchTheWater: (frame: ReactNode, level: ReactNode) => (
    <>
      At {frame}, water {level}. Touch the water where you see waves break; a crest that hides the horizon is
      as high as your eye over the trough.
    </>
  ),
  addALineOfBreakers: 'Add a line of breakers',
  breakersOut: (i: number) => (
    <>
      <span className="unseen">Breakers {i}, </span>out
    </>
  ),

  high: 'high',
  takeAwayBreakers: (i: number) => `Take away breakers ${i}`,
  myCastReaches: 'My cast reaches',
  keepThisSection: 'Keep this section',
  leaveIt: 'Leave it',
  theBeachFromTheSide: 'The beach from the side; touch where waves break',
  dashesWhereTheStoredSection: 'Dashes: where the stored section has it white now.',

  // Way.tsx
  bestByDay: 'best by day',
  byDayOnly: 'by day only',
  nightToo: 'night too',
  beOut: 'Be out',
  margin: 'Margin',
  min: (v: number) => `${v} min`,
  beforeItShuts: 'before it shuts',
  hours: 'Hours',
  theWeatherMayMoveThe: 'The weather may move the water enough to shut it all along.',
  noneAfterThisMomentAs: 'None after this moment, as far as was looked.',
  oneMoment: 'One moment…',
  aMonthOnPaper: 'A month on paper',
  twoWeeksOfItAs: 'Two weeks of it as a calendar',

  // SectionPlace.tsx
  noSectionYet: 'No section yet',
  aSectionShowsHowDeep:
    'A section shows how deep it is over each edge, bar and hole at any tide. Type or draw one, or cut it from the depths along a line on the map.',
  drawTheSection: 'Draw the section',
  toTheMap: 'To the map',
  change: (spot: string) => `Change ${spot}`,

  // NewMark.tsx
  isAMarkOf: (name: string, spot: string) => `${name} is a mark of ${spot}.`,
  aMarkOf: (spot: string) => `A mark of ${spot}`,
  itsName: 'Its name',
  kindOfMark: 'Kind of mark',
  bottom: 'Bottom',
  bottomThere: 'Bottom there',
  notKnown: '(not known)',
  whatWasLearnedThere: 'What was learned there',
  aboveChartDatum: 'Above chart datum',
  byTheDepthsOfThe: 'by the depths of the map',
  itCatchesLine: 'It catches line',
  keepTheMark: 'Keep the mark',

  // ContourPick.tsx
  depthsWithALine: 'Depths with a line',
  linesAt: (sort: string, unitOf: string) => `Lines at ${sort} ${unitOf}`,
  noLinesOfDepth: 'No lines of depth',

  // FindList.tsx
  dugChannel: 'Dug channel',
  suggestedFromTheDepths: (why: string) => `Suggested from the depths: ${why}`,
  isAMarkOf2: (title: string, spot: string) => `${title} is a mark of ${spot}.`,
  bringDepthsInUnderSet: 'Bring depths in under Set-up, and what stands out in them is listed here.',
  whatTheDepthsSuggestAt: (level: string, spot: string) =>
    `What the depths suggest at ${level} of tide. Take what you believe as a mark of ${spot}; the depths may be old, and sand moves.`,
  lookAgainAtThisTide: 'Look again at this tide',
  lookingTheGroundOver: 'Looking the ground over…',
  nothingStandsOutThatYou: 'Nothing stands out that you have not dealt with.',
  deep2: (level: string) => `${level} deep`,
  takeAsAMark: 'Take as a mark',
  notWorthIt: 'Not worth it',

  // SpotList.tsx
  until: (closes: string) => `until ${closes}`,
  closedBy: (closedBy: string) => `closed by ${closedBy}`,
  from2: (opens: string) => `from ${opens}`,
  noSpotsYetNewSpot: 'No spots yet. “New spot” puts the first one on the map.',
  noSpotIsLikeThat:
    'No spot is like that and in reach now. Allow more minutes, another way to go, or move the ribbon.',
  noSpotIsLikeThat2: 'No spot is like that now. Move the ribbon, or ask for less.',
  /** How long the way is and by what; a guess is said to be one. */
  theWayTakes: (span: string, by: string, guessed: boolean) =>
    guessed ? `${span} ${by}, guessed from the bee line` : `${span} ${by}`,
  byRoad: 'by road',
  walk: 'walk',
  paddle: 'paddle',
  run: 'run',

  // ZoneList.tsx
  theProgramShipsNoLaw:
    'The program ships no law. Enter what your authority says, with where it stands and when you looked it up.',
  drawAZone: 'Draw a zone',
  change2: 'Change',
  remove: (z: string) => `Remove ${z}?`,
  remove2: 'Remove',
  noZonesOnYet: (water: string) => `No zones on ${water} yet.`,
  changeTheZone: 'Change the zone',
  aNewZone: 'A new zone',
  whatItAsks: 'What it asks',
  fromMonthDay: 'From (month-day)',
  toMonthDay: 'To (month-day)',
  theRuleInWords: 'The rule in words',
  whereItStands: 'Where it stands',
  lookedUpOn: 'Looked up on',
  keepTheZone: 'Keep the zone',

  // MapPlace.tsx
  touchTheMapWhereThe: 'Touch the map where the new spot lies.',
  touchTheMapWhereThe2: 'Touch the map where the mark lies: a snag, a hole, an edge.',
  touchTheCornersOfThe: 'Touch the corners of the zone one after another.',
  touchTheMapWhereYou: 'Touch the map where you set out.',
  fetchingTheMap: 'Fetching the map…',
  orMoveTheCrossAnd: 'Or move the cross and press Enter.',
  theseAreAll: 'These are all',
  oneBack: 'One back',
  leave: 'Leave',
  whatTheListShows: 'What the list shows',
  newSpot: 'New spot',
  newMark: 'New mark',
  ground: (source: string) => `Ground: ${source}.`,
  nobodyHasSoundedThisWater: 'Nobody has sounded this water yet: bring depths in under Set-up.',
  depthsAreDrawnForS: (spot: string, level: string, grid: string) =>
    `Depths are drawn for ${spot}’s tide, ${level}; elsewhere it may run earlier or later. ${grid} Not for navigation.`,

  // WaterPage.tsx
  glassyWater: 'Glassy water',
  aRippleOnTheWater: 'A ripple on the water',
  aChopOnTheWater: 'A chop on the water',
  roughWater: 'Rough water',
  /** The water in a sentence: its surface, between the breakers where there are any, and its run where known. */
  theWaterNow: (surface: string, breakers: boolean, run?: { in: boolean; says: string | null }) => {
    const water = breakers ? `Between the breakers: ${surface}` : surface;
    if (!run) return `${water}.`;
    if (run.says === null) return `${water}, the tide hardly running.`;
    return run.in
      ? `${water}, the tide running in at ${run.says}.`
      : `${water}, the tide running out at ${run.says}.`;
  },

  view: 'View',
  section: 'Section',
  map: 'Map',
  spots: 'Spots',
  zones: 'Zones',
  features: 'Features',
  dropOff: 'Drop-off',
  cut: 'Cut',
  hole: 'Hole',
  open: 'open',
  shut: 'shut',

  // LogHere.tsx, LogDots.tsx, SectionPlace.tsx
  log: {
    side: 'Log',
    here: 'My log here',
    target: 'Target of the log',
    anyTarget: 'any target',
    nothing: 'Nothing of it in the log.',
    markOf: (spot: string, mark: string) => `${spot}, ${mark.toLowerCase()}`,
    tally: (fish: number, hours: string, rate: string, blanks: number, spells: number) =>
      `${fish} fish in ${hours} rod-hours${rate ? `, ${rate} a rod-hour` : ''}; ${blanks} of ${spells} ${spells === 1 ? 'spell' : 'spells'} blank`,
    legend:
      'On the map: filled with how many fish, hollow without; the longer it was fished, the larger. Few hours say little.',
    evidence: 'What it says of the rules',
    noMark: 'no mark told',
    span: (low: string, high: string) => (low === high ? `at ${low}` : `from ${low} to ${high}`),
    dots: (spells: number, at: string, withFish: number, atFish: string) =>
      `${spells} ${spells === 1 ? 'spell' : 'spells'} ${at}${
        withFish === 0
          ? ', all blank'
          : withFish === spells
            ? ', all with fish'
            : `; with fish ${withFish}, ${atFish}`
      }`,
  },
};
