import * as v from 'valibot';
import { Day, Id, Instant, Slug, Version, boundedArray, oneOf } from './basics.js';
import { BANDS } from './household.js';

const Figure = v.pipe(v.number('must be a number'), v.finite('must be a number'));

/** What a plan of a week was found to be worth, and what no plan can pass. */
export const PlanWorth = v.object({
  at: Instant,
  /** Sum of the skills met, as the planning counts them. */
  value: Figure,
  /** No plan with the same things held fast is worth more; null where that was not found out. */
  bound: v.nullable(Figure),
  /** Entries that were pinned when it was made. */
  pinned: boundedArray(Id, 100),
  /** Who was there, who had had a first look, and the sum of the versions of all materials. */
  basis: v.optional(
    v.object({
      children: boundedArray(Id, 24),
      looks: boundedArray(Id, 24),
      materials: v.pipe(v.number(), v.integer()),
    }),
  ),
});

/** How much of a week is planned, beside what is usual in the household. */
export const FULLNESSES = ['lighter', 'usual', 'fuller'] as const;
export type Fullness = (typeof FULLNESSES)[number];

/** A week as its planner wants it, apart from its cards; begins on a Monday. */
export const WeekSheet = v.object({
  from: v.pipe(
    Day,
    v.check((day) => new Date(`${day}T00:00:00Z`).getUTCDay() === 1, 'must be a Monday'),
  ),
  /** Days without preschool. */
  closed: boundedArray(Day, 7),
  /** Activities that shall not come this week. */
  banned: boundedArray(v.union([Slug, Id], 'must be the id of an activity'), 200),
  /** Places that are to stay empty: one card fewer of a band on a day. */
  empty: boundedArray(v.object({ day: Day, band: oneOf(BANDS) }), 60),
  fullness: v.optional(oneOf(FULLNESSES)),
  worth: v.nullable(PlanWorth),
  version: Version,
});

export type PlanWorth = v.InferOutput<typeof PlanWorth>;
export type WeekSheet = v.InferOutput<typeof WeekSheet>;

/** A week that nobody has changed yet. */
export const newWeek = (from: Day): WeekSheet => ({
  from,
  closed: [],
  banned: [],
  empty: [],
  worth: null,
  version: 0,
});
