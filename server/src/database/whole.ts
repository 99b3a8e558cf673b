import type { Database } from 'better-sqlite3';

/** Parts of a household file that are kept as lists. */
export type ListPart =
  | 'children'
  | 'materials'
  | 'activities'
  | 'songs'
  | 'kits'
  | 'sessions'
  | 'observations'
  | 'voidings'
  | 'overrides'
  | 'placements'
  | 'plan'
  | 'days'
  | 'notes'
  | 'weeks'
  | 'prints'
  | 'families'
  | 'samples'
  | 'graphs';

const BODIES: Readonly<Record<Exclude<ListPart, 'sessions'>, string>> = {
  children: 'SELECT body FROM children ORDER BY rowid',
  materials: 'SELECT body FROM materials ORDER BY rowid',
  activities: 'SELECT body FROM activities ORDER BY rowid',
  songs: 'SELECT body FROM songs ORDER BY rowid',
  kits: 'SELECT body FROM kits ORDER BY rowid',
  observations: `SELECT body FROM facts WHERE kind = 'observation' ORDER BY seq`,
  voidings: `SELECT body FROM facts WHERE kind = 'voiding' ORDER BY seq`,
  overrides: `SELECT body FROM facts WHERE kind = 'override' ORDER BY seq`,
  placements: `SELECT body FROM facts WHERE kind = 'placement' ORDER BY seq`,
  plan: 'SELECT body FROM plan_entries ORDER BY rowid',
  days: 'SELECT body FROM day_sheets ORDER BY day',
  notes: 'SELECT body FROM notes ORDER BY rowid',
  weeks: 'SELECT body FROM weeks ORDER BY from_day',
  prints: 'SELECT body FROM print_items ORDER BY rowid',
  families: 'SELECT body FROM family_letters ORDER BY rowid',
  samples: 'SELECT body FROM work_samples ORDER BY rowid',
  graphs: 'SELECT body FROM graphs ORDER BY rowid',
};

/** Every row of a part, as it was kept, in the order in which it arrived. */
export function* rowsOf(db: Database, part: ListPart): IterableIterator<unknown> {
  if (part === 'sessions') {
    const rows = db
      .prepare(
        `SELECT id, activity_id AS activityId, plan_entry_id AS planEntryId, day,
           started_at AS startedAt, ended_at AS endedAt, mood, participants, adult
         FROM sessions ORDER BY rowid`,
      )
      .iterate() as IterableIterator<{ participants: string; adult: string | null }>;
    for (const { adult, participants, ...row } of rows) {
      const said = adult === null ? {} : { adult };
      yield { ...row, participants: JSON.parse(participants) as unknown, ...said };
    }
    return;
  }
  const bodies = db.prepare(BODIES[part]).pluck().iterate() as IterableIterator<string>;
  for (const body of bodies) yield JSON.parse(body) as unknown;
}

export function householdRow(db: Database): unknown {
  const body = db.prepare('SELECT body FROM household LIMIT 1').pluck().get() as string | undefined;
  return body === undefined ? null : JSON.parse(body);
}
