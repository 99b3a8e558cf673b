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
});

export type ChildNote = v.InferOutput<typeof ChildNote>;
