import { randomUUID } from 'node:crypto';
import { existsSync, rmSync } from 'node:fs';
import { type IncomingMessage, type ServerResponse, createServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import { dirname } from 'node:path';
import type { Door } from '@gumo/core/vocabulary';
import type { Database } from 'better-sqlite3';
import type { Express } from 'express';
import { type Logger, pino } from 'pino';
import { openAccess } from './services/access/access.js';
import { carryAudit } from './services/access/audit.js';
import { markListener } from './routes/door/listener.js';
import { PATIENCE, type Patience, makeNetwork } from './services/access/network.js';
import { createApp } from './routes/app.js';
import { makeChanges } from './routes/changes.js';
import { noteVersion } from './database/about.js';
import { ifItCan } from './database/if-it-can.js';
import { RECORDS, openDatabase } from './database/open.js';
import { type Store, storeIn } from './database/store.js';
import { loadDemo, startEmpty } from './services/household.js';
import { type Backup, backupsOf } from './services/keeping/backups.js';
import { copyDatabase } from './services/keeping/copying.js';
import { makeCounting } from './services/keeping/counting.js';
import { type FolderLock, FolderTaken, lockFolder } from './services/keeping/folder-lock.js';
import { isIn, rewriteWithout } from './services/keeping/forgetting.js';
import { shred, sweep, replaceDatabase } from './services/keeping/replace-database.js';
import { makePlanner } from './services/planning/planner.js';
import type { RecordsNote } from './routes/context.js';
import { makePrinter } from './services/printing/printer.js';
import { progressIn } from './services/progress.js';
import { makeTurnstile } from './routes/turnstile.js';
import { VERSION } from './version.js';

export interface ServeOptions {
  readonly databasePath: string;
  readonly port: number;
  /** File of the demo household for a new database; null starts empty. */
  readonly demoPath: string | null;
  /** Begins the database anew. */
  readonly anew?: boolean;
  readonly webFolder: string | null;
  /** Today on the household's calendar. */
  readonly today: () => string;
  readonly requestsAMinute?: number;
  readonly log?: Logger;
  /** Whether a copy of the records is made each day while it runs. */
  readonly keepsBackups?: boolean;
  /** The clock of the door, for checks of waiting and locking. */
  readonly now?: () => Date;
  /** The time that devices compare their own clocks with; null where the day is a fixed one. */
  readonly clock?: (() => Date) | null;
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

/** How long nothing is written before what stands in the log is brought into the file. */
const QUIET_MS = 60_000;

/**
 * Opens the database and serves on 127.0.0.1.
 * @throws UnusableDatabase, CannotStart
 */
export async function serve(options: ServeOptions): Promise<Running> {
  const lock = lockFor(options.databasePath);
  try {
    return await serveLocked(options, lock);
  } catch (error) {
    lock.release();
    throw isRefusal(error)
      ? new CannotStart(
          `${dirname(options.databasePath)} cannot be written (${(error as { code: string }).code}): Gumo keeps its records there. ` +
            'Give this account the right to write in it, make room on the disk, or choose another folder with GUMO_DATA.',
        )
      : error;
  }
}

/** What the system says where a folder or a disk takes nothing. */
const isRefusal = (error: unknown): boolean =>
  /^(EACCES|EPERM|EROFS|ENOSPC|ENOTDIR|SQLITE_(READONLY|CANTOPEN|FULL|IOERR).*)$/.test(
    String((error as { code?: string }).code),
  );

/** @throws CannotStart where another Gumo holds the folder, or it cannot be written */
function lockFor(databasePath: string): FolderLock {
  const folder = dirname(databasePath);
  try {
    return lockFolder(folder);
  } catch (error) {
    if (error instanceof FolderTaken) {
      const where = error.port === null ? '' : ` at http://localhost:${error.port}`;
      throw new CannotStart(
        `Gumo is already running${where} with the records in ${folder}. Nothing was changed. ` +
          'Continue there, stop it first, or keep other records with GUMO_DATA.',
      );
    }
    if (isRefusal(error)) {
      throw new CannotStart(
        `${folder} cannot be written: Gumo keeps its records there. ` +
          'Give this account the right to write in it, or choose another folder with GUMO_DATA.',
      );
    }
    throw error;
  }
}

async function serveLocked(options: ServeOptions, lock: FolderLock): Promise<Running> {
  const { databasePath, webFolder, requestsAMinute } = options;
  const log = options.log ?? pino({ level: process.env['GUMO_LOG'] ?? 'info', base: null });
  if (options.anew) {
    for (const end of ['', '-wal', '-shm']) rmSync(`${databasePath}${end}`, { force: true });
  }
  await sweep(databasePath);
  const changes = makeChanges();
  const planner = makePlanner();
  const printer = makePrinter();
  const backups = backupsOf(databasePath);
  const counting = makeCounting();
  const turnstile = makeTurnstile();
  let isCounting = false;
  const access = openAccess(databasePath, options.now);
  access.devices.onRemoved((id) => changes.drop(id));
  const patience = options.patience ?? PATIENCE;
  const dispatch = (door: Door, request: IncomingMessage, response: ServerResponse): void => {
    markListener(request, door);
    turnstile.pass(request, response, () => void current.app(request, response));
  };
  const network = makeNetwork(
    access,
    (request, response) => dispatch('network', request, response),
    patience,
  );

  /** The records and everything that answers from them, until other records take their place. */
  function open(isChecked = false): { db: Database; store: Store; isNew: boolean; app: Express } {
    const { db, isNew } = openDatabase(databasePath, RECORDS, isChecked);
    carryAudit(db, access.db);
    ifItCan(() => noteVersion(db, VERSION));
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
      clock: options.clock === undefined ? (): Date => new Date() : options.clock,
      turnstile,
      door: { access, network },
      isCounting: () => isCounting,
      records: { databasePath, backups, counting, replaceWith, forget },
    };
    const app = createApp({
      context,
      log,
      webFolder,
      ...(requestsAMinute === undefined ? {} : { requestsAMinute }),
    });
    return { db, store, isNew, app };
  }

  /**
   * Puts another database in the place of this one; nothing is written meanwhile. Answers what stood
   * there, where that is to be written over.
   */
  function swap(candidate: string, forgets: boolean): string | null {
    planner.current()?.cancel();
    let old: string | null;
    try {
      old = replaceDatabase(current.db, candidate, databasePath, forgets);
    } finally {
      current = open(true);
    }
    for (const what of ['children', 'household', 'materials', 'plan', 'prints'] as const) {
      changes.tell({ what, childIds: [], day: null });
    }
    return old;
  }

  /** All that was answered for is in the copy that is made first; what comes meanwhile waits. */
  const replaceWith = (candidate: string, note: RecordsNote): Promise<Backup> =>
    turnstile.alone(async () => {
      const before = await backups.make('before');
      swap(candidate, false);
      access.audit.add(note.what, note.detail, note.who);
      return before;
    });

  /** Writes the records anew without a child, in a thread, and puts them in the place of those with it. */
  async function forget(childId: string): Promise<void> {
    const old = await turnstile.alone(async () => {
      const candidate = `${databasePath}.${randomUUID()}.restoring`;
      await copyDatabase({ from: databasePath, to: candidate, without: childId });
      return swap(candidate, true);
    });
    if (old !== null) await shred(old);
  }

  // What a stop left half-way: the records first, then their copies.
  for (const { childId, copies } of access.intentions.all()) {
    if (existsSync(databasePath) && isIn(databasePath, childId)) {
      const candidate = `${databasePath}.${randomUUID()}.restoring`;
      await copyDatabase({ from: databasePath, to: candidate, without: childId });
      const old = replaceDatabase(openDatabase(databasePath).db, candidate, databasePath, true);
      if (old !== null) await shred(old);
    }
    const left = copies ? await rewriteWithout(backups, childId) : [];
    if (left.length === 0) access.intentions.done(childId);
  }
  let current = open();
  const { isNew } = current;
  const server = createServer(patience, (request, response) => {
    dispatch('home', request, response);
  });
  try {
    await new Promise<void>((resolve, reject) => {
      server.once('error', reject).listen(options.port, '127.0.0.1', resolve);
    });
  } catch (error) {
    current.db.close();
    access.close();
    if ((error as { code?: string }).code === 'EADDRINUSE') {
      const isGumo = await isGumoAt(options.port);
      throw new CannotStart(
        isGumo
          ? `Gumo is already running at http://localhost:${options.port}, with other records. Continue there, or take another port: PORT=${options.port + 1} npm start`
          : `Port ${options.port} is taken by another program. Choose another one: PORT=${options.port + 1} npm start`,
      );
    }
    throw error;
  }
  const { port } = server.address() as AddressInfo;
  lock.say(port);
  planner.prepare();
  if (options.keepsBackups) backups.begin(log);
  const quiet = keepFolded(() => current.db);
  isCounting = counting.isNeeded(databasePath);
  const counted = counting
    .run(databasePath)
    .catch(() => log.warn('counting anew was stopped; it goes on when a child is looked at'))
    .then(() => (isCounting = false));
  await network.apply();
  if (network.trouble !== '') log.warn(network.trouble);
  return {
    port,
    isNew,
    sharePort: () => network.port,
    stop: async () => {
      clearInterval(quiet);
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
      current.db.pragma('wal_checkpoint(TRUNCATE)');
      current.db.close();
      access.close();
      lock.release();
    },
  };
}

/** After a minute without a write all of the records stand in their one file, which may then be copied alone. */
function keepFolded(current: () => Database): ReturnType<typeof setInterval> {
  const writes = (): number => current().prepare('SELECT total_changes()').pluck().get() as number;
  let before = writes();
  let isFolded = false;
  const timer = setInterval(() => {
    const now = writes();
    if (now === before && !isFolded) {
      current().pragma('wal_checkpoint(TRUNCATE)');
      isFolded = true;
    } else if (now !== before) isFolded = false;
    before = now;
  }, QUIET_MS);
  return timer.unref();
}

/** Whether what answers on a port of this machine is a Gumo. */
async function isGumoAt(port: number): Promise<boolean> {
  try {
    const response = await fetch(`http://127.0.0.1:${port}/api/health`, {
      signal: AbortSignal.timeout(2_000),
    });
    return ((await response.json()) as { name?: string }).name === 'gumo';
  } catch {
    return false;
  }
}
