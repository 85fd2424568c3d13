export const map = {
  // ScaleBar.tsx
  km: 'km',
  mi: 'mi',

  // MapView.tsx
  mapOfArrowKeysMove: (water: string, onPlace: string) =>
    `Map of ${water}. Arrow keys move it, plus and minus zoom${onPlace}. The list beside it says the same in words.`,
  nearer: 'Nearer',
  farther: 'Farther',
  theWholeWater: 'The whole water',
  toTheSpot: 'To the spot',

  // DepthKey.tsx
  tonesOfDepth: 'Tones of depth',
  now: 'now',
  to: (from: string, unitOf: string) => `to ${from} ${unitOf}`,
  deeper: 'deeper',
};
