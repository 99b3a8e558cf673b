import * as v from 'valibot';
import { Day, Id, Instant, Slug, flag, oneOf, text } from './basics.js';
import { STRANDS } from './skill.js';

/** What an educator may say of a skill against the computation. */
export const SAYS = ['secure', 'not-there'] as const;
/** Says nothing of what the child can do: a skill that rests is asked again from now on. */
export const GO_ON = 'go-on';

/** The educator's own word on one skill of one child: a fact that wins until it is contradicted. */
export const EducatorOverride = v.object({
  id: Id,
  childId: Id,
  skillId: Slug,
  at: Instant,
  day: Day,
  says: oneOf([...SAYS, GO_ON]),
  note: text(500),
  notedBy: text(40),
});

const Place = v.pipe(v.number(), v.integer(), v.minValue(0), v.maxValue(40));

/** Where a first look begins: about how many skills of each strand the child knows. */
export const PlacementEstimate = v.object({
  id: Id,
  childId: Id,
  at: Instant,
  day: Day,
  levels: v.object(v.entriesFromList(STRANDS, Place)),
  /** True where nobody set them and the age did. */
  byAge: flag,
  notedBy: text(40),
});

export type Says = (typeof SAYS)[number];
export type EducatorOverride = v.InferOutput<typeof EducatorOverride>;
export type PlacementEstimate = v.InferOutput<typeof PlacementEstimate>;
