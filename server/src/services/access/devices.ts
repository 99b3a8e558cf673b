import { createHash, randomBytes, randomUUID } from 'node:crypto';
import type { Device, Role } from '@gumo/core/vocabulary';
import type { Database } from 'better-sqlite3';
import { ifItCan } from '../../database/if-it-can.js';
import { hashed, isRight } from './passwords.js';

/** Days without a word after which a device is a stranger again, and days after which it is in any case. */
const IDLE_DAYS = 30;
const MOST_DAYS = 180;
const DAY_MS = 86_400_000;
const MOST_DEVICES = 100;
const PIN_MISSES = 5;
/** How often a device's last word is written down. */
const SEEN_EVERY_MS = 60_000;

interface Row {
  readonly id: string;
  readonly name: string;
  readonly role: Role;
  readonly added_at: string;
  readonly seen_at: string;
  readonly touched_at: string;
  readonly lock_minutes: 5 | 10 | 30 | null;
  readonly pin_hash: string | null;
  readonly pin_misses: number;
  readonly shut: 0 | 1;
}

export interface NewDevice {
  readonly name: string;
  readonly role: Role;
  readonly lockMinutes: Device['lockMinutes'];
  readonly pin: string | null;
}

/** Devices that were let in. Their tokens are kept as hashes only. */
export interface Devices {
  /** Lets a device in. @returns its token, said once, and its id */
  add(device: NewDevice): Promise<{ token: string; id: string }>;
  /** The device with this token, where it is let in still. */
  of(token: string): Device | null;
  all(): Device[];
  remove(id: string): boolean;
  removeAll(role?: Role): string[];
  /** Somebody is there: the time until it locks begins anew. */
  touch(id: string): void;
  lock(id: string): void;
  /** right, wrong, or out: too many misses, the device is let in no more. */
  unlock(id: string, pin: string): Promise<'right' | 'wrong' | 'out'>;
  putLock(id: string, minutes: Device['lockMinutes'], pin: string | null): Promise<void>;
  /** Calls back with each device that is let in no more, whatever the reason. */
  onRemoved(listener: (id: string) => void): void;
}

export const secretHash = (secret: string): Buffer => createHash('sha256').update(secret).digest();

export function devicesIn(db: Database, now: () => Date): Devices {
  const insert = db.prepare(
    `INSERT INTO devices (id, name, role, token_hash, added_at, seen_at, touched_at, lock_minutes, pin_hash)
     VALUES (@id, @name, @role, @hash, @at, @at, @at, @lockMinutes, @pinHash)`,
  );
  const byToken = db.prepare('SELECT * FROM devices WHERE token_hash = ?');
  const byId = db.prepare('SELECT * FROM devices WHERE id = ?');
  const list = db.prepare('SELECT * FROM devices ORDER BY seen_at DESC, added_at DESC');
  const removeRow = db.prepare('DELETE FROM devices WHERE id = ?');
  const listeners: ((id: string) => void)[] = [];
  const remove = (id: string): boolean => {
    const isGone = removeRow.run(id).changes > 0;
    if (isGone) for (const listener of listeners) listener(id);
    return isGone;
  };
  const seen = db.prepare('UPDATE devices SET seen_at = ? WHERE id = ?');
  const touch = db.prepare('UPDATE devices SET touched_at = ? WHERE id = ? AND shut = 0');
  const shut = db.prepare('UPDATE devices SET shut = 1 WHERE id = ? AND pin_hash IS NOT NULL');
  const miss = db.prepare('UPDATE devices SET pin_misses = pin_misses + 1 WHERE id = ?');
  const opened = db.prepare(
    'UPDATE devices SET pin_misses = 0, shut = 0, touched_at = ? WHERE id = ?',
  );
  const putLock = db.prepare(
    'UPDATE devices SET lock_minutes = ?, pin_hash = ?, pin_misses = 0, shut = 0, touched_at = ? WHERE id = ?',
  );

  const at = (): string => now().toISOString();
  const since = (instant: string): number => now().getTime() - Date.parse(instant);
  const isOver = (row: Row): boolean =>
    since(row.seen_at) > IDLE_DAYS * DAY_MS || since(row.added_at) > MOST_DAYS * DAY_MS;
  const isLocked = (row: Row): boolean =>
    row.pin_hash !== null &&
    (row.shut === 1 ||
      (row.lock_minutes !== null && since(row.touched_at) >= row.lock_minutes * 60_000));
  const asDevice = (row: Row): Device => ({
    id: row.id,
    name: row.name,
    role: row.role,
    addedAt: row.added_at,
    seenAt: row.seen_at,
    lockMinutes: row.lock_minutes,
    locked: isLocked(row),
  });
  const all = (): Device[] => (list.all() as Row[]).filter((row) => !isOver(row)).map(asDevice);

  return {
    async add({ name, role, lockMinutes, pin }) {
      const token = randomBytes(32).toString('base64url');
      const id = randomUUID();
      const pinHash = pin === null ? null : await hashed(pin);
      for (const row of list.all() as Row[]) if (isOver(row)) remove(row.id);
      for (const { id: old } of all().slice(MOST_DEVICES - 1)) remove(old);
      insert.run({ id, name, role, hash: secretHash(token), at: at(), lockMinutes, pinHash });
      return { token, id };
    },
    of(token) {
      const row = byToken.get(secretHash(token)) as Row | undefined;
      if (!row || isOver(row)) return null;
      if (since(row.seen_at) > SEEN_EVERY_MS) ifItCan(() => void seen.run(at(), row.id));
      return asDevice(row);
    },
    all,
    remove,
    onRemoved: (listener) => void listeners.push(listener),
    removeAll(role) {
      const gone = (list.all() as Row[]).filter((row) => role === undefined || row.role === role);
      for (const { id } of gone) remove(id);
      return gone.map(({ id }) => id);
    },
    touch: (id) => void touch.run(at(), id),
    lock: (id) => void shut.run(id),
    async unlock(id, pin) {
      const row = byId.get(id) as Row | undefined;
      if (!row?.pin_hash) return 'wrong';
      // Counted before it is looked at, so that many at once are as many misses.
      miss.run(id);
      if (row.pin_misses + 1 > PIN_MISSES) {
        remove(id);
        return 'out';
      }
      if (await isRight(pin, row.pin_hash)) {
        opened.run(at(), id);
        return 'right';
      }
      if (row.pin_misses + 1 < PIN_MISSES) return 'wrong';
      remove(id);
      return 'out';
    },
    async putLock(id, minutes, pin) {
      const kept = (byId.get(id) as Row | undefined)?.pin_hash ?? null;
      const next = minutes === null ? null : pin === null ? kept : await hashed(pin);
      putLock.run(next === null ? null : minutes, next, at(), id);
    },
  };
}
