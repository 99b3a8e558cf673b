import type { Database } from 'better-sqlite3';

/** Something that was done with the records as a whole, or at the door. */
export type AuditWhat =
  | 'exported'
  | 'imported'
  | 'restored'
  | 'forgotten'
  | 'copy-removed'
  | 'signed-in'
  | 'refused'
  | 'paired'
  | 'signed-out'
  | 'device-removed'
  | 'sharing-on'
  | 'sharing-off'
  | 'password-set';

export interface AuditLine {
  readonly id: number;
  readonly at: string;
  readonly what: AuditWhat;
  /** Which file or copy; never a child's name. */
  readonly detail: string;
  /** The device that asked, or "home". */
  readonly who: string;
}

/** What was done, the newest first. It stays with the machine whatever records it keeps. */
export interface Audit {
  add(what: AuditWhat, detail: string, who: string): void;
  last(many: number): AuditLine[];
}

const MOST_LINES = 2_000;

export function auditIn(db: Database, now: () => Date): Audit {
  const insert = db.prepare('INSERT INTO audit (at, what, detail, who) VALUES (?, ?, ?, ?)');
  const last = db.prepare('SELECT id, at, what, detail, who FROM audit ORDER BY id DESC LIMIT ?');
  const tidy = db.prepare('DELETE FROM audit WHERE id <= (SELECT max(id) FROM audit) - ?');
  return {
    add(what, detail, who) {
      insert.run(now().toISOString(), what, detail, who);
      tidy.run(MOST_LINES);
    },
    last: (many) => last.all(many) as AuditLine[],
  };
}

/** Lines that stood in the records before the list had a file of its own are carried over, once. */
export function carryAudit(records: Database, access: Database): void {
  const lines = records.prepare('SELECT at, what, detail FROM audit ORDER BY id').all();
  if (lines.length === 0) return;
  const known = access.prepare('SELECT count(*) FROM audit').pluck().get() as number;
  const insert = access.prepare(
    "INSERT INTO audit (at, what, detail, who) VALUES (@at, @what, @detail, 'home')",
  );
  if (known === 0) access.transaction(() => lines.forEach((line) => insert.run(line)))();
  records.exec('DELETE FROM audit');
}
