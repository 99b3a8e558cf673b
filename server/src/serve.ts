import { createServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import type { Database } from 'better-sqlite3';
import type { Express } from 'express';
import { type Logger, pino } from 'pino';
import { openAccess } from './access/access.js';
import { carryAudit } from './access/audit.js';
import { cameBy } from './access/door.js';
import { PATIENCE, type Patience, makeNetwork } from './access/network.js';
import { createApp } from './app.js';
import { makeChanges } from './changes.js';
import { openDatabase } from './database/open.js';
import { type Store, storeIn } from './database/store.js';
import { loadDemo, startEmpty } from './household.js';
import { backupsOf } from './keeping/backups.js';
import { makeCounting } from './keeping/counting.js';
import { sweep, takePlace } from './keeping/take-place.js';
import { makePlanner } from './planning/planner.js';
import type { RecordsNote } from './routes/context.js';
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
  /** Whether a copy of the records is made each day while it runs. */
  readonly keepsBackups?: boolean;
  /** The clock of the door, for checks of waiting and locking. */
  readonly now?: () => Date;
  readonly patience?: Patience;
}

export interface Running {
  readonly port: number;
  readonly isNew: boolean;
  /** The port of the door to the home's network; 0 while sharing is off. */
  readonly sharePort: () => number;
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
  const changes = makeChanges();
  const planner = makePlanner();
  const printer = makePrinter();
  const backups = backupsOf(options.databasePath);
  const { webFolder, requestsAMinute } = options;
  const counting = makeCounting();
  let isCounting = false;
  const access = openAccess(options.databasePath, options.now);
  const patience = options.patience ?? PATIENCE;
  const network = makeNetwork(
    access,
    (request, response) => {
      cameBy(request, 'network');
      current.app(request, response);
    },
    patience,
  );

  /** The records and everything that answers from them, until other records take their place. */
  function open(): { db: Database; store: Store; isNew: boolean; app: Express } {
    const { db, isNew } = openDatabase(options.databasePath);
    carryAudit(db, access.db);
    const store = storeIn(db);
    if (store.household.all().length === 0) {
      if (options.demoPath === null) startEmpty(store);
      else loadDemo(store, options.demoPath, options.today());
    }
    const context = {
      store,
      changes,
      planner,
      printer,
      progress: progressIn(store),
      today: options.today,
      door: { access, network },
      isCounting: () => isCounting,
      records: { databasePath: options.databasePath, backups, counting, replaceWith },
    };
    const app = createApp({
      context,
      log,
      webFolder,
      ...(requestsAMinute === undefined ? {} : { requestsAMinute }),
    });
    return { db, store, isNew, app };
  }

  /** Puts another database in the place of this one, between two requests. */
  async function replaceWith(candidate: string, note: RecordsNote): Promise<void> {
    // What was sent before is kept before.
    await current.store.enqueue(() => undefined);
    try {
      takePlace(current.db, candidate, options.databasePath);
    } finally {
      current = open();
    }
    access.audit.add(note.what, note.detail, note.who);
    for (const what of ['children', 'household', 'things', 'plan', 'prints'] as const) {
      changes.tell({ what, childIds: [], day: null });
    }
  }

  sweep(options.databasePath);
  let current = open();
  const { isNew } = current;
  const server = createServer(patience, (request, response) => {
    cameBy(request, 'home');
    current.app(request, response);
  });
  try {
    await new Promise<void>((resolve, reject) => {
      server.once('error', reject).listen(options.port, '127.0.0.1', resolve);
    });
  } catch (error) {
    current.db.close();
    access.close();
    if ((error as { code?: string }).code === 'EADDRINUSE') {
      throw new CannotStart(
        `Port ${options.port} is taken by another program. Choose another one: PORT=4311 npm start`,
      );
    }
    throw error;
  }
  planner.prepare();
  if (options.keepsBackups) backups.begin(log);
  isCounting = counting.isNeeded(options.databasePath);
  const counted = counting
    .run(options.databasePath)
    .catch(() => log.warn('counting anew was stopped; it goes on when a child is looked at'))
    .then(() => (isCounting = false));
  await network.apply();
  if (network.trouble !== '') log.warn(network.trouble);
  return {
    port: (server.address() as AddressInfo).port,
    isNew,
    sharePort: () => network.port,
    stop: async () => {
      changes.close();
      await counting.close();
      await counted;
      await planner.close();
      await printer.close();
      await new Promise<void>((resolve) => {
        server.close(() => resolve());
        server.closeAllConnections();
      });
      await network.close();
      await backups.close();
      current.db.close();
      access.close();
    },
  };
}
