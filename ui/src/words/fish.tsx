import { allOf, counted } from './joined';

const two = (n: number) => (n < 0.1 ? n.toFixed(2) : n.toFixed(1));

export const fish = {
  // FishPage.tsx
  fish: 'Fish',
  goFishing: 'Go fishing',
  begin: 'Begin',
  cautionAtTheStart:
    'Tell somebody where you go and when to call. Look at the water before you trust a forecast; local warnings and lifeguards come first.',

  notKept: (why: string) =>
    `This device could not keep it: it has no room, or this is a private window. Write it down. (${why})`,

  iAmHere: 'I am here: the nearest spot',
  nearestIs: (spot: string) => `Nearest: ${spot}.`,
  noPosition: 'This device gives no position; choose the spot.',

  // Ready.tsx
  gettingReady: (share: number) =>
    `Getting ready for no signal: stay here a moment while there is some.${share > 0 && share < 1 ? ` The calculations: ${Math.round(100 * share)} %.` : ''}`,
  readyForNoSignal: (at: string) => `Ready for no signal, as of ${at}.`,
  notWithoutSignal:
    'This browser cannot open the page with no signal. What you touch while it is open is kept all the same.',

  // Elsewhere.tsx
  goesOnElsewhere: (at: string) => `An outing goes on that was begun at ${at} on another device.`,
  goOnWithIt: 'Go on with it here',

  // TellSomebody.tsx
  tellSomebody: 'Tell somebody',
  callAfter: 'When to call, if I am not back',
  hoursAt: (h: number, at: string) => `${at}, ${h} h from now`,
  tellText: (t: {
    spot: string;
    water: string;
    at: string;
    manner: string;
    day: string;
    from: string;
    call: string;
  }) =>
    `I am fishing at ${t.spot}, ${t.water} (${t.at}), ${t.manner}, ${t.day} from ${t.from}.\n` +
    `If you have not heard from me by ${t.call}, call me. If I do not answer, call the coastguard or the emergency number.`,
  shareThis: 'Share this',
  copied: 'Copied',

  // SeenFish.tsx
  aFishSeen: 'A fish seen',
  touchItTwice: 'Touch where it is, and again three or four seconds on. You stand at the foot.',
  planOfTheWater: 'The water before you from above, with the fish and the cast',
  watchItLonger: 'Watch it three or four seconds between the two: darts are not its course.',
  itLiesStill: 'It lies still: its head is taken to point to the right.',
  castSo: (wait: string, far: string, hour: number, before: string) =>
    `${wait === '0' ? 'Cast now' : `Cast in ${wait} s`}, ${far} out at ${hour} o’clock: it crosses ${before} before its nose.`,

  // Look.tsx
  look: 'Look',
  castsByFeature: 'A cast to',
  featureHad: (name: string, had: { casts: number; fish: number } | undefined) =>
    had ? `${name}: ${had.casts}${had.fish > 0 ? `, ${counted(had.fish, 'fish', 'fish')}` : ''}` : name,
  oneCastAPlace: 'One cast a place; a second only where something showed.',
  marksOfThatKind: (names: string[]) => `Marks of that kind here: ${allOf(names)}.`,
  levels: 'Levels, in the order to try',
  level: (depth: string, turns: number, surface: boolean, next: boolean) =>
    `${next ? 'Next: ' : ''}${depth} down, ${counted(turns, 'turn', 'turns')} ${surface ? 'below the surface' : 'off the bottom'}`,
  fishMarkedAt: 'Fish marked at',
  markedToo: 'Marked',
  unmark: 'Forget the marks',
  stopAbove: 'Most look up: stop a little above each, one after the other.',
  rodsInARow: 'Rods in a row',
  rodNamed: (rod: string) => `Rod ${rod}`,
  rodOut: (rod: string, far: string, bait: string, since: string) =>
    `Rod ${rod} at ${far}${bait ? `, ${bait}` : ''}, ${since}`,
  rodOutAt: (rod: string) => `Rod ${rod} out at`,
  rodIsOut: 'It is out',
  outAgain: 'Out again',
  lookAtTheBait: 'look at the bait',
  fishOnIt: (n: number) => (n > 0 ? `Fish: ${n}` : 'Fish'),
  biteOnIt: (n: number) => (n > 0 ? `Bites: ${n}` : 'Bite'),
  move: (rod: string, far: string, scouts: boolean) =>
    scouts ? `Rod ${rod} scouts, at ${far}.` : `Bring rod ${rod} to ${far}.`,
  itIsThere: 'It is there',

  rodBait: 'On it',
  rodRig: 'Its rig',
  castsAlongTheShore: 'Casts along the shore',
  touchWhereItWent:
    'Touch where a cast went; you stand at the foot. Circles showed nothing, filled ones did.',
  planOfTheCasts: (n: number) => `The shore from above, with ${counted(n, 'cast', 'casts')}`,
  youCastThere: 'You cast there before, and nothing showed: try beside it.',
  trolling: 'Trolling',

  // Troll.tsx
  lineOut: 'Line out',
  lureRunsAt: 'The lure runs at',
  iAmTrolling: 'I am trolling',
  trollSo: 'Troll so',
  noLongerTrolling: 'No longer',
  hookUpIsKept:
    'At the next fish on, the place, the course and the depth are kept, if the device gives a position.',
  passAgain: (far: string, at: string, course: string, speed: string, over: string, deep: string) =>
    `Over it again: ${far} to the ${at}, then ${course} at ${speed}. The lure is there ${over} s after you turn in${deep ? `, at ${deep}` : ''}.`,
  planOfThePass: 'From above, north up: the boat, the way to the start, and the run over where it was hooked',
  boat: 'boat',
  hookedHere: 'hooked',

  // Clash.tsx
  clash: {
    title: 'Told twice',
    both: (spot: string, day: string, from: string) =>
      `At ${spot}, ${day} from ${from}: somebody changed this in the log, and it was told otherwise here. The log stays as it is until you choose.`,
    log: 'In the log',
    here: 'Told here',
    time: 'From, to',
    rested: 'Rested',
    fish: 'Fish',
    note: 'Note',
    takenBack: 'taken back',
    keepTheLog: 'Keep the log’s',
    takeThis: 'Take what was told here',
  },

  // Going.tsx
  aLockedPhone: 'A locked phone may hold this page’s alarm back.',
  intoTheCalendar: 'Put it into the calendar',
  beOutOf: (spot: string) => `Be out: ${spot}`,
  boatPassed: (min: number, settled: boolean) =>
    settled
      ? `A boat passed ${min} min ago: the water settles about now.`
      : `A boat passed ${min > 0 ? `${min} min ago` : 'just now'}: give the water 10 to 15 min.`,
  itPays: (feature: string) => `Fish came from ${feature}: fish that kind, and pass by the rest.`,
  rodsToMove: (n: number) => `${counted(n, 'rod', 'rods')} to move, under Look.`,
  wayShutsIn: (time: string) => `The way shuts in ${time}`,
  nothingKnown:
    'With no signal nothing is known here of the way and the water: this spot was not opened in Fish before. Look for yourself, and be out early.',
  wayIsShut: (why: string, opens: string) =>
    `The way is shut now${why ? `: ${why}` : ''}.${opens ? ` It opens at ${opens}.` : ''}`,
  beOut: 'Be out now: the way shuts soon.',
  iHaveSeenIt: 'I have seen it',
  cautions: 'Before you go on',
  placeAt: (spot: string, mark: string) => (mark ? `${spot}, ${mark}` : spot),
  doing: (target: string, offering: string, rods: number) =>
    `${target}${offering ? ` with ${offering}` : ''}${rods > 1 ? `, ${rods} rods` : ''}`,
  forSoLong: (time: string, resting: boolean) => (resting ? `${time} so far, resting` : `for ${time}`),
  minutes: (n: number) => `${n} min`,
  hours: (h: number, min: number) => (min > 0 ? `${h} h ${min}` : `${h} h`),
  tally: { fish: 'Fish', lost: 'Lost', missed: 'Missed', bites: 'Bites', rodHours: 'Rod-hours' },
  stayOrGo: (s: {
    stay: boolean;
    reason: string;
    staying: number;
    staying_low: number;
    staying_high: number;
    away_min?: number;
    going: number;
    best?: string;
    over_min: number;
    left_s: number;
  }) => {
    const here = `Another ${Math.round(s.over_min)} min here: about ${two(s.staying)} fish (${two(s.staying_low)} to ${two(s.staying_high)}).`;
    const left = `${Math.ceil(s.left_s / 60)} min`;
    switch (s.reason) {
      case 'odds':
        return `${s.stay ? 'Stay.' : `Go to ${s.best}.`} ${here} At ${s.best}, ${Math.round(s.away_min ?? 0)} min of packing and way counted: about ${two(s.going)}.`;
      case 'clock':
        return s.stay
          ? `By the clock ${left} more here. ${here}`
          : `Half an hour without a fish: go. ${here}`;
      case 'bites':
        return s.stay ? `Something bit: stay ${left} more. ${here}` : `Nothing bites any more: go. ${here}`;
      case 'winter':
        return s.stay ? `A winter school is worked until it stops: ${left} more.` : 'The school has stopped.';
      case 'all at once':
        return s.stay
          ? `They feed all at once: cast back where it came from. ${left} more without a bite, and they have stopped.`
          : `They have stopped, all at once, however many there were: walk or drift on to other ground${s.best ? `, or go to ${s.best}` : ''}.`;
      case 'dolphins':
        return s.stay ? `Dolphins: ${left} at the nearest structure, then go.` : 'Dolphins: go.';
      case 'time':
        return 'The time here is up.';
      default:
        return here;
    }
  },
  nextChange: (n: { change: string; left_s: number }) =>
    n.change
      ? `Nothing yet: change the ${n.change} next.`
      : `Give this ${Math.ceil(n.left_s / 60)} min more before you change one thing.`,
  change: 'Change',
  fishThis: 'Fish this',
  more: 'More',
  end: 'End',
  goOn: 'Go on',
  endIt: 'End the outing? What was told stays.',
  whatHappened: 'What happened',
  rest: 'Rest',
  resume: 'Resume',
  landedWith: 'With length',
  isKept: (what: string) => `${what}: noted.`,
  undo: 'Undo',
  kinds: {
    fish: 'What is fished',
    rest: 'Rest',
    resume: 'Fishing again',
    bite: 'Bite',
    missed: 'Missed',
    'bait robbed': 'Bait robbed',
    'fish on': 'Hooked',
    landed: 'Landed',
    lost: 'Lost',
    'foul-hooked': 'Foul-hooked',
    snagged: 'Snagged',
    'broke off': 'Broke off',
    cast: 'A cast',
    'rod set': 'A rod out',
    sounded: 'Depth sounded',
    'way shut': 'The way is shut',
    'boat passed': 'A boat passed',
    seen: 'Seen',
    water: 'The water',
    note: 'Note',
    correct: 'Corrected',
    undo: 'Undone',
    end: 'The end',
  },

  // Landed.tsx
  which: 'Which fish',
  length: 'Length',
  whose: 'Whose, if not yours',
  lengthByThumb: 'Length, by thumb',
  leaderBore: (n: number) =>
    `${counted(n, 'fish or snag', 'fish and snags')} since the leader was checked: feel it for nicks, retie it.`,
  leaderChecked: 'Checked',
  keptIt: 'Kept it',
  keepOrRelease: 'Keep or release, care, the day’s card',
  itIs: 'It is',
  notNow: 'Not now',

  // PhotoLength.tsx
  photo: {
    choose: 'Measure it on a photo',
    cardStart: 'one end of the card',
    cardEnd: 'its other end',
    nose: 'the nose, mouth closed',
    tail: 'the tip of the tail',
    touch: (what: string) => `A bank card lies beside it, along the fish. Touch ${what}.`,
    exactly: 'Drawn near: touch it exactly.',
    again: 'Touch again to begin anew.',
    shown: 'The photo',
    known: 'Something else than a card: how long it is',
    got: (m: string, low: string, high: string) => `About ${m}, ${low} to ${high}: an estimate.`,
    take: 'Take it',
    noted: (low: string, high: string) => `Length from a photo, ${low} to ${high}.`,
  },

  // More.tsx
  seen: 'Seen on the water',
  waterIs: 'The water is',
  deepHere: (mark: string) => `Deep at ${mark}`,
  clearTo: 'Clear to',
  warm: 'Warm',
  keepIt: 'Keep it',

  // Change.tsx
  where: 'Where',
  mark: 'Mark',
  forWhich: 'For',
  onTheHook: 'On the hook',
  rods: 'Rods out',

  // Mail.tsx
  allSent: 'All told to the server.',
  keptHere: (n: number, status: number | undefined, why: string | undefined) => {
    const kept = `Kept here: ${n}.`;
    if (status === 0) return 'It is sent when there is signal.';
    if (status === 401) return `${kept} Sign in again, and it is sent.`;
    if (status !== undefined) return `${kept} The server refuses it: ${why ?? ''}`;
    return kept;
  },
  sendNow: 'Send now',
  saveACopy: 'Save a copy',

  // Snag.tsx
  snaggedAt: (mark: string) => `The bottom held you at ${mark}.`,
  noteItOnTheSpot: 'Note the snag on the spot',
  snagNoted: (mark: string) => `${mark} is noted as a snag.`,

  // Found.tsx
  soundedAt: (mark: string, deep: string, at: string) => `You sounded ${deep} at ${mark}, at ${at}.`,
  wayShutAt: (at: string) => `You saw the way shut at ${at}.`,
  correctTheSpot: 'Correct the spot by it',
  corrected: (level: string) => `Corrected, by a level of ${level}.`,

  // Over.tsx
  isOver: 'The outing is over',
  cameTo: (n: number, hours: number) =>
    n > 0
      ? `${counted(n, 'fish', 'fish')} in ${hours.toFixed(1)} rod-hours.`
      : `A blank of ${hours.toFixed(1)} rod-hours; it counts as much as a fish.`,
  spellCameTo: (target: string, offering: string, time: string, n: number, hours: number) =>
    `${target}${offering ? ` with ${offering}` : ''}, ${time}: ${n > 0 ? counted(n, 'fish', 'fish') : 'none'} in ${hours.toFixed(1)} rod-hours.`,
  beforeYouGo:
    'Before you go: line and hooks off the rocks and the sand, rods rinsed, and a word to whoever waits that you are back.',
  inTheLog: 'In the log',
  done: 'Done',
};
