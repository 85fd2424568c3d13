export const back = {
  // BackPage.tsx
  stages: {
    flood: { whole: 'flood', thirds: ['flood, first third', 'flood, middle third', 'flood, last third'] },
    ebb: { whole: 'ebb', thirds: ['ebb, first third', 'ebb, middle third', 'ebb, last third'] },
  },
  target: 'Target',
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
  theNewestAreShownFilter: (count: number) => `The newest ${count} are shown; filter to see others.`,
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
  takeTheOfOut: (targetInSentence: string, caught: string) => `Take the ${targetInSentence} of ${caught} out`,
  takeOut: 'take out',
  change: 'Change',
  remove: 'Remove',
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
    leftOut: (n: number) =>
      `${n} ${n === 1 ? 'spell is' : 'spells are'} left out: without effort, or at a spot without marks.`,
    book: 'book',
    log: 'log',
    scale: (low: string, high: string) =>
      `The scale runs from ${low} to ${high}; the tall line is no effect at all.`,
    showAll: (n: number) => `Show all ${n}`,
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
