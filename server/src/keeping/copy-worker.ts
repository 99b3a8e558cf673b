import { closeSync, fsyncSync, openSync, renameSync, rmSync } from 'node:fs';
import { parentPort, workerData } from 'node:worker_threads';
import Database from 'better-sqlite3';

/** What the thread is given: a database that is in use, and where its copy goes. */
export interface CopyWork {
  readonly from: string;
  readonly to: string;
}

const { from, to } = workerData as CopyWork;
const part = `${to}.part`;

/** SQLite's own check of every page. @throws Error where a page is not sound */
function checkWhole(path: string): void {
  const copy = new Database(path);
  try {
    // A copy is one file: its log is folded in, so that nothing else has to be kept beside it.
    copy.pragma('journal_mode = DELETE');
    if (copy.pragma('integrity_check(1)', { simple: true }) !== 'ok') {
      throw new Error('the copy is not sound');
    }
  } finally {
    copy.close();
  }
}

async function copyAll(): Promise<void> {
  const source = new Database(from, { readonly: true });
  try {
    await source.backup(part);
  } finally {
    source.close();
  }
  checkWhole(part);
  const file = openSync(part, 'r+');
  fsyncSync(file);
  closeSync(file);
  renameSync(part, to);
}

copyAll().then(
  () => parentPort?.postMessage({ done: true }),
  (error: unknown) => {
    rmSync(part, { force: true });
    parentPort?.postMessage({ error: error instanceof Error ? error.message : String(error) });
  },
);
