import { existsSync, mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import Database from 'better-sqlite3';

/** A folder of records that one Gumo holds, until it lets go or its process ends. */
export interface FolderLock {
  /** Says to others, once it is known, where this Gumo answers. */
  say(port: number): void;
  release(): void;
}

/** Another Gumo holds the folder; where it answers, as far as it said so. */
export class FolderTaken extends Error {
  constructor(readonly port: number | null) {
    super('the folder is held by another Gumo');
  }
}

/**
 * Takes a folder for this process alone. SQLite's own lock on a file is let go by the system whenever the
 * process ends, however it ends.
 * @throws FolderTaken
 */
export function lockFolder(folder: string): FolderLock {
  mkdirSync(folder, { recursive: true });
  const words = join(folder, 'gumo-running.txt');
  const lock = new Database(join(folder, 'gumo.lock'));
  try {
    lock.pragma('busy_timeout = 0');
    lock.pragma('journal_mode = MEMORY');
    lock.exec('BEGIN EXCLUSIVE');
  } catch (error) {
    lock.close();
    if ((error as { code?: string }).code !== 'SQLITE_BUSY') throw error;
    const said = existsSync(words) ? Number(readFileSync(words, 'utf8')) : 0;
    throw new FolderTaken(said > 0 ? said : null);
  }
  rmSync(words, { force: true });
  return {
    say: (port) => writeFileSync(words, `${port}\n`),
    release: () => {
      rmSync(words, { force: true });
      lock.close();
    },
  };
}
