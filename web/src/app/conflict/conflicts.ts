import { Injectable, inject } from '@angular/core';
import { MatDialog } from '@angular/material/dialog';
import { merged } from '@gumo/core/vocabulary';
import { firstValueFrom } from 'rxjs';
import * as v from 'valibot';
import { ApiProblem, type Writing } from '../common/api';
import type { Clash, Settled } from './conflict-dialog';
import { Writes } from '../state/writes';

/** What a field is called on screen, and how what stands in it is said. */
export type FieldWords = Readonly<
  Record<string, string | readonly [name: string, say: (value: never) => string]>
>;

/** Rounds after which it is said that others keep changing it. */
const MOST_ROUNDS = 5;

/** Keeps a row that another device may have changed meanwhile, without losing what either did. */
@Injectable({ providedIn: 'root' })
export class Conflicts {
  private readonly writes = inject(Writes);
  private readonly dialog = inject(MatDialog);

  /**
   * Sends the row; where another device was first, both changes are put together, and what both changed is
   * shown side by side.
   * @param base the row as it was when the change began
   * @returns the row as it is kept; null where nothing was settled and so nothing is kept
   * @throws ApiProblem, Unreachable
   */
  async put<T extends { readonly version: number }>(
    path: string,
    schema: v.GenericSchema<unknown, T>,
    {
      base,
      mine,
      what,
      words,
      loads = false,
    }: { base: T; mine: T; what: string; words: FieldWords } & Writing,
  ): Promise<T | null> {
    let [from, next] = [base, { ...mine, version: base.version }];
    for (let round = 0; ; round++) {
      try {
        return await this.writes.send('PUT', path, next, schema, { loads });
      } catch (error) {
        const late = error instanceof ApiProblem && error.status === 409;
        const theirs = late ? v.safeParse(schema, error.current) : undefined;
        if (!theirs?.success || round >= MOST_ROUNDS) throw error;
        const { row, clashes } = merged(from, next, theirs.output);
        const settled =
          clashes.length === 0
            ? {}
            : await this.ask(
                what,
                clashes.map((field) => clash(field, next, theirs.output, words)),
              );
        if (settled === null) return null;
        const mineStay = clashes.filter((field) => settled[field] === 'here');
        const kept = Object.fromEntries(mineStay.map((field) => [field, next[field]]));
        [from, next] = [theirs.output, { ...row, ...kept }];
      }
    }
  }

  /** Side by side, what two devices made of the same; null where nothing was chosen. */
  async ask(what: string, clashes: readonly Clash[]): Promise<Settled | null> {
    const { ConflictDialog } = await import('./conflict-dialog');
    const dialog = this.dialog.open(ConflictDialog, {
      data: { what, clashes },
      width: '680px',
      maxWidth: 'calc(100vw - 24px)',
      autoFocus: 'first-heading',
      restoreFocus: true,
    });
    return ((await firstValueFrom(dialog.afterClosed())) as Settled | undefined) ?? null;
  }
}

function clash<T extends object>(
  field: keyof T & string,
  mine: T,
  theirs: T,
  words: FieldWords,
): Clash {
  const known = words[field] ?? field;
  const [name, say] = typeof known === 'string' ? [known, said] : known;
  return { field, name, here: say(mine[field] as never), there: say(theirs[field] as never) };
}

/** What stands in a field, in words. */
function said(value: unknown): string {
  if (value === undefined || value === null || value === '') return 'nothing';
  if (typeof value === 'boolean') return value ? 'yes' : 'no';
  if (Array.isArray(value)) return value.length === 0 ? 'nothing' : value.map(said).join(', ');
  if (typeof value === 'object') {
    return Object.entries(value)
      .map(([key, inner]) => `${key} ${said(inner)}`)
      .join(', ');
  }
  return String(value);
}
