import { addDays } from '@gumo/core/vocabulary';
import Database from 'better-sqlite3';
import { holdsChild } from '../../database/forget.js';
import type { Backup, Backups } from './backups.js';
import { copyDatabase } from './copying.js';

/** A copy that still holds a child, and the day by which it is gone of itself; null for never. */
export interface Holder {
  readonly name: string;
  readonly until: string | null;
}

/** Twelve months of copies are kept; a month's last one leaves a year after its month. */
const LONGEST_DAYS = 366 + 31;

/** Copies that a child is in. A copy that cannot be read holds nothing that could be taken out. */
export function holdersOf(backups: Backups, childId: string): Holder[] {
  const holds = ({ name }: Backup): boolean => {
    try {
      return isIn(backups.fileOf(name), childId);
    } catch {
      return false;
    }
  };
  return backups
    .state()
    .backups.filter(holds)
    .map(({ name, kind, day }) => ({
      name,
      until: kind === 'daily' ? addDays(day, LONGEST_DAYS) : null,
    }));
}

/** Whether the database in a file holds a child. */
export function isIn(file: string, childId: string): boolean {
  const db = new Database(file, { readonly: true });
  try {
    return holdsChild(db, childId);
  } finally {
    db.close();
  }
}

/**
 * Writes copies anew without a child, each put in the place of the one with it in one step.
 * @returns the copies that still hold the child
 */
export async function rewriteWithout(backups: Backups, childId: string): Promise<Holder[]> {
  for (const { name } of holdersOf(backups, childId)) {
    const file = backups.fileOf(name);
    // What cannot be written anew is named to whoever asked.
    await copyDatabase({ from: file, to: file, without: childId }).catch(() => undefined);
  }
  return holdersOf(backups, childId);
}
