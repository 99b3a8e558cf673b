import type { ChildNote } from '@gumo/core/vocabulary';
import type { Database } from 'better-sqlite3';
import { taken } from '../faults.js';

/** Words about children, newest first. */
export interface Notes {
  /** True when it was new; the same note again is harmless. @throws Fault `conflict` where another has its id */
  add(note: ChildNote): boolean;
  find(id: string): ChildNote | undefined;
  remove(id: string): void;
  ofChild(childId: string, limit: number): ChildNote[];
  ofDay(day: string): ChildNote[];
}

export function notesIn(db: Database): Notes {
  const insert = db.prepare(
    `INSERT INTO notes (id, child_id, day, at, body) VALUES (@id, @childId, @day, @at, @body)
     ON CONFLICT (id) DO NOTHING`,
  );
  const one = db.prepare('SELECT body FROM notes WHERE id = ?').pluck();
  const remove = db.prepare('DELETE FROM notes WHERE id = ?');
  const ofChild = db
    .prepare('SELECT body FROM notes WHERE child_id = ? ORDER BY at DESC, id DESC LIMIT ?')
    .pluck();
  const ofDay = db.prepare('SELECT body FROM notes WHERE day = ? ORDER BY at, id').pluck();
  const read = (bodies: unknown): ChildNote[] =>
    (bodies as string[]).map((body) => JSON.parse(body) as ChildNote);
  return {
    add(note) {
      const { id, childId, day, at } = note;
      const body = JSON.stringify(note);
      if (insert.run({ id, childId, day, at, body }).changes === 1) return true;
      if (one.get(id) !== body) throw taken('note');
      return false;
    },
    find(id) {
      const body = one.get(id) as string | undefined;
      return body === undefined ? undefined : (JSON.parse(body) as ChildNote);
    },
    remove: (id) => void remove.run(id),
    ofChild: (childId, limit) => read(ofChild.all(childId, limit)),
    ofDay: (day) => read(ofDay.all(day)),
  };
}
