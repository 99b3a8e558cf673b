import { basename } from 'node:path';
import { Worker } from 'node:worker_threads';
import { addDays } from '@gumo/core/vocabulary';
import Database from 'better-sqlite3';
import { holdsChild } from '../database/forget.js';
import type { Backup, Backups } from './backups.js';
import type { ForgetWork } from './forget-worker.js';

/** A copy that still holds a child, and the day by which it is gone of itself; null for never. */
export interface Holder {
  readonly name: string;
  readonly until: string | null;
}

const FILE = new URL('./forget-worker.js', import.meta.url);
/** Twelve months of copies are kept; a month's last one leaves a year after its month. */
const LONGEST_DAYS = 366 + 31;

/** Copies that a child is in. A copy that cannot be read holds nothing that could be taken out. */
export function holdersOf(backups: Backups, childId: string): Holder[] {
  const holds = ({ name }: Backup): boolean => {
    try {
      const db = new Database(backups.fileOf(name), { readonly: true });
      try {
        return holdsChild(db, childId);
      } finally {
        db.close();
      }
    } catch {
      return false;
    }
  };
  return backups
    .state()
    .backups.filter(holds)
    .map(({ name, kind, day }) => ({
      name,
      until: kind === 'daily' ? addDays(day, LONGEST_DAYS) : null,
    }));
}

/** Writes copies anew without a child. @returns the names of those that could not be */
export function rewriteWithout(
  backups: Backups,
  names: readonly string[],
  childId: string,
): Promise<string[]> {
  const work: ForgetWork = { files: names.map((name) => backups.fileOf(name)), childId };
  return new Promise((resolve, reject) => {
    const worker = new Worker(FILE, { workerData: work, execArgv: [] });
    worker.on('message', ({ failed }: { failed: string[] }) =>
      resolve(failed.map((file) => basename(file))),
    );
    worker.on('error', reject);
    worker.on('exit', () => reject(new Error('the work was stopped')));
  });
}
