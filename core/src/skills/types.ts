import type { AnswerKind, Strand } from '../vocabulary/index.js';

export { type AnswerKind, type Item, STRANDS, Skill, type Strand } from '../vocabulary/skill.js';

export const STRAND_TITLES: Record<Strand, string> = {
  say: 'Rote counting',
  count: 'Counting objects',
  glance: 'Subitizing',
  numeral: 'Numerals',
  compare: 'Comparing',
  bond: 'Number bonds',
  add: 'Adding and taking away',
  beyond: 'Tens, groups and sharing',
  measure: 'Measuring',
  sort: 'Sorting and graphs',
  pattern: 'Patterns and symmetry',
};

/** Chance of a right answer by guessing; the cap of 0.5 asks such skills for more evidence. */
export const GUESS_CHANCE: Record<AnswerKind, number> = {
  spoken: 0.05,
  counted: 0.05,
  drawn: 0.05,
  placed: 0.05,
  judged: 0.1,
  'pick-5': 0.2,
  'pick-4': 0.25,
  'pick-3': 1 / 3,
  'pick-2': 0.5,
  // Where a try does not say how wide its range was.
  range: 0.2,
};
