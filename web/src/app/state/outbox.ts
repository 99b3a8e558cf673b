import { DOCUMENT, Injectable, inject } from '@angular/core';
import {
  type NoteBatch,
  type ObservationBatch,
  OutboxEntry,
  type OverrideBatch,
  type PlacementBatch,
  type VoidingBatch,
} from '@gumo/core/contract';
import { renamedEntry } from '@gumo/core/exchange';
import { Store, createActionGroup, createFeature, createReducer, on, props } from '@ngrx/store';
import { type DBSchema, type IDBPDatabase, type IDBPTransaction, openDB } from 'idb';
import * as v from 'valibot';
import { Api, ApiProblem } from '../common/api';

/** What the server did not take, and why. */
export interface RefusedParcel {
  readonly key: number;
  readonly parcel: OutboxEntry;
  readonly message: string;
}

interface OutboxSchema extends DBSchema {
  waiting: { key: number; value: OutboxEntry };
  refused: { key: number; value: { parcel: OutboxEntry; message: string } };
}

export const OutboxActions = createActionGroup({
  source: 'Outbox',
  events: {
    Counted: props<{ waiting: number; reachable: boolean }>(),
    /** Whether the line to the server is there. */
    Reached: props<{ reachable: boolean }>(),
    Drained: props<{ childIds: string[] }>(),
    /** How much the server did not take, all in all. */
    Refused: props<{ count: number }>(),
  },
});

interface OutboxState {
  readonly waiting: number;
  readonly reachable: boolean;
  /** Parcels that the server did not take, kept on this device. */
  readonly refused: number;
}

const initial: OutboxState = { waiting: 0, reachable: true, refused: 0 };

export const outboxFeature = createFeature({
  name: 'outbox',
  reducer: createReducer(
    initial,
    on(OutboxActions.counted, (state, { waiting, reachable }): OutboxState => ({
      ...state,
      waiting,
      reachable,
    })),
    on(OutboxActions.reached, (state, { reachable }): OutboxState => ({ ...state, reachable })),
    on(OutboxActions.refused, (state, { count }): OutboxState => ({ ...state, refused: count })),
  ),
});

const RETRY_MS = 2_000;
const GATHER_MS = 60;
const MOST_AT_ONCE = 100;
const UNREADABLE = 'This version of Gumo cannot read it.';
/** What went out is loaded again by an effect. */
const LOADS = { loads: true };

/** What waited since before the names were changed is sent with today's. */
async function renameAll(
  change: IDBPTransaction<OutboxSchema, ('waiting' | 'refused')[], 'versionchange'>,
): Promise<void> {
  const renamed = (entry: OutboxEntry): OutboxEntry => renamedEntry(entry) as OutboxEntry;
  for (let at = await change.objectStore('waiting').openCursor(); at; at = await at.continue()) {
    await at.update(renamed(at.value));
  }
  for (let at = await change.objectStore('refused').openCursor(); at; at = await at.continue()) {
    await at.update({ ...at.value, parcel: renamed(at.value.parcel) });
  }
}

/**
 * Keeps what was noted on the device until the server has answered for it, and sends it in order.
 * Every parcel can be sent twice without harm, so a lost answer costs nothing.
 */
@Injectable({ providedIn: 'root' })
export class Outbox {
  private readonly api = inject(Api);
  private readonly store = inject(Store);
  private readonly database: Promise<IDBPDatabase<OutboxSchema>> = openDB<OutboxSchema>(
    'gumo-outbox',
    2,
    {
      upgrade(db, before, _, change) {
        if (before > 0) return void renameAll(change);
        db.createObjectStore('waiting', { autoIncrement: true });
        db.createObjectStore('refused', { autoIncrement: true });
      },
    },
  );
  private sending: Promise<void> | null = null;
  private again = false;

  constructor() {
    inject(DOCUMENT).defaultView?.addEventListener('online', () => void this.flush());
    void this.flush();
    void this.countRefused();
  }

  /** Keeps a parcel, then sends whatever waits. Resolves as soon as it is kept on the device. */
  async put(parcel: OutboxEntry): Promise<void> {
    await (await this.database).add('waiting', parcel);
    // The screen comes first; what waits is gathered and sent a moment later.
    setTimeout(() => void this.flush(), GATHER_MS);
  }

  /** What waits, oldest first. */
  async waiting(): Promise<OutboxEntry[]> {
    return (await this.database).getAll('waiting');
  }

  /** What the server did not take, oldest first. */
  async refused(): Promise<RefusedParcel[]> {
    const db = await this.database;
    const [keys, rows] = await Promise.all([db.getAllKeys('refused'), db.getAll('refused')]);
    return rows.map((row, i) => ({ ...row, key: keys[i] as number }));
  }

  /** Sends a refused one once more, as it was or changed. */
  async sendAgain(key: number, parcel: OutboxEntry): Promise<void> {
    await this.put(parcel);
    await this.discard(key);
  }

  async discard(key: number): Promise<void> {
    await (await this.database).delete('refused', key);
    await this.countRefused();
  }

  private async countRefused(): Promise<void> {
    const count = await (await this.database).count('refused');
    this.store.dispatch(OutboxActions.refused({ count }));
  }

  /** Sends what waits; resolves when nothing is left or the server cannot be reached. */
  flush(): Promise<void> {
    if (this.sending) {
      this.again = true;
      return this.sending;
    }
    this.sending = this.drain().finally(() => {
      this.sending = null;
      if (this.again) {
        this.again = false;
        void this.flush();
      }
    });
    return this.sending;
  }

  private async drain(): Promise<void> {
    const db = await this.database;
    const children = new Set<string>();
    let sent = false;
    for (;;) {
      const keys = await db.getAllKeys('waiting', null, MOST_AT_ONCE);
      const parcels = await db.getAll('waiting', null, MOST_AT_ONCE);
      const first = parcels[0];
      if (!first) break;
      if (!v.is(OutboxEntry, first)) {
        await this.keepRefused(db, first, UNREADABLE);
        if (keys[0] !== undefined) await db.delete('waiting', keys[0]);
        await this.countRefused();
        continue;
      }
      const alone = first.kind !== 'observation' && first.kind !== 'voiding';
      const like = alone
        ? 1
        : parcels.findIndex((one) => one.kind !== first.kind || !v.is(OutboxEntry, one));
      const count = like < 0 ? parcels.length : like;
      const batch = parcels.slice(0, count);
      try {
        await this.deliver(db, batch);
      } catch {
        this.store.dispatch(
          OutboxActions.counted({ waiting: await db.count('waiting'), reachable: false }),
        );
        setTimeout(() => void this.flush(), RETRY_MS);
        return;
      }
      for (const key of keys.slice(0, count)) await db.delete('waiting', key);
      sent = true;
      for (const one of batch) for (const id of childrenOf(one)) children.add(id);
    }
    this.store.dispatch(OutboxActions.counted({ waiting: 0, reachable: true }));
    if (sent) this.store.dispatch(OutboxActions.drained({ childIds: [...children] }));
  }

  /**
   * Sends a batch. Where it is refused, each parcel goes alone, so that one that the server will never
   * take, such as a try of a child who was forgotten, takes no other with it; that one is kept apart
   * and said, not thrown away.
   * @throws Error where the server cannot take anything now
   */
  private async deliver(
    db: IDBPDatabase<OutboxSchema>,
    batch: readonly OutboxEntry[],
  ): Promise<void> {
    try {
      await this.post(batch);
    } catch (error) {
      if (!(error instanceof ApiProblem) || isForLater(error.status)) throw error;
      const [parcel, ...more] = batch;
      if (more.length > 0) {
        for (const one of batch) await this.deliver(db, [one]);
      } else if (parcel) {
        await this.keepRefused(db, parcel, error.message);
        await this.countRefused();
      }
    }
  }

  /** Two pages may send the same and be refused both: it is kept once. */
  private async keepRefused(
    db: IDBPDatabase<OutboxSchema>,
    parcel: OutboxEntry,
    message: string,
  ): Promise<void> {
    const store = db.transaction('refused', 'readwrite').objectStore('refused');
    const same = JSON.stringify(parcel);
    const known = (await store.getAll()).some((one) => JSON.stringify(one.parcel) === same);
    if (!known) await store.add({ parcel, message });
  }

  private post(batch: readonly OutboxEntry[]): Promise<unknown> {
    const first = batch[0] as OutboxEntry;
    switch (first.kind) {
      case 'session':
        return this.api.send('PUT', `/sessions/${first.session.id}`, first.session, LOADS);
      case 'end':
        return this.api.send('POST', `/sessions/${first.sessionId}/end`, first.end, LOADS);
      case 'range':
        return this.api.send('POST', `/sessions/${first.sessionId}/range`, first.move, LOADS);
      case 'mark':
        return this.api.send('POST', `/days/${first.day}/marks`, first.mark, LOADS);
      case 'override':
        return this.api.send(
          'POST',
          '/overrides',
          { overrides: [first.override] } satisfies OverrideBatch,
          LOADS,
        );
      case 'note':
        return this.api.send('POST', '/notes', { notes: [first.note] } satisfies NoteBatch, LOADS);
      case 'note-back':
        return this.api.send('DELETE', `/notes/${first.noteId}`, undefined, LOADS);
      case 'placement':
        return this.api.send(
          'POST',
          '/placements',
          { placements: [first.placement] } satisfies PlacementBatch,
          LOADS,
        );
      case 'observation': {
        const observations = batch.flatMap((one) =>
          one.kind === 'observation' ? [one.observation] : [],
        );
        return this.api.send(
          'POST',
          '/observations',
          { observations } satisfies ObservationBatch,
          LOADS,
        );
      }
      case 'voiding': {
        const voidings = batch.flatMap((one) => (one.kind === 'voiding' ? [one.voiding] : []));
        return this.api.send('POST', '/voidings', { voidings } satisfies VoidingBatch, LOADS);
      }
    }
  }
}

/** Nothing is wrong with what was sent: the server is busy, or this device is locked or let in no more. */
const isForLater = (status: number): boolean => status >= 500 || [401, 423, 429].includes(status);

/** Ids of the children that a parcel is about. */
export function childrenOf(parcel: OutboxEntry): string[] {
  switch (parcel.kind) {
    case 'session':
      return parcel.session.participants.map((participant) => participant.childId);
    case 'observation':
      return [parcel.observation.childId];
    case 'override':
      return [parcel.override.childId];
    case 'placement':
      return [parcel.placement.childId];
    case 'note':
      return [parcel.note.childId];
    case 'note-back':
      return [parcel.childId];
    case 'voiding':
      return parcel.childId === undefined ? [] : [parcel.childId];
    case 'mark':
    case 'range':
    case 'end':
      return [];
  }
}
