import { type Child, type Day, type Impossible, impossibleDay } from '@gumo/core/vocabulary';
import type { Request } from 'express';
import type { Access } from '../services/access/access.js';
import type { AuditWhat } from '../services/access/audit.js';
import { askerOf } from './door/listener.js';
import type { Network } from '../services/access/network.js';
import type { Changes } from './changes.js';
import { ifItCan } from '../database/if-it-can.js';
import type { Backup, Backups } from '../services/keeping/backups.js';
import type { Counting } from '../services/keeping/counting.js';
import { notFound, wrongField } from '../faults.js';
import type { Services } from '../services/services.js';
import type { Printer } from '../services/printing/printer.js';
import type { Turnstile } from './turnstile.js';

/** What was done, and with which file. */
export interface RecordsNote {
  readonly what: AuditWhat;
  readonly detail: string;
  readonly who: string;
}

/** What every route works with. */
export interface Context extends Services {
  readonly changes: Changes;
  readonly printer: Printer;
  /** The file that all is kept in, its copies, and how other records take its place. */
  readonly records: {
    readonly databasePath: string;
    readonly backups: Backups;
    readonly counting: Counting;
    /**
     * @param note what is written down about it
     * @returns the copy of what was there, with all that was answered for
     */
    replaceWith(candidate: string, note: RecordsNote): Promise<Backup>;
    /** Writes the records anew without a child. */
    forget(childId: string): Promise<void>;
  };
  /** Stops writes while something needs the records for itself. */
  readonly turnstile: Turnstile;
  /** The time that devices compare their own clocks with; null where the day is a fixed one. */
  readonly clock: (() => Date) | null;
  /** True while so much is counted anew that nobody is answered before it is done. */
  readonly isCounting: () => boolean;
  /** Who may ask, and the second door. */
  readonly door: { readonly access: Access; readonly network: Network };
}

/** Writes down what somebody did with the records as a whole. */
export function noteDone(
  context: Context,
  request: Request,
  what: AuditWhat,
  detail: string,
): void {
  // Where the disk takes nothing, reading and exporting go on without a line in the list.
  ifItCan(() => context.door.access.audit.add(what, detail, askerOf(request).name));
}

/** The child named in the path. @throws Fault `missing` */
export function childOf(context: Context, request: Request): Child {
  const child = context.store.children.find(param(request, 'id'));
  if (!child) throw notFound('child');
  return child;
}

/** @throws Fault `impossible` at the field that cannot be, below a prefix such as `notes.0.` */
export function refuseImpossible(found: Impossible | null, prefix = ''): void {
  if (found) throw wrongField(`${prefix}${found.field}`, found.message);
}

/** @throws Fault `impossible` where something that was noted about a child cannot have been on its day */
export function checkDay(
  { store, today }: Context,
  noted: { readonly childId: string; readonly day: Day; readonly at?: string },
  prefix = '',
): void {
  const born = store.children.find(noted.childId)?.birthDate ?? null;
  refuseImpossible(impossibleDay(noted, born, today()), prefix);
}

/** A part of the path as text. */
export function param(request: Request, name: string): string {
  const value = request.params[name];
  return typeof value === 'string' ? value : '';
}
