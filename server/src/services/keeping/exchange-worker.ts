import { readFileSync, rmSync } from 'node:fs';
import { parentPort, workerData } from 'node:worker_threads';
import {
  HouseholdFile,
  renamedFile,
  strangersInPlan,
  withoutImpossible,
} from '@gumo/core/exchange';
import Database from 'better-sqlite3';
import { openDatabase } from '../../database/open.js';
import { storeIn } from '../../database/store.js';
import { loadHousehold } from '../household.js';
import { Fault, checked } from '../../faults.js';
import { tell } from './tell.js';
import { householdLines } from './household-lines.js';

/** What the thread is given: write a household as a file, or make a database of a file. */
export type ExchangeWork =
  | { readonly what: 'write'; readonly database: string; readonly day: string }
  | {
      readonly what: 'read';
      readonly database: string;
      readonly file: string;
      /** The server's calendar day: nothing lies beyond it. */
      readonly today: string;
    };

/** What came in with a household file. */
export interface HouseholdRead {
  readonly counts: Record<string, number>;
  /** What was left out as it cannot have happened, the first of it in sentences. */
  readonly leftOut: { readonly count: number; readonly words: readonly string[] };
}

const work = workerData as ExchangeWork;
const PIECE = 1 << 20;
/** Sentences on what was left out, at most. */
const MOST_SAID = 50;

/** Tells the pieces of the file one by one, each when it is asked for. */
function write(database: string, day: string): void {
  const db = new Database(database, { readonly: true });
  // One view of the records, whatever is noted meanwhile.
  db.exec('BEGIN');
  const lines = householdLines(db, day);
  const next = (): void => {
    let piece = '';
    while (piece.length < PIECE) {
      const line = lines.next();
      if (line.done) break;
      piece += line.value;
    }
    parentPort?.postMessage({ piece: piece === '' ? null : piece });
    if (piece !== '') return;
    db.close();
    parentPort?.close();
  };
  parentPort?.on('message', () => tell(next));
  next();
}

function read(file: string, database: string, today: string): HouseholdRead {
  let parsed: unknown;
  try {
    parsed = JSON.parse(readFileSync(file, 'utf8'));
  } catch {
    throw new Fault('unreadable', 'The file cannot be read as JSON.', [
      { field: 'file', message: 'is not valid JSON' },
    ]);
  }
  const whole = checked(HouseholdFile, renamedFile(parsed));
  const strangers = strangersInPlan(whole);
  const [first] = strangers;
  if (first)
    throw new Fault('impossible', `${first.field} ${first.message}`, strangers.slice(0, 20));
  const { file: household, leftOut } = withoutImpossible(whole, today);
  rmSync(database, { force: true });
  const { db } = openDatabase(database);
  try {
    loadHousehold(storeIn(db), household);
    // One file, whole: nothing of it stays in a log beside it.
    db.pragma('journal_mode = DELETE');
  } finally {
    db.close();
  }
  const { children, observations, sessions, materials } = household;
  return {
    counts: {
      children: children.length,
      observations: observations.length,
      sessions: sessions.length,
      materials: materials.length,
    },
    leftOut: { count: leftOut.length, words: leftOut.slice(0, MOST_SAID) },
  };
}

tell(() => {
  if (work.what === 'write') write(work.database, work.day);
  else parentPort?.postMessage({ read: read(work.file, work.database, work.today) });
});
