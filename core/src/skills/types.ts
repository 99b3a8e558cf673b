/** The eleven strands, in the order in which their strings hang. */
export const STRANDS = [
  'say',
  'count',
  'glance',
  'numeral',
  'compare',
  'bond',
  'add',
  'beyond',
  'measure',
  'sort',
  'pattern',
] as const;

export type Strand = (typeof STRANDS)[number];

export const STRAND_TITLES: Record<Strand, string> = {
  say: 'Say',
  count: 'Count',
  glance: 'Glance',
  numeral: 'Numeral',
  compare: 'Compare',
  bond: 'Bond',
  add: 'Add',
  beyond: 'Beyond',
  measure: 'Measure',
  sort: 'Sort & show',
  pattern: 'Pattern',
};

/** How a child answers; it sets the chance of a lucky guess. */
export type AnswerKind =
  | 'spoken'
  | 'counted'
  | 'drawn'
  | 'placed'
  | 'judged'
  | 'pick-2'
  | 'pick-3'
  | 'pick-4'
  | 'pick-5'
  | 'range';

/** Chance of a right answer by guessing; the cap of 0.5 asks such skills for more evidence. */
export const GUESS_CHANCE: Record<AnswerKind, number> = {
  spoken: 0.05,
  counted: 0.05,
  drawn: 0.05,
  placed: 0.05,
  judged: 0.1,
  'pick-5': 0.2,
  'pick-4': 0.25,
  'pick-3': 0.33,
  'pick-2': 0.5,
  range: 0.2,
};

/** A single thing that can be asked. */
export interface Item {
  /** Unique within its skill, stored with evidence, never changed. */
  readonly id: string;
  /** As a person says it: "seven", "eleven and twelve", "four in a ring". */
  readonly label: string;
  /** The number it turns on: the top of a stretch, the start of a count back. */
  readonly number: number;
  /** The first number of a stretch; equal to `number` otherwise. */
  readonly first: number;
  /** What sets it apart from others with the same number: a layout, "after", "left". */
  readonly form: string | null;
  /** On the ability scale, -1.5 (first met) to about 1.8. */
  readonly difficulty: number;
}

export interface Skill {
  readonly id: string;
  readonly strand: Strand;
  /** Plain title, as in lists. */
  readonly title: string;
  /** Two or three words under a bead. */
  readonly short: string;
  /** What the child does, for families; follows "your child" or a name. */
  readonly families: string;
  readonly watchFor: string;
  readonly items: readonly Item[];
  readonly buildsOn: readonly string[];
  readonly answers: AnswerKind;
  /** Codes of published goals that say the same; see goals.ts. */
  readonly matches: readonly string[];
  /** The largest number that the skill reaches. */
  readonly to: number;
}
