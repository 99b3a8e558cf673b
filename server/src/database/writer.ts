import type { Database } from 'better-sqlite3';

/** A write that waits for its turn. */
interface Job {
  readonly work: () => unknown;
  readonly resolve: (value: never) => void;
  readonly reject: (error: unknown) => void;
}

/**
 * Writes that arrive in the same turn of the event loop are committed together, so that several
 * devices share the wait for the disk. Each still stands or falls alone, and none is answered
 * before the commit is on the disk.
 */
export type Enqueue = <T>(work: () => T) => Promise<T>;

export function writerIn(db: Database): Enqueue {
  let waiting: Job[] = [];

  function runOne(job: Job): () => void {
    try {
      // Nested, so a savepoint: what fails is undone without the others.
      const value = db.transaction(job.work)() as never;
      return () => job.resolve(value);
    } catch (error) {
      if (!db.inTransaction) throw error;
      return () => job.reject(error);
    }
  }

  function flush(): void {
    const jobs = waiting;
    waiting = [];
    try {
      const answers = db.transaction(() => jobs.map(runOne)).immediate();
      for (const answer of answers) answer();
    } catch (error) {
      for (const job of jobs) job.reject(error);
    }
  }

  return (work) =>
    new Promise((resolve, reject) => {
      if (waiting.length === 0) setImmediate(flush);
      waiting.push({ work, resolve, reject });
    });
}
