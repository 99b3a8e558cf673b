import * as v from 'valibot';
import { Day, Id, Version, nonEmptyText, flag, boundedArray } from './basics.js';

const Lines = boundedArray(nonEmptyText(400), 20);
const Count = v.pipe(v.number(), v.integer(), v.minValue(0), v.maxValue(200));

/** A page for a family as it was kept: the sentences that were chosen, as they were worded. */
export const FamilyLetter = v.object({
  id: Id,
  childId: Id,
  from: Day,
  to: Day,
  keptOn: Day,
  knows: Lines,
  growing: Lines,
  next: Lines,
  home: Lines,
  cautions: Lines,
  /** Whether the published goals come as a second page. */
  withGoals: flag,
  goals: boundedArray(
    v.object({
      code: nonEmptyText(20),
      source: nonEmptyText(120),
      says: nonEmptyText(400),
      secure: Count,
      of: Count,
    }),
    120,
  ),
  version: Version,
});

export type FamilyLetter = v.InferOutput<typeof FamilyLetter>;
