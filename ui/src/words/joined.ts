/** The language everything is said in; lists and plurals go by its rules. */
export const language = 'en-GB';

const and = new Intl.ListFormat(language, { type: 'conjunction' });
const or = new Intl.ListFormat(language, { type: 'disjunction' });

/** All of them, as a person lists them: “a, b and c”. */
export const allOf = (list: string[]) => and.format(list);

/** Any of them: “a, b or c”. */
export const anyOf = (list: string[]) => or.format(list);

/** Whole sentences one after the other; what is not there is not said. */
export const sentences = (...said: (string | false | null | undefined | 0)[]) =>
  said.filter(Boolean).join(' ');

const plural = new Intl.PluralRules(language);

/** So many of a thing: “1 spell”, “2 spells”. */
export const counted = (n: number, one: string, more: string) =>
  `${n} ${plural.select(n) === 'one' ? one : more}`;
