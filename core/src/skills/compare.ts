import { numberWord } from '../numbers/words.js';
import { type ItemSeed, pairs, range, strand } from './build.js';

type Pair = readonly [number, number];

/** Pairs a > b to 8 that differ by at least three, the widest apart first. */
const CLEAR: Pair[] = range(3, 7)
  .reverse()
  .flatMap((d) => range(1, 8 - d).map((b): Pair => [b + d, b]));

/** All pairs 0 to 5, order not counting: the same amount last, neighbors before it. */
const TO_FIVE: Pair[] = range(0, 5)
  .reverse()
  .flatMap((d) => range(0, 5 - d).map((b): Pair => [b + d, b]));

/** For each of six to ten: far apart, nearer, neighbors, the same. */
const TO_TEN: Pair[] = [4, 2, 1, 0].flatMap((d) => range(6, 10).map((a): Pair => [a, a - d]));

const NUMERALS: Pair[] = [
  [9, 2],
  [10, 3],
  [8, 1],
  [7, 2],
  [5, 2],
  [6, 3],
  [8, 5],
  [9, 6],
  [4, 3],
  [7, 6],
  [8, 7],
  [10, 9],
];

const DIFFERENCES: Pair[] = [
  [3, 2],
  [6, 5],
  [5, 3],
  [8, 6],
  [6, 3],
  [9, 6],
  [7, 3],
  [10, 6],
  [8, 3],
  [10, 5],
];

const SIGNS: Pair[] = [
  [5, 1],
  [2, 6],
  [4, 4],
  [3, 0],
  [8, 5],
  [4, 7],
  [6, 6],
  [9, 10],
  [7, 6],
  [10, 10],
];

const step = (list: readonly number[], words: string): ItemSeed[] =>
  list.map((n) => ({ id: `n${n}`, label: `${words} ${numberWord(n)}`, number: n }));
const more = (list: readonly number[]): ItemSeed[] => step(list, 'one more than');
const fewer = (list: readonly number[]): ItemSeed[] => step(list, 'one fewer than');

export const COMPARE = strand('compare', [
  [
    'more-clear',
    'Which has more, plain to see',
    'plain',
    pairs(CLEAR, 'larger'),
    '',
    'pick-2',
    'HS 4',
    'sees which of two groups has more when the difference is plain',
    'Pointing to the same side each time.',
  ],
  [
    'more-5',
    'More, fewer, the same',
    'more 5',
    pairs(TO_FIVE, 'larger'),
    'more-clear total-5',
    'pick-3',
    'K.CC.C.6, HS 4',
    'says which of two groups to five has more, or fewer, or that they are the same',
    '“Fewer” heard as “more”.',
  ],
  [
    'plus1-5',
    'One more',
    'one more 5',
    more(range(0, 4)),
    'give-5 say-next-5',
    'spoken',
    'K.CC.B.4c',
    'knows what one more makes, to five',
    'Counting all again from one.',
  ],
  [
    'more-10',
    'More, fewer, the same, to ten',
    'more 10',
    pairs(TO_TEN, 'larger'),
    'more-5 total-10',
    'pick-3',
    'K.CC.C.6, ELG-NP',
    'says which of two groups to ten has more, or fewer, or that they are the same',
    'Spread out wide, it looks like more.',
  ],
  [
    'minus1-5',
    'One fewer',
    'one fewer 5',
    fewer(range(1, 5)),
    'give-5 say-next-5',
    'spoken',
    '',
    'knows what one fewer leaves, from five',
    'The number before is said, or the one after?',
  ],
  [
    'greater-10',
    'The greater numeral',
    'greater',
    pairs(NUMERALS, 'larger'),
    'name-10 more-10',
    'pick-2',
    'K.CC.C.7',
    'says which of two numerals to ten is greater',
    '6 and 9 taken for each other.',
  ],
  [
    'plus1-10',
    'One more, to ten',
    'one more 10',
    more(range(5, 9)),
    'plus1-5 say-next-10 give-10',
    'spoken',
    'K.CC.B.4c',
    'knows what one more makes, to ten',
    'Ten after nine.',
  ],
  [
    'minus1-10',
    'One fewer, from ten',
    'one fewer 10',
    fewer(range(6, 10)),
    'minus1-5 say-next-10 say-back-10 give-10',
    'spoken',
    '',
    'knows what one fewer leaves, from ten',
    'Whether the row is said from one to find it.',
  ],
  [
    'differ-10',
    'How many more',
    'how many more',
    pairs(DIFFERENCES, 'larger'),
    'more-10 match-10',
    'spoken',
    '',
    'says how many more one group has than another',
    'The larger amount is said instead of the difference.',
  ],
  [
    'sign-10',
    '= < > between two amounts',
    'signs',
    pairs(SIGNS, 'larger'),
    'greater-10',
    'pick-3',
    '1.OA.D.7, 1.NBT.B.3',
    'puts the sign for same, less or greater between two amounts',
    'The wide side faces the larger amount.',
  ],
]);
