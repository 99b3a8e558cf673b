import type { AddressInfo } from 'node:net';
import { createServer } from 'node:http';
import type { Database } from 'better-sqlite3';
import { pino } from 'pino';
import { openAccess } from '../services/access/access.js';
import { markListener } from '../routes/door/listener.js';
import { createApp } from '../routes/app.js';
import { type Changes, makeChanges } from '../routes/changes.js';
import { openDatabase } from '../database/open.js';
import { storeIn } from '../database/store.js';
import { backupsOf } from '../services/keeping/backups.js';
import { makeCounting } from '../services/keeping/counting.js';
import { makePlanner } from '../services/planning/planner.js';
import { progressIn } from '../services/progress.js';
import type { Context } from '../routes/context.js';
import { makePrinter } from '../services/printing/printer.js';
import { makeTurnstile } from '../routes/turnstile.js';
import { TODAY } from './world.js';

/** What the routes work with, on a database that a check holds in its own hands. */
export function bareContext(path: string): {
  readonly db: Database;
  readonly context: Context & { readonly changes: Changes };
} {
  const { db } = openDatabase(path);
  const store = storeIn(db);
  const network = {
    apply: async () => undefined,
    trouble: '',
    addresses: () => [],
    port: 0,
    close: async () => undefined,
  };
  const context = {
    store,
    changes: makeChanges(),
    planner: makePlanner(),
    printer: makePrinter(),
    progress: progressIn(store),
    today: () => TODAY,
    clock: null,
    isCounting: () => false,
    turnstile: makeTurnstile(),
    door: { access: openAccess(path), network },
    records: {
      databasePath: path,
      backups: backupsOf(path),
      counting: makeCounting(),
      replaceWith: () => Promise.reject(new Error('not here')),
      forget: () => Promise.reject(new Error('not here')),
    },
  };
  return { db, context };
}

/** The API on such a database. */
export async function bareApi(path: string): Promise<{
  readonly db: Database;
  /** The database of the door. */
  readonly access: Database;
  readonly url: string;
  close(): Promise<void>;
}> {
  const { db, context } = bareContext(path);
  const app = createApp({ context, log: pino({ level: 'silent' }), webFolder: null });
  const server = createServer((request, response) => {
    markListener(request, 'home');
    app(request, response);
  });
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
  return {
    db,
    access: context.door.access.db,
    url: `http://127.0.0.1:${(server.address() as AddressInfo).port}/api`,
    close: async () => {
      await new Promise((resolve) => server.close(resolve).closeAllConnections());
      context.door.access.close();
      db.close();
    },
  };
}
