import { closeSync, fsyncSync, openSync, readFileSync, rmSync, writeSync } from 'node:fs';
import { parentPort, workerData } from 'node:worker_threads';
import { HouseholdFile } from '@gumo/core/exchange';
import Database from 'better-sqlite3';
import { openDatabase } from '../database/open.js';
import { storeIn } from '../database/store.js';
import { loadHousehold } from '../household.js';
import { Problem, checked } from '../problems.js';
import { householdLines } from './household-lines.js';

/** What the thread is given: write a household as a file, or make a database of a file. */
export type ExchangeWork =
  | {
      readonly what: 'write';
      readonly database: string;
      readonly file: string;
      readonly day: string;
    }
  | { readonly what: 'read'; readonly database: string; readonly file: string };

const work = workerData as ExchangeWork;
const PIECE = 1 << 20;

function write(database: string, file: string, day: string): void {
  const db = new Database(database, { readonly: true });
  const out = openSync(file, 'w');
  let piece = '';
  try {
    // One view of the records, whatever is noted meanwhile.
    db.exec('BEGIN');
    for (const line of householdLines(db, day)) {
      piece += line;
      if (piece.length > PIECE) {
        writeSync(out, piece);
        piece = '';
      }
    }
    writeSync(out, piece);
    fsyncSync(out);
  } finally {
    closeSync(out);
    db.close();
  }
}

function read(file: string, database: string): Record<string, number> {
  let parsed: unknown;
  try {
    parsed = JSON.parse(readFileSync(file, 'utf8'));
  } catch {
    throw new Problem(400, 'The file cannot be read as JSON.', [
      { field: 'file', message: 'is not valid JSON' },
    ]);
  }
  const household = checked(HouseholdFile, parsed);
  rmSync(database, { force: true });
  const { db } = openDatabase(database);
  try {
    loadHousehold(storeIn(db), household);
    // One file, whole: nothing of it stays in a log beside it.
    db.pragma('journal_mode = DELETE');
  } finally {
    db.close();
  }
  const { children, observations, sittings, things } = household;
  return {
    children: children.length,
    observations: observations.length,
    sittings: sittings.length,
    things: things.length,
  };
}

try {
  const counts =
    work.what === 'write'
      ? (write(work.database, work.file, work.day), {})
      : read(work.file, work.database);
  parentPort?.postMessage({ counts });
} catch (error) {
  const problem =
    error instanceof Problem
      ? error.toJSON()
      : (sqliteWords(error) ?? { status: 500, title: (error as Error).message });
  parentPort?.postMessage({ problem });
}

/** What the database refuses of a file: a record that names one that is not in it. */
function sqliteWords(error: unknown): { status: number; title: string } | null {
  const { code } = error as { code?: string };
  if (code === 'SQLITE_CONSTRAINT_FOREIGNKEY') {
    return {
      status: 422,
      title: 'A record of the file names a child or sitting that is not in it.',
    };
  }
  if (code?.startsWith('SQLITE_CONSTRAINT')) {
    return { status: 422, title: 'Two records of the file have the same id.' };
  }
  return code === 'SQLITE_FULL' || code === 'ENOSPC'
    ? { status: 507, title: 'The disk is full: make room and try again. Nothing was changed.' }
    : null;
}
