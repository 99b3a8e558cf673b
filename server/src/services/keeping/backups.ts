import { existsSync, mkdirSync, readdirSync, rmSync, statSync, statfsSync } from 'node:fs';
import { basename, dirname, join } from 'node:path';
import { type BackupFile, backupNotice, backupsToDrop } from '@gumo/core/exchange';
import type { Logger } from 'pino';
import { Fault, notFound } from '../../faults.js';
import { copyDatabase } from './copying.js';

/** Made of itself, asked for, or before something that changes everything. */
export type BackupKind = 'daily' | 'asked' | 'before';

export interface Backup extends BackupFile {
  readonly kind: BackupKind;
  readonly bytes: number;
}

export interface BackupState {
  readonly backups: readonly Backup[];
  /** What to say about them; empty where all is well. */
  readonly notice: string;
  readonly folder: string;
}

/** Copies of the database beside it, each checked before it counts. */
export interface Backups {
  state(): BackupState;
  /** @throws Fault `full` where it cannot be written */
  make(kind: BackupKind): Promise<Backup>;
  /** The file of a copy. @throws Fault `missing` */
  fileOf(name: string): string;
  remove(name: string): void;
  /** Makes the copy of the day while the server runs, and drops what need not stay. */
  begin(log: Logger): void;
  close(): Promise<void>;
}

const LOOK_EVERY_MS = 30 * 60_000;
/** The first pages go before. */
const FIRST_LOOK_MS = 20_000;
const MOST_BEFORE = 5;

/** @param databasePath the file that is in use */
export function backupsOf(databasePath: string, now: () => Date = () => new Date()): Backups {
  const folder = join(dirname(databasePath), 'backups');
  const stem = basename(databasePath).replace(/\.db$/, '');
  const pattern = new RegExp(
    `^${stem.replace(/[.*+?^${}()|[\]\\]/g, '\\$&')}-(\\d{4}-\\d{2}-\\d{2})T(\\d{2}-\\d{2}-\\d{2}-\\d{3})Z-(daily|asked|before)\\.db$`,
  );
  let timer: ReturnType<typeof setInterval> | undefined;
  let first: ReturnType<typeof setTimeout> | undefined;
  let running: Promise<unknown> = Promise.resolve();

  function list(): Backup[] {
    if (!existsSync(folder)) return [];
    return readdirSync(folder)
      .flatMap((name): Backup[] => {
        const found = pattern.exec(name);
        if (!found) return [];
        const [, day = '', time = '', kind] = found;
        return [
          {
            name,
            day,
            at: `${day}T${time}Z`,
            kind: kind as BackupKind,
            bytes: statSync(join(folder, name)).size,
          },
        ];
      })
      .sort((a, b) => b.at.localeCompare(a.at));
  }

  function tidy(): void {
    const all = list();
    const drop = backupsToDrop(all.filter((one) => one.kind === 'daily'));
    const before = all.filter((one) => one.kind === 'before').slice(MOST_BEFORE);
    for (const { name } of [...drop, ...before]) rmSync(join(folder, name), { force: true });
  }

  /** One copy after the other. */
  function make(kind: BackupKind): Promise<Backup> {
    const made = running.then(async () => {
      const at = now().toISOString().replace(/[:.]/g, '-').replace(/Z$/, '');
      const name = `${stem}-${at}Z-${kind}.db`;
      try {
        mkdirSync(folder, { recursive: true });
        await copyDatabase({ from: databasePath, to: join(folder, name) });
      } catch (error) {
        throw new Fault(
          'full',
          `No backup could be made in ${folder}: ${(error as Error).message}. The records themselves are as they were.`,
        );
      }
      return list().find((one) => one.name === name) as Backup;
    });
    running = made.catch(() => undefined);
    return made;
  }

  function fileOf(name: string): string {
    if (!list().some((one) => one.name === name)) throw notFound('backup');
    return join(folder, name);
  }

  return {
    state() {
      const backups = list();
      const free = statfsSync(dirname(databasePath));
      const { size, birthtimeMs } = statSync(databasePath);
      const today = now().toISOString().slice(0, 10);
      // A household that began today has its first copy still to come.
      const begun = new Date(birthtimeMs).toISOString().slice(0, 10);
      const last = backups[0]?.day ?? (begun === today ? today : null);
      return {
        backups,
        folder,
        notice: backupNotice(last, today, free.bavail * free.bsize, size),
      };
    },
    make,
    fileOf,
    remove: (name) => rmSync(fileOf(name)),
    begin(log) {
      const look = (): void => {
        const today = now().toISOString().slice(0, 10);
        if (list().some((one) => one.kind === 'daily' && one.day === today)) return;
        make('daily').then(tidy, () => log.warn('the backup of the day could not be made'));
      };
      first = setTimeout(look, FIRST_LOOK_MS);
      timer = setInterval(look, LOOK_EVERY_MS);
      first.unref();
      timer.unref();
    },
    close: async () => {
      clearTimeout(first);
      clearInterval(timer);
      await running;
    },
  };
}
