import {
  Child,
  type DaySheet,
  FamilyLetter,
  Household,
  Kit,
  Material,
  OwnActivity,
  PlanEntry,
  type SampleLine,
  Graph,
  Song,
  WorkSample,
} from '@gumo/core/vocabulary';
import { PrintItem } from '@gumo/core/sheets';
import type { Database } from 'better-sqlite3';
import { type Facts, factsIn } from './facts.js';
import { foldedAfter } from './replay.js';
import { type Notes, notesIn } from './notes.js';
import { type Rows, rowsIn } from './rows.js';
import { type Sessions, sessionsIn } from './sessions.js';
import { ifItCan } from './if-it-can.js';
import { type Weeks, weeksIn } from './week-sheets.js';
import { type Enqueue, writerIn } from './writer.js';

/** Everything the household keeps. */
export interface Store {
  readonly household: Rows<Household>;
  readonly children: Rows<Child>;
  readonly materials: Rows<Material>;
  readonly activities: Rows<OwnActivity>;
  readonly songs: Rows<Song>;
  readonly graphs: Rows<Graph>;
  readonly kits: Rows<Kit>;
  readonly plan: Rows<PlanEntry> & { ofDay(day: string): PlanEntry[] };
  /** Sheets that are kept to be printed together. */
  readonly prints: Rows<PrintItem>;
  /** Pages for families as they were kept. */
  readonly families: Rows<FamilyLetter>;
  /** Pictures of children's work. */
  readonly samples: Rows<WorkSample> & { ofChild(childId: string): SampleLine[] };
  readonly days: {
    find(day: string): DaySheet;
    /** Sheets of the days from one to another, both among them; only those that there are. */
    between(from: string, to: string): DaySheet[];
    put(sheet: DaySheet): void;
  };
  readonly sessions: Sessions;
  readonly facts: Facts;
  readonly notes: Notes;
  readonly weeks: Weeks;
  readonly snapshots: {
    find(childId: string): { rules: number; upto: number; body: string } | undefined;
    put(childId: string, rules: number, upto: number, body: string): void;
  };
  /**
   * All or nothing, with pauses between the pieces in which others read. Nothing else may be written
   * meanwhile. @param each takes a piece; false after the last one
   */
  pieceByPiece<T>(pieces: AsyncIterable<T>, each: (piece: T) => boolean): Promise<void>;
  /** All or nothing, at once. */
  atomically<T>(work: () => T): T;
  /** All or nothing, committed together with what else arrives in this turn of the event loop. */
  readonly enqueue: Enqueue;
}

export function storeIn(db: Database): Store {
  const ofDay = db.prepare('SELECT body FROM plan_entries WHERE day = ? ORDER BY rowid').pluck();
  const sheet = db.prepare('SELECT body FROM day_sheets WHERE day = ?').pluck();
  const sheetsBetween = db
    .prepare('SELECT body FROM day_sheets WHERE day BETWEEN ? AND ? ORDER BY day')
    .pluck();
  const putSheet = db.prepare(
    'INSERT INTO day_sheets (day, body) VALUES (?, ?) ON CONFLICT (day) DO UPDATE SET body = excluded.body',
  );
  const snapshot = db.prepare('SELECT rules, upto, body FROM snapshots WHERE child_id = ?');
  const putSnapshot = db.prepare(
    `INSERT INTO snapshots (child_id, rules, upto, body) VALUES (?, ?, ?, ?)
     ON CONFLICT (child_id) DO UPDATE SET rules = excluded.rules, upto = excluded.upto, body = excluded.body`,
  );
  const samplesOf = db
    .prepare(
      `SELECT json_remove(body, '$.image') FROM work_samples
       WHERE child_id = ? ORDER BY day DESC, rowid DESC`,
    )
    .pluck();
  const plan = rowsIn(db, 'plan_entries', PlanEntry, {
    day: (entry) => entry.day,
    state: (entry) => entry.state,
  });
  return {
    household: rowsIn(db, 'household', Household, {}),
    children: rowsIn(
      db,
      'children',
      Child,
      { name: (child) => child.name, archived: (child) => (child.archived ? 1 : 0) },
      'name COLLATE NOCASE, id',
    ),
    materials: rowsIn(
      db,
      'materials',
      Material,
      { name: (material) => material.name },
      'name COLLATE NOCASE, id',
    ),
    activities: rowsIn(
      db,
      'activities',
      OwnActivity,
      { title: (one) => one.title, archived: (one) => (one.archived ? 1 : 0) },
      'title COLLATE NOCASE, id',
    ),
    songs: rowsIn(db, 'songs', Song, { title: (one) => one.title }, 'title COLLATE NOCASE, id'),
    kits: rowsIn(db, 'kits', Kit, { title: (one) => one.title }, 'title COLLATE NOCASE, id'),
    graphs: rowsIn(db, 'graphs', Graph, {}),
    plan: { ...plan, ofDay: (day) => (ofDay.all(day) as string[]).map(plan.read) },
    prints: rowsIn(db, 'print_items', PrintItem, {}),
    families: rowsIn(db, 'family_letters', FamilyLetter, { child_id: (one) => one.childId }),
    samples: {
      ...rowsIn(db, 'work_samples', WorkSample, {
        child_id: (one) => one.childId,
        day: (one) => one.day,
      }),
      ofChild: (childId) =>
        (samplesOf.all(childId) as string[]).map((body) => JSON.parse(body) as SampleLine),
    },
    days: {
      find(day) {
        const body = sheet.get(day) as string | undefined;
        return body === undefined
          ? { day, away: [], gotReady: [] }
          : (JSON.parse(body) as DaySheet);
      },
      between: (from, to) =>
        (sheetsBetween.all(from, to) as string[]).map((body) => JSON.parse(body) as DaySheet),
      put: (one) => void putSheet.run(one.day, JSON.stringify(one)),
    },
    sessions: sessionsIn(db),
    facts: factsIn(db),
    notes: notesIn(db),
    weeks: weeksIn(db),
    snapshots: {
      find: (childId) => snapshot.get(childId) as ReturnType<Store['snapshots']['find']>,
      // It can be counted again: what cannot be kept now is no fault.
      put: (...row) => ifItCan(() => void putSnapshot.run(...row)),
    },
    pieceByPiece: (pieces, each) =>
      foldedAfter(db, async () => {
        db.exec('BEGIN IMMEDIATE');
        try {
          for await (const piece of pieces) if (!each(piece)) break;
          db.exec('COMMIT');
        } catch (error) {
          if (db.inTransaction) db.exec('ROLLBACK');
          throw error;
        }
      }),
    atomically: (work) => db.transaction(work).immediate(),
    enqueue: writerIn(db),
  };
}
