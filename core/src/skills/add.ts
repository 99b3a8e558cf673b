import { numberWord } from '../numbers/index.js';
import { type ItemSeed, pairs, range, strand } from './build.js';

type Pair = readonly [number, number];

const plus = (list: readonly Pair[], prefix = 's'): ItemSeed[] =>
  pairs(list, 'sum', prefix, 'plus');

/** Take away: `t5-2` is five, two of them taken. */
const minus = (list: readonly Pair[]): ItemSeed[] =>
  pairs(list, 'larger', 't', 'minus').map((one) => ({
    ...one,
    label: `${one.parts?.map(numberWord).join(' take away ')}`,
  }));

const sum = (id: string, label: string, parts: readonly number[]): ItemSeed => ({
  id,
  label,
  number: parts.reduce((all, one) => all + one, 0),
  parts,
  form: 'plus',
});

/**
 * Sums by their total, the larger or the smaller amount first, and doubles: every two amounts that
 * come up belong to one. Totals of which nothing can come up are left out.
 */
const totals = (from: number, to: number): ItemSeed[] =>
  range(from, to).flatMap((n) => {
    const [more, less] = [Math.floor(n / 2) + 1, Math.ceil(n / 2) - 1];
    const word = numberWord(n);
    return [
      ...(less > 0
        ? [
            sum(`sum${n}-large`, `${word}, the larger first`, [more, less]),
            sum(`sum${n}-small`, `${word}, the smaller first`, [less, more]),
          ]
        : []),
      ...(n % 2 === 0 ? [sum(`sum${n}-double`, `${word}, a double`, [n / 2, n / 2])] : []),
    ];
  });

/** Nothing and some: a blank die, a blank half of a domino. */
const withNothing = (n: number): ItemSeed => sum('nothing', 'with nothing added', [n, 0]);

/** Three amounts by their total. */
const three = (from: number, to: number): ItemSeed[] =>
  range(from, to).map((n) => {
    const [a, b] = [Math.ceil(n / 3), Math.ceil((n - 1) / 3)];
    return sum(`sum${n}`, `${numberWord(n)} in all`, [a, b, n - a - b]);
  });

/** Take away by what there was, a few of them or many taken. */
const takings = (from: number, to: number): ItemSeed[] =>
  range(from, to).flatMap((n) =>
    [Math.min(2, n - 1), Math.min(n - 1, FEW + 2)].map((taken, i) => ({
      id: `from${n}-${i === 0 ? 'few' : 'many'}`,
      label: `${numberWord(n)}, ${i === 0 ? 'a few' : 'many'} taken`,
      number: n,
      parts: [n, taken],
      form: 'minus',
    })),
  );

/** Most that are a few. */
export const FEW = 3;

/** Sentences by their whole. */
const sentences = (form: string, partsOf: (n: number) => Pair): ItemSeed[] =>
  range(2, 10).map((n) => ({
    id: `whole${n}`,
    label: `with ${numberWord(n)} as the whole`,
    number: n,
    parts: partsOf(n),
    form,
  }));

/** Told stories: together, from, in parts, compared. */
const stories = (list: readonly (readonly [form: string, a: number, b: number])[]): ItemSeed[] =>
  list.map(([form, a, b]) => ({
    id: `${form}-${a}-${b}`,
    label: `${STORY_WORDS[form]}: ${numberWord(a)} and ${numberWord(b)}`,
    number: form === 'join' || form === 'parts' ? a + b : a,
    parts: [a, b],
    form,
  }));

const STORY_WORDS: Record<string, string> = {
  join: 'come together',
  away: 'go away',
  parts: 'in two parts',
  more: 'how many more',
};

const AWAY_FIVE: Pair[] = range(2, 5).flatMap((a) => range(1, a - 1).map((b): Pair => [a, b]));
/** All a + b to five with both at least one, the smaller sums first. */
const TO_FIVE: Pair[] = range(2, 5).flatMap((sum) =>
  range(1, sum - 1).map((b): Pair => [sum - b, b]),
);
const WITH_ZERO: Pair[] = [
  [3, 0],
  [0, 4],
];
const LEAVE_ZERO: Pair[] = [
  [5, 0],
  [4, 4],
];

/** Counting on: a from two to nine, one to four more, to ten; few more first. */
const ON_TEN: Pair[] = range(1, 4).flatMap((b) => range(2, 10 - b).map((a): Pair => [a, b]));

export const ADD = strand('add', [
  [
    'join 5',
    'Puts together and counts all',
    'join 5',
    [...totals(2, 5), withNothing(4)],
    'give-5',
    'counted',
    'K.OA.A.1, HS 6',
    'puts two groups together and says how many there are, to five',
    'Each group is counted, and the two are not joined.',
  ],
  [
    'away 5',
    'Takes away',
    'take away 5',
    minus(AWAY_FIVE),
    'minus1-5',
    'counted',
    'K.OA.A.1, HS 6',
    'takes some of up to five away and says how many are left',
    'The ones taken away are counted.',
  ],
  [
    'join 10',
    'Puts together and counts all, to ten',
    'join 10',
    [...totals(6, 10), withNothing(7)],
    'join-5 give-10',
    'counted',
    'K.OA.A.1, K.OA.A.2, HS 6',
    'puts two groups together and says how many there are, to ten',
    'One thing counted twice where the groups meet.',
  ],
  [
    'story 5',
    'Solves a told story',
    'story 5',
    stories([
      ['join', 2, 1],
      ['away', 3, 1],
      ['join', 3, 1],
      ['away', 4, 2],
      ['join', 2, 3],
      ['away', 5, 2],
    ]),
    'join-5 away-5',
    'spoken',
    'K.OA.A.2, HS 6',
    'solves little stories of coming together and going away, to five',
    'Whether the story is acted out or known.',
  ],
  [
    'sentence plus',
    'a + b = c, with cards or written',
    'a + b = c',
    sentences('plus', (n) => [Math.ceil(n / 2), Math.floor(n / 2)]),
    'join-5 match-5',
    'placed',
    'K.OA.A.1',
    'lays or writes a plus sentence for what was seen',
    'The whole put where a part belongs.',
  ],
  [
    'away 10',
    'Takes away within ten',
    'take away 10',
    takings(6, 10),
    'away-5 minus1-10',
    'counted',
    'K.OA.A.1, K.OA.A.2',
    'takes some of six to ten away and says how many are left',
    'Counting back, the first number is said too.',
  ],
  [
    'on 10',
    'Counts on from the first',
    'count on',
    plus(ON_TEN),
    'join-10 say-on-10',
    'spoken',
    '1.OA.C.5',
    'counts on from the first number instead of from one',
    'The first number is said again for the first new thing: 6 and 3 makes 8.',
  ],
  [
    'sentence minus',
    'a - b = c',
    'a - b = c',
    sentences('minus', (n) => [n, Math.max(1, Math.floor(n / 3))]),
    'away-5 sentence-plus',
    'placed',
    'K.OA.A.1',
    'lays or writes a minus sentence for what was seen',
    'The larger number comes first.',
  ],
  [
    'add-three 10',
    'Three amounts together',
    'three to 10',
    three(3, 10),
    'on-10',
    'spoken',
    '1.OA.A.2',
    'puts three amounts together, to ten',
    'Two that are known are put together first.',
  ],
  [
    'fluent 5',
    'Knows sums within five',
    'knows to 5',
    [...plus(TO_FIVE), ...minus(AWAY_FIVE), ...plus(WITH_ZERO), ...minus(LEAVE_ZERO)],
    'bond-5 on-10 away-5',
    'spoken',
    'K.OA.A.5, ELG-N',
    'knows sums and take-aways within five without counting',
    'Promptly, without haste: a breath is enough.',
  ],
  [
    'sentence gap',
    'a + ? = c',
    'a + ? = c',
    sentences('gap', (n) => [Math.ceil(n / 2), Math.floor(n / 2)]),
    'hide-5 sentence-plus',
    'placed',
    '1.OA.D.8 (beginning)',
    'finds what is missing in a plus sentence',
    'The whole is written into the gap.',
  ],
  [
    'story 10',
    'Solves a told story to ten, and how many more',
    'story 10',
    stories([
      ['join', 5, 2],
      ['away', 7, 2],
      ['parts', 4, 3],
      ['more', 6, 4],
      ['join', 6, 3],
      ['away', 9, 4],
      ['parts', 5, 5],
      ['more', 9, 6],
    ]),
    'story-5 join-10 away-10 differ-10',
    'spoken',
    'K.OA.A.2',
    'solves little stories to ten, also how many more',
    '“More” in the story leads to adding whatever is asked.',
  ],
  [
    'add-three 20',
    'Three amounts together, to twenty',
    'three to 20',
    three(11, 20),
    'add-three-10 say-on-20 touch-20',
    'spoken',
    '1.OA.A.2',
    'puts three amounts together, to twenty',
    'A ten hidden in them: is it seen?',
  ],
  [
    'join 20',
    'Puts together to twenty',
    'join 20',
    totals(11, 20),
    'join-10 on-10 teens',
    'counted',
    '2.OA.B.2 (beginning)',
    'puts two groups together and says how many there are, to twenty, also by making ten first',
    'Whether ten is made first, or all is counted again.',
  ],
  [
    'away 20',
    'Takes away within twenty',
    'away 20',
    takings(11, 20),
    'away-10 teens',
    'counted',
    '2.OA.B.2 (beginning)',
    'takes some of eleven to twenty away and says how many are left',
    'Back to ten first, then the rest.',
  ],
]);
