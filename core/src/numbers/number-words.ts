import { joinWords, plural } from './plural.js';

const UNDER_TWENTY =
  'zero one two three four five six seven eight nine ten eleven twelve thirteen fourteen fifteen sixteen seventeen eighteen nineteen'.split(
    ' ',
  );
const TENS = ' ten twenty thirty forty fifty sixty seventy eighty ninety'.split(' ');
const ORDINALS = ['zeroth', 'first', 'second', 'third', 'fourth', 'fifth'];

/**
 * The English number word of a whole number from 0 to 999, such as "twenty-one" or
 * "one hundred five"; anything else comes back as digits.
 */
export function numberWord(n: number): string {
  if (!Number.isInteger(n) || n < 0 || n > 999) return String(n);
  if (n < 20) return UNDER_TWENTY[n] as string;
  if (n < 100) {
    const word = TENS[Math.floor(n / 10)] as string;
    return n % 10 === 0 ? word : `${word}-${UNDER_TWENTY[n % 10]}`;
  }
  const hundreds = `${UNDER_TWENTY[Math.floor(n / 100)]} hundred`;
  return n % 100 === 0 ? hundreds : `${hundreds} ${numberWord(n % 100)}`;
}

/** "first" to "fifth"; beyond that the plain number word. */
export function placeWord(n: number): string {
  return ORDINALS[n] ?? numberWord(n);
}

/** Number words joined for a sentence: "three", "three and four", "three, four and six". */
export function listNumbers(numbers: readonly number[]): string {
  return joinWords(numbers.map(numberWord));
}

/** A number in words with its noun: "one counter", "zero counters", "three counters". */
export const numbered = (n: number, one: string, other: string): string =>
  `${numberWord(n)} ${plural(n, one, other)}`;

/** The word with a capital first letter. */
export function capital(word: string): string {
  return word.charAt(0).toUpperCase() + word.slice(1);
}
