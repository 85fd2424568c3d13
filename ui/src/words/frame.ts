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

  // Mishap.tsx
  notDrawn: 'This page could not be drawn.',
  partNotDrawn: 'This part could not be drawn.',
  notFetched: 'This page could not be fetched: there is no signal, or the program was renewed meanwhile.',
  nothingLost: 'What you logged, and every touch of an outing, is kept. The other pages work as before.',
  keptByAnOlder:
    'There is no signal, and what is kept here may be of an older program. With signal it is asked for anew.',
  tryAgain: 'Try again',
  loadAnew: 'Load the program anew',
  whatItSaid: (error: string) => `What it said: ${error}`,

  // LeaveGuard.tsx
  leaveWhatYouChanged: 'Leave what you changed?',
  itIsNotKeptYet: 'It is not kept yet.',
  goWithoutIt: 'Go without it',
  stay: 'Stay',
};
