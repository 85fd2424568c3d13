import type { ReactNode } from 'react';

export const bench = {
  // sight.ts
  oClock: (h: number) => `${h} o’clock`,
  left: 'left',
  right: 'right',
  leftAndNearer: 'left and nearer',
  rightAndNearer: 'right and nearer',
  leftAndAway: 'left and away',
  rightAndAway: 'right and away',
  atYou: 'at you',
  awayFromYou: 'away from you',
  standsOrTails: 'stands or tails',
  oneLengthInTwoSeconds: 'one length in two seconds',
  aSlowWalk: 'a slow walk',
  aBriskWalk: 'a brisk walk',
  fasterThanYouWalk: 'faster than you walk',

  // Practice.tsx
  practiceFish: 'Practice fish',
  itSwimsDartsAndComes:
    'It swims, darts, and comes back to its bearing. Watch it for a few seconds, then touch where the lure is to land: clear of the fish, beyond and ahead of it. It is wound straight to you.',
  aFishFromAboveTouch: 'A fish from above; touch where the lure is to land',
  itSwamOffThrowSooner: 'It swam off. Throw sooner.',
  onItsWay: 'On its way…',
  ifItKeptItsBearing: (waitS: string) => `If it kept its bearing: cast at ${waitS} s to the ring.`,
  ifItKeptItsBearing2: (why: string) => `If it kept its bearing: ${why}.`,
  anotherFish: 'Another fish',
  showTheBenchsAim: 'Show the bench’s aim',
  ofThrows: (strikes: number, throws: number) => `${strikes} of ${throws} throws`,

  // Beats.tsx
  stop: 'Stop',
  play: 'Play',
  atItsPace: 'at its pace',
  halfAsFast: 'half as fast',
  aQuarter: 'a quarter',

  // Interception.tsx
  fishAndCastFromAbove: 'Fish and cast from above',
  secondsFromNow: 'Seconds from now',
  castAtS: (waitS: string) => `cast at ${waitS} s`,
  splashAtS: (splashS: string) => `splash at ${splashS} s`,
  crossesAtSAheadOf: (crossS: string, passDistance: string) =>
    `crosses at ${crossS} s, ${passDistance} ahead of the nose`,
  theCastFromTheSide: 'The cast from the side, heights not to scale',
  landsOut: (far: string) => `lands ${far} out`,
  meetsItAt: (cross: string) => `meets it at ${cross}`,

  // aim.tsx
  aFishYouSee: 'A fish you see',
  whereToLandAndWhen:
    'Where to land and when, so that splash and line stay clear and the lure crosses before its nose.',
  aboutHowFar: 'About how far',
  where12IsStraightAhead: 'Where (12 is straight ahead)',
  itsHeadPoints: 'Its head points',
  itGoes: 'It goes',
  toPassBeforeItsNose: 'To pass before its nose by',
  to: 'to',
  youWind: 'You wind',
  yourReachNoWind: 'Your reach, no wind',
  wind: 'Wind',
  from: 'from',
  splashClearBy: 'Splash clear by',
  aCastFlies: 'A cast flies',
  waitSLandOutWind: (waitS: string, landYM: string) =>
    `Wait ${waitS} s, land ${landYM} out, wind as it splashes`,
  notFromHere: (why: string) => `Not from here: ${why}`,

  // Rods.tsx
  rod: (number: number) => `rod ${number}`,

  // Rose.tsx
  castsFromAbove: 'Casts from above',

  // Swim.tsx
  thePlugsWayOverThe: "The plug's way over the bottom",

  // tools.tsx
  acrossTheCurrent: 'across the current',
  slantwiseDown: 'slantwise down',
  downTheCurrent: 'down the current',
  reelTurns: 'Reel turns',
  fromOneDepthToAnother: 'From one depth to another. Aim over the fish: most look up.',
  oneTurnBringsIn: 'One turn brings in',
  fromDeep: 'From, deep',
  toDeep: 'to, deep',
  turnsUp: (turns: string) => `${turns} turns up`,
  ofLineOut: (turns: string) => `${turns} of line out`,
  fall: 'Fall',
  countItDownWatchThe: 'Count it down. Watch the line: a jump on the fall is the bite.',
  weightAllOfIt: 'Weight, all of it',
  shape: 'Shape',
  depth: 'Depth',
  timedOnceLeaveEmpty: 'Timed once (leave empty)',
  stepsDownABankAs: 'Steps down a bank, as 1, 2, 3.5 (leave empty)',
  sToTheBottom: (seconds: string, speed: string) => `${seconds} s to the bottom, ${speed}`,
  toLiftLetItFall: (from: ReactNode, to: ReactNode, hopLift: ReactNode, seconds: ReactNode) => (
    <>
      {from} to {to}: lift {hopLift}, let it fall {seconds}
    </>
  ),
  pace: 'Pace',
  theSlowestWindingThatKeeps: 'The slowest winding that keeps the lure working, with the push of the water.',
  itWorksFrom: 'It works from',
  theWaterPushesItTo: 'The water pushes it to you by',
  letLineOutTheWater: 'Let line out: the water draws it faster than it wants',
  turnsIn10S: (turnsPer10s: string) => `${turnsPer10s} turns in 10 s`,
  cadence: 'Cadence',
  aRetrieveInWordsWind:
    'A retrieve in words: wind, twitch, jerk, pop, hop, walk, lift, pause; how often before, seconds after.',
  theRetrieve: 'The retrieve',
  n2TwitchPause4S: '2 twitch pause 4 s',
  sARound: (text: string, seconds: string) => `${text}: ${seconds} s a round`,
  lead: 'Lead',
  whatHoldsInThisCurrent:
    'What holds in this current, and what trots. Thin line wants less; so does a line that streams down the current.',
  current: 'Current',
  line: 'Line',
  rodTipToLead: 'Rod tip to lead',
  depthThere: 'Depth there',
  cast: 'Cast',
  sinker: 'Sinker',
  holdsTrots: (hold: string, trot: string) => `${hold} holds, ${trot} trots`,
  withLineAQuarterThicker: (thicker: string, thinner: string) =>
    `With line a quarter thicker ${thicker} would hold, a quarter thinner ${thinner}.`,
  plug: 'Plug',
  howDeepItRunsAlong:
    'How deep it runs along the cast over this section, where it first knocks, how long it fishes the strip.',
  youStandOutFromThe: 'You stand, out from the bank',
  soldAsDivingTo: 'Sold as diving to',
  goodDepthsFrom: 'Good depths from',
  neverTouches: 'Never touches',
  firstKnocksOut: (touches: string) => `First knocks ${touches} out`,
  sInTheStrip: (touches: string, seconds: string) => `${touches}; ${seconds} s in the strip`,
  alongOrAcross: 'Along or across',
  whichWayToCastFrom: 'Which way to cast from this spot so that the lure stays over good depths longest.',
  towardsSOverGoodDepths: (bearingDeg: string, seconds: string) =>
    `Towards ${bearingDeg}°: ${seconds} s over good depths`,
  noDirectionReachesGoodDepths: 'No direction reaches good depths',
  darkWater: 'Dark water',
  whatShowsAtTheLures: 'What shows at the lure’s depth in this light.',
  clarity: 'Clarity',
  theLureRunsDeep: 'The lure runs, deep',
  sun: 'Sun',
  cloud0To1: 'Cloud, 0 to 1',
  itIsThere: (x: string, finish: string) => `It is ${x} there: ${finish}`,
  vertical: 'Vertical',
  theWeightThatKeepsThe: 'The weight that keeps the line upright in this depth and run.',
  waterPastTheLine: 'Water past the line',
  lineOffUpright: 'Line off upright',
  orMore: (mass: string) => `${mass} or more`,
  float: 'Float',
  whereTheStopKnotGoes: 'Where the stop knot goes, so that the bait hangs clear of the wreck or bar.',
  tide: 'Tide',
  itsTopOverDatum: 'Its top, over datum',
  baitOverItBy: 'Bait over it by',
  stopKnotOverTheHook: (knot: string) => `Stop knot ${knot} over the hook`,
  rodsInARow: 'Rods in a row',
  distancesThatAskDifferentQuestions: 'Distances that ask different questions, over this section’s marks.',
  rods: 'Rods',
  yourReach: 'Your reach',
  trolling: 'Trolling',
  timeOverTheLedgeWhen: 'Time over the ledge, when to turn, and what softens the strike.',
  lure: 'Lure',
  speed: 'Speed',
  behind: 'Behind',
  ledgeAlongTheWay: 'Ledge along the way',
  drag: 'Drag',
  ofWord: 'of',
  sOverTheLedgeTurn: (overLedgeS: string, turnAfterS: string) =>
    `${overLedgeS} s over the ledge; turn ${turnAfterS} s after the boat is past it`,
  theSpeedIsOneIt: 'The speed is one it works at',
  itDoesNotWorkAt: 'It does not work at that speed',
  toTheLineGivesBefore: (fits: string, min: string, max: string, give: string) =>
    `${fits}: ${min} to ${max}. The line gives ${give} before the drag slips.`,
  lineAndLeader: 'Line and leader',
  theLeaderForTheHazard: 'The leader for the hazard, the drag, the knot and its turns.',
  hazard: 'Hazard',
  youTie: 'You tie',
  theLureHangs: 'The lure hangs',
  leaderToTurnsDrag: (leaderMinN: string, leaderMaxN: string, knot: string, turns: number, dragN: string) =>
    `Leader ${leaderMinN} to ${leaderMaxN}; ${knot}, ${turns} turns; drag ${dragN}`,

  theKnotStepByStep: 'The knot, step by step',
  lengthAndWeight: 'Length and weight',
  whatAFishOfA: 'What a fish of a length weighs; weighed, its condition.',
  fish: 'Fish',
  length: 'Length',
  weighedLeaveEmpty: 'Weighed (leave empty)',
  aboutFourInFiveTo: (mass: string, low: string, high: string) =>
    `About ${mass}, four in five ${low} to ${high}`,
  conditionK1IsAn: (condition: string) => `Condition K ${condition}; 1 is an ordinary fish of many kinds.`,

  // BenchPage.tsx
  theBench: 'The bench',
  whatToTieOn: '‹ What to tie on',
  startsFrom: (fromKit: string) => `Starts from ${fromKit}.`,
  caughtWithThis: 'Caught with this',
  blankWithThis: 'Blank with this',
};
