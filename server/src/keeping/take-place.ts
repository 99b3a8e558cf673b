import {
  closeSync,
  existsSync,
  fsyncSync,
  openSync,
  readdirSync,
  renameSync,
  rmSync,
  statSync,
} from 'node:fs';
import { basename, dirname, join } from 'node:path';
import type { Database } from 'better-sqlite3';
import { Problem } from '../problems.js';

/** Files beside the records that a stop left half-way: their work was never done. */
export function sweep(path: string): void {
  const [folder, name] = [dirname(path), basename(path)];
  if (!existsSync(folder)) return;
  readdirSync(folder)
    .filter((one) => one.startsWith(`${name}.`) && /\.(restoring|reading|writing)/.test(one))
    .forEach((one) => rmSync(join(folder, one), { force: true }));
}

/**
 * Closes a database and puts another file in its place, in one step of the file system: whenever the
 * machine stops, the old records are there or the new ones, whole.
 * @throws Problem 503 where another program has the database open; it is closed all the same
 */
export function takePlace(db: Database, candidate: string, path: string): void {
  db.pragma('wal_checkpoint(TRUNCATE)');
  db.close();
  const log = `${path}-wal`;
  // A log that is still there belongs to somebody else's open connection, and to the old file.
  if (existsSync(log) && statSync(log).size > 0) {
    throw new Problem(503, 'Another program has the records open: close it and try again.');
  }
  for (const end of ['-wal', '-shm']) rmSync(`${path}${end}`, { force: true });
  renameSync(candidate, path);
  const folder = openSync(dirname(path), 'r');
  fsyncSync(folder);
  closeSync(folder);
}
