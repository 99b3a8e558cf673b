import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { Kit, daysBetween } from '@gumo/core/vocabulary';
import { Store } from '@ngrx/store';
import { v7 as uuid } from 'uuid';
import * as v from 'valibot';
import { Api } from '../../common/api';
import { Clock } from '../../common/clock';
import { Icon } from '../../common/icon';
import { Conflicts } from '../../conflict/conflicts';
import { Kits as KitList } from '../../state/answers';
import { householdFeature } from '../../state/household';
import { thingsFeature } from '../../state/things';

const DAYS_A_WEEK = 7;

/** Packed boxes: what is in each, a check of the contents, and a reminder to change them. */
@Component({
  selector: 'gumo-kits',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [Icon],
  templateUrl: './kits.html',
  styleUrl: './kits.scss',
})
export class Kits {
  private readonly api = inject(Api);
  private readonly conflicts = inject(Conflicts);
  private readonly clock = inject(Clock);
  private readonly store = inject(Store);
  protected readonly things = this.store.selectSignal(thingsFeature.selectThings);
  protected readonly activities = this.store.selectSignal(householdFeature.selectActivities);
  private readonly activityById = this.store.selectSignal(householdFeature.selectActivityById);
  protected readonly kits = signal<readonly Kit[]>([]);
  /** The kit being packed, changed or checked. */
  protected readonly packing = signal<Kit | null>(null);
  protected readonly checking = signal<{ kit: Kit; found: Record<string, number> } | null>(null);
  protected readonly message = signal<string | null>(null);

  protected readonly cards = computed(() => {
    const today = this.clock.today();
    const thingById = new Map(this.things().map((thing) => [thing.id, thing]));
    return this.kits().map((kit) => {
      const weeks = daysBetween(kit.changedOn, today) / DAYS_A_WEEK;
      const missing = (kit.checked?.missing ?? []).map(
        ({ thingId, count }) => `${count} ${thingById.get(thingId)?.name ?? 'gone'}`,
      );
      return {
        kit,
        for: kit.activityId ? (this.activityById().get(kit.activityId)?.title ?? '') : 'table time',
        contents: kit.contents
          .map(({ thingId, count }) => `${count} ${thingById.get(thingId)?.name ?? 'gone'}`)
          .join(', '),
        stale: kit.changeAfterWeeks > 0 && weeks >= kit.changeAfterWeeks,
        missing: missing.join(', '),
      };
    });
  });

  constructor() {
    void this.load();
  }

  private async load(): Promise<void> {
    try {
      this.kits.set(await this.api.get('/kits', KitList));
    } catch (error) {
      this.message.set((error as Error).message);
    }
  }

  protected pack(kit: Kit | null): void {
    this.checking.set(null);
    this.packing.set(
      kit ?? {
        id: uuid(),
        title: '',
        activityId: null,
        contents: [],
        changedOn: this.clock.today(),
        changeAfterWeeks: 4,
        checked: null,
        version: 0,
      },
    );
  }

  protected set(change: Partial<Kit>): void {
    this.packing.update((kit) => kit && { ...kit, ...change });
  }

  protected put(thingId: string, count: number): void {
    const kit = this.packing();
    if (!kit || thingId === '') return;
    const others = kit.contents.filter((one) => one.thingId !== thingId);
    this.set({ contents: count > 0 ? [...others, { thingId, count }] : others });
  }

  protected nameOf(thingId: string): string {
    return this.things().find((thing) => thing.id === thingId)?.name ?? 'gone';
  }

  protected async keep(): Promise<void> {
    const kit = this.packing();
    if (!kit) return;
    const isNew = kit.version === 0;
    const before = this.kits().find((one) => one.id === kit.id);
    const same = JSON.stringify(before?.contents) === JSON.stringify(kit.contents);
    const changedOn = isNew || !same ? this.clock.today() : kit.changedOn;
    const row = { ...kit, changedOn, version: isNew ? 1 : kit.version };
    await this.send(() =>
      isNew
        ? this.api.send('POST', '/kits', row, Kit)
        : this.conflicts.put(`/kits/${kit.id}`, Kit, {
            base: before ?? row,
            mine: row,
            what: kit.title,
            words: {
              title: 'Name',
              contents: [
                'What is in it',
                (contents: Kit['contents']) =>
                  contents
                    .map(({ thingId, count }) => `${count} ${this.nameOf(thingId)}`)
                    .join(', '),
              ],
            },
          }),
    );
  }

  protected async unpack(kit: Kit): Promise<void> {
    await this.send(() =>
      this.api.send('DELETE', `/kits/${kit.id}?version=${kit.version}`, undefined, v.null()),
    );
  }

  protected check(kit: Kit): void {
    this.packing.set(null);
    const found = Object.fromEntries(kit.contents.map(({ thingId, count }) => [thingId, count]));
    this.checking.set({ kit, found });
  }

  protected found(thingId: string, count: number): void {
    this.checking.update((one) => one && { ...one, found: { ...one.found, [thingId]: count } });
  }

  protected async keepCheck(when: 'before' | 'after'): Promise<void> {
    const one = this.checking();
    if (!one) return;
    const missing = one.kit.contents
      .map(({ thingId, count }) => ({ thingId, count: count - (one.found[thingId] ?? 0) }))
      .filter(({ count }) => count > 0);
    const checked = { day: this.clock.today(), when, missing };
    await this.send(() =>
      this.api.send('PUT', `/kits/${one.kit.id}`, { ...one.kit, checked }, Kit),
    );
  }

  private async send(work: () => Promise<unknown>): Promise<void> {
    try {
      await work();
      this.packing.set(null);
      this.checking.set(null);
      this.message.set(null);
      await this.load();
    } catch (error) {
      this.message.set((error as Error).message);
    }
  }
}
