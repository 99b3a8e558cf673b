import { Worker } from 'node:worker_threads';
import type { Database } from 'better-sqlite3';

/** SQLite's own number: after as many pages a commit folds the log into the file by itself. */
const PAGES = 1000;
const FILE = new URL('./replay-worker.js', import.meta.url);

/**
 * Does long work during which no commit folds the log; a thread does so afterwards, since folding much
 * holds everybody. What the thread does not manage, the next commit does.
 */
export async function foldedAfter<T>(db: Database, work: () => Promise<T>): Promise<T> {
  db.pragma('wal_autocheckpoint = 0');
  try {
    return await work();
  } finally {
    await new Promise<void>((resolve) => {
      const worker = new Worker(FILE, { workerData: db.name, execArgv: [] });
      worker.on('error', () => resolve()).on('exit', () => resolve());
    });
    if (db.open) db.pragma(`wal_autocheckpoint = ${PAGES}`);
  }
}
