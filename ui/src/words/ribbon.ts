export const ribbon = {
  // FoldedRibbon.tsx
  tideRibbon: 'Tide ribbon',
  anHourBack: 'An hour back',
  unfoldTheRibbon: 'Unfold the ribbon',
  slack: 'slack',
  rising: 'rising',
  falling: 'falling',
  anHourOn: 'An hour on',
  now: 'now',

  // Key.tsx
  whatTheRibbonShows: 'What the ribbon shows',

  // Visits.tsx
  best: (bestFrom: string, bestUntil: string) => `best ${bestFrom}–${bestUntil}`,

  // Ribbon.tsx
  moment: 'Moment',
  aDayBack: 'A day back',
  toThePresent: 'To the present',
  aDayOn: 'A day on',
  foldTheRibbon: 'Fold the ribbon',
  caught: (count: number) => `${count} caught`,
};
