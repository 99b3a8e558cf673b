import { counted } from '../numbers/index.js';
import { type Day, dayNumber, mondayOf } from '../vocabulary/index.js';

/** How many copies stay: the newest of each of so many days, weeks and months that have any. */
export const KEPT = { days: 7, weeks: 4, months: 12 } as const;

export interface BackupFile {
  readonly name: string;
  /** The day it was made. */
  readonly day: Day;
  /** When, within its day and beyond: a later one sorts after an earlier one. */
  readonly at: string;
}

/**
 * Which copies may go: those that are not the newest of one of the last seven days, four weeks or
 * twelve months that have any. The newest copy of all always stays, whatever the clock says.
 */
export function backupsToDrop<T extends BackupFile>(copies: readonly T[]): T[] {
  const newestFirst = [...copies].sort((a, b) => b.at.localeCompare(a.at));
  const kept = new Set<string>();
  const keepFirstOfEach = (keyOf: (copy: T) => string, many: number): void => {
    const seen = new Set<string>();
    for (const copy of newestFirst) {
      const key = keyOf(copy);
      if (seen.has(key)) continue;
      if (seen.size === many) return;
      seen.add(key);
      kept.add(copy.name);
    }
  };
  keepFirstOfEach(({ day }) => day, KEPT.days);
  keepFirstOfEach(({ day }) => mondayOf(day), KEPT.weeks);
  keepFirstOfEach(({ day }) => day.slice(0, 7), KEPT.months);
  return newestFirst.filter(({ name }) => !kept.has(name));
}

/** A good copy older than this is worth a word. */
export const OLD_AFTER_DAYS = 3;

/** What to say about the copies; empty where all is well. */
export function backupNotice(
  lastGood: Day | null,
  today: Day,
  freeBytes: number | null,
  databaseBytes: number,
): string {
  // Room for the database, a copy of it and its log.
  if (freeBytes !== null && freeBytes < 3 * databaseBytes + ROOM_BYTES) {
    return 'The disk is nearly full: make room, or records and backups cannot be saved.';
  }
  if (lastGood === null) return 'There is no good backup of the records yet.';
  const age = dayNumber(today) - dayNumber(lastGood);
  if (age > OLD_AFTER_DAYS)
    return `The last good backup of the records is ${counted(age, 'day', 'days')} old.`;
  return '';
}

const ROOM_BYTES = 50_000_000;
