import { Injectable, computed, inject, signal } from '@angular/core';
import {
  FIRST_HOUR,
  type FirstHourStep,
  Household as HouseholdSchema,
  type Household,
} from '@gumo/core/vocabulary';
import { Store } from '@ngrx/store';
import { Conflicts } from '../conflict/conflicts';
import { HOUSEHOLD_WORDS } from '../conflict/household-words';
import { childrenFeature } from './children';
import { HouseholdActions, householdFeature } from './household';

/** How far setting up the house has come; it can be left and taken up again on any device. */
@Injectable({ providedIn: 'root' })
export class FirstHour {
  private readonly store = inject(Store);
  private readonly conflicts = inject(Conflicts);
  private readonly loadedHousehold = this.store.selectSignal(householdFeature.selectHousehold);
  /** As it was kept last from here: the next step may come before it is loaded again. */
  private readonly kept = signal<Household | null>(null);
  private readonly household = computed(() => {
    const [loaded, kept] = [this.loadedHousehold(), this.kept()];
    return kept && (loaded?.version ?? 0) < kept.version ? kept : loaded;
  });
  private before: Promise<void> = Promise.resolve();
  private readonly children = this.store.selectSignal(childrenFeature.selectEveryone);
  readonly loaded = this.store.selectSignal(childrenFeature.selectLoaded);

  readonly steps = FIRST_HOUR;
  readonly done = computed(() => new Set(this.household()?.firstHour?.done ?? []));
  /** The first step that is not done; null once all are. */
  readonly next = computed(() => FIRST_HOUR.find((one) => !this.done().has(one)) ?? null);
  /** True while there is something to go on with: it was begun, or the house is still empty. */
  readonly isOpen = computed(() => {
    const household = this.household();
    if (!household || !this.loaded() || this.next() === null) return false;
    return household.firstHour ? !household.firstHour.dismissed : this.children().length === 0;
  });

  /** @throws as `Conflicts.put` does */
  async finish(step: FirstHourStep, more: Partial<Household> = {}): Promise<void> {
    await this.keep((doneNow) => {
      const done = FIRST_HOUR.filter((one) => one === step || doneNow.has(one));
      return { ...more, firstHour: { done, dismissed: false } };
    });
  }

  /** @throws as `Conflicts.put` does */
  async dismiss(): Promise<void> {
    await this.keep((done) => ({ firstHour: { done: [...done], dismissed: true } }));
  }

  /** One after the other: each begins with what the one before left. */
  private keep(change: (done: ReadonlySet<FirstHourStep>) => Partial<Household>): Promise<void> {
    const now = this.before.then(() => this.put(change(this.done())));
    this.before = now.catch(() => undefined);
    return now;
  }

  private async put(more: Partial<Household>): Promise<void> {
    const base = this.household();
    if (!base) return;
    const kept = await this.conflicts.put('/household', HouseholdSchema, {
      base,
      mine: { ...base, ...more },
      what: 'the household',
      words: HOUSEHOLD_WORDS,
      loads: true,
    });
    if (kept) this.kept.set(kept);
    this.store.dispatch(HouseholdActions.libraryChanged());
  }
}
