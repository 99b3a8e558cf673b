import { numberWord } from '../numbers/index.js';
import { type ItemSeed, range, strand } from './build.js';

/** How far two amounts lie apart, the farthest first: every pair of the range belongs to one. */
const apart = (differences: readonly number[], largest: number): ItemSeed[] =>
  differences.map((d) => ({
    id: `d${d}`,
    label: d === 0 ? 'the same' : `${numberWord(d)} apart`,
    number: largest,
    parts: [largest, largest - d],
    form: 'apart',
  }));

const FOUR_OR_MORE: ItemSeed = {
  id: 'd4',
  label: 'four or more apart',
  number: 10,
  parts: [10, 6],
  form: 'apart',
};
const SIX_OR_MORE: ItemSeed = {
  id: 'd6',
  label: 'six or more apart',
  number: 9,
  parts: [9, 2],
  form: 'apart',
};

/** The relation of two amounts: far apart is easier than neighbors. */
const RELATIONS: readonly (readonly [id: string, label: string, parts: readonly number[]])[] = [
  ['more-far', 'more, three or more apart', [8, 5]],
  ['fewer-far', 'fewer, three or more apart', [2, 6]],
  ['same', 'the same', [6, 6]],
  ['more-near', 'more, one or two apart', [7, 6]],
  ['fewer-near', 'fewer, one or two apart', [9, 10]],
];

const step = (list: readonly number[], words: string): ItemSeed[] =>
  list.map((n) => ({ id: `n${n}`, label: `${words} ${numberWord(n)}`, number: n }));
const more = (list: readonly number[]): ItemSeed[] => step(list, 'one more than');
const fewer = (list: readonly number[]): ItemSeed[] => step(list, 'one fewer than');

export const COMPARE = strand('compare', [
  [
    'more clear',
    'Which has more, plain to see',
    'plain',
    apart([7, 6, 5, 4, 3], 8),
    '',
    'pick-2',
    'HS 4',
    'sees which of two groups has more when the difference is plain',
    'Pointing to the same side each time.',
  ],
  [
    'more 5',
    'More, fewer, the same',
    'more 5',
    apart([5, 4, 3, 2, 1, 0], 5),
    'more-clear total-5',
    'pick-3',
    'K.CC.C.6, HS 4',
    'says which of two groups to five has more, or fewer, or that they are the same',
    '“Fewer” heard as “more”.',
  ],
  [
    'plus1 5',
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
    'more 10',
    'More, fewer, the same, to ten',
    'more 10',
    apart([4, 3, 2, 1, 0], 10).map((one) => (one.id === 'd4' ? FOUR_OR_MORE : one)),
    'more-5 total-10',
    'pick-3',
    'K.CC.C.6, ELG-NP',
    'says which of two groups to ten has more, or fewer, or that they are the same',
    'Spread out wide, it looks like more.',
  ],
  [
    'minus1 5',
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
    'greater 10',
    'The greater numeral',
    'greater',
    apart([6, 5, 4, 3, 2, 1], 9).map((one) => (one.id === 'd6' ? SIX_OR_MORE : one)),
    'name-10 more-10',
    'pick-2',
    'K.CC.C.7',
    'says which of two numerals to ten is greater',
    '6 and 9 taken for each other.',
  ],
  [
    'plus1 10',
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
    'minus1 10',
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
    'differ 10',
    'How many more',
    'how many more',
    apart([1, 2, 3, 4, 5], 8),
    'more-10 match-10',
    'spoken',
    '',
    'says how many more one group has than another',
    'The larger amount is said instead of the difference.',
  ],
  [
    'sign 10',
    '= < > between two amounts',
    'signs',
    RELATIONS.map(([id, label, parts]) => ({
      id,
      label,
      number: Math.max(...parts),
      parts,
      form: 'relation',
    })),
    'greater-10',
    'pick-3',
    '1.OA.D.7, 1.NBT.B.3',
    'puts the sign for same, less or greater between two amounts',
    'The wide side faces the larger amount.',
  ],
]);
