export const api = {
  // client.ts
  theServerCannotBeReached: 'The server cannot be reached. What you entered is still here; try again.',
  somethingWentWrong: 'Something went wrong.',
  theDepthsCouldNotBe: 'The depths could not be fetched.',

  // analyse.ts
  theServerCannotBeReached2: 'The server cannot be reached. Try again.',
  theAnswerWasCutOff: 'The answer was cut off. Try again.',
};
