import {
  closeSync,
  existsSync,
  mkdirSync,
  openSync,
  readSync,
  readdirSync,
  readFileSync,
  renameSync,
  rmSync,
  statSync,
} from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { renamedRecord } from '@gumo/core/exchange';
import Database from 'better-sqlite3';

/** Marks a database file as Gumo's own: "GUMO" in the header's application id. */
export const APPLICATION_ID = 0x47554d4f;
const MAGIC = 'SQLite format 3\0';

/** Which of Gumo's databases a file is: the mark in its header, and the steps that lead to its newest form. */
export interface Kind {
  readonly applicationId: number;
  readonly folder: string;
}

const folderOf = (name: string): string =>
  fileURLToPath(new URL(`../../${name}/`, import.meta.url));
export const RECORDS: Kind = { applicationId: APPLICATION_ID, folder: folderOf('migrations') };
/** "GUMA": who may ask over the network. */
export const ACCESS: Kind = { applicationId: 0x47554d41, folder: folderOf('access-migrations') };

/** A file that is not opened, with a sentence for the person at the screen. */
export class UnusableDatabase extends Error {
  override readonly name = 'UnusableDatabase';
}

export interface OpenDatabase {
  readonly db: Database.Database;
  /** True when the file was made just now. */
  readonly isNew: boolean;
}

interface Migration {
  readonly number: number;
  readonly sql: string;
}

function migrations({ folder }: Kind): Migration[] {
  return readdirSync(folder)
    .filter((name) => /^\d{4}-.*\.sql$/.test(name))
    .sort()
    .map((name) => ({
      number: Number(name.slice(0, 4)),
      sql: readFileSync(join(folder, name), 'utf8'),
    }));
}

/**
 * Looks at the file's header before anything opens it, so that a file that is not Gumo's is never
 * touched. True when there is a database in it already.
 * @throws UnusableDatabase
 */
function inspect(path: string, newest: number, kind: Kind): boolean {
  if (!existsSync(path)) return false;
  if (!statSync(path).isFile()) throw new UnusableDatabase(`${path} is not a file.`);
  const header = Buffer.alloc(100);
  const file = openSync(path, 'r');
  const read = readSync(file, header, 0, 100, 0);
  closeSync(file);
  if (read === 0) throw new UnusableDatabase(empty(path));
  if (read < 100 || header.toString('latin1', 0, 16) !== MAGIC) {
    throw new UnusableDatabase(
      `${path} is not a Gumo database. It was left as it is; choose another file with GUMO_DATA.`,
    );
  }
  const known = readThrough(path);
  if (!known) throw new UnusableDatabase(damaged(path));
  if (known.application !== kind.applicationId && known.tables > 0) {
    throw new UnusableDatabase(
      `${path} belongs to another program. It was left as it is; choose another file with GUMO_DATA.`,
    );
  }
  if (known.version > newest) {
    throw new UnusableDatabase(
      `${path} was written by a newer Gumo (version ${known.version}, this one knows ${newest}). ` +
        'Update Gumo, or choose another file with GUMO_DATA.',
    );
  }
  if (known.tables === 0) throw new UnusableDatabase(empty(path));
  return true;
}

const empty = (path: string): string =>
  `${path} holds no records. Where it was copied from a running Gumo, what was noted last stands in a ` +
  'second file with -wal at the end of its name: copy both, or restore a backup. ' +
  'To start anew, remove it, or choose another file with GUMO_DATA.';

const damaged = (path: string): string =>
  `${path} is damaged. It was left as it is; restore a backup, or choose another file with GUMO_DATA.`;

/**
 * Marks of a database, read without writing. SQLite reads them, not we: after a power cut the
 * newest ones may still stand in the log beside the file. Null when they cannot be read.
 */
function readThrough(
  path: string,
): { application: number; version: number; tables: number } | null {
  let db: Database.Database | undefined;
  try {
    db = new Database(path, { readonly: true });
    return {
      application: db.pragma('application_id', { simple: true }) as number,
      version: db.pragma('user_version', { simple: true }) as number,
      tables: db.prepare('SELECT count(*) FROM sqlite_schema').pluck().get() as number,
    };
  } catch {
    return null;
  } finally {
    db?.close();
  }
}

/** @throws UnusableDatabase when the file fails SQLite's own check */
function checkSound(path: string): void {
  const fail = (): never => {
    throw new UnusableDatabase(damaged(path));
  };
  let db: Database.Database | undefined;
  try {
    db = new Database(path, { readonly: true });
    if (db.pragma('quick_check(1)', { simple: true }) !== 'ok') fail();
  } catch (error) {
    if (error instanceof UnusableDatabase) throw error;
    fail();
  } finally {
    db?.close();
  }
}

/** @throws UnusableDatabase where a file is no sound database of Gumo that this one knows */
export function checkUsable(path: string): void {
  const newest = migrations(RECORDS).at(-1)?.number ?? 0;
  if (!inspect(path, newest, RECORDS)) throw new UnusableDatabase(`${path} holds no records.`);
  checkSound(path);
}

/** Takes every step that a database has not taken yet, each whole or not at all. */
function bringUpToDate(db: Database.Database, kind: Kind): void {
  const current = db.pragma('user_version', { simple: true }) as number;
  // What a step may call: the name of a list of the household file, and a record or several of it.
  db.function('renamed', { deterministic: true }, (list, body) =>
    JSON.stringify(renamedRecord(String(list), JSON.parse(String(body)))),
  );
  for (const step of migrations(kind).filter((one) => one.number > current)) {
    db.transaction(() => {
      db.exec(step.sql);
      db.pragma(`application_id = ${kind.applicationId}`);
      db.pragma(`user_version = ${step.number}`);
    })();
  }
}

/** Makes a new database aside, so that its file is there whole or not at all. */
function make(path: string, kind: Kind): void {
  const aside = `${path}.making`;
  mkdirSync(dirname(path), { recursive: true });
  for (const end of ['', '-journal']) rmSync(`${aside}${end}`, { force: true });
  const db = new Database(aside);
  bringUpToDate(db, kind);
  db.close();
  renameSync(aside, path);
}

/**
 * Opens the household's database, makes it when there is none, and brings it up to date. A foreign, empty,
 * damaged or newer file is refused and not written to.
 * @param isChecked whether every page of the file was looked at just now
 * @throws UnusableDatabase with a sentence that says what to do
 */
export function openDatabase(path: string, kind: Kind = RECORDS, isChecked = false): OpenDatabase {
  const newest = migrations(kind).at(-1)?.number ?? 0;
  const inMemory = path === ':memory:';
  const exists = !inMemory && inspect(path, newest, kind);
  if (exists && !isChecked) checkSound(path);
  else if (!exists && !inMemory) make(path, kind);
  const db = new Database(path);
  db.pragma('journal_mode = WAL');
  db.pragma('synchronous = FULL');
  db.pragma('foreign_keys = ON');
  db.pragma('busy_timeout = 2000');
  bringUpToDate(db, kind);
  return { db, isNew: !exists };
}
