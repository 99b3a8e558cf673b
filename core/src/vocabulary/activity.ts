import * as v from 'valibot';
import { Allergens } from './allergens.js';
import { Amount, Minutes, Slug, nonEmptyText, flag, boundedArray, oneOf, text } from './basics.js';
import { BANDS } from './household.js';
import { Round } from './round.js';
import { FACES, HAZARDS, USES } from './material.js';

/**
 * A quantity as a small sum over named values: `n` the top of the range, `k` the number of
 * children, `g` groups, `s` their size, `d` the highest pip of a domino set. `sum` adds the inner
 * expression over every child's own n; `upTo` adds 1 + 2 + ... to its top, or every `step`-th of
 * them from `from` on.
 */
export type Quantity =
  | number
  | 'n'
  | 'k'
  | 'g'
  | 's'
  | 'd'
  | { readonly add: readonly Quantity[] }
  | { readonly times: readonly Quantity[] }
  | { readonly half: Quantity }
  | { readonly least: readonly Quantity[] }
  | { readonly most: readonly Quantity[] }
  | { readonly sum: Quantity }
  | { readonly upTo: Quantity; readonly from?: number; readonly step?: number };

const Terms = v.pipe(v.array(v.lazy(() => Quantity)), v.minLength(1), v.maxLength(8));

export const Quantity: v.GenericSchema<Quantity> = v.lazy(() =>
  v.union(
    [
      v.pipe(v.number(), v.minValue(0), v.maxValue(1000)),
      v.picklist(['n', 'k', 'g', 's', 'd'] as const),
      v.strictObject({ add: Terms }),
      v.strictObject({ times: Terms }),
      v.strictObject({ half: Quantity }),
      v.strictObject({ least: Terms }),
      v.strictObject({ most: Terms }),
      v.strictObject({ sum: Quantity }),
      v.strictObject({
        upTo: Quantity,
        from: v.optional(v.pipe(v.number(), v.integer(), v.minValue(0), v.maxValue(20))),
        step: v.optional(v.pipe(v.number(), v.integer(), v.minValue(1), v.maxValue(10))),
      }),
    ],
    'must be a quantity such as {"times": [3, "n"]}',
  ),
);

/** How deep a quantity may be nested, and how many parts it may have. */
const DEEPEST = 6;
const MOST_PARTS = 40;

/** Parts of a quantity, itself counted, and how deep they lie. */
function sizeOf(quantity: Quantity): { parts: number; deep: number } {
  if (typeof quantity !== 'object') return { parts: 1, deep: 1 };
  const inner = Object.values(quantity)
    .flat()
    .map((one) => sizeOf(one as Quantity));
  return {
    parts: inner.reduce((sum, one) => sum + one.parts, 1),
    deep: 1 + Math.max(0, ...inner.map((one) => one.deep)),
  };
}

const BoundedQuantity = v.pipe(
  Quantity,
  v.check((quantity) => {
    const { parts, deep } = sizeOf(quantity);
    return parts <= MOST_PARTS && deep <= DEEPEST;
  }, `must have at most ${MOST_PARTS} parts, ${DEEPEST} deep`),
);

export const Need = v.object({
  use: oneOf(USES),
  /** As read on the list: "like counters". */
  words: nonEmptyText(60),
  must: BoundedQuantity,
  /** More is welcome up to this many; null when `must` says it all. */
  wish: v.nullable(BoundedQuantity),
  colors: oneOf(['one', 'two', 'any'] as const),
  alike: flag,
  consumable: flag,
  /** What has to be on it; anything where it is not said. */
  faces: v.optional(oneOf(FACES)),
  /** Its longest side at least, in millimeters, such as of a cover that hides a frame. */
  acrossMm: v.optional(v.pipe(v.number(), v.minValue(1), v.maxValue(2000))),
  /** What it usually holds that somebody may be allergic to, such as wheat in dough. */
  allergens: v.optional(Allergens),
});

export const STEP_KINDS = [
  'lay',
  'show',
  'turn',
  'ask',
  'check',
  'say',
  'another',
  'how',
  'stop',
] as const;

export const Activity = v.object({
  id: Slug,
  title: nonEmptyText(60),
  /** What to do here, in one sentence, for a card that stands beside it. */
  station: v.optional(text(120)),
  band: oneOf(BANDS),
  ways: v.pipe(
    boundedArray(oneOf(['adult-led', 'presentation', 'invitation'] as const), 3),
    v.minLength(1, 'choose at least one'),
  ),
  /** Shortest and longest, in minutes. */
  minutes: v.tuple([Minutes, Minutes]),
  setUpMinutes: Minutes,
  clearUpMinutes: Minutes,
  care: text(200),
  seat: text(80),
  /** Skill ids; a trailing star stands for every skill of that family. */
  skills: v.pipe(
    boundedArray(
      v.pipe(v.string(), v.regex(/^[a-z0-9-]+\*?$/, 'must be a skill id or a family*')),
      30,
    ),
    v.minLength(1, 'name at least one skill'),
  ),
  needs: boundedArray(Need, 20),
  /** How it is played: a chain of rounds; without one its things are counted out. */
  rounds: v.optional(boundedArray(Round, 8)),
  steps: v.pipe(
    boundedArray(v.object({ kind: oneOf(STEP_KINDS), text: nonEmptyText(200) }), 9),
    v.minLength(3, 'name at least three steps'),
  ),
  easier: text(200),
  harder: text(200),
  watchFor: text(300),
  cautions: boundedArray(text(200), 6),
  hazards: boundedArray(oneOf(HAZARDS), HAZARDS.length),
  mess: oneOf(['dry', 'damp', 'paint'] as const),
  noise: oneOf(['quiet', 'lively'] as const),
  place: oneOf(['in', 'out', 'either'] as const),
  fromAge: v.pipe(v.number(), v.minValue(0), v.maxValue(8)),
  checksItself: flag,
  /** Kinds of sheet that it is done with, each with its look behind a stroke where it is not the usual one. */
  sheets: boundedArray(
    v.pipe(
      v.string(),
      v.regex(/^[a-z0-9-]+(\/[a-z0-9-]+)?$/, 'must be a kind of sheet'),
      v.maxLength(60, 'is too long'),
    ),
    6,
  ),
  makeIt: text(300),
  /** What is made in it and stays in the house, such as a set of dominoes. */
  yields: v.optional(v.object({ name: nonEmptyText(60), use: oneOf(USES), count: Amount })),
  otherwise: v.nullable(Slug),
});

export type Need = v.InferOutput<typeof Need>;
export type Activity = v.InferOutput<typeof Activity>;
