import { numberWord } from '../numbers/index.js';
import { type ItemSeed, named, numbers, range, strand } from './build.js';

/** Numerals that are easily taken for one another lie one step up. */
const LOOK_ALIKE = [2, 5, 6, 9];
/** The irregular teens. */
const HARD_TEENS = [12, 13, 15];

const LINES: readonly (readonly [string, string])[] = [
  ['line-down', 'a line down'],
  ['line-across', 'a line across'],
  ['circle', 'a circle'],
  ['cross', 'a cross'],
  ['square', 'a square'],
  ['slanting-line', 'a slanting line'],
  ['triangle', 'a triangle'],
];

const matching = (list: readonly number[], harder: readonly number[] = []): ItemSeed[] =>
  list.flatMap((n) => [
    {
      id: `n${n}-amount`,
      label: `the amount for ${n}`,
      number: n,
      form: 'amount',
      harder: harder.includes(n),
    },
    {
      id: `n${n}-numeral`,
      label: `the numeral for ${numberWord(n)} things`,
      number: n,
      form: 'numeral',
      harder: harder.includes(n),
    },
  ]);

const gaps = (list: readonly number[]): ItemSeed[] =>
  [1, 2].flatMap((count) =>
    list.map((n) => ({
      id: `n${n}-gap${count}`,
      label: count === 1 ? `${n} missing` : `${n} and one more missing`,
      number: n,
      form: `gap${count}`,
    })),
  );

const lookAlikesLast = (list: readonly number[]): ItemSeed[] => numbers(list, LOOK_ALIKE);

const LOOKS = [
  ['dots', 'as dots'],
  ['pairs', 'as dots in pairs'],
  ['fingers', 'on fingers'],
  ['frame', 'on a frame'],
  ['tally', 'as a tally'],
  ['word', 'as a word'],
  ['sum', 'as a sum'],
] as const;
const manyForms: ItemSeed[] = LOOKS.flatMap(([form, words]) =>
  range(1, 10).map((n) => ({
    id: `n${n}-${form}`,
    label: `${numberWord(n)} ${words}`,
    number: n,
    form,
  })),
);

/** Two from each decade, among them pairs that turn into each other. */
const HUNDRED = [21, 23, 32, 34, 45, 43, 54, 56, 65, 67, 76, 78, 87, 89, 98, 92, 100].sort(
  (a, b) => a - b,
);

export const NUMERAL = strand('numeral', [
  [
    'name 5',
    'Names numerals to five',
    'name 5',
    numbers([1, 3, 4, 2, 5]),
    'say-5',
    'spoken',
    'HS 5',
    'names the numerals 1 to 5',
    '2 and 5 taken for each other.',
  ],
  [
    'draw lines',
    'Draws lines and shapes',
    'lines',
    named(LINES),
    '',
    'drawn',
    '',
    'draws lines, crosses and simple shapes',
    'Slanting strokes come last.',
  ],
  [
    'match 5',
    'Numeral to amount',
    'match 5',
    matching(range(1, 5)),
    'name-5 give-5',
    'pick-5',
    'HS 5',
    'puts the right number of things to the numerals 1 to 5',
    'The numeral is named right and the pile does not follow.',
  ],
  [
    'order 5',
    'Puts numerals in order',
    'order 5',
    numbers(range(1, 5)),
    'name-5',
    'placed',
    '',
    'puts the numerals 1 to 5 in order',
    'The ends are right and the middle is muddled.',
  ],
  [
    'name 10',
    'Names numerals to ten',
    'name 10',
    numbers([0, 10, 8, 7, 6, 9]),
    'name-5 say-10',
    'spoken',
    'HS 5',
    'names the numerals 0 and 6 to 10',
    '6 and 9 taken for each other.',
  ],
  [
    'write first',
    'Writes 0 1 3',
    'write 0 1 3',
    numbers([1, 0, 3]),
    'name-5 draw-lines',
    'drawn',
    'HS 5, K.CC.A.3',
    'writes 0, 1 and 3',
    'Starting at the bottom; going round the other way.',
  ],
  [
    'order 10',
    'Puts numerals in order to ten',
    'order 10',
    lookAlikesLast(range(0, 10)),
    'order-5 name-10',
    'placed',
    '',
    'puts the numerals 0 to 10 in order',
    'Where zero belongs; 6 and 9 swapped.',
  ],
  [
    'match 10',
    'Numeral to amount, to ten',
    'match 10',
    matching([0, ...range(6, 10)], [6, 9]),
    'match-5 name-10 give-10',
    'pick-5',
    'K.CC.A.3',
    'puts the right number of things to the numerals 0 and 6 to 10',
    'Zero: nothing is laid, and that is right.',
  ],
  [
    'write slant',
    'Writes 2 4 7',
    'write 2 4 7',
    numbers([7, 4, 2]),
    'write-first name-10',
    'drawn',
    'K.CC.A.3',
    'writes 2, 4 and 7',
    'The slanting stroke; a reversed 2 or 7.',
  ],
  [
    'gap 10',
    'Finds the missing numeral',
    'gap 10',
    gaps(range(1, 9)),
    'order-10',
    'spoken',
    'K.CC.A.2',
    'finds the numeral that is missing from a row to ten',
    'Counting from one to find it is a good way.',
  ],
  [
    'name 20',
    'Names numerals to twenty',
    'name 20',
    numbers([11, 20, 14, 16, 17, 18, 19, 12, 13, 15], HARD_TEENS),
    'name-10 say-20',
    'spoken',
    'K.CC.A.3',
    'names the numerals 11 to 20',
    '12 and 21 turned; thirteen and thirty sound alike.',
  ],
  [
    'forms 10',
    'One number, many forms',
    'forms',
    manyForms,
    'match-10',
    'pick-4',
    '',
    'knows a number as dots, fingers, tally, frame and word',
    'Counting dots in pairs by twos is a step of its own.',
  ],
  [
    'write turns',
    'Writes 5 6 8 9',
    'write 5 6 8 9',
    numbers([6, 9, 5, 8]),
    'write-first name-10',
    'drawn',
    'K.CC.A.3',
    'writes 5, 6, 8 and 9',
    '8 made of two circles; 5 with its hat forgotten.',
  ],
  [
    'match 20',
    'Numeral to amount, to twenty',
    'match 20',
    matching(range(11, 20)),
    'match-10 name-20 give-20',
    'pick-5',
    'K.CC.A.3',
    'puts the right number of things to the numerals 11 to 20',
    'Whether ten is seen in it.',
  ],
  [
    'order 20',
    'Puts numerals in order to twenty',
    'order 20',
    numbers(range(10, 20), HARD_TEENS),
    'order-10 name-20',
    'placed',
    '',
    'puts the numerals 10 to 20 in order',
    '12 laid where 20 belongs.',
  ],
  [
    'gap 20',
    'Finds the missing numeral to twenty',
    'gap 20',
    numbers(range(11, 19), [15]),
    'gap-10 order-20',
    'spoken',
    'K.CC.A.2',
    'finds the numeral that is missing from a row to twenty',
    'Fifteen, where the word is left out too.',
  ],
  [
    'name 100',
    'Names numerals on the hundred chart',
    'name 100',
    numbers(HUNDRED),
    'name-20 say-50',
    'spoken',
    '',
    'names numerals to a hundred',
    'Turned pairs such as 23 and 32.',
  ],
  [
    'write 20',
    'Writes 10 to 20',
    'write 20',
    numbers(range(10, 20), HARD_TEENS),
    'write-slant write-turns name-20',
    'drawn',
    'K.CC.A.3',
    'writes the numerals 10 to 20',
    'The ones written first, as the word is said.',
  ],
]);
