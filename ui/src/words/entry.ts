export const entry = {
  // QuickEntry.tsx
  changeThisSpell: 'Change this spell',
  intoTheLog: 'Into the log',
  theBlankIsInThe: 'The blank is in the log. It counts.',
  theCatchIsInThe: 'The catch is in the log.',
  changed: 'Changed.',
  keptHere: 'Kept on this device; sent when there is signal.',
  notKept: (why: string) =>
    `The server is not heard, and this device could not keep it: it has no room, or this is a private window. Write it down. (${why})`,
  catchOrBlank: 'Catch or blank',
  catchWord: 'Catch',
  blank: 'Blank',
  theRibbonShowsATime:
    'The ribbon shows a time to come; this is logged for now. Tide, light and moon are filled in.',
  filledInForTheMiddle: (stage: string, level: string, light: string) =>
    `Filled in for the middle of it: ${stage}, ${level}, ${light} light, moon.`,
  sought: 'Sought',
  sayWhatYouWereAfter: 'Say what you were after.',
  fishedFor: 'Fished for',
  howLongInMinutes: 'How long, in minutes?',
  aSpellIsAStretch:
    'A spell is a stretch of effort with one bait or lure in one place. Without how long it took, neither a catch nor a blank says anything.',
  length: 'Length',
  weight: 'Weight',
  howMany: 'How many',
  kept: 'kept',
  withWord: 'With',
  baitOrLure: 'Bait or lure',
  mark: 'Mark',
  leftEmptyTheGreyValue: 'Left empty, the grey value is kept with the spell and marked as not yours.',
  note: 'Note',
  thisSpellWasChangedElsewhere: (fields: string) =>
    `This spell was changed elsewhere meanwhile: ${fields}. Close and look at it again.`,
  itWasLogIt: 'It was: log it',
  save: 'Save',
  logTheCatch: 'Log the catch',
  logTheBlank: 'Log the blank',
};
