import type { Child } from '@gumo/core/vocabulary';
import type { Request } from 'express';
import type { Access } from '../access/access.js';
import type { AuditWhat } from '../access/audit.js';
import { askerOf } from '../access/door.js';
import type { Network } from '../access/network.js';
import type { Changes } from '../changes.js';
import type { Store } from '../database/store.js';
import type { Backups } from '../keeping/backups.js';
import type { Counting } from '../keeping/counting.js';
import type { Planner } from '../planning/planner.js';
import { notFound } from '../problems.js';
import type { Progress } from '../progress.js';
import type { Printer } from '../sheets/printer.js';

/** What was done, and with which file. */
export interface RecordsNote {
  readonly what: AuditWhat;
  readonly detail: string;
  readonly who: string;
}

/** What every route works with. */
export interface Context {
  readonly store: Store;
  readonly progress: Progress;
  readonly changes: Changes;
  readonly planner: Planner;
  readonly printer: Printer;
  /** The file that all is kept in, its copies, and how other records take its place. */
  readonly records: {
    readonly databasePath: string;
    readonly backups: Backups;
    readonly counting: Counting;
    /** @param note what is written down in the new records about it */
    replaceWith(candidate: string, note: RecordsNote): Promise<void>;
  };
  /** Today on the household's calendar, for checks such as "not born in the future". */
  readonly today: () => string;
  /** Who may ask, and the second door. */
  /** True while so much is counted anew that nobody is answered before it is done. */
  readonly isCounting: () => boolean;
  readonly door: { readonly access: Access; readonly network: Network };
}

/** Writes down what somebody did with the records as a whole. */
export function noteDone(
  context: Context,
  request: Request,
  what: AuditWhat,
  detail: string,
): void {
  context.door.access.audit.add(what, detail, askerOf(request).name);
}

/** The child named in the path. @throws Problem 404 */
export function childOf(context: Context, request: Request): Child {
  const child = context.store.children.find(param(request, 'id'));
  if (!child) throw notFound('child');
  return child;
}

/** A part of the path as text. */
export function param(request: Request, name: string): string {
  const value = request.params[name];
  return typeof value === 'string' ? value : '';
}
