import { allOf } from './joined';

export const trial = {
  // TrialsPage.tsx
  title: 'Trials',
  toTheLog: 'The log',
  what: 'A question, two arms alike but for one thing, fished in short turns drawn by lot, and an end fixed beforehand. It says what was shown, and what was not.',
  none: 'No trial yet.',
  listed: (arms: string[], day: string) => `${allOf(arms)}, ${day}`,
  design: 'Design a trial',

  // Design.tsx
  question: 'What is to be found out',
  forInstance: 'Does dark beat white in the murk?',
  target: 'Target',
  spot: 'Spot',
  mark: 'Mark',
  arm: (n: number) => `Arm ${n}`,
  called: 'Called',
  calledOf: (n: number) => `Arm ${n} is called`,
  offering: 'Bait or lure',
  offeringOf: (n: number) => `Bait or lure of arm ${n}`,
  rig: 'Rig',
  rigOf: (n: number) => `Rig of arm ${n}`,
  colour: 'Colour or finish',
  colourOf: (n: number) => `Colour of arm ${n}`,
  anotherArm: 'Another arm',
  minutes: 'Minutes a block',
  rounds: 'Rounds',
  rods: 'Rods to swap',
  rodsFor: 'long, short',
  anglers: 'Anglers to swap',
  anglersFor: 'you, a friend',
  sides: 'Sides to swap',
  sidesFor: 'left, right',
  fair: 'In each round every arm is fished once, in an order drawn by lot. Rods, anglers and sides are swapped half-way. It ends after the last round, whatever shows before.',
  keepDesign: 'Keep the design',
  notNow: 'Not now',

  // TrialPage.tsx
  allTrials: 'All trials',
  planned: (blocks: number, minutes: number, hours: number) =>
    `${blocks} blocks of ${Math.round(minutes)} min: ${hours.toFixed(1)} h of fishing in all.`,
  wouldItTell: 'Would it tell?',
  shows: (rate: number, fourToThree: number, twoToOne: number) =>
    `At ${rate} fish an hour on the worse arm: twice as many would show ${percent(twoToOne)} of the time, four to three ${percent(fourToThree)}.`,
  peeking: (done: number, of: number) =>
    `${done} of ${of} blocks are fished. Whoever looks now and stops when it pleases is fooled more often: a look is counted and said with the result.`,
  lookAnyway: 'Look all the same',
  whatDidItShow: 'What did it show?',
  remove: 'Remove the trial',

  // Run.tsx
  block: (n: number, of: number) => `Block ${n} of ${of}`,
  with: (turn: { rod?: string; angler?: string; side?: string }) =>
    [turn.rod && `rod ${turn.rod}`, turn.angler, turn.side && `on the ${turn.side}`]
      .filter(Boolean)
      .join(', '),
  begin: 'Begin this block',
  allFished: 'All blocks are fished.',
  left: (min: number, s: number) => `${min}:${String(s).padStart(2, '0')} left`,
  swap: 'Swap now',
  counters: {
    landed: 'landed',
    on_teaser: 'on the teaser',
    lost: 'lost',
    missed: 'missed',
    foul: 'of them foul-hooked',
    set_apart: 'taken elsewhere',
  },
  endBlock: 'End this block',
  rest: 'Rest',
  goOn: 'Go on',
  leaveOut: 'Leave this block out',
  why: 'why: a boat ran through',
  leaveItOut: 'Leave it out',

  // Result.tsx
  theArm: 'Arm',
  landed: 'Landed',
  hours: 'Rod-hours',
  anHour: 'An hour',
  hooked: 'Hooked',
  missed: 'Missed',
  foul: 'Foul',
  span: (value: string, low: string, high: string) => `${value} (${low} to ${high})`,
  notCredited: (teaser: number, apart: number) =>
    `Not credited to the arms: ${teaser} on a teaser, ${apart} taken where the arm did not fish.`,
  pair: (first: string, second: string) => `${first} and ${second}`,
  landedOfHooked: (says: string) => `Landed of those hooked: ${says}`,
  foulOfHooked: (says: string) => `Foul-hooked of those hooked: ${says}`,
  between: (value: string | undefined, low: string | undefined, high: string | undefined) =>
    `${value ?? 'no number'}, ${low ?? '×0'} to ${high ?? 'without end'}`,
  ratio: (first: string, second: string, ratio: string, believed: string, p: number) =>
    `${first} over ${second}, round by round: ${ratio}. With what the book believes beforehand: ${believed}; that ${first} is the better is ${percent(p)} sure.`,
  ofSpecies: (target: string, ratio: string) => `Of ${target.replace(/-/g, ' ')} alone: ${ratio}.`,
};

const percent = (p: number) => `${Math.round(100 * p)} %`;
