import * as v from 'valibot';
import { Day, Id, Instant, nonEmptyText, text } from './basics.js';

/** Words about a child, noted apart from any try. */
export const ChildNote = v.object({
  id: Id,
  childId: Id,
  at: Instant,
  day: Day,
  words: nonEmptyText(2000),
  notedBy: text(40),
  /** What the family told; without it, what was seen here. Evidence of nothing either way. */
  from: v.optional(v.literal('home', 'must be home')),
});

export type ChildNote = v.InferOutput<typeof ChildNote>;
