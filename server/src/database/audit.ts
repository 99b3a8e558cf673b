import type { Database } from 'better-sqlite3';

/** Something that was done with the records as a whole. */
export type AuditWhat = 'exported' | 'imported' | 'restored' | 'forgotten' | 'copy-removed';

export interface AuditLine {
  readonly id: number;
  readonly at: string;
  readonly what: AuditWhat;
  /** Which file or copy; never a name. */
  readonly detail: string;
}

/** What was done with the records, the newest first. */
export interface Audit {
  add(what: AuditWhat, detail: string): void;
  last(many: number): AuditLine[];
}

export function auditIn(db: Database): Audit {
  const insert = db.prepare('INSERT INTO audit (at, what, detail) VALUES (?, ?, ?)');
  const last = db.prepare('SELECT id, at, what, detail FROM audit ORDER BY id DESC LIMIT ?');
  return {
    add: (what, detail) => void insert.run(new Date().toISOString(), what, detail),
    last: (many) => last.all(many) as AuditLine[],
  };
}
