import * as v from 'valibot';
import { Slug, nonEmptyText, boundedArray, oneOf } from './basics.js';

/** Strands of early mathematics, in the order in which they are shown. */
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

/** How a child answers; it sets the chance of a lucky guess. */
export const ANSWER_KINDS = [
  'spoken',
  'counted',
  'drawn',
  'placed',
  'judged',
  'pick-2',
  'pick-3',
  'pick-4',
  'pick-5',
  'range',
] as const;

const Whole = v.pipe(v.number(), v.integer(), v.minValue(0), v.maxValue(1000));

/** A single thing that can be asked. */
export const Item = v.object({
  /** Unique within its skill, stored with evidence, never changed. */
  id: Slug,
  /** As a person says it: "seven", "eleven and twelve", "four in a ring". */
  label: nonEmptyText(60),
  /** The number it turns on: the top of a stretch, the whole of a bond; 0 where none does. */
  number: Whole,
  /** The first number of a stretch; equal to `number` otherwise. */
  first: Whole,
  /** What it is made of: the parts of a bond, the two amounts compared, the addends. */
  parts: v.array(Whole),
  /** What sets it apart from others with the same number: a layout, "after", "left". */
  form: v.nullable(v.string()),
  /** On the ability scale, -1.5 (first met) to about 1.8. */
  difficulty: v.number(),
});

/** One skill of the map. */
export const Skill = v.object({
  id: Slug,
  /** What it shares with others of another range: `say` of `say-5` and `say-10`. */
  family: Slug,
  strand: oneOf(STRANDS),
  /** Plain title, as in lists. */
  title: nonEmptyText(60),
  /** Two or three words under a bead. */
  short: nonEmptyText(14),
  /** What the child does, for families; follows "your child" or a name. */
  families: nonEmptyText(120),
  watchFor: nonEmptyText(200),
  items: v.pipe(v.array(Item), v.minLength(1)),
  buildsOn: boundedArray(Slug, 6),
  answers: oneOf(ANSWER_KINDS),
  /** Codes of published goals that say the same, some with a remark such as "(beginning)". */
  matches: v.array(v.string()),
  /** The largest number that the skill reaches; 0 where none matters. */
  to: Whole,
});

export type Strand = (typeof STRANDS)[number];
export type AnswerKind = (typeof ANSWER_KINDS)[number];
export type Item = Readonly<v.InferOutput<typeof Item>>;
export type Skill = Readonly<v.InferOutput<typeof Skill>>;
