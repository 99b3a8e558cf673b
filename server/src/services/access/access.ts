import { chmodSync } from 'node:fs';
import type { Encryption } from '@gumo/core/vocabulary';
import type { Database } from 'better-sqlite3';
import { ACCESS, openDatabase } from '../../database/open.js';
import { type Attempts, makeAttempts } from './attempts.js';
import { type Audit, auditIn } from './audit.js';
import type { Certificate, OwnCertificate } from './certificate.js';
import { type Devices, devicesIn } from './devices.js';
import { type Intentions, intentionsIn } from './intentions.js';
import { type Pairings, makePairings } from './pairings.js';

/** What is kept about sharing, by name. */
interface Preferences {
  readonly sharing: { on: boolean; port: number; encryption: Encryption };
  readonly password: string;
  readonly own: OwnCertificate;
  readonly given: Certificate;
}

export const DEFAULT_SHARE_PORT = 4311;

/** Who may ask, and who did: kept beside the records, in no copy and no export of them. */
export interface Access {
  readonly db: Database;
  readonly audit: Audit;
  readonly devices: Devices;
  readonly pairings: Pairings;
  readonly attempts: Attempts;
  /** Children that are to be forgotten. */
  readonly intentions: Intentions;
  readonly now: () => Date;
  choice<K extends keyof Preferences>(what: K): Preferences[K] | null;
  choose<K extends keyof Preferences>(what: K, value: Preferences[K]): void;
  close(): void;
}

/** @throws UnusableDatabase */
export function openAccess(databasePath: string, now: () => Date = () => new Date()): Access {
  const inMemory = databasePath === ':memory:';
  const path = inMemory ? databasePath : databasePath.replace(/(\.db)?$/, '-access.db');
  const { db } = openDatabase(path, ACCESS);
  if (!inMemory) chmodSync(path, 0o600);
  const read = db.prepare('SELECT value FROM choices WHERE what = ?').pluck();
  const write = db.prepare(
    'INSERT INTO choices (what, value) VALUES (?, ?) ON CONFLICT (what) DO UPDATE SET value = excluded.value',
  );
  return {
    db,
    audit: auditIn(db, now),
    devices: devicesIn(db, now),
    pairings: makePairings(now),
    attempts: makeAttempts(() => now().getTime()),
    intentions: intentionsIn(db, now),
    now,
    choice: (what) => {
      const value = read.get(what) as string | undefined;
      return value === undefined ? null : (JSON.parse(value) as never);
    },
    choose: (what, value) => void write.run(what, JSON.stringify(value)),
    close: () => db.close(),
  };
}
