import { readFileSync } from 'node:fs';
import { parentPort, workerData } from 'node:worker_threads';
import { TRY_COLUMNS } from '@gumo/core/exchange';
import type { Observation } from '@gumo/core/vocabulary';
import Database from 'better-sqlite3';
import * as v from 'valibot';
import { storeIn } from '../database/store.js';
import { Problem, checked } from '../problems.js';
import { type TableSaid, readTries } from './tables.js';
import { tell } from './tell.js';

/** What the thread is given: a table of tries as it was sent, and the records that it is held against. */
export interface TriesWork {
  readonly file: string;
  readonly database: string;
  /** The server's calendar day: nothing lies beyond it. */
  readonly today: string;
}

/** What it says first; then, asked for, the tries that are new, piece by piece, and an empty one last. */
export interface TriesSaid {
  readonly said?: Omit<TableSaid, 'observations'> & { readonly dry: boolean };
  readonly piece?: readonly Observation[];
}

const PIECE = 400;
const Tries = v.object({
  text: v.pipe(v.string('must be text'), v.nonEmpty('must not be empty')),
  mapping: v.nullable(v.record(v.picklist(TRY_COLUMNS), v.nullable(v.string()))),
  /** Only says what would happen. */
  dry: v.boolean('must be true or false'),
});

const { file, database, today } = workerData as TriesWork;

tell(() => {
  let sent: unknown;
  try {
    sent = JSON.parse(readFileSync(file, 'utf8'));
  } catch {
    throw new Problem(400, 'The JSON cannot be read.', [
      { field: 'body', message: 'is not valid JSON' },
    ]);
  }
  const { text, mapping, dry } = checked(Tries, sent);
  const db = new Database(database, { readonly: true });
  const { observations, ...said } = readTries(storeIn(db), text, mapping, today);
  db.close();
  let at = 0;
  parentPort?.on('message', () => {
    parentPort?.postMessage({ piece: observations.slice(at, (at += PIECE)) } satisfies TriesSaid);
  });
  parentPort?.postMessage({ said: { ...said, dry } } satisfies TriesSaid);
});
