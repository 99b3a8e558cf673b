import { closeSync, copyFileSync, fsyncSync, openSync, renameSync, rmSync } from 'node:fs';
import { parentPort, workerData } from 'node:worker_threads';
import { forgetChild } from '../database/forget.js';
import { openDatabase } from '../database/open.js';

/** What the thread is given: copies that are written anew without a child. */
export interface ForgetWork {
  readonly files: readonly string[];
  readonly childId: string;
}

const { files, childId } = workerData as ForgetWork;

/** A copy without the child in the place of the one with it, in one step. */
function rewrite(file: string): void {
  const part = `${file}.part`;
  try {
    copyFileSync(file, part);
    const { db } = openDatabase(part);
    try {
      forgetChild(db, childId);
      db.pragma('journal_mode = DELETE');
      if (db.pragma('integrity_check(1)', { simple: true }) !== 'ok') {
        throw new Error('the copy is not sound');
      }
    } finally {
      db.close();
    }
    const out = openSync(part, 'r+');
    fsyncSync(out);
    closeSync(out);
    renameSync(part, file);
  } finally {
    for (const end of ['', '-wal', '-shm']) rmSync(`${part}${end}`, { force: true });
  }
}

const failed: string[] = [];
for (const file of files) {
  try {
    rewrite(file);
  } catch {
    failed.push(file);
  }
}
parentPort?.postMessage({ failed });
