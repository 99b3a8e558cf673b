import { numberWord } from '../numbers/words.js';
import { type ItemSeed, range, strand, stretches } from './build.js';

const starts = (from: number, to: number): ItemSeed[] =>
  range(from, to).map((n) => ({ id: `from-${n}`, label: `from ${numberWord(n)}`, number: n }));

const nextTo = (after: readonly number[], before: readonly number[]): ItemSeed[] => [
  ...after.map((n) => ({
    id: `after-${n}`,
    label: `just after ${numberWord(n)}`,
    number: n,
    form: 'after',
  })),
  ...before.map((n) => ({
    id: `before-${n}`,
    label: `just before ${numberWord(n)}`,
    number: n,
    form: 'before',
  })),
];

/** Each decade, and each change to the next one, from 51 to 100. */
const decadesToHundred = range(5, 9).flatMap((tens): [number, number][] => [
  [tens * 10 + 1, tens * 10 + 9],
  [tens * 10 + 10, tens * 10 + 10],
]);

const teens = (seeds: ItemSeed[]): ItemSeed[] =>
  seeds.map((seed) => ({ ...seed, harder: seed.number === 15 }));

export const SAY = strand('say', [
  [
    'say-5',
    'Says the words to five',
    'to 5',
    stretches([
      [1, 3],
      [4, 5],
    ]),
    '',
    'spoken',
    'HS 1',
    'says the number words to five in order',
    'A word said twice or left out; the words sung as one long word.',
  ],
  [
    'say-10',
    'Says the words to ten',
    'to 10',
    stretches([
      [6, 7],
      [8, 10],
    ]),
    'say-5',
    'spoken',
    'HS 1',
    'says the number words to ten in order',
    'Where it stops, and whether it stops at the same place each day.',
  ],
  [
    'say-back-5',
    'Counts back from five',
    'back 5',
    starts(3, 5),
    'say-5',
    'spoken',
    '',
    'counts back from five to zero',
    'Turning round and going up again after two words.',
  ],
  [
    'say-next-5',
    'Just after, just before, to five',
    'next 5',
    nextTo(range(1, 4), range(2, 5)),
    'say-5',
    'spoken',
    '',
    'knows which number comes just after and just before, to five',
    'Starting again at one each time to find the next word.',
  ],
  [
    'say-20',
    'Says the words to twenty',
    'to 20',
    teens(
      stretches([
        [11, 12],
        [13, 14],
        [15, 15],
        [16, 19],
        [20, 20],
      ]),
    ),
    'say-10',
    'spoken',
    'HS 1, ELG-NP',
    'says the number words to twenty in order',
    'Fifteen left out; the teens run together.',
  ],
  [
    'say-back-10',
    'Counts back from ten',
    'back 10',
    starts(6, 10),
    'say-back-5 say-10',
    'spoken',
    '',
    'counts back from ten to zero',
    'A word left out between eight and five.',
  ],
  [
    'say-on-10',
    'Goes on from any number',
    'go on',
    starts(2, 9),
    'say-10',
    'spoken',
    'K.CC.A.2',
    'goes on counting from a number that is not one',
    'Going back to one before going on.',
  ],
  [
    'say-next-10',
    'Just after, just before, to ten',
    'next 10',
    nextTo(range(5, 9), range(6, 10)),
    'say-next-5 say-10',
    'spoken',
    'K.CC.B.4c',
    'knows which number comes just after and just before, to ten',
    'After is known long before before.',
  ],
  [
    'say-50',
    'Says the words to fifty',
    'to 50',
    stretches([
      [21, 29],
      [30, 30],
      [31, 39],
      [40, 40],
      [41, 49],
      [50, 50],
    ]),
    'say-20',
    'spoken',
    'K.CC.A.1',
    'says the number words to fifty in order',
    'A stop at twenty-nine or thirty-nine; a decade said twice.',
  ],
  [
    'say-on-20',
    'Goes on from any number to twenty',
    'on to 20',
    starts(10, 19),
    'say-on-10 say-20',
    'spoken',
    'K.CC.A.2',
    'goes on counting from any number to twenty',
    'Starting in the teens is harder than passing through them.',
  ],
  [
    'say-100',
    'Says the words to a hundred',
    'to 100',
    stretches(decadesToHundred),
    'say-50',
    'spoken',
    'K.CC.A.1',
    'says the number words to a hundred',
    'The word for the next ten after a nine.',
  ],
  [
    'say-back-20',
    'Counts back from twenty',
    'back 20',
    starts(11, 20),
    'say-back-10 say-20',
    'spoken',
    '',
    'counts back from twenty to zero',
    'The step from thirteen to twelve, and past ten.',
  ],
]);
