import * as v from 'valibot';
import { Amount, Slug, nonEmptyText, boundedArray, oneOf } from './basics.js';

/** How a game goes, a kind of round each; see `core/src/rounds/`. */
export const ROUND_KINDS = [
  'rote',
  'count-out',
  'give',
  'predict-count',
  'name',
  'match',
  'order',
  'walk-track',
  'one-step',
  'ways',
  'take-some',
  'hide',
  'by-chance',
  'join',
  'knock-down',
  'to-ten',
  'frame',
  'glance',
  'compare',
  'tens',
  'groups',
  'share',
  'partner',
  'jar',
  'weigh',
  'balance',
  'along',
  'cups',
  'pattern',
  'sort',
  'chart',
  'mirror',
  'draw',
  'story',
  'call',
  'catch',
] as const;
export type RoundKind = (typeof ROUND_KINDS)[number];

/** What lies on the table, as it is drawn. */
export const SCENES = [
  'none',
  'things',
  'fingers',
  'hands',
  'plates',
  'tray',
  'beads',
  'rail',
  'tubes',
  'towers',
  'sack',
  'cloth',
  'frame',
  'frames',
  'tile',
  'dots',
  'dice',
  'cups',
  'cards',
  'track',
  'line',
  'groups',
  'rows',
  'tens',
  'coins',
  'signs',
  'mirror',
  'strip',
  'chart',
] as const;
export type SceneName = (typeof SCENES)[number];

const Small = v.pipe(v.number(), v.integer(), v.minValue(0), v.maxValue(100));

/**
 * One round of an activity: which kind of game, and its settings. An activity names a chain of
 * them, played one after the other in the same session.
 */
export const Round = v.object({
  kind: oneOf(ROUND_KINDS),
  /** Which of the kind's ways, where it has several. */
  form: v.optional(Slug),
  /** Printed step of the activity that goes on meanwhile, counted from 0. */
  step: v.optional(Small),
  scene: v.optional(oneOf(SCENES)),
  /** What lies there: one of it, and several. */
  material: v.optional(v.tuple([nonEmptyText(30), nonEmptyText(30)])),
  /**
   * Said before the number that chance or the child decides, such as "took" or "landed in"; what
   * comes up is then tapped first. Without it the adult lays what the core chooses.
   */
  came: v.optional(nonEmptyText(30)),
  /** How many numbers come up at once, and between which they lie. */
  many: v.optional(v.pipe(v.number(), v.integer(), v.minValue(1), v.maxValue(3))),
  low: v.optional(Small),
  high: v.optional(Amount),
  /** Questions before the next round of the chain begins. */
  times: v.optional(v.pipe(v.number(), v.integer(), v.minValue(1), v.maxValue(20))),
});
export type Round = v.InferOutput<typeof Round>;

/** What lay there and what was asked, as it is kept with a try. */
export const RoundSeen = v.object({
  kind: oneOf(ROUND_KINDS),
  /** Place in the activity's chain, counted from 0. */
  part: Small,
  /** How often the chain was gone through before. */
  lap: v.optional(Small, 0),
  /** What was asked; the same for what looks alike at the table. */
  key: nonEmptyText(80),
  /** What chance or the child decided, in the order in which it was tapped. */
  cameUp: boundedArray(Amount, 12),
  /** The numbers that lay there. */
  lay: boundedArray(Amount, 60),
});
export type RoundSeen = v.InferOutput<typeof RoundSeen>;

/** Which part of a record an item is judged by, where a record holds several. */
export const JUDGED_BY = ['answer', 'touches', 'total', 'words', 'place', 'gap'] as const;

/** What an answer is evidence for. */
export const Counted = v.object({
  skillId: Slug,
  itemId: Slug,
  by: v.optional(oneOf(JUDGED_BY)),
});
export type Counted = v.InferOutput<typeof Counted>;
