import { closeSync, fsyncSync, openSync, renameSync, rmSync } from 'node:fs';
import { parentPort, workerData } from 'node:worker_threads';
import Database from 'better-sqlite3';
import { forgetChild } from '../../database/forget.js';
import { checkUsable, openDatabase } from '../../database/open.js';

/** What the thread is given: a database, where its copy goes, and what is done to it on the way. */
export interface CopyWork {
  readonly from: string;
  readonly to: string;
  /** A child that the copy is to be without. */
  readonly without?: string;
  /** Whether it is brought up to date, to take the place of the records. @see checkUsable */
  readonly upToDate?: boolean;
}

const { from, to, without, upToDate = false } = workerData as CopyWork;
const part = `${to}.part`;
/** All pages in one step: in smaller ones each write of somebody else would begin the copy anew. */
const ALL_PAGES = 0x7fffffff;

/** SQLite's own check of every page. @throws Error where a page is not sound */
function checkWhole(path: string): void {
  const copy = new Database(path);
  try {
    // A copy is one file: its log is folded in, so that nothing else has to be kept beside it.
    copy.pragma('journal_mode = DELETE');
    if (copy.pragma('integrity_check(1)', { simple: true }) !== 'ok') {
      throw new Error('the backup is not sound');
    }
  } finally {
    copy.close();
  }
}

async function copyAll(): Promise<void> {
  if (upToDate) checkUsable(from);
  const source = new Database(from, { readonly: true });
  try {
    await source.backup(part, { progress: () => ALL_PAGES });
  } finally {
    source.close();
  }
  if (upToDate || without !== undefined) {
    const { db } = openDatabase(part);
    if (without !== undefined) forgetChild(db, without);
    db.close();
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
    for (const end of ['', '-journal', '-wal', '-shm']) rmSync(`${part}${end}`, { force: true });
    const { message, name } = error instanceof Error ? error : { message: String(error), name: '' };
    parentPort?.postMessage({ error: message, name });
  },
);
