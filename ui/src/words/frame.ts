export const frame = {
  // useTitle.ts
  greyPebble: 'Grey Pebble',

  // useUndo.tsx
  isTakenOut: (what: string) => `Taken out: ${what}.`,
  undo: 'Undo',

  // Day.tsx
  chooseADay: 'Choose a day',
  day: 'Day',

  // SpotSelect.tsx
  spot: 'Spot',
  tooLittleWater: 'too little water',
  shutNow: 'shut now',

  // Frame.tsx
  ahead: 'Ahead',
  water: 'Water',
  tieOn: 'Tie on',
  fish: 'Fish',
  back: 'Back',
  toThePageItself: 'To the page itself',
  places: 'Places',
  grey: 'Grey',
  pebble: 'Pebble',
  setUp: 'Set-up',
  logACatchC: 'Log a catch (c)',
  catchWord: 'Catch',
  logABlankB: 'Log a blank (b)',
  blank: 'Blank',

  // Signal.tsx
  noSignal: (kept: number, forecast: string | undefined, made: string | undefined) =>
    [
      'No signal.',
      kept > 0 ? `Kept here: ${kept}.` : '',
      forecast ? `Forecast of ${forecast}.` : made ? `As of ${made}.` : '',
    ]
      .filter(Boolean)
      .join(' '),

  // LeaveGuard.tsx
  leaveWhatYouChanged: 'Leave what you changed?',
  itIsNotKeptYet: 'It is not kept yet.',
  goWithoutIt: 'Go without it',
  stay: 'Stay',
};
