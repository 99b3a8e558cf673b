import * as v from 'valibot';
import { Activity } from './activity.js';
import {
  Amount,
  Day,
  Id,
  Version,
  nonEmptyText,
  flag,
  boundedArray,
  oneOf,
  text,
} from './basics.js';

/** An activity of the household's own, with the same fields as a built-in one. */
export const OwnActivity = v.object({
  ...Activity.entries,
  id: Id,
  archived: flag,
  version: Version,
});

/** A counting song in the household's own words. */
export const Song = v.object({
  id: Id,
  title: nonEmptyText(60),
  direction: oneOf(['up', 'down'] as const),
  from: Amount,
  to: Amount,
  words: text(4000),
  version: Version,
});

const KitMaterial = v.object({ materialId: Id, count: Amount });

/** A packed box for an activity or for table time, used for nothing else. */
export const Kit = v.object({
  id: Id,
  title: nonEmptyText(60),
  /** The activity it is packed for; null for table time in general. */
  activityId: v.nullable(nonEmptyText(60)),
  contents: boundedArray(KitMaterial, 40),
  /** When its contents were last changed, and after how many weeks it wants a change; 0 never. */
  changedOn: Day,
  changeAfterWeeks: v.pipe(v.number(), v.integer(), v.minValue(0), v.maxValue(52)),
  /** What the last check of the contents found. */
  checked: v.nullable(
    v.object({
      day: Day,
      when: oneOf(['before', 'after'] as const),
      missing: boundedArray(KitMaterial, 40),
    }),
  ),
  version: Version,
});

export type OwnActivity = v.InferOutput<typeof OwnActivity>;
export type Song = v.InferOutput<typeof Song>;
export type Kit = v.InferOutput<typeof Kit>;
