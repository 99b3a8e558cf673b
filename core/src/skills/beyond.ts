import { numberWord } from '../numbers/index.js';
import { type ItemSeed, forms, named, numbers, range, strand } from './build.js';

type Pair = readonly [number, number];

const steps = (list: readonly number[]): ItemSeed[] =>
  list.map((n) => ({ id: `to-${n}`, label: `to ${numberWord(n)}`, number: n }));

/** Things among two to four, shared evenly or with some left: every number belongs to one. */
const SHARES: ItemSeed[] = [2, 3, 4].flatMap((among) =>
  [0, 1].map((left) => ({
    id: `among${among}-${left === 0 ? 'even' : 'left'}`,
    label: `among ${numberWord(among)}, ${left === 0 ? 'nothing left' : 'some left'}`,
    number: 3 * among + left,
    parts: [3 * among + left, among],
  })),
);

/** g groups of s: `g3-5`. */
const grouped = (list: readonly Pair[], words: string): ItemSeed[] =>
  list.map(([g, s]) => ({
    id: `g${g}-${s}`,
    label: `${numberWord(g)} ${words} ${numberWord(s)}`,
    number: g * s,
    parts: [g, s],
  }));

/** Two from each decade; the turned pairs lie beside each other. */
const DECADES = [21, 26, 32, 38, 43, 47, 51, 56, 64, 69, 72, 75, 84, 87, 93, 98];

export const BEYOND = strand('beyond', [
  [
    'halves',
    'Halves and quarters of things',
    'halves',
    named([
      ['break', 'breaks in half'],
      ['fold', 'folds in half'],
      ['pour', 'pours half'],
      ['cut', 'cuts in half, and half again'],
    ]),
    'which-more',
    'judged',
    '1.G.A.3',
    'makes halves, and halves of halves, that are the same size',
    'Two parts are not always two halves.',
  ],
  [
    'partner 10',
    'Odd or even, by partners',
    'partners 10',
    numbers(range(1, 10)),
    'total-10',
    'pick-2',
    '2.OA.C.3, ELG-NP',
    'finds out by pairing whether a number to ten is odd or even',
    '“It has one without a partner” is understanding.',
  ],
  [
    'share',
    'Shares fairly, with what is left',
    'shares',
    SHARES,
    'touch-20 more-10',
    'counted',
    'ELG-NP',
    'shares things fairly among two to four and says what is left over',
    'One for you, one for you — or handfuls?',
  ],
  [
    'step 2',
    'Counts in twos',
    'twos',
    steps([10, 20]),
    'say-20 touch-10',
    'spoken',
    '2.OA.C.3',
    'counts in twos',
    'The word between is whispered: a good step on the way.',
  ],
  [
    'teens',
    'Ten and some more',
    'teens',
    numbers(range(11, 19), [12, 13, 15]),
    'touch-20 name-20',
    'counted',
    'K.NBT.A.1',
    'builds eleven to nineteen as ten and some more',
    'The ten is counted again one by one.',
  ],
  [
    'step 10',
    'Counts in tens',
    'tens',
    steps([50, 100]),
    'say-50',
    'spoken',
    'K.CC.A.1, 2.NBT.A.2',
    'counts in tens',
    'Thirteen for thirty.',
  ],
  [
    'partner 20',
    'Odd or even, by partners, to twenty',
    'partners 20',
    numbers(range(11, 20)),
    'partner-10 touch-20',
    'pick-2',
    '2.OA.C.3',
    'finds out by pairing whether a number to twenty is odd or even',
    'The last digit is enough, once it is known why.',
  ],
  [
    'step 5',
    'Counts in fives',
    'fives',
    steps([25, 50]),
    'say-50',
    'spoken',
    '2.NBT.A.2',
    'counts in fives',
    'Hands help: one hand, one word.',
  ],
  [
    'groups',
    'Equal groups of two, five, ten',
    'groups',
    grouped(
      range(2, 5).flatMap((g): Pair[] => [
        [g, 2],
        [g, 5],
        [g, 10],
      ]),
      'groups of',
    ),
    'step-2 step-5 step-10',
    'counted',
    '2.OA.C.4 (beginning)',
    'says how many there are in equal groups of two, five or ten',
    'Counted one by one, or by steps?',
  ],
  [
    'tens ones',
    'Builds tens and ones',
    'tens, ones',
    [
      ...numbers(DECADES),
      { id: 'change', label: 'the change from tens to ones', number: 99, form: 'change' },
    ],
    'teens step-10 name-100',
    'counted',
    '1.NBT.B.2',
    'builds numbers to ninety-nine from tens and ones',
    'Going on in tens when the ones begin.',
  ],
  [
    'coins',
    'Counts coins of one, five, ten',
    'coins',
    numbers([7, 12, 16, 20, 25, 33, 41, 50]),
    'step-5 step-10 give-20',
    'counted',
    '',
    'counts coins of one, five and ten',
    'Largest first: tens, then fives, then ones.',
  ],
  [
    'step down',
    'Counts down in twos, fives, tens',
    'steps down',
    [
      { id: 'from-100', label: 'down from a hundred in tens', number: 100, parts: [10] },
      { id: 'from-20', label: 'down from twenty in twos', number: 20, parts: [2] },
      { id: 'from-50', label: 'down from fifty in fives', number: 50, parts: [5] },
    ],
    'step-2 step-5 step-10 say-back-20',
    'spoken',
    '',
    'counts down in twos, fives and tens',
    'Where it turns round and goes up again.',
  ],
  [
    'rows',
    'Rows and columns',
    'rows',
    grouped(
      [
        [2, 2],
        [2, 3],
        [3, 2],
        [2, 5],
        [3, 3],
        [4, 3],
        [3, 5],
        [4, 4],
        [5, 5],
      ],
      'rows of',
    ),
    'groups',
    'counted',
    '2.OA.C.4',
    'says how many there are in rows and columns, also when turned',
    'Turned round, is it still as many?',
  ],
  [
    'split more',
    'Splits a number other ways',
    'splits',
    [...numbers([24, 35, 46, 58, 73, 91]), ...forms([46, 58, 73], [['three', 'in three parts']])],
    'tens-ones',
    'placed',
    '1.NBT.B.2',
    'splits a number to ninety-nine in more than one way',
    '46 is 30 and 10 and 6, too.',
  ],
  [
    'groups more',
    'Equal groups of other sizes',
    'groups 3 …',
    [3, 4, 6, 7, 8, 9, 11, 12].map((size) => ({
      id: `of${size}`,
      label: `groups of ${numberWord(size)}`,
      number: 2 * size,
      parts: [2, size],
    })),
    'groups',
    'counted',
    '3.OA.A.1 (beginning)',
    'says how many there are in equal groups of three, four, six to twelve',
    'Built on what is known: fives and one more in each.',
  ],
]);
