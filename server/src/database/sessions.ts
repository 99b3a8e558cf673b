import { type Mood, type Session, type SessionEnd, ended } from '@gumo/core/vocabulary';
import type { Database } from 'better-sqlite3';
import { taken } from '../faults.js';

/** A session as a list shows it. */
export interface SessionLine extends Session {
  /** Tries noted in it, those undone left out. */
  readonly tries: number;
}

export interface Sessions {
  find(id: string): Session | undefined;
  /**
   * Adds a session; the same beginning again is harmless, whatever range a child is in by now. True when
   * it was new. @throws Fault `conflict` where another has its id
   */
  add(session: Session): boolean;
  /** Ends it; saying so again changes the mood at most. */
  end(id: string, end: SessionEnd): void;
  /** Keeps who takes part and in which range. */
  putParticipants(session: Session): void;
  /** Sessions of a day that were begun and not ended. */
  openOn(day: string): Session[];
  /** Sessions of a day, in the order in which they began. */
  ofDay(day: string): Session[];
  /** Which activities were given on which days, from the first to the last day named. */
  between(first: string, last: string): { activityId: string; day: string }[];
  /** Sessions of a child, newest first. */
  ofChild(childId: string, limit: number): SessionLine[];
  /** The last session in an activity in which something of the child stands; undefined for none. */
  lastOf(childId: string, activityId: string): string | undefined;
}

interface SessionRow extends Omit<Session, 'participants' | 'adult'> {
  readonly participants: string;
  readonly adult: Mood | null;
}

const COLUMNS = `s.id, s.activity_id AS activityId, s.plan_entry_id AS planEntryId, s.day,
  s.started_at AS startedAt, s.ended_at AS endedAt, s.mood, s.participants, s.adult`;

function toSession<R extends SessionRow>(row: R): Omit<R, 'participants' | 'adult'> & Session {
  const { adult, participants, ...rest } = row;
  const said = adult === null ? {} : { adult };
  return { ...rest, participants: JSON.parse(participants) as Session['participants'], ...said };
}

/** What never changes of a session: what was begun, when, and with whom. */
const beginningOf = ({ activityId, planEntryId, day, startedAt, participants }: Session): string =>
  JSON.stringify([activityId, planEntryId, day, startedAt, participants.map((one) => one.childId)]);

export function sessionsIn(db: Database): Sessions {
  const one = db.prepare(`SELECT ${COLUMNS} FROM sessions s WHERE s.id = ?`);
  const insert = db.prepare(
    `INSERT INTO sessions (id, activity_id, plan_entry_id, day, started_at, ended_at, mood, participants, adult)
     VALUES (@id, @activityId, @planEntryId, @day, @startedAt, @endedAt, @mood, @participants, @adult)
     ON CONFLICT (id) DO NOTHING`,
  );
  const insertChild = db.prepare(
    'INSERT INTO session_children (session_id, child_id) VALUES (?, ?) ON CONFLICT DO NOTHING',
  );
  const end = db.prepare(
    'UPDATE sessions SET ended_at = ?, mood = ?, participants = ?, adult = ? WHERE id = ?',
  );
  const participants = db.prepare('UPDATE sessions SET participants = ? WHERE id = ?');
  const ofChild = db.prepare(
    `SELECT ${COLUMNS}, (
       SELECT count(*) FROM facts f
       WHERE f.session_id = s.id AND f.child_id = c.child_id
         AND NOT EXISTS (SELECT 1 FROM facts v WHERE v.voids = f.id)) AS tries
     FROM session_children c JOIN sessions s ON s.id = c.session_id
     WHERE c.child_id = ? ORDER BY s.started_at DESC, s.id LIMIT ?`,
  );
  const lastOf = db
    .prepare(
      `SELECT s.id FROM session_children c JOIN sessions s ON s.id = c.session_id
       WHERE c.child_id = @childId AND s.activity_id = @activityId AND EXISTS (
         SELECT 1 FROM facts f WHERE f.session_id = s.id AND f.child_id = @childId
           AND NOT EXISTS (SELECT 1 FROM facts v WHERE v.voids = f.id))
       ORDER BY s.started_at DESC, s.id LIMIT 1`,
    )
    .pluck();
  const ofDay = db.prepare(
    `SELECT ${COLUMNS} FROM sessions s WHERE s.day = ? ORDER BY s.started_at`,
  );
  const openOn = db.prepare(
    `SELECT ${COLUMNS} FROM sessions s WHERE s.day = ? AND s.ended_at IS NULL ORDER BY s.started_at`,
  );
  const between = db.prepare(
    'SELECT DISTINCT activity_id AS activityId, day FROM sessions WHERE day BETWEEN ? AND ?',
  );
  return {
    lastOf: (childId, activityId) => lastOf.get({ childId, activityId }) as string | undefined,
    between: (first, last) => between.all(first, last) as ReturnType<Sessions['between']>,
    ofDay: (day) => (ofDay.all(day) as SessionRow[]).map(toSession),
    openOn: (day) => (openOn.all(day) as SessionRow[]).map(toSession),
    find(id) {
      const row = one.get(id) as SessionRow | undefined;
      return row && toSession(row);
    },
    add(session) {
      const isNew =
        insert.run({
          ...session,
          adult: session.adult ?? null,
          participants: JSON.stringify(session.participants),
        }).changes === 1;
      if (!isNew) {
        if (beginningOf(toSession(one.get(session.id) as SessionRow)) !== beginningOf(session)) {
          throw taken('session');
        }
        return false;
      }
      for (const participant of session.participants)
        insertChild.run(session.id, participant.childId);
      return true;
    },
    putParticipants: (session) =>
      void participants.run(JSON.stringify(session.participants), session.id),
    end(id, how) {
      const row = one.get(id) as SessionRow | undefined;
      if (!row) return;
      const { endedAt, mood, participants: who, adult } = ended(toSession(row), how);
      end.run(endedAt, mood, JSON.stringify(who), adult ?? null, id);
    },
    ofChild: (childId, limit) =>
      (ofChild.all(childId, limit) as (SessionRow & { tries: number })[]).map(toSession),
  };
}
