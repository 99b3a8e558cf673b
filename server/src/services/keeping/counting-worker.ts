import { parentPort, workerData } from 'node:worker_threads';
import { type Fact, RULES_VERSION, replay } from '@gumo/core/evidence';
import Database from 'better-sqlite3';
import { storeIn } from '../../database/store.js';
import { type CountingState, type CountingWork, uncounted } from './counting.js';

const TELL_EVERY = 2_000;

const { database } = workerData as CountingWork;
const db = new Database(database);
db.pragma('busy_timeout = 5000');
try {
  const store = storeIn(db);
  const waiting = uncounted(db);
  const total = waiting.reduce((sum, one) => sum + one.facts, 0);
  let done = 0;
  const tell = (): void => parentPort?.postMessage({ done, total } satisfies CountingState);

  for (const { childId } of waiting) {
    const child = store.children.find(childId);
    if (!child) continue;
    let upto = 0;
    const facts = function* (): IterableIterator<Fact> {
      for (const { seq, fact } of store.facts.after(childId, 0)) {
        upto = seq;
        if (++done % TELL_EVERY === 0) tell();
        yield fact;
      }
    };
    const state = replay(childId, child.policy, facts());
    store.snapshots.put(childId, RULES_VERSION, upto, JSON.stringify(state));
  }
} finally {
  db.close();
}
