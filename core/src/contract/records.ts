import * as v from 'valibot';

/** What the server says of itself: its name, and its own clock, or null where it stands still. */
export const Health = v.object({
  ok: v.literal(true),
  name: v.literal('gumo'),
  now: v.nullable(v.string()),
});
/** How far what was noted is counted anew; null while nothing is to be counted. */
export const Counting = v.nullable(v.object({ done: v.number(), total: v.number() }));

export const Backup = v.object({
  name: v.string(),
  kind: v.picklist(['daily', 'asked', 'before']),
  day: v.string(),
  at: v.string(),
  bytes: v.number(),
});
export const Backups = v.object({
  backups: v.array(Backup),
  notice: v.string(),
  folder: v.string(),
  /** The version of Gumo. */
  gumo: v.string(),
});
/** The backup of what was here before. */
export const Restored = v.object({ before: v.string() });
/** What came in; what cannot have happened was left out, the first of it in sentences. */
export const Imported = v.object({
  ...Restored.entries,
  /** How many records of each list came in. */
  counts: v.record(v.string(), v.number()),
  leftOut: v.object({ count: v.number(), words: v.array(v.string()) }),
});
export const Audit = v.array(
  v.object({
    id: v.number(),
    at: v.string(),
    what: v.string(),
    detail: v.string(),
    who: v.string(),
  }),
);

const RowSaid = v.object({ row: v.number(), what: v.string(), words: v.string() });
/** What became of the rows of a table of tries. */
export const TriesImported = v.object({
  header: v.array(v.string()),
  mapping: v.record(v.string(), v.nullable(v.string())),
  added: v.number(),
  known: v.number(),
  refused: v.number(),
  rows: v.array(RowSaid),
});
/** What became of the rows of a table of materials. */
export const MaterialsImported = v.object({
  added: v.number(),
  changed: v.number(),
  known: v.number(),
  refused: v.number(),
  rows: v.array(RowSaid),
});

/** Who still holds something of a child that was deleted, and until when. */
export const Deleted = v.object({
  holders: v.array(v.object({ name: v.string(), until: v.nullable(v.string()) })),
});

/** What the server says where it does not do what was asked. */
export const ProblemBody = v.object({
  title: v.string(),
  errors: v.optional(v.array(v.object({ field: v.string(), message: v.string() }))),
  current: v.optional(v.unknown()),
});

export type Backup = v.InferOutput<typeof Backup>;
export type Backups = v.InferOutput<typeof Backups>;
export type Audit = v.InferOutput<typeof Audit>;
export type ProblemBody = v.InferOutput<typeof ProblemBody>;
export type TriesImported = v.InferOutput<typeof TriesImported>;
