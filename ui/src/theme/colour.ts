/** A colour of tokens.css in the light of now. Asking costs a style: ask once and hand it on. */
export const colour = (name: string) =>
  getComputedStyle(document.documentElement).getPropertyValue(name).trim();
