import { type Sentence, partsSentence } from '../handling/index.js';
import { capital, joinWords, numberWord, plural } from '../numbers/index.js';
import type { Answered } from '../vocabulary/index.js';
import { type Game, speaks } from './game.js';

/** One of a thing and several of it. */
export type Material = readonly [one: string, many: string];

const COUNTERS: Material = ['counter', 'counters'];

/** What lies there in this round; counters where it names nothing. */
export const materialOf = ({ round }: Game): Material => round.material ?? COUNTERS;

/** "one counter", "three counters", "no counters". */
export const some = (n: number, [one, many]: Material): string =>
  n === 1 ? `one ${one}` : `${n === 0 ? 'no' : numberWord(n)} ${many}`;

/** The same at the beginning of a sentence. */
export const Some = (n: number, material: Material): string => capital(some(n, material));

export const is = (n: number): 'is' | 'are' => plural(n, 'is', 'are');

/** "Three", at the beginning of a sentence. */
export const Word = (n: number): string => capital(numberWord(n));

/** "Four, five, six", at the beginning of a sentence. */
export const inARow = (numbers: readonly number[]): string =>
  capital(numbers.map(numberWord).join(', '));
/** "four and two", "one, two and three". */
export const and = (numbers: readonly number[]): string => joinWords(numbers.map(numberWord));

/** Two hands hold ten fingers. */
const MOST_FINGERS = 10;

/** How this child answers with a number: in words, else on fingers, else by pointing or handing over. */
export function wayFor(game: Game, n: number): Answered {
  if (speaks(game)) return 'spoken';
  if (game.modes.includes('fingers') && n <= MOST_FINGERS) return 'fingers';
  return game.modes.includes('points') ? 'pointed' : 'handed';
}

const HOW: Partial<Record<Answered, string>> = {
  fingers: ' Show me on your fingers.',
  pointed: ' Point to the card.',
  handed: ' Give me that many.',
};

/** A question for a number, with how this child can answer it. */
export function asksNumber(game: Game, n: number, say: string): { say: string; way: Answered } {
  const way = wayFor(game, n);
  return { say: say + (HOW[way] ?? ''), way };
}

/** "Five take away two is three.", 5 − 2 = 3. */
export const takeSentence = (a: number, b: number): Sentence => ({
  words: `${Word(a)} take away ${numberWord(b)} is ${numberWord(a - b)}.`,
  sum: `${a} − ${b} = ${a - b}`,
  partWhole: null,
});

/** "Five is two more than three.", 5 > 3. */
export function compareSentence(a: number, b: number): Sentence {
  const by = Math.abs(a - b);
  if (by === 0)
    return {
      words: `${Word(a)} and ${numberWord(b)}: the same.`,
      sum: `${a} = ${b}`,
      partWhole: null,
    };
  const than = a > b ? 'more than' : 'fewer than';
  return {
    words: `${Word(a)} is ${numberWord(by)} ${than} ${numberWord(b)}.`,
    sum: `${a} ${a > b ? '>' : '<'} ${b}`,
    partWhole: null,
  };
}

/** A sentence without a sum. */
export const plain = (words: string, sum = ''): Sentence => ({ words, sum, partWhole: null });

export { partsSentence };
