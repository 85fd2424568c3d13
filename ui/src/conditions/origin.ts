/** Where a value came from, in words. */
export const meaning: Record<string, string> = {
  observed: 'Observed',
  forecast: 'From the forecast',
  predicted: 'Predicted',
  assumed: 'Not known; assumed',
};
