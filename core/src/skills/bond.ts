import { numberWord } from '../numbers/words.js';
import { type ItemSeed, numbers, pairs, range, strand } from './build.js';

type Pair = readonly [number, number];

/** Every ordered pair that makes n, from all on one side to the middle. */
const ways = (n: number): Pair[] =>
  range(0, Math.floor(n / 2)).flatMap((less): Pair[] =>
    less * 2 === n
      ? [[less, less]]
      : [
          [n - less, less],
          [less, n - less],
        ],
  );

const bond = (...wholes: readonly number[]): ItemSeed[] => pairs(wholes.flatMap(ways), 'sum');

/** One part in view, the other hidden: `w5-3` is three of five in view. */
const hidden = (wholes: readonly number[]): ItemSeed[] =>
  wholes.flatMap((whole) =>
    range(0, whole).map((seen) => ({
      id: `w${whole}-${seen}`,
      label: `${numberWord(seen)} of ${numberWord(whole)} in view`,
      number: whole,
      parts: [seen, whole - seen],
    })),
  );

export const BOND = strand('bond', [
  [
    'bond-2',
    'The ways to make one and two',
    'of 2',
    bond(1, 2),
    'give-3',
    'spoken',
    'K.OA.A.3',
    'finds the ways to make one and two',
    'Nothing and two: is it a way too?',
  ],
  [
    'bond-3',
    'The ways to make three',
    'of 3',
    bond(3),
    'bond-2',
    'spoken',
    'K.OA.A.3',
    'finds all the ways to make three',
    'Two and one, one and two: the same, turned round.',
  ],
  [
    'bond-4',
    'The ways to make four',
    'of 4',
    bond(4),
    'bond-3 give-5',
    'spoken',
    'K.OA.A.3',
    'finds all the ways to make four',
    'The whole counted again after one is moved across.',
  ],
  [
    'bond-5',
    'The ways to make five',
    'of 5',
    bond(5),
    'bond-4',
    'spoken',
    'K.OA.A.3, ELG-N',
    'finds all the ways to make five',
    'Known on fingers, and not yet with things.',
  ],
  [
    'hide-5',
    'How many are hidden?',
    'hidden 5',
    hidden(range(2, 5)),
    'bond-4',
    'spoken',
    '',
    'says how many of two to five are hidden',
    'The part in view is said, or the whole.',
  ],
  [
    'bond-6',
    'The ways to make six',
    'of 6',
    bond(6),
    'bond-5 give-10',
    'spoken',
    'K.OA.A.3',
    'finds all the ways to make six',
    'Three and three comes first; two and four is forgotten.',
  ],
  [
    'double-10',
    'Doubles',
    'doubles',
    pairs(
      range(1, 5).map((n): Pair => [n, n]),
      'sum',
    ),
    'bond-5 total-10',
    'spoken',
    'ELG-N, ELG-NP',
    'knows doubles from one and one to five and five',
    'Four and four: counted, or known?',
  ],
  [
    'bond-10',
    'The ways to make ten',
    'of 10',
    bond(10),
    'bond-5 frame-10',
    'spoken',
    'K.OA.A.4, ELG-N',
    'finds all the ways to make ten',
    'Whether the frame is seen in the mind.',
  ],
  [
    'three-parts-5',
    'Three parts',
    'three parts',
    numbers(range(3, 5)),
    'bond-5',
    'spoken',
    '',
    'makes three, four and five out of three parts',
    'One part left empty on purpose is right, too.',
  ],
  [
    'bond-7',
    'The ways to make seven',
    'of 7',
    bond(7),
    'bond-6',
    'spoken',
    'K.OA.A.3',
    'finds all the ways to make seven',
    'Five and two seen on a frame.',
  ],
  [
    'bond-8',
    'The ways to make eight',
    'of 8',
    bond(8),
    'bond-7',
    'spoken',
    'K.OA.A.3',
    'finds all the ways to make eight',
    'Chance shows four and four again and again.',
  ],
  [
    'bond-9',
    'The ways to make nine',
    'of 9',
    bond(9),
    'bond-8',
    'spoken',
    'K.OA.A.3',
    'finds all the ways to make nine',
    'One less than ten helps.',
  ],
  [
    'hide-10',
    'How many of six to ten are hidden?',
    'hidden 10',
    hidden(range(6, 10)),
    'hide-5 bond-8 bond-10',
    'spoken',
    'K.OA.A.4',
    'says how many of six to ten are hidden',
    'Counting on from the part in view is a good way.',
  ],
  [
    'three-parts-10',
    'Three parts, to ten',
    '3 parts 10',
    numbers(range(6, 10)),
    'three-parts-5 bond-8',
    'spoken',
    '',
    'makes six to ten out of three parts',
    'Two parts put together first, then the third.',
  ],
]);
