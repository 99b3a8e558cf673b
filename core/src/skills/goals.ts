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

const goal = (code: string, source: string, says: string): Goal => ({
  code,
  source,
  says,
  fromMemory: true,
});

/** Every published goal that the map names. */
export const GOALS: readonly Goal[] = [
  goal('HS 1', HEAD_START, 'Knows number names and the order of counting.'),
  goal('HS 3', HEAD_START, 'Understands how numbers and amounts belong together.'),
  goal('HS 5', HEAD_START, 'Joins amounts to written numerals and begins to write numbers.'),
  goal('ELG-NP', EARLY_YEARS, 'Counts aloud beyond twenty and sees the pattern in it.'),
  goal('K.CC.A.1', COMMON_CORE, 'Counts to one hundred by ones and by tens.'),
  goal('K.CC.A.2', COMMON_CORE, 'Counts on from a given number instead of from one.'),
  goal('K.CC.A.3', COMMON_CORE, 'Writes 0 to 20 and puts a numeral to an amount from 0 to 20.'),
  goal(
    'K.CC.B.4a',
    COMMON_CORE,
    'Says one number name for each thing and one thing for each name.',
  ),
  goal('K.CC.B.4b', COMMON_CORE, 'The last name said is how many, however the things lie.'),
  goal('K.CC.B.4c', COMMON_CORE, 'Each next number name means one more.'),
  goal(
    'K.CC.B.5',
    COMMON_CORE,
    'Answers how many: to 20 in a line or array, to 10 scattered; counts out an amount to 20.',
  ),
];
