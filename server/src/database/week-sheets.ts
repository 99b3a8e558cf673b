import { type Day, type WeekSheet, newWeek } from '@gumo/core/vocabulary';
import type { Database } from 'better-sqlite3';
import { outdated } from '../faults.js';

export interface Weeks {
  /** The sheet of the week that begins on a Monday; a new one where nothing was kept. */
  find(from: Day): WeekSheet;
  /** Keeps it with the next version. @throws Fault `conflict` where its version is an old one */
  put(sheet: WeekSheet): WeekSheet;
  /** Keeps it as it is, version and all, for a household that is read from a file. */
  restore(sheet: WeekSheet): void;
}

export function weeksIn(db: Database): Weeks {
  const one = db.prepare('SELECT body FROM weeks WHERE from_day = ?').pluck();
  const put = db.prepare(
    `INSERT INTO weeks (from_day, body, version) VALUES (@from, @body, @version)
     ON CONFLICT (from_day) DO UPDATE SET body = excluded.body, version = excluded.version`,
  );
  const find = (from: Day): WeekSheet => {
    const body = one.get(from) as string | undefined;
    return body === undefined ? newWeek(from) : (JSON.parse(body) as WeekSheet);
  };
  return {
    find,
    restore: (sheet) =>
      void put.run({ from: sheet.from, body: JSON.stringify(sheet), version: sheet.version }),
    put(sheet) {
      const current = find(sheet.from);
      if (current.version !== sheet.version) throw outdated(current);
      const next = { ...sheet, version: sheet.version + 1 };
      put.run({ from: next.from, body: JSON.stringify(next), version: next.version });
      return next;
    },
  };
}
