import { LiveAnnouncer } from '@angular/cdk/a11y';
import { Injectable, inject } from '@angular/core';
import { MatSnackBar } from '@angular/material/snack-bar';
import * as v from 'valibot';
import { Writes } from '../state/writes';

/** How long what was done can be undone, in milliseconds. */
const LONG_ENOUGH = 8000;

interface Removable {
  readonly id: string;
  readonly version: number;
}

/** Says what was done, and offers to undo it. */
@Injectable({ providedIn: 'root' })
export class Undo {
  private readonly writes = inject(Writes);
  private readonly announcer = inject(LiveAnnouncer);
  private readonly snackBar = inject(MatSnackBar);

  offer(said: string, undo: () => Promise<unknown>): void {
    void this.announcer.announce(said);
    this.say(said, 'Undo').subscribe(() => {
      undo().then(
        () => this.announcer.announce('Undone'),
        (error: unknown) => this.say((error as Error).message, 'Close'),
      );
    });
  }

  /**
   * Removes a row at its address on the server, then offers to put back the whole of it.
   * @param changed what is to be done after the row went, and after it came back
   * @throws ApiProblem where the server refuses to remove it
   */
  remove<Row extends Removable>(
    path: string,
    row: Row,
    said: string,
    changed: (isBack: boolean) => void,
  ): Promise<void> {
    return this.removeAll(path, [row], said, changed);
  }

  /** The same for several rows, which come back together. */
  async removeAll<Row extends Removable>(
    path: string,
    rows: readonly Row[],
    said: string,
    changed: (isBack: boolean, row: Row) => void,
  ): Promise<void> {
    for (const row of rows) {
      const address = `${path}/${row.id}?version=${row.version}`;
      await this.writes.send('DELETE', address, undefined, v.null());
      changed(false, row);
    }
    this.offer(said, async () => {
      for (const row of rows) {
        await this.writes.send('POST', path, row, v.unknown());
        changed(true, row);
      }
    });
  }

  private say(words: string, action: string) {
    return this.snackBar
      .open(words, action, { duration: LONG_ENOUGH, politeness: 'off', verticalPosition: 'top' })
      .onAction();
  }
}
