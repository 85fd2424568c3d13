import { conditions as say } from '../words/conditions';
/** Where a value came from, in words. */
export const meaning: Record<string, string> = {
  observed: say.observed,
  forecast: say.fromTheForecast,
  predicted: say.predictedOrigin,
  usual: say.asThatMonthUsuallyHas,
  assumed: say.notKnownAssumed,
};
