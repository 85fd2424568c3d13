import { allOf, counted } from './joined';

export const ahead = {
  // AskFor.tsx
  byDay: 'by day',
  weekends: 'weekends',
  gettingThere: 'Getting there',
  howFar: 'How far',
  within: (minutes: number) =>
    minutes === 0 ? 'however far' : minutes < 60 ? `within ${minutes} min` : `within ${minutes / 60} h`,
  withinOfWhere: 'however far until you say where you set out',
  alongComes: 'Along comes',
  along: { child: 'a child', 'cannot wade': 'someone who stays dry' },
  withMyKit: 'with my own kit',
  iAmFree: 'I am free',
  daysFree: 'Days I am free',
  anyDay: 'any day',
  freeFrom: 'Free from',
  freeUntil: 'Free until',
  fromHour: (hour: string) => `from ${hour}`,
  untilHour: (hour: string) => `until ${hour}`,
  freeHours: (from: string, until: string) => `free ${from} to ${until}`,
  anyHowWithAnybody: 'However far, by any way, with anybody',
  kindsOfPlace: 'Kinds of place',
  everyKindOfPlace: 'every kind of place',
  worthAtLeast: 'Worth at least',
  orBetter: (v: string) => `${v} or better`,
  whatYouLookFor: 'What you look for',
  forWhichFish: 'For which fish',
  anythingThatIsOn: 'Anything that is on',
  atAnyHour: 'at any hour',

  orBetter2: (least: string) => `${least} or better`,

  // DayPlan.tsx
  planADay: 'Plan a day',
  theBestWayThroughA:
    'The best way through a day over your spots, exact to ten minutes. Ways are guessed from the bee line with a quarter of an hour to pack; the way from where you set out is counted where you say it.',
  day: 'Day',
  dayOfThePlan: 'Day of the plan',
  leaveFrom: 'Leave from',
  backBy: 'Back by',
  gettingAbout: 'Getting about',
  spotsAtMost: 'Spots at most',
  toSpare: 'Time to spare',
  nothingToSpare: 'none',
  planIt: 'Plan it',
  whatToTieOn: 'what to tie on',
  goFishThere: 'go fish there',

  // fortnight.ts
  tooLittleWaterOverEvery: 'Too little water over every mark.',
  theWayThereOrBack: 'The way there or back is shut by the tide.',
  aRuleClosesIt: 'A rule or its hours close it.',

  // Fortnight.tsx
  theHigherTheBetterDotted:
    'The higher, the better; dotted: an ordinary spell. Shaded: dark. Hatched: shut or too little water; crossed: closed by a rule; barred: beyond your limits to going. Under the line the weather is told by the forecast; after it the usual is assumed, drawn faint. Touch an hour to go to it.',
  moon: (says: string) => `${says} moon`,
  noHourOfTheseDays: (spot: string) => `${spot}: no hour of these days`,
  hoursOpenAtBestFor: (spot: string, open: number, worth: string, id: string) =>
    `${spot}: ${open} hours open, at best ${worth} for ${id}`,

  // WindowList.tsx
  windowsBestFirst: 'Windows, best first',
  dark: 'dark',
  outBy: (beOutBy: string) => `out by ${beOutBy}`,
  more: (found: number) => `${found} more`,
  beforeTheseDays: 'before these days',
  afterTheseDays: 'after these days',
  to: (from: string, to: string) => `${from} to ${to}`,
  worthIt: 'worth it',
  theWayOpens: 'the way opens',
  itShuts: 'it shuts',
  shutsAndBeOutBy: (shuts: string, outBy?: string) => (outBy ? `${shuts}, be out by ${outBy}` : shuts),
  expected: 'expected',
  fishARodHourAs: (x: string) => `${x} fish a rod-hour, as far as a usual catch goes`,
  alsoOn: 'also on',
  spotAt: (spot: string, when: string) => `${spot}, ${when}.`,
  isOn: (fish: string[]) => `${allOf(fish)}.`,
  theFirstIs: (low: string, high: string) => `The first is four times in five ${low} to ${high}.`,
  daysAreThoseOf: (water: string, zone: string) =>
    `Your waters have several clocks: the days drawn are those of ${water} (${zone}).`,
  howSure: 'how sure',
  fourInFive: (low: string, high: string) => `four times in five ${low} to ${high}`,
  wouldSpoilIt: 'spoilt by',
  lookingWhatWouldSpoil: 'trying wind, swell and clarity…',
  weather: 'weather',
  toldByTheForecast: 'told by the forecast',
  nobodyHasToldItYet: 'nobody has told it yet: the usual is assumed',
  seeTheWaterThen: 'See the water then',
  whatToTieOnThen: 'What to tie on then',

  // AheadPage.tsx
  whatStandsIsOlder: 'What stands below was worked out before that.',
  ahead: 'Ahead',
  lookingOverTheComingDays: 'Looking over the coming days…',
  theWaterThere: 'The water there',
  whatToTieOn2: 'What to tie on',
  theFortnight: 'The fortnight',

  nothingCanBeSaidOf: (bare: string, others: number) =>
    others > 0
      ? `Nothing can be said of ${bare} and ${others} more: no mark is known there.`
      : `Nothing can be said of ${bare}: no mark is known there.`,
  windows: 'Windows',
  theseAsACalendar: 'These as a calendar',
  whatAnHourIsWorth:
    'What an hour is worth is there × feeding, on the best mark: how many times an ordinary spell for that fish. The numbers are the book’s judgement, not measurements; look at the sea before you go.',

  // DayLine.tsx
  fromTo: (from: string, to: string) => `${from}–${to}`,
  stayAt: (spot: string) => `Stay at ${spot}`,
  moveOrLengthen: 'Drag it, or the arrow keys and Enter; its end, or shift, makes it longer',

  // Robust.tsx
  expectedOver: (fish: string, low: string, high: string) =>
    `About ${fish} fish to one rod, four times in five ${low} to ${high}.`,
  holdsIn: (percent: number) => `In ${percent} % of nearby forecasts it stays within a tenth of the best.`,
  otherwise: (changes: string[]) => `It comes to ${allOf(changes)}.`,
  hoursWhen: (hours: string, when: string) => `${hours} ${when}`,
  thenRather: (when: string, better: string) => `Better then, ${when}: ${better}`,

  // PlanList.tsx
  yourPlans: 'Your plans',

  // PlanPage.tsx
  aPlan: 'A plan',
  backToAhead: '‹ Ahead',
  fetchingThePlan: 'Fetching the plan…',
  nothingIsLeft: 'Nothing can be fished then.',
  spotsAreGone: (n: number) => `${counted(n, 'stay is', 'stays are')} at a spot that is no longer there.`,
  nothingOfItIsLeft: 'None of its spots is there any more.',
  dragAStay:
    'Drag a stay, or move it with the arrow keys and Enter: it stays where you put it, and the rest of the day is laid about it.',
  allowAllSpotsAgain: 'Allow all spots again',
  printTheSheet: 'Print the sheet',
  asACalendar: 'As a calendar',
  removeThePlan: 'Remove the plan',
  keepItThere: 'Keep it there',
  letItMove: 'Let it move',
  notThere: 'Not there',
  nameOfThePlan: 'Name of the plan',
  whoIsTold: 'Who is told where you go, and how they are reached',
  callForMeAfter: 'They call so long after you are due, minutes',
  keepThat: 'Keep that',

  // PlanSheet.tsx
  writingTheSheet: 'Writing the sheet…',
  theSheet: 'The sheet',
  firstOfAll: 'First of all',
  feeOf: (fee: string) => `Fee: ${fee}.`,
  parkingAt: (parking: string) => `Park: ${parking}.`,
  bring: 'Bring',
  nothingOfYourKit: 'Nothing of your kit is asked for.',
  toBuyOrTie: 'To buy or tie',
  nothingIsMissing: 'Nothing is missing.',
  bait: 'Bait',
  releaseOnly: 'catch and release',
  bylaws: 'Bylaws, as you entered them',
  hygiene: 'For the place',
  theSheetIsWorkedOut:
    'Worked out from the predicted tide and the forecast of the hour it was written. Look at the water; local warnings come first.',
  levels: (arrive: string, leave: string) => `Level ${arrive} on arriving, ${leave} on leaving;`,
  turn: (high: boolean, at: string, height: string) =>
    high ? `high ${at} ${height}` : `low ${at} ${height}`,
  rigDrawn: (rig: string) => `${rig}, drawn with its measures`,
  spoiltBy: 'What would spoil it:',
  keepTheSheet: 'Keep it on this device, to read without signal',
  forWhoeverIsTold: 'For whoever is told',
  shareThis: 'Share this',
  copied: 'Copied',

  // DayPlan.tsx, kept
  keepThisDay: 'Keep this day',

  // SeasonsPage.tsx
  seasons: 'Seasons',
  lookingOverTheYear: 'Looking over the year…',
  seasonsAre:
    'What the fish of your waters do through the year: by the book’s months, and by how warm the water usually is. A year is never quite the usual one.',
  presence: {
    prime: 'at its best',
    feeding: 'feeding',
    slow: 'there, slow',
    away: 'away',
    there: 'there; nobody has said how warm the water is',
  },
  upTheRivers: 'Up the rivers',
  runOfIn: (fish: string, water: string) => `Spring run of ${fish} in ${water}`,
  bendOf: (bend: number, spots: string[]) => (spots.length > 0 ? `${bend} · ${allOf(spots)}` : String(bend)),
  shareOfRun: (day: string, share: number) => `${day}: ${Math.round(share * 100)} in 100`,
  fromTheMouthUp: 'Bends from the mouth up',
  metOnTheRun: 'What your log met of it',
  metAt: (day: string, bend: number, fish: number, hours: string, warmth: string, read: boolean) =>
    `${day}, bend ${bend}: ${fish > 0 ? `${fish} fish` : 'nothing'} in ${hours} rod-hours${
      warmth ? `; water ${warmth}${read ? '' : ', as is usual'}` : ''
    }.`,
  howARunIsFollowed:
    'The darker, the likelier the school lies there. It comes as the water warms, and is taken to move up a bend in three days: nobody gives its speed. Fish you log at a bend, and blanks, set it right.',
  whichWaterFirst: 'Which water first',
  fromAbout: (water: string, when: string) => `${water} from about ${when}`,
  fish: 'Fish',
  months: ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec'],
  usualWarmth: (unit: string) => `Usual water, ${unit}`,
  nobodyHasSaidHowWarm: 'Nobody has said how warm this water usually is.',
  sayIt: 'Say it',
  theNextFourWeeks: 'The next four weeks',

  // MonthPage.tsx
  aMonth: 'A month',
  workingTheMonthOut: 'Working the month out…',
  backToWater: '‹ Water',
  monthBefore: 'Month before',
  monthAfter: 'Month after',
  printIt: 'Print it',
  monthOf: (spot: string, month: string) => `${spot}, ${month}`,
  highAndLow: 'High and low water',
  sunUpDown: 'Sun up, down',
  moonLit: 'Moon, lit',
  beThere: 'When one can be there',
  monthIsPredicted:
    'Predicted, weather left out; high water is bold. By day, out twenty minutes before the way shuts. Not for navigation.',

  // Home.tsx
  setOutFrom: 'Set out from',
  notCounted: 'latitude, longitude',
  whereIAm: 'Where I am',
  noPositionHere: 'The position is not to be had. Type it.',
  twoNumbersInDegrees: 'Two numbers in degrees, like 41.49, -71.32.',
};
