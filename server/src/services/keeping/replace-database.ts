import {
  closeSync,
  existsSync,
  fsyncSync,
  linkSync,
  openSync,
  readdirSync,
  renameSync,
  rmSync,
  statSync,
} from 'node:fs';
import { open, rm } from 'node:fs/promises';
import { basename, dirname, join } from 'node:path';
import type { Database } from 'better-sqlite3';
import { Fault } from '../../faults.js';

const SHRED = '.shred';
const PIECE = 1 << 20;

/** Files that a stop left half-way beside the records and among their copies: their work was never done. */
export async function sweep(path: string): Promise<void> {
  const [folder, name] = [dirname(path), basename(path)];
  const each = (where: string, test: (one: string) => boolean): string[] =>
    existsSync(where)
      ? readdirSync(where)
          .filter(test)
          .map((one) => join(where, one))
      : [];
  for (const one of each(folder, (file) => file.startsWith(`${name}.`) && file.endsWith(SHRED))) {
    await shred(one);
  }
  const left = [
    ...each(
      folder,
      (one) => one.startsWith(`${name}.`) && /\.(restoring|reading|writing|making|shred)/.test(one),
    ),
    // A copy that was being made or written anew, with the log beside it.
    ...each(join(folder, 'backups'), (one) => /\.part(-journal|-wal|-shm)?$/.test(one)),
  ];
  for (const one of left) rmSync(one, { force: true });
}

/** Writes over a file, then removes it: what stood in it is not to be found on the disk. */
export async function shred(file: string): Promise<void> {
  const there = await open(file, 'r+');
  try {
    const { size } = await there.stat();
    const nothing = Buffer.alloc(PIECE);
    for (let at = 0; at < size; at += PIECE) {
      await there.write(nothing, 0, Math.min(PIECE, size - at), at);
    }
    await there.sync();
  } finally {
    await there.close();
  }
  await rm(file, { force: true });
}

/**
 * Closes a database and puts another file in its place, in one step of the file system: whenever the
 * machine stops, the old records are there or the new ones, whole.
 * @param forgets whether what stood there is to be written over
 * @returns where it stands until then; null where it is simply gone
 * @throws Fault `busy` where another program has the database open; it is closed all the same
 */
export function replaceDatabase(
  db: Database,
  candidate: string,
  path: string,
  forgets = false,
): string | null {
  db.pragma('wal_checkpoint(TRUNCATE)');
  db.close();
  const log = `${path}-wal`;
  // A log that is still there belongs to somebody else's open connection, and to the old file.
  if (existsSync(log) && statSync(log).size > 0) {
    throw new Fault('busy', 'Another program has the records open: close it and try again.');
  }
  for (const end of ['-wal', '-shm']) rmSync(`${path}${end}`, { force: true });
  const old = `${path}.${process.pid}${SHRED}`;
  if (forgets) linkSync(path, old);
  renameSync(candidate, path);
  const folder = openSync(dirname(path), 'r');
  fsyncSync(folder);
  closeSync(folder);
  return forgets ? old : null;
}
