const RULES = new Intl.PluralRules('en');
/** No comma before the last "and". */
const LIST = new Intl.ListFormat('en-GB', { type: 'conjunction' });

/** The form of a word that goes with a number: plural(1, 'child', 'children') is "child". @param n 0 or more */
export const plural = <One extends string, Other extends string>(
  n: number,
  one: One,
  other: Other,
): One | Other => (RULES.select(n) === 'one' ? one : other);

/** A number in digits with its word: "1 child", "0 children", "3 children". */
export const counted = (n: number, one: string, other: string): string =>
  `${n} ${plural(n, one, other)}`;

/** "once", "3 times". */
export const timesWords = (n: number): string => plural(n, 'once', `${n} times`);

/** Joins words with commas and a last "and": "Ilse", "Ilse and Kofi", "Ilse, Kofi and Mirela". */
export const joinWords = (words: readonly string[]): string => LIST.format(words);
