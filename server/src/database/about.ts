import type { Database } from 'better-sqlite3';

/** Writes down which Gumo has the records now; nothing is written where it is the same. */
export function noteVersion(db: Database, version: string): void {
  db.prepare(
    `INSERT INTO about (name, value) VALUES ('gumo', @version)
     ON CONFLICT (name) DO UPDATE SET value = @version WHERE value <> @version`,
  ).run({ version });
}

/** The Gumo that had the records last; null where none has said so. */
export const versionIn = (db: Database): string | null =>
  (db.prepare("SELECT value FROM about WHERE name = 'gumo'").pluck().get() as string | undefined) ??
  null;
