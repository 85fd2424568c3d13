export const file = {
  // ChooseFile.tsx
  hasMbAtMost32: (f: string, size: number) =>
    `${f} has ${size} MB; at most 32 MB are read at once. Send it in parts.`,

  // columns.ts
  passedOverColumn: (i: number) => `passed over ${i}`,

  // MapColumns.tsx
  whichColumnIsWhich: 'Which column is which?',
  goesByOtherNamesSay: (waiting: string) =>
    `${waiting} goes by other names. Say what each holds, and in which unit; it is remembered.`,
  inTheFile: 'In the file',
  begins: 'begins',
  is: 'is',
  column: (i: number) => `column ${i}`,
  isWhat: (n: string) => `${n} is`,
  passedOver: 'passed over',
  readItSo: 'Read it so',
  leaveIt: 'Leave it',
  stillWanted: (missing: string) => `Still wanted: ${missing}.`,
  twoColumnsCannotBothBe: (replaceAll: string) => `Two columns cannot both be ${replaceAll}.`,
};
