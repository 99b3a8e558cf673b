import { createServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import { type Logger, pino } from 'pino';
import { createApp } from './app.js';
import { makeChanges } from './changes.js';
import { openDatabase } from './database/open.js';
import { storeIn } from './database/store.js';
import { loadDemo, startEmpty } from './household.js';
import { makePlanner } from './planning/planner.js';
import { makePrinter } from './sheets/printer.js';
import { progressIn } from './progress.js';

export interface ServeOptions {
  readonly databasePath: string;
  readonly port: number;
  /** File of the demo household for a new database; null starts empty. */
  readonly demoPath: string | null;
  readonly webFolder: string | null;
  /** Today on the household's calendar. */
  readonly today: () => string;
  readonly requestsAMinute?: number;
  readonly log?: Logger;
}

export interface Running {
  readonly port: number;
  readonly isNew: boolean;
  stop(): Promise<void>;
}

/** The server cannot start as asked; the message says why and what to do. */
export class CannotStart extends Error {}

/**
 * Opens the database and serves on 127.0.0.1.
 * @throws UnusableDatabase, CannotStart
 */
export async function serve(options: ServeOptions): Promise<Running> {
  const log = options.log ?? pino({ level: process.env['GUMO_LOG'] ?? 'info', base: null });
  const { db, isNew } = openDatabase(options.databasePath);
  const store = storeIn(db);
  if (store.household.all().length === 0) {
    if (options.demoPath === null) startEmpty(store);
    else loadDemo(store, options.demoPath, options.today());
  }
  const changes = makeChanges();
  const planner = makePlanner();
  const printer = makePrinter();
  const context = {
    store,
    changes,
    planner,
    printer,
    progress: progressIn(store),
    today: options.today,
  };
  const { webFolder, requestsAMinute } = options;
  const app = createApp({
    context,
    log,
    webFolder,
    ...(requestsAMinute === undefined ? {} : { requestsAMinute }),
  });
  const server = createServer({ requestTimeout: 30_000, headersTimeout: 10_000 }, app);
  try {
    await new Promise<void>((resolve, reject) => {
      server.once('error', reject).listen(options.port, '127.0.0.1', resolve);
    });
  } catch (error) {
    db.close();
    if ((error as { code?: string }).code === 'EADDRINUSE') {
      throw new CannotStart(
        `Port ${options.port} is taken by another program. Choose another one: PORT=4311 npm start`,
      );
    }
    throw error;
  }
  return {
    port: (server.address() as AddressInfo).port,
    isNew,
    stop: async () => {
      changes.close();
      await planner.close();
      await printer.close();
      await new Promise<void>((resolve) => {
        server.close(() => resolve());
        server.closeAllConnections();
      });
      db.close();
    },
  };
}
