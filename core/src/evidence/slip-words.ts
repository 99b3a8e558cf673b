import { joinWords, numberWord } from '../numbers/index.js';
import type { Ledger } from './ledger.js';

/** Slips that come back this often in the last ten tries are named. */
const HABIT_FROM = 3;

/** The slip that recurs in the last ten tries of a skill, with how often; null when none does. */
export function habitOf(ledger: Ledger): { code: string; times: number } | null {
  const counted = new Map<string, number>();
  for (const codes of ledger.recentSlips) {
    for (const code of codes) counted.set(code, (counted.get(code) ?? 0) + 1);
  }
  const [code, count] = [...counted].sort((a, b) => b[1] - a[1])[0] ?? ['', 0];
  return count >= HABIT_FROM ? { code, times: count } : null;
}

/** A code's kind and its numbers: "look-alike" and [6, 9] of `look-alike-6-9`. */
export function partsOfSlip(code: string): { kind: string; numbers: number[] } {
  const [, kind = code, tail = ''] = /^([a-z-]*?)-?([\d-]*)$/.exec(code) ?? [];
  const numbers = tail.split('-').filter((part) => part !== '');
  return { kind, numbers: numbers.map(Number) };
}

const WORDS: Record<string, (asWords: string, asDigits: string) => string> = {
  'left-out': (words) => `${words} left out`,
  swapped: (words) => `${words} swapped`,
  twice: (words) => `${words} said twice`,
  stall: (words) => `stopped at ${words}`,
  foreign: () => 'a word that does not belong there',
  'from-one': () => 'started again at one',
  skipped: () => 'one skipped while counting',
  doubled: () => 'one touched twice',
  'ran-apart': () => 'hand and words ran apart',
  'word-missing': () => 'a word left out or said twice',
  recounts: () => 'counted again when asked how many',
  'other-total': () => 'another number than the last word when asked how many',
  'look-alike': (_, digits) => `${digits} taken for each other`,
  turned: (_, digits) => `${digits} turned into each other`,
  'sound-alike': (_, digits) => `${digits} taken for each other`,
  other: (_, digits) => `${digits} taken for each other`,
  'gave-more': () => 'went on past the number asked',
  'gave-fewer': () => 'stopped before the number asked',
  'first-again': () => 'the first number said again when counting on',
  'one-part': () => 'one part answered instead of the whole',
  'took-away': () => 'taken away instead of put together',
  'put-together': () => 'put together instead of taken away',
  'counted-twice': () => 'one counted twice',
  'missed-one': () => 'one missed',
  'side-by-side': () => 'the digits put side by side',
  near: () => 'near, and not quite',
  'far-off': () => 'far off',
  'said-whole': () => 'the whole said instead of the hidden part',
  'said-seen': () => 'the part in view said instead of the hidden part',
  'off-by-one': () => 'off by one',
  'answers-more': () => '“fewer” answered as “more”',
  'answers-fewer': () => '“more” answered as “fewer”',
  'said-amount': () => 'the larger amount said instead of the difference',
  'on-in-tens': () => 'went on in tens when the ones began',
  'other-way': () => 'the number on the other side',
  'same-number': () => 'the same number said again',
  'odd-even': () => 'odd and even taken for each other',
  reversed: (_, digits) => `${digits} written turned round`,
  'start-low': () => 'started at the bottom',
  'order-swapped': (_, digits) => `${digits} changed places`,
  muddled: () => 'several cards in other places',
  'other-end': () => 'counted from the other end',
  'added-groups': () => 'groups and their size put together',
  'one-group': () => 'one group answered instead of all',
  'group-missed': () => 'one group more or fewer',
  'left-over': () => 'another number left over',
  'unit-gaps': () => 'gaps between the units',
  'unit-overlaps': () => 'units that overlap',
  ends: () => 'ends not lined up',
  'range-below': () => 'thought fewer than there were',
  'range-above': () => 'thought more than there were',
  'repeats-last': () => 'the last piece laid again',
  'pattern-broken': () => 'the pattern continued in another way',
};

/** A slip code in words, for a sentence: "fifteen left out". */
export function slipWords(code: string): string {
  const { kind, numbers } = partsOfSlip(code);
  const words = WORDS[kind];
  return words ? words(joinWords(numbers.map(numberWord)), numbers.join(' and ')) : code;
}

/** Skills other than its own to which a kind of slip points. */
const POINTS_ALSO: Record<string, readonly string[]> = {
  'first-again': ['say-on-10'],
  'from-one': ['say-on-10'],
  recounts: ['total-5'],
  'said-amount': ['differ-10'],
  'on-in-tens': ['tens-ones'],
  'one-part': ['join-5'],
};

/** The skills that a recurring slip points at: the one it was seen in, and what lies behind it. */
export function pointsTo(code: string, seenIn: string): string[] {
  return [seenIn, ...(POINTS_ALSO[partsOfSlip(code).kind] ?? [])];
}
