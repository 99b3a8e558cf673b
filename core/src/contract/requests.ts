import * as v from 'valibot';
import {
  ChildNote,
  ClockTime,
  Day,
  EducatorOverride,
  Id,
  Observation,
  POLICIES,
  PlacementEstimate,
  Slug,
  Version,
  Voiding,
  oneOf,
} from '../vocabulary/index.js';

/** What one request may bring at most: of what was seen, and of rows that people edit. */
const MOST_FACTS = 200;
const MOST_ROWS = 500;
const batch = <S extends v.GenericSchema>(item: S, most = MOST_FACTS) =>
  v.pipe(
    v.array(item, 'must be a list'),
    v.minLength(1, 'must not be empty'),
    v.maxLength(most, `must have at most ${most} entries`),
  );
const ActivityId = v.union([Slug, Id], 'must be the id of an activity');

export const ObservationBatch = v.object({ observations: batch(Observation) });
export const VoidingBatch = v.object({ voidings: batch(Voiding) });
export const OverrideBatch = v.object({ overrides: batch(EducatorOverride) });
export const PlacementBatch = v.object({ placements: batch(PlacementEstimate) });
export const NoteBatch = v.object({ notes: batch(ChildNote) });
/** Rows that people edit, added together. */
export const RowBatch = <S extends v.GenericSchema>(row: S) =>
  v.object({ rows: batch(row, MOST_ROWS) });

/** Deletes a child permanently; the name guards against a slip. */
export const ChildDeletion = v.object({
  name: v.string('must be the name of the child'),
  /** Whether backups are written anew without the child. */
  copies: v.boolean('must be true or false'),
});
export const PolicyChange = v.object({ policy: oneOf(POLICIES), version: Version });
/** Moves what is still to come in a moment to another one; null cancels it. */
export const MomentClearing = v.object({ to: v.nullable(Slug) });

/** Plans the rest of a day again; `now` leaves out what is over. */
export const DayPlanning = v.object({ now: v.optional(ClockTime) });
const MOST_STEPS = 5_000;
/** Plans a week. */
export const WeekPlanning = v.object({
  now: v.optional(ClockTime),
  /** Steps of the search; fewer are sooner done and not quite as good. */
  steps: v.optional(
    v.pipe(
      v.number('must be a number'),
      v.integer('must be a whole number'),
      v.minValue(0, 'must be 0 or more'),
      v.maxValue(MOST_STEPS, `must be at most ${MOST_STEPS}`),
    ),
  ),
});
export const CardMove = v.object({ version: Version, day: Day });
/** Puts the next best card in the place of this one, or the one that is named. */
export const CardSwap = v.object({ version: Version, activityId: v.optional(ActivityId) });
export const AwayMark = v.object({
  day: Day,
  childId: Id,
  away: v.boolean('must be true or false'),
});
export const ActivityBan = v.object({ activityId: ActivityId });

/** A table of materials as text; a dry run says what would come of it. */
export const MaterialsTable = v.object({
  text: v.pipe(v.string('must be text'), v.nonEmpty('must not be empty')),
  dry: v.boolean('must be true or false'),
});

export type ObservationBatch = v.InferInput<typeof ObservationBatch>;
export type VoidingBatch = v.InferInput<typeof VoidingBatch>;
export type OverrideBatch = v.InferInput<typeof OverrideBatch>;
export type PlacementBatch = v.InferInput<typeof PlacementBatch>;
export type NoteBatch = v.InferInput<typeof NoteBatch>;
export type ChildDeletion = v.InferInput<typeof ChildDeletion>;
export type PolicyChange = v.InferInput<typeof PolicyChange>;
export type MomentClearing = v.InferInput<typeof MomentClearing>;
export type DayPlanning = v.InferInput<typeof DayPlanning>;
export type WeekPlanning = v.InferInput<typeof WeekPlanning>;
export type CardMove = v.InferInput<typeof CardMove>;
export type CardSwap = v.InferInput<typeof CardSwap>;
export type AwayMark = v.InferInput<typeof AwayMark>;
export type ActivityBan = v.InferInput<typeof ActivityBan>;
export type MaterialsTable = v.InferInput<typeof MaterialsTable>;
