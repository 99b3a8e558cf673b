import { numberWord } from '../numbers/words.js';
import { type ItemSeed, pairs, range, strand } from './build.js';

type Pair = readonly [number, number];

const plus = (list: readonly Pair[], prefix = 's'): ItemSeed[] =>
  pairs(list, 'sum', prefix, 'plus').map((one) => ({
    ...one,
    label: one.parts?.map(numberWord).join(' and ') ?? '',
  }));

/** Take away: `t5-2` is five, two of them taken. */
const minus = (list: readonly Pair[]): ItemSeed[] =>
  pairs(list, 'larger', 't', 'minus').map((one) => ({
    ...one,
    label: `${one.parts?.map(numberWord).join(' take away ')}`,
  }));

const three = (list: readonly (readonly [number, number, number])[]): ItemSeed[] =>
  list.map((addends) => ({
    id: `s${addends.join('-')}`,
    label: `${addends.slice(0, 2).map(numberWord).join(', ')} and ${numberWord(addends[2])}`,
    number: addends.reduce((sum, one) => sum + one, 0),
    parts: addends,
    form: 'plus',
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

/** All a + b to five with both at least one, the smaller sums first. */
const TO_FIVE: Pair[] = range(2, 5).flatMap((sum) =>
  range(1, sum - 1).map((b): Pair => [sum - b, b]),
);
const AWAY_FIVE: Pair[] = range(2, 5).flatMap((a) => range(1, a - 1).map((b): Pair => [a, b]));
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
    'join-5',
    'Puts together and counts all',
    'join 5',
    plus(TO_FIVE),
    'give-5',
    'counted',
    'K.OA.A.1, HS 6',
    'puts two groups together and says how many there are, to five',
    'Each group is counted, and the two are not joined.',
  ],
  [
    'away-5',
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
    'join-10',
    'Puts together and counts all, to ten',
    'join 10',
    plus([
      [5, 1],
      [4, 2],
      [3, 3],
      [6, 1],
      [5, 2],
      [4, 3],
      [6, 2],
      [5, 3],
      [4, 4],
      [7, 2],
      [5, 4],
      [7, 3],
      [6, 4],
      [5, 5],
    ]),
    'join-5 give-10',
    'counted',
    'K.OA.A.1, K.OA.A.2, HS 6',
    'puts two groups together and says how many there are, to ten',
    'One thing counted twice where the groups meet.',
  ],
  [
    'story-5',
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
    'sentence-plus',
    'a + b = c, with cards or written',
    'a + b = c',
    plus([
      [1, 1],
      [2, 1],
      [3, 2],
      [4, 1],
      [4, 2],
      [3, 4],
      [5, 3],
      [6, 4],
    ]),
    'join-5 match-5',
    'placed',
    'K.OA.A.1',
    'lays or writes a plus sentence for what was seen',
    'The whole put where a part belongs.',
  ],
  [
    'away-10',
    'Takes away within ten',
    'take away 10',
    minus([
      [6, 1],
      [7, 1],
      [6, 2],
      [8, 2],
      [7, 3],
      [9, 3],
      [8, 4],
      [10, 3],
      [10, 5],
      [9, 6],
    ]),
    'away-5 minus1-10',
    'counted',
    'K.OA.A.1, K.OA.A.2',
    'takes some of six to ten away and says how many are left',
    'Counting back, the first number is said too.',
  ],
  [
    'on-10',
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
    'sentence-minus',
    'a - b = c',
    'a - b = c',
    minus([
      [2, 1],
      [3, 1],
      [4, 2],
      [5, 2],
      [6, 1],
      [7, 3],
      [8, 4],
      [10, 4],
    ]),
    'away-5 sentence-plus',
    'placed',
    'K.OA.A.1',
    'lays or writes a minus sentence for what was seen',
    'The larger number comes first.',
  ],
  [
    'add-three-10',
    'Three amounts together',
    'three to 10',
    three([
      [1, 1, 1],
      [2, 1, 1],
      [2, 2, 1],
      [3, 1, 2],
      [3, 3, 1],
      [4, 2, 2],
      [5, 2, 1],
      [5, 3, 2],
    ]),
    'on-10',
    'spoken',
    '1.OA.A.2',
    'puts three amounts together, to ten',
    'Two that are known are put together first.',
  ],
  [
    'fluent-5',
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
    'sentence-gap',
    'a + ? = c',
    'a + ? = c',
    plus(
      [
        [1, 1],
        [2, 1],
        [3, 1],
        [3, 2],
        [4, 2],
        [5, 2],
        [6, 2],
        [6, 4],
      ],
      'g',
    ),
    'hide-5 sentence-plus',
    'placed',
    '1.OA.D.8 (beginning)',
    'finds what is missing in a plus sentence',
    'The whole is written into the gap.',
  ],
  [
    'story-10',
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
    'add-three-20',
    'Three amounts together, to twenty',
    'three to 20',
    three([
      [5, 5, 1],
      [5, 5, 3],
      [6, 4, 2],
      [7, 3, 5],
      [4, 4, 4],
      [8, 2, 6],
      [6, 5, 4],
      [7, 6, 5],
    ]),
    'add-three-10 say-on-20 touch-20',
    'spoken',
    '1.OA.A.2',
    'puts three amounts together, to twenty',
    'A ten hidden in them: is it seen?',
  ],
]);
