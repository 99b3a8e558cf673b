import type { Database } from 'better-sqlite3';

/** A child that is to be forgotten. */
export interface Intention {
  readonly childId: string;
  /** Whether copies of the records are written anew without the child. */
  readonly copies: boolean;
}

/** What is to be forgotten and is not yet, kept beside the records. */
export interface Intentions {
  put(intention: Intention): void;
  find(childId: string): Intention | null;
  all(): Intention[];
  done(childId: string): void;
}

export function intentionsIn(db: Database, now: () => Date): Intentions {
  db.pragma('secure_delete = ON');
  const put = db.prepare(
    `INSERT INTO forgetting (child_id, copies, at) VALUES (?, ?, ?)
     ON CONFLICT (child_id) DO UPDATE SET copies = max(copies, excluded.copies)`,
  );
  const all = db.prepare('SELECT child_id AS childId, copies FROM forgetting ORDER BY at');
  const done = db.prepare('DELETE FROM forgetting WHERE child_id = ?');
  const list = (): Intention[] =>
    (all.all() as { childId: string; copies: 0 | 1 }[]).map(({ childId, copies }) => ({
      childId,
      copies: copies === 1,
    }));
  return {
    put: ({ childId, copies }) => void put.run(childId, copies ? 1 : 0, now().toISOString()),
    find: (childId) => list().find((one) => one.childId === childId) ?? null,
    all: list,
    done(childId) {
      done.run(childId);
      // Not even its number stays behind.
      db.pragma('wal_checkpoint(TRUNCATE)');
    },
  };
}
