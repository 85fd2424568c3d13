export const format = {
  // spoken.ts
  lb: (n: string) => `${n} lb`,
  kg: (lb: string, n: string) => `${lb} (${n} kg)`,

  // typed.ts
  expected: (offered: string) => `Expected ${offered}.`,
  cannotBeReadExpected: (text: string, offered: string) => `“${text}” cannot be read; expected ${offered}.`,
  thereIsNoUnitExpected: (found: string | number | undefined, offered: string) =>
    `There is no unit “${found}”; expected ${offered}.`,
  isAExpected: (text: string, dimension: string, offered: string) =>
    `“${text}” is a ${dimension}; expected ${offered}.`,
  inDoesNotFollow: (text: string, symbol: string, last: string) =>
    `In “${text}”, ${symbol} does not follow ${last}.`,
  holdsNoNumberThatCan: (text: string) => `“${text}” holds no number that can be used.`,
  somethingLike12M: 'something like 1.2 m or 3 ft 6',
  somethingLike7G1: 'something like 7 g, 1/4 oz or 10 lb',
  somethingLike12COr: 'something like 12 °C or 54 F',
  somethingLike5MS: 'something like 5 m/s or 12 kn',
  somethingLike1013HpaOr: 'something like 1013 hPa or 29.92 inHg',

  aNumber: (offered: string) => (offered ? `a number of ${offered}` : 'a number'),

  // NumberField.tsx
  atLeast: 'At least',
  atMost: 'At most',
  expectedANumber: (unit: string) => `Expected a number${unit}.`,

  // measure.ts
  min: (min: number) => `${min} min`,
  inWord: (span: string) => `in ${span}`,
  old: (span: string) => `${span} old`,
};
