import type { Database } from 'better-sqlite3';
import * as v from 'valibot';
import { Fault, outdated } from '../faults.js';

/** Something with a version that people edit, kept whole as JSON beside the columns to search by. */
export interface Versioned {
  readonly id: string;
  readonly version: number;
}

/** A table of versioned rows: what every one of them can do. */
export interface Rows<T extends Versioned> {
  /** Every row in the table's own order. */
  all(): T[];
  /** A row from its JSON as it is kept. @throws Fault `broken` where it is not what it should be */
  read(body: string): T;
  find(id: string): T | undefined;
  has(id: string): boolean;
  /** Adds a row; the same row again is harmless. @throws Fault `conflict` where another has its id */
  add(row: T): T;
  /** Replaces the row that has the same version; the version goes up by one. @throws Fault `conflict` */
  replace(row: T): T;
  remove(id: string): void;
}

type RowsTable =
  | 'household'
  | 'children'
  | 'materials'
  | 'activities'
  | 'songs'
  | 'kits'
  | 'plan_entries'
  | 'print_items'
  | 'family_letters'
  | 'work_samples'
  | 'graphs';

/**
 * Opens a table of versioned rows. Each version of a row is held against the schema when it is first read.
 * @param columns further columns that are filled from the row, by name
 */
export function rowsIn<T extends Versioned>(
  db: Database,
  table: RowsTable,
  schema: v.GenericSchema<unknown, T>,
  columns: Readonly<Record<string, (row: T) => string | number>>,
  order = 'rowid',
): Rows<T> {
  const names = Object.keys(columns);
  const all = db.prepare(`SELECT body FROM ${table} ORDER BY ${order}`).pluck();
  const one = db.prepare(`SELECT body FROM ${table} WHERE id = ?`).pluck();
  const exists = db.prepare(`SELECT 1 FROM ${table} WHERE id = ?`).pluck();
  const insert = db.prepare(
    `INSERT INTO ${table} (id, body, version${names.map((name) => `, ${name}`).join('')})
     VALUES (@id, @body, @version${names.map((name) => `, @${name}`).join('')})`,
  );
  const update = db.prepare(
    `UPDATE ${table}
     SET body = @body, version = @version${names.map((name) => `, ${name} = @${name}`).join('')}
     WHERE id = @id AND version = @version - 1`,
  );
  const remove = db.prepare(`DELETE FROM ${table} WHERE id = ?`);
  const values = (row: T): Record<string, string | number> => ({
    id: row.id,
    version: row.version,
    body: JSON.stringify(row),
    ...Object.fromEntries(names.map((name) => [name, columns[name]?.(row) ?? ''])),
  });
  const checkedVersions = new Map<string, number>();
  /** @throws Fault `broken` where what is kept is not what it should be */
  const read = (body: string): T => {
    const row = JSON.parse(body) as T;
    if (checkedVersions.get(row.id) === row.version) return row;
    const found = v.safeParse(schema, row);
    if (!found.success) {
      const field = v.getDotPath(found.issues[0]) ?? 'a row';
      throw new Fault('broken', `What is kept in ${table} cannot be read: ${field}.`);
    }
    checkedVersions.set(row.id, row.version);
    return row;
  };
  const find = (id: string): T | undefined => {
    const body = one.get(id) as string | undefined;
    return body === undefined ? undefined : read(body);
  };
  return {
    all: () => (all.all() as string[]).map(read),
    read,
    find,
    has: (id) => exists.get(id) !== undefined,
    add(row) {
      const known = find(row.id);
      if (!known) insert.run(values(row));
      else if (JSON.stringify(known) !== JSON.stringify(row)) throw outdated(known);
      return row;
    },
    replace(row) {
      const next = { ...row, version: row.version + 1 };
      if (update.run(values(next)).changes === 0) throw outdated(find(row.id));
      return next;
    },
    remove: (id) => void remove.run(id),
  };
}
