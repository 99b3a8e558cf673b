import { capital, joinWords, numberWord } from '../numbers/index.js';
import type { Sentence } from './handling.js';

/** "Four and two make six", 4 + 2 = 6, and the part-whole of it. */
export function partsSentence(parts: readonly number[]): Sentence {
  const whole = parts.reduce((sum, part) => sum + part, 0);
  return {
    words: `${capital(joinWords(parts.map(numberWord)).replace(/, /g, ' and '))} make ${numberWord(whole)}.`,
    sum: `${parts.join(' + ')} = ${whole}`,
    partWhole: { whole, parts },
  };
}

/** A number by itself: "Seven." */
export const numberSentence = (n: number, more = ''): Sentence => ({
  words: `${capital(numberWord(n))}${more}.`,
  sum: String(n),
  partWhole: null,
});
