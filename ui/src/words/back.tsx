export const back = {
  // BackPage.tsx
  stages: {
    flood: { whole: 'flood', thirds: ['flood, first third', 'flood, middle third', 'flood, last third'] },
    ebb: { whole: 'ebb', thirds: ['ebb, first third', 'ebb, middle third', 'ebb, last third'] },
  },
  target: 'Target',
  filter: 'Filter the log',
  anyTarget: 'any target',
  spot: 'Spot',
  anySpot: 'any spot',
  tideStage: 'Tide stage',
  anyStage: 'any stage',
  outcome: 'Outcome',
  all: 'All',
  catches: 'Catches',
  blanks: 'Blanks',

  /** What the log's chosen spells come to; how many a rod-hour where that says something. */
  sumOfSpells: (spells: number, blanks: number, catches: number, rodHours: string, perRodHour?: string) => (
    <>
      <b>{spells}</b> {spells === 1 ? 'spell' : 'spells'}, <b>{blanks}</b> blank, <b>{catches}</b> caught in{' '}
      <b>{rodHours}</b> rod‑hours
      {perRodHour !== undefined && (
        <>
          : <b>{perRodHour}</b> a rod‑hour
        </>
      )}
    </>
  ),
  noSpellMatches: 'No spell matches',
  nothingInTheLogYet: 'Nothing in the log yet',
  takeAFilterAwayTo: 'Take a filter away to see more.',
  logTheFirstSpellAlso: 'Log the first spell, also when nothing bit: a blank tells as much as a catch.',
  showEverything: 'Show everything',
  logASpell: 'Log a spell',
  blank: 'Blank',
  forWord: (targetInSentence: string) => `for ${targetInSentence}`,
  theSpell: 'The spell',
  the: (targetInSentence: string) => `The ${targetInSentence}`,
  tide: 'tide',
  risingAt: (level: string, rate: string) => `${level}, rising ${rate}`,
  fallingAt: (level: string, rate: string) => `${level}, falling ${rate}`,
  light: 'light',
  sun: (light: string, sunAltitudeDeg: string) => `${light}, sun ${sunAltitudeDeg}°`,
  moon: 'moon',
  effort: 'effort',
  lastingWithRods: (lasting: string, rods: number) => (rods > 1 ? `${lasting}, ${rods} rods` : lasting),
  aboutByItsLength: (massEstimate: string) => `about ${massEstimate} by its length`,
  kept: 'kept',
  released: 'released',
  takeTheOfOut: (targetInSentence: string, caught: string) => `take out the ${targetInSentence} of ${caught}`,
  takeOut: 'take out',
  change: 'Change',
  remove: 'Remove',
  trials: 'Trials',
  asCsv: 'As CSV',
  approach: 'Bait or lure',
  anyApproach: 'bait or lure',
  approaches: [
    { value: 'live bait' as const, label: 'live bait' },
    { value: 'cut bait' as const, label: 'cut bait' },
    { value: 'lure' as const, label: 'lure' },
  ],
  textIn: 'offering, mark, note',
  seenAs: 'Seen',
  byDay: 'By day',
  table: 'Table',
  calendar: 'Calendar',
  showMore: (shown: number, of: number) => `Show more: ${shown} of ${of}`,

  // SavedFilters.tsx
  savedFilters: 'Kept filters',
  filterName: 'a name for this filter',
  keepFilter: 'Keep it',
  forgetFilter: (name: string) => `Forget ${name}`,

  // LogTable.tsx
  columns: {
    day: 'Day',
    time: 'Time',
    spot: 'Spot',
    mark: 'Mark',
    target: 'Target',
    fish: 'Fish',
    longest: 'Longest',
    hours: 'Rod-hours',
    tide: 'Tide',
    level: 'Level',
    light: 'Light',
    water: 'Water',
    clarity: 'Clarity',
    wind: 'Wind',
    moon: 'Moon',
    approach: 'Bait or lure',
    offering: 'Offering',
    who: 'Who',
    note: 'Note',
  },
  whichColumns: 'Columns',
  pickAll: 'Pick all',
  pickSpell: (day: string, spot: string) => `Pick ${day}, ${spot}`,
  severalPicked: (n: number) => `${n} ${n === 1 ? 'spell' : 'spells'} picked`,
  severalDone: (done: number, of: number) => `${done} of ${of} done`,
  severalSpells: (n: number) => (n === 1 ? 'The spell' : `${n} spells`),
  severalChanged: (n: number) => (n === 1 ? 'The spell is changed.' : `${n} spells are changed.`),
  whatIsWritten: 'What is written',
  fields: { offering: 'Offering', mark: 'Mark', note: 'Note' },
  writeIt: 'Write it to them',
  removeThem: 'Remove them',

  // Calendar.tsx
  months: ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec'],
  year: (days: number, hours: string, fish: number) =>
    `${days} ${days === 1 ? 'day' : 'days'} fished in a year, ${hours} rod-hours, ${fish} fish.`,
  yearDrawn:
    'A square a day, week by week: the darker the longer it was fished, a dot where fish were caught',
  dayCame: (day: string, hours: string, fish: number) => `${day}: ${hours} rod-hours, ${fish} fish`,
  calendarLegend: 'A square a day: the fuller its colour, the more rod-hours; a dot for fish.',

  // MeasuresPage.tsx
  measures2: {
    title: 'Fish that come again',
    byLength: 'Weight for length',
    own: (fish: number, b: string, low: string, high: string) =>
      `By ${fish} fish of your own: weight goes with length to the power of ${b} (${low} to ${high}).`,
    book: (fish: number, fewest: number, b: string) =>
      `By the book, to the power of ${b}: ${fish} of your own are weighed and measured, it takes ${fewest}.`,
    longest: (fish: string) => `Longest: ${fish}`,
    heaviest: (fish: string) => `Heaviest: ${fish}`,
    best: (measures: string, where: string, build: string | undefined) =>
      `${measures}, at ${where}${build === 'fat' ? ': fat for its length' : build === 'lean' ? ': lean for its length' : ''}.`,
    month: (month: string, percent: string, fish: number) =>
      `${month}: ${Number(percent) > 0 ? `${percent} % heavier` : Number(percent) < 0 ? `${-Number(percent)} % lighter` : 'as heavy'} ${Number(percent) === 0 ? 'as' : 'than'} usual for their length (${fish})`,
    nothing: (target: string) => `No ${target} is measured or weighed in your log yet.`,
    again: 'Tags',
    noTags: 'No tag in your log yet. A tag is told with its catch, under “more of it”.',
    aDay: (grown: string) => `${grown} a day`,
    mm: (x: string) => `${x} mm`,
    samePlace: 'at the same place',
    flies: (far: string) => `${far} away as the gull flies`,
    recapture: (r: {
      fish: string;
      number: string;
      first: string;
      again: string;
      days: number;
      way: string;
      round: string | undefined;
      grown: string | undefined;
      doubt: string | undefined;
    }) =>
      `${r.fish} ${r.number}: ${r.first}, and again ${r.again}. ${r.days} days at liberty, ${r.way}${r.round ? `, ${r.round} over water` : ''}${r.grown ? `, ${r.grown}` : ''}.${
        r.doubt === 'shrunk'
          ? ' It is shorter than it was: measure again, or it is another fish.'
          : r.doubt
            ? ' It was another kind then: one of the numbers is wrong.'
            : ''
      }`,
    asCsv: 'All tags as CSV',
    listsSay:
      'A list of tagged fish that others met (CSV: tag_number, time, lat, lon) is matched with yours.',
    addList: 'Take a list of tags in',
    list: (name: string, fish: number) => `${name}: ${fish} fish`,
    forget: (name: string) => `Forget ${name}`,
  },

  // MoreOfCatch.tsx
  measuredBy: (how: string) => `measured by ${how}`,
  girthOf: (girth: string) => `girth ${girth}`,
  hookedIn: (place: string) => `hooked in the ${place}`,
  onTheTeaser: 'on the teaser',
  taggedAs: (number: string, side: string, programme: string) =>
    ['tag', number, side && `on the ${side}`, programme && `of ${programme}`].filter(Boolean).join(' '),
  moreOfIt: 'more of it',
  length: 'Length',
  measured: 'Measured by',
  measures: [
    { value: 'board' as const, label: 'a board' },
    { value: 'tape' as const, label: 'a tape' },
    { value: 'photo' as const, label: 'a photo' },
    { value: 'guess' as const, label: 'a guess' },
  ],
  girth: 'Girth',
  hookPlace: 'Hooked in',
  hookPlaces: [
    { value: 'corner' as const, label: 'the corner' },
    { value: 'lip' as const, label: 'the lip' },
    { value: 'throat' as const, label: 'the throat' },
    { value: 'gut' as const, label: 'the gut' },
    { value: 'outside' as const, label: 'the outside' },
  ],
  whichHook: 'On which hook',
  hooks: [
    { value: 'lure' as const, label: 'the lure' },
    { value: 'teaser' as const, label: 'the teaser' },
  ],
  tagNumber: 'Tag number',
  tagSide: 'Tag on the',
  sides: [
    { value: 'left' as const, label: 'left' },
    { value: 'right' as const, label: 'right' },
  ],
  tagProgramme: 'Programme of the tag',
  keepIt: 'Keep it',
  whichIsBetter: 'Two lures compared',
  whatTheLogSays: 'What your log says of what is said',

  // EvidencePage.tsx
  evidence: {
    title: 'What your log says of what is said',
    what: 'Each rule of being there and feeding as the book has it, and as your spells do, blanks and effort included. Advice goes by your log; on Tie on it can be asked by the book.',
    reckoning: 'Going through your spells…',
    nothingOf: (target: string) => `Nothing logged of ${target} yet`,
    theBookStands: 'So long the book stands as it is. A blank says as much as a fish.',
    sum: (spells: number, fish: number, hours: string, base: string, low: string, high: string) =>
      `${spells} ${spells === 1 ? 'spell' : 'spells'}, ${fish} caught in ${hours} rod-hours. An ordinary rod-hour would bring ${base}, ${low} to ${high}.`,
    scatter: (times: string) =>
      `Your counts scatter ${times} times as much as chance: what they say is held that much more loosely.`,
    goingOn: (n: number) =>
      `${n} ${n === 1 ? 'spell' : 'spells'} of the outing in hand ${n === 1 ? 'counts' : 'count'} here once it is ended; whether to stay looks at ${n === 1 ? 'it' : 'them'} already.`,
    leftOut: (n: number) =>
      `${n} ${n === 1 ? 'spell is' : 'spells are'} left out: without effort, or at a spot without marks.`,
    book: 'book',
    log: 'log',
    scale: (low: string, high: string) =>
      `The scale runs from ${low} to ${high}; the tall line is no effect at all.`,
    showAll: (n: number) => `Show all ${n}`,
    behind: (n: number) => `${n === 1 ? 'The spell' : `The ${n} spells`} behind it`,
    day: 'Day',
    more: 'Applied more by',
    spots: 'Spots',
    anHour: 'An hour',
    between: 'Between',
    span: (low: string, high: string) => `${low} to ${high}`,
    fish: 'Fish',
    hours: 'Rod-hours',
    spells: 'Spells',
    drawnTogether:
      'What an ordinary spell would bring there. Where little was fished it is drawn towards the others: two lucky hours make no spot.',
    against: (position: string, reads: string) =>
      `Your log speaks against a position you hold. ${position} ${reads} The position stays yours to choose, in Set-up.`,
    iHaveSeenIt: 'I have seen it',
  },

  // Curves.tsx, CurveChart.tsx
  curves: {
    title: 'Against one condition',
    what: 'Fish a rod-hour as they came, with the band that holds it four times in five. Other conditions went along: this shows, it does not prove.',
    against: 'Against',
    conditions: [
      { value: 'level' as const, label: 'level' },
      { value: 'from_high' as const, label: 'hours from high water' },
      { value: 'clarity' as const, label: 'clarity' },
      { value: 'temperature' as const, label: 'temperature' },
      { value: 'hour' as const, label: 'hour of the day' },
      { value: 'wind' as const, label: 'wind' },
      { value: 'moon' as const, label: 'days since new moon' },
    ],
    nothing: (target: string) => `Nothing logged of ${target} that says it.`,
    says: (
      target: string,
      [most, at, low, high]: readonly [string, string, string, string],
      [least, atLeast, lowLeast, highLeast]: readonly [string, string, string, string],
      differ: boolean,
    ) =>
      `${target}: most at ${most}, ${at} a rod-hour (${low} to ${high}); least at ${least}, ${atLeast} (${lowLeast} to ${highLeast}). ${
        differ ? 'The two are told apart.' : 'The bands overlap: it shows no difference yet.'
      }`,
    unread: (n: number) => `Of ${n} more ${n === 1 ? 'spell' : 'spells'} it is not known.`,
    legend: 'Dots are spells: filled with a fish, open without. The heap below is the effort.',
  },

  // Calibration.tsx
  calibration: {
    title: 'Was the advice right?',
    sum: (caught: number, expected: string, byBook: string) =>
      `${caught} caught; ${expected} expected by the log before each spell, ${byBook} by the bare book.`,
    since: 'Spells from',
    caught: 'Caught',
    expected: 'Expected',
    inside: 'Inside, of 10',
    logOverBook: 'Log over book',
    scores: (log: string, book: string, average: string) =>
      `Log score a spell (nearer to nought is better): log ${log}, bare book ${book}, plain average ${average}.`,
  },

  // Lessons.tsx
  lessons: {
    title: 'What would tell',
    what: 'Spells of the next seven days from which your log would learn most, by day and while the way is open.',
    at: (spot: string, day: string, time: string) => `${spot}, ${day} about ${time}.`,
    would: (share: string, fish: string) =>
      `Two hours would take away ${share} % of what is not known; about ${fish} fish expected.`,
    of: (rules: readonly string[]) => `Most of: ${rules.join(' · ')}`,
    plan: (spot: string) => `To learn: ${spot}`,
    planIt: 'Make it a plan',
  },

  // MoreOfCatch.tsx
  kindOfFish: 'Fish',
  nameOfFish: 'Its name',

  // Photos.tsx
  photos: {
    of: (fish: string, n: number, all: number) =>
      all > 1 ? `Photo ${n} of ${all} of the ${fish}` : `Photo of the ${fish}`,
    taken: (when: string, where: string, way: string) =>
      `Taken ${when}${where ? `, at ${where}` : ''}${way ? `, looking ${way}° from north` : ''}. The picture itself says none of it.`,
    nothingKept: 'When and where it was taken was not kept.',
    close: 'Close',
    remove: 'Take the photo away',
    add: 'Add a photo',
    sending: 'Sending…',
    keep: 'Keep when, where and which way it was taken, for me alone',
  },

  // Sightings.tsx
  unsent: {
    title: 'On this device, not in the log yet',
    the: 'The entry',
    sendNow: 'Send now',
    fish: (n: number, name: string) => `${n} ${name}`,
    block: 'A block of a trial',
    changeOf: (name: string) => `A spell for ${name}, changed`,
    again: 'Send again',
    drop: 'Throw away',
    refused: (why: string) => `The server refused it: ${why}`,
  },
  sightings: {
    title: 'Seen without fishing',
    the: 'The sighting',
    write: 'Write down what you saw without fishing',
    kept: 'It is written down.',
    waits: 'Kept on this device; sent when there is signal.',
    what: 'What was there, or that nothing was',
    when: 'When',
    ago: [
      { value: 0, label: 'now' },
      { value: 30, label: 'half an hour ago' },
      { value: 60, label: 'an hour ago' },
      { value: 120, label: 'two hours ago' },
      { value: 240, label: 'four hours ago' },
    ],
    note: 'Where it went, what else',
    signs: (list: readonly string[]) => {
      const all = list.join(', ');
      return all.charAt(0).toUpperCase() + all.slice(1);
    },
  },

  // FilesPage.tsx, Coming.tsx
  files: {
    title: 'In and out',
    in: 'A log of your own, taken in',
    inSays:
      'A table with a line for each outing or each fish (CSV), or a log.json. You see what it would do before it does it, and can take it back.',
    choose: 'Choose a file',
    before: 'Taken in before',
    cameIn: (when: string, spells: number, changed: number) =>
      `${when}: ${spells} ${spells === 1 ? 'spell' : 'spells'}${changed ? `, ${changed} changed since` : ''}`,
    takeBack: (name: string) => `Take ${name} back`,
    went: (name: string, spells: number) =>
      `${spells} ${spells === 1 ? 'spell' : 'spells'} of ${name} went. What you changed since stays.`,
    out: 'Your log, to take along',
    outAll: 'All of it, blanks and effort included.',
    outFiltered: 'Only what the filters of the log let through.',
    csvIs: 'for spreadsheets: a line for each spell and each catch',
    asJson: 'As JSON',
    jsonIs: 'comes back as it was, with every reading and whose it is; photos go with the account’s copy',
    whatWould: (name: string) => `What ${name} would do`,
    order: 'Its dates begin with',
    orders: [
      { value: 'dmy', label: 'the day' },
      { value: 'mdy', label: 'the month' },
    ],
    sought: 'Sought, where a line does not say',
    asTheFileSays: 'as the file says',
    hours: 'Hours fished, where a line does not say',
    spotOf: (name: string) => `The spot “${name}” is`,
    fishOf: (name: string) => `The fish “${name}” is`,
    chooseOne: 'choose',
    noneOfThem: 'another fish, none of these',
    sum: (spells: number, blanks: number, fish: number) => (
      <>
        <b>{spells}</b> new {spells === 1 ? 'spell' : 'spells'}, <b>{blanks}</b> of them blank, with{' '}
        <b>{fish}</b> fish.
      </>
    ),
    between: (from: string, to: string) => (from === to ? `${from}.` : `${from} to ${to}.`),
    doubles: (n: number) => `${n} ${n === 1 ? 'is' : 'are'} in the log already and left out.`,
    reckoned: (n: number) =>
      `Of ${n} the hours are reckoned; a rate made of them is no better than your guess.`,
    faults: (n: number) => `${n} ${n === 1 ? 'line' : 'lines'} cannot be read:`,
    fault: (line: number, column: string, says: string) =>
      `Line ${line}${column ? `, ${column.replaceAll('_', ' ')}` : ''}: ${says}`,
    first: 'The first of them',
    columns: ['Line', 'Day', 'Time', 'Spot', 'Sought', 'With', 'Fish', ''],
    there: 'there already',
    new: 'new',
    leaveOut: 'Leave out the lines that are not understood',
    take: (spells: number) => `Take ${spells} ${spells === 1 ? 'spell' : 'spells'} into the log`,
    leave: 'Leave it',
  },

  // ComparePage.tsx
  compare: {
    title: 'Two lures compared',
    toTheLog: 'The log',
    fair: 'Fair is: fished in turn, close together, by the same hand, alike but for one thing. Blanks and the hours without a fish count.',
    first: 'The one',
    second: 'The other',
    what: 'What',
    whatOf: (n: number) => `What, ${n === 1 ? 'the one' : 'the other'}`,
    fish: 'Fish landed',
    hours: 'Rod-hours',
    hooked: 'Hooked, if counted',
    fillIn: 'Fish and hours of both say what it showed.',
    landed: (says: string) => `Landed of hooked: ${says}`,
    between: (low: string, high: string) =>
      `The one against the other: between ${low} and ${high}, nineteen times in twenty`,
    alike: 'alike',
    before: 'Before you begin',
    usualRate: 'Fish a rod-hour you expect on the worse of the two',
    takes: (ratio: string, hours: string) =>
      `To tell ${ratio}: about ${hours} h of each, to be shown four times in five.`,
    never: (ratio: string) => `To tell ${ratio}: more hours than one would fish.`,
  },
};
