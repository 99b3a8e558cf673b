import { Worker } from 'node:worker_threads';
import { RULES_VERSION } from '@gumo/core/evidence';
import Database from 'better-sqlite3';

/** Facts below which a child is counted when somebody asks for it, at once. */
const FEW = 4_000;

export interface CountingWork {
  readonly database: string;
}

/** How far it is, in facts. */
export interface CountingState {
  readonly done: number;
  readonly total: number;
}

/** Counts conclusions anew from all facts, in a thread of its own, where many have none of these rules. */
export interface Counting {
  readonly state: CountingState | null;
  /** Whether so much waits in a database that it is worth a thread. */
  isNeeded(database: string): boolean;
  /**
   * Counts what has to be counted in a database; resolves at once where that is little. What is done is kept,
   * so that a stop half-way costs only the rest.
   * @throws Error where the thread fails
   */
  run(database: string): Promise<void>;
  close(): Promise<void>;
}

/** Children without conclusions of the present rules, and how many facts each has. */
export function uncounted(db: Database.Database): { childId: string; facts: number }[] {
  return db
    .prepare(
      `SELECT c.id AS childId, (SELECT count(*) FROM facts f WHERE f.child_id = c.id) AS facts
       FROM children c
       WHERE NOT EXISTS (SELECT 1 FROM snapshots s WHERE s.child_id = c.id AND s.rules = ?)`,
    )
    .all(RULES_VERSION) as { childId: string; facts: number }[];
}

export function makeCounting(): Counting {
  let state: CountingState | null = null;
  let worker: Worker | null = null;

  function isNeeded(database: string): boolean {
    if (database === ':memory:') return false;
    const db = new Database(database, { readonly: true });
    try {
      return uncounted(db).reduce((sum, one) => sum + one.facts, 0) > FEW;
    } finally {
      db.close();
    }
  }

  return {
    get state() {
      return state;
    },
    isNeeded,
    async run(database) {
      if (!isNeeded(database)) return;
      state = { done: 0, total: 1 };
      try {
        await new Promise<void>((resolve, reject) => {
          const data: CountingWork = { database };
          worker = new Worker(new URL('./counting-worker.js', import.meta.url), {
            workerData: data,
            execArgv: [],
          });
          worker.on('message', (news: CountingState) => (state = news));
          worker.on('error', reject);
          worker.on('exit', (code) =>
            code === 0 ? resolve() : reject(new Error('the counting was stopped')),
          );
        });
      } finally {
        state = null;
        worker = null;
      }
    },
    close: async () => void (await worker?.terminate()),
  };
}
