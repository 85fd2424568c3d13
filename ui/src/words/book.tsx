import type { ReactNode } from 'react';

export const book = {
  // Said in several rooms
  is: 'is',
  name: 'Name',

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
};
