import * as v from 'valibot';
import {
  ChildNote,
  DayMark,
  EducatorOverride,
  Id,
  Observation,
  PlacementEstimate,
  RangeMove,
  Session,
  SessionEnd,
  Voiding,
} from '../vocabulary/index.js';

const kind = <const K extends string, E extends v.ObjectEntries>(name: K, entries: E) =>
  v.object({ kind: v.literal(name), ...entries });

/** What waits on a device to be sent. */
export const OutboxEntry = v.variant('kind', [
  kind('session', { session: Session }),
  kind('observation', { observation: Observation }),
  kind('voiding', { voiding: Voiding, childId: v.optional(v.string()) }),
  kind('override', { override: EducatorOverride }),
  kind('note', { note: ChildNote }),
  kind('note-back', { noteId: v.string(), childId: v.string() }),
  kind('placement', { placement: PlacementEstimate }),
  kind('mark', { day: v.string(), mark: DayMark }),
  kind('range', { sessionId: Id, move: RangeMove }),
  kind('end', { sessionId: Id, end: SessionEnd }),
]);
export type OutboxEntry = v.InferOutput<typeof OutboxEntry>;
