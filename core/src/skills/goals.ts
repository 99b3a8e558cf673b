/** A published goal that a skill matches. Paraphrased, never quoted. */
export interface Goal {
  readonly code: string;
  readonly source: string;
  readonly says: string;
  /** True where code and content were written down from memory, without the text at hand. */
  readonly fromMemory: boolean;
}

const COMMON_CORE = 'Common Core State Standards for Mathematics (2010)';
const EARLY_YEARS = 'England, EYFS statutory framework, early learning goals (2021)';
const HEAD_START = 'Head Start Early Learning Outcomes Framework (2015), P-MATH';

const ROWS: readonly (readonly [source: string, code: string, says: string])[] = [
  [HEAD_START, 'HS 1', 'Knows number names and the order of counting.'],
  [HEAD_START, 'HS 2', 'Sees at once how many are in a small group.'],
  [HEAD_START, 'HS 3', 'Understands how numbers and amounts belong together.'],
  [HEAD_START, 'HS 4', 'Compares numbers: more, fewer, the same.'],
  [HEAD_START, 'HS 5', 'Joins amounts to written numerals and begins to write numbers.'],
  [HEAD_START, 'HS 6', 'Understands adding to and taking from.'],
  [HEAD_START, 'HS 7', 'Understands simple patterns.'],
  [HEAD_START, 'HS 8', 'Measures things by what they are like and compares them.'],
  [HEAD_START, 'HS 9', 'Names shapes and says what they are like.'],
  [
    EARLY_YEARS,
    'ELG-N',
    'Knows numbers to ten in depth, sees up to five at a glance, recalls bonds to five and some to ten, doubles among them.',
  ],
  [
    EARLY_YEARS,
    'ELG-NP',
    'Counts aloud beyond twenty, compares amounts to ten, and explores even and odd, doubles and equal shares.',
  ],
  [COMMON_CORE, 'K.CC.A.1', 'Counts to one hundred by ones and by tens.'],
  [COMMON_CORE, 'K.CC.A.2', 'Counts on from a given number instead of from one.'],
  [COMMON_CORE, 'K.CC.A.3', 'Writes 0 to 20 and puts a numeral to an amount from 0 to 20.'],
  [COMMON_CORE, 'K.CC.B.4a', 'Says one number name for each thing and one thing for each name.'],
  [COMMON_CORE, 'K.CC.B.4b', 'The last name said is how many, however the things lie.'],
  [COMMON_CORE, 'K.CC.B.4c', 'Each next number name means one more.'],
  [
    COMMON_CORE,
    'K.CC.B.5',
    'Answers how many: to 20 in a line or array, to 10 scattered; counts out an amount to 20.',
  ],
  [COMMON_CORE, 'K.CC.C.6', 'Says which group has more, fewer, or as many.'],
  [COMMON_CORE, 'K.CC.C.7', 'Compares two written numerals from 1 to 10.'],
  [COMMON_CORE, 'K.OA.A.1', 'Shows adding and taking away with things, fingers, drawings, words.'],
  [COMMON_CORE, 'K.OA.A.2', 'Solves told problems of adding and taking away within 10.'],
  [COMMON_CORE, 'K.OA.A.3', 'Splits numbers to 10 into pairs in more than one way.'],
  [COMMON_CORE, 'K.OA.A.4', 'Finds for 1 to 9 the number that makes 10.'],
  [COMMON_CORE, 'K.OA.A.5', 'Adds and takes away within 5 with ease.'],
  [COMMON_CORE, 'K.NBT.A.1', 'Builds 11 to 19 as ten ones and some more.'],
  [COMMON_CORE, 'K.MD.A.1', 'Describes what can be measured about a thing.'],
  [COMMON_CORE, 'K.MD.A.2', 'Compares two things by one measure and says the difference.'],
  [COMMON_CORE, 'K.MD.B.3', 'Sorts things into groups, counts them, and sorts by count.'],
  [COMMON_CORE, 'K.G.A.2', 'Names shapes whatever their size or the way they are turned.'],
  [COMMON_CORE, '1.OA.A.2', 'Solves told problems with three numbers, the sum at most 20.'],
  [COMMON_CORE, '1.OA.C.5', 'Relates counting to adding: counts on.'],
  [COMMON_CORE, '1.OA.D.7', 'Understands the equal sign.'],
  [COMMON_CORE, '1.OA.D.8', 'Finds the unknown number in a sum of three numbers.'],
  [COMMON_CORE, '1.NBT.A.1', 'Counts to 120, from any number below it.'],
  [COMMON_CORE, '1.NBT.B.2', 'The two digits of a number stand for tens and ones.'],
  [COMMON_CORE, '1.NBT.B.3', 'Compares numbers with the signs >, = and <.'],
  [COMMON_CORE, '1.MD.A.1', 'Orders three things by length.'],
  [COMMON_CORE, '1.MD.A.2', 'Measures length with equal units, no gaps and no overlaps.'],
  [COMMON_CORE, '1.MD.C.4', 'Makes and reads data with up to three groups.'],
  [COMMON_CORE, '1.G.A.3', 'Splits circles and rectangles into two and four equal shares.'],
  [COMMON_CORE, '2.OA.B.2', 'Adds and takes away within 20 in the head.'],
  [COMMON_CORE, '2.OA.C.3', 'Finds whether up to 20 things are odd or even, by pairing.'],
  [COMMON_CORE, '2.OA.C.4', 'Adds to find how many are in rows and columns to 5 by 5.'],
  [COMMON_CORE, '3.OA.A.1', 'Reads a product as the number of things in equal groups.'],
  [COMMON_CORE, '2.NBT.A.2', 'Counts by 5s, 10s and 100s.'],
  [COMMON_CORE, '4.G.A.3', 'Recognizes a line of symmetry.'],
];

/** Every published goal that the map names. */
export const GOALS: readonly Goal[] = ROWS.map(([source, code, says]) => ({
  code,
  source,
  says,
  fromMemory: true,
}));

/** The goal's code without a remark: "1.OA.D.8" of "1.OA.D.8 (beginning)". */
export const goalCode = (match: string): string => match.replace(/ \(.*\)$/, '');
