export const moment = {
  // moment.ts
  noHere: (what: string) => `no ${what} here`,
};
