import { parentPort, workerData } from 'node:worker_threads';
import type { Observation } from '@gumo/core/vocabulary';
import Database from 'better-sqlite3';
import { storeIn } from '../../database/store.js';
import { type TableSaid, readTries, sentTable } from './tables.js';
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
const { file, database, today } = workerData as TriesWork;

tell(() => {
  const { text, mapping, dry } = sentTable(file);
  const db = new Database(database, { readonly: true });
  const { observations, ...said } = readTries(storeIn(db), text, mapping, today);
  db.close();
  let at = 0;
  parentPort?.on('message', () => {
    parentPort?.postMessage({ piece: observations.slice(at, (at += PIECE)) } satisfies TriesSaid);
  });
  parentPort?.postMessage({ said: { ...said, dry } } satisfies TriesSaid);
});
