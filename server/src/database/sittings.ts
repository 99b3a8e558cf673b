import { type Mood, type Sitting, type SittingEnd, ended } from '@gumo/core/vocabulary';
import type { Database } from 'better-sqlite3';
import { taken } from '../problems.js';

/** A sitting as a list shows it. */
export interface SittingLine extends Sitting {
  /** Tries noted in it, those taken back left out. */
  readonly tries: number;
}

export interface Sittings {
  find(id: string): Sitting | undefined;
  /**
   * Adds a sitting; the same beginning again is harmless, whatever range a child is in by now. True when
   * it was new. @throws Problem 409 where another has its id
   */
  add(sitting: Sitting): boolean;
  /** Ends it; saying so again changes the mood at most. */
  end(id: string, end: SittingEnd): void;
  /** Keeps who takes part and in which range. */
  putTakers(sitting: Sitting): void;
  /** Sittings of a day that were begun and not ended. */
  openOn(day: string): Sitting[];
  /** Sittings of a day, in the order in which they began. */
  ofDay(day: string): Sitting[];
  /** Which activities were given on which days, from the first to the last day named. */
  between(first: string, last: string): { activityId: string; day: string }[];
  /** Sittings of a child, newest first. */
  ofChild(childId: string, limit: number): SittingLine[];
  /** The last sitting in an activity in which something of the child stands; undefined for none. */
  lastOf(childId: string, activityId: string): string | undefined;
}

interface SittingRow extends Omit<Sitting, 'takers' | 'adult'> {
  readonly takers: string;
  readonly adult: Mood | null;
}

const COLUMNS = `s.id, s.activity_id AS activityId, s.plan_entry_id AS planEntryId, s.day,
  s.started_at AS startedAt, s.ended_at AS endedAt, s.mood, s.takers, s.adult`;

function toSitting<R extends SittingRow>(row: R): Omit<R, 'takers' | 'adult'> & Sitting {
  const { adult, takers, ...rest } = row;
  const said = adult === null ? {} : { adult };
  return { ...rest, takers: JSON.parse(takers) as Sitting['takers'], ...said };
}

/** What never changes of a sitting: what was begun, when, and with whom. */
const beginningOf = ({ activityId, planEntryId, day, startedAt, takers }: Sitting): string =>
  JSON.stringify([activityId, planEntryId, day, startedAt, takers.map((one) => one.childId)]);

export function sittingsIn(db: Database): Sittings {
  const one = db.prepare(`SELECT ${COLUMNS} FROM sittings s WHERE s.id = ?`);
  const insert = db.prepare(
    `INSERT INTO sittings (id, activity_id, plan_entry_id, day, started_at, ended_at, mood, takers, adult)
     VALUES (@id, @activityId, @planEntryId, @day, @startedAt, @endedAt, @mood, @takers, @adult)
     ON CONFLICT (id) DO NOTHING`,
  );
  const insertChild = db.prepare(
    'INSERT INTO sitting_children (sitting_id, child_id) VALUES (?, ?) ON CONFLICT DO NOTHING',
  );
  const end = db.prepare(
    'UPDATE sittings SET ended_at = ?, mood = ?, takers = ?, adult = ? WHERE id = ?',
  );
  const takers = db.prepare('UPDATE sittings SET takers = ? WHERE id = ?');
  const ofChild = db.prepare(
    `SELECT ${COLUMNS}, (
       SELECT count(*) FROM facts f
       WHERE f.sitting_id = s.id AND f.child_id = c.child_id
         AND NOT EXISTS (SELECT 1 FROM facts v WHERE v.voids = f.id)) AS tries
     FROM sitting_children c JOIN sittings s ON s.id = c.sitting_id
     WHERE c.child_id = ? ORDER BY s.started_at DESC, s.id LIMIT ?`,
  );
  const lastOf = db
    .prepare(
      `SELECT s.id FROM sitting_children c JOIN sittings s ON s.id = c.sitting_id
       WHERE c.child_id = @childId AND s.activity_id = @activityId AND EXISTS (
         SELECT 1 FROM facts f WHERE f.sitting_id = s.id AND f.child_id = @childId
           AND NOT EXISTS (SELECT 1 FROM facts v WHERE v.voids = f.id))
       ORDER BY s.started_at DESC, s.id LIMIT 1`,
    )
    .pluck();
  const ofDay = db.prepare(
    `SELECT ${COLUMNS} FROM sittings s WHERE s.day = ? ORDER BY s.started_at`,
  );
  const openOn = db.prepare(
    `SELECT ${COLUMNS} FROM sittings s WHERE s.day = ? AND s.ended_at IS NULL ORDER BY s.started_at`,
  );
  const between = db.prepare(
    'SELECT DISTINCT activity_id AS activityId, day FROM sittings WHERE day BETWEEN ? AND ?',
  );
  return {
    lastOf: (childId, activityId) => lastOf.get({ childId, activityId }) as string | undefined,
    between: (first, last) => between.all(first, last) as ReturnType<Sittings['between']>,
    ofDay: (day) => (ofDay.all(day) as SittingRow[]).map(toSitting),
    openOn: (day) => (openOn.all(day) as SittingRow[]).map(toSitting),
    find(id) {
      const row = one.get(id) as SittingRow | undefined;
      return row && toSitting(row);
    },
    add(sitting) {
      const isNew =
        insert.run({
          ...sitting,
          adult: sitting.adult ?? null,
          takers: JSON.stringify(sitting.takers),
        }).changes === 1;
      if (!isNew) {
        if (beginningOf(toSitting(one.get(sitting.id) as SittingRow)) !== beginningOf(sitting)) {
          throw taken('sitting');
        }
        return false;
      }
      for (const taker of sitting.takers) insertChild.run(sitting.id, taker.childId);
      return true;
    },
    putTakers: (sitting) => void takers.run(JSON.stringify(sitting.takers), sitting.id),
    end(id, how) {
      const row = one.get(id) as SittingRow | undefined;
      if (!row) return;
      const { endedAt, mood, takers: who, adult } = ended(toSitting(row), how);
      end.run(endedAt, mood, JSON.stringify(who), adult ?? null, id);
    },
    ofChild: (childId, limit) =>
      (ofChild.all(childId, limit) as (SittingRow & { tries: number })[]).map(toSitting),
  };
}
