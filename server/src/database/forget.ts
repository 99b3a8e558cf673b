import type { Database } from 'better-sqlite3';
import type { DaySheet, PlanEntry, Session } from '@gumo/core/vocabulary';

/**
 * Removes a child and every record that is about it: what was seen and said, its part of sessions and
 * of the plan, what was concluded and collected. What others did in the same sessions stays. Pages
 * that held it are overwritten, and the file is written anew.
 * @returns whether there was such a child
 */
export function forgetChild(db: Database, childId: string): boolean {
  db.pragma('secure_delete = ON');
  const known = db.prepare('SELECT 1 FROM children WHERE id = ?').get(childId) !== undefined;
  if (!known) return false;
  db.transaction(() => removeAll(db, childId)).immediate();
  db.exec('VACUUM');
  db.pragma('wal_checkpoint(TRUNCATE)');
  return true;
}

function removeAll(db: Database, childId: string): void {
  const run = (sql: string, ...values: unknown[]): void => void db.prepare(sql).run(...values);
  const bodies = <T>(sql: string): T[] =>
    (db.prepare(sql).pluck().all() as string[]).map((body) => JSON.parse(body) as T);
  const withoutChild = <
    T extends { readonly participants: readonly { readonly childId: string }[] },
  >(
    one: T,
  ): T => ({
    ...one,
    participants: one.participants.filter((participant) => participant.childId !== childId),
  });

  run('DELETE FROM facts WHERE child_id = ? AND voids IS NOT NULL', childId);
  run('DELETE FROM facts WHERE child_id = ?', childId);
  run('DELETE FROM snapshots WHERE child_id = ?', childId);
  run('DELETE FROM notes WHERE child_id = ?', childId);
  run('DELETE FROM work_samples WHERE child_id = ?', childId);
  run('DELETE FROM family_letters WHERE child_id = ?', childId);
  run('DELETE FROM session_children WHERE child_id = ?', childId);

  const sessions = db
    .prepare('SELECT id, participants FROM sessions WHERE instr(participants, ?) > 0')
    .all(childId) as { id: string; participants: string }[];
  for (const { id, participants } of sessions) {
    const left = withoutChild({
      participants: JSON.parse(participants) as Session['participants'],
    }).participants;
    // A try of somebody else that was noted in it keeps the session.
    const isOthers = db.prepare('SELECT 1 FROM facts WHERE session_id = ?').get(id) !== undefined;
    if (left.length === 0 && !isOthers) run('DELETE FROM sessions WHERE id = ?', id);
    else run('UPDATE sessions SET participants = ? WHERE id = ?', JSON.stringify(left), id);
  }
  for (const entry of bodies<PlanEntry>('SELECT body FROM plan_entries')) {
    if (!entry.participants.some((participant) => participant.childId === childId)) continue;
    const left = withoutChild(entry);
    if (left.participants.length === 0) run('DELETE FROM plan_entries WHERE id = ?', entry.id);
    else {
      run('UPDATE plan_entries SET body = ? WHERE id = ?', JSON.stringify(left), entry.id);
    }
  }
  for (const sheet of bodies<DaySheet>('SELECT body FROM day_sheets')) {
    if (!sheet.away.includes(childId)) continue;
    const away = sheet.away.filter((id) => id !== childId);
    run(
      'UPDATE day_sheets SET body = ? WHERE day = ?',
      JSON.stringify({ ...sheet, away }),
      sheet.day,
    );
  }
  run(`DELETE FROM print_items WHERE json_extract(body, '$.childId') = ?`, childId);
  run('DELETE FROM children WHERE id = ?', childId);
}

/** Whether a database holds a child. */
export const holdsChild = (db: Database, childId: string): boolean =>
  db.prepare('SELECT 1 FROM children WHERE id = ?').get(childId) !== undefined;
