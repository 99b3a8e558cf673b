import { Injectable, computed, effect, inject, signal, untracked } from '@angular/core';
import { Household as HouseholdSchema, type Household } from '@gumo/core/vocabulary';
import { Store } from '@ngrx/store';
import * as v from 'valibot';
import { faultWords } from '../../common/faults';
import { Conflicts, type FieldWords } from '../../conflict/conflicts';
import { HouseholdActions, householdFeature } from '../../state/household';

type Issues = [v.BaseIssue<unknown>, ...v.BaseIssue<unknown>[]];

const HOUSEHOLD_WORDS: FieldWords = {
  name: 'Name',
  languages: 'Languages',
  openDays: 'Open days',
  units: 'Units',
  paper: 'Paper',
  frameFill: 'Filling a ten frame',
  digitForms: 'How digits look',
  moments: [
    'The day',
    (moments: Household['moments']) =>
      moments.map((one) => `${one.time.replace(/^0/, '')} ${one.name}`).join('\n'),
  ],
  tablePerWeek: 'Table time a week',
  tablesADay: 'Table time a day',
  minutesADay: 'Your minutes a day',
  weekNumber: 'Number of the week',
  preferredWay: 'How a sitting is given',
};

/** The household as it is being changed on screen, kept as a whole with its version. */
@Injectable()
export class HouseholdDraft {
  private readonly store = inject(Store);
  private readonly household = this.store.selectSignal(householdFeature.selectHousehold);

  private readonly conflicts = inject(Conflicts);
  /** The household as it was when the change began. */
  private readonly base = signal<Household | null>(null);
  readonly draft = signal<Household | null>(null);
  readonly message = signal<string | null>(null);
  readonly kept = signal(false);
  readonly changed = computed(() => JSON.stringify(this.draft()) !== JSON.stringify(this.base()));

  constructor() {
    effect(() => {
      const household = this.household();
      untracked(() => {
        // What is being changed stays; what came meanwhile is settled when it is kept.
        if (JSON.stringify(this.draft()) !== JSON.stringify(this.base())) return;
        this.base.set(household);
        this.draft.set(household);
      });
    });
  }

  change(next: (household: Household) => Household): void {
    this.kept.set(false);
    this.draft.update((draft) => draft && next(draft));
  }

  /** Says what stands in the way. */
  say(message: string): void {
    this.message.set(message);
  }

  /** @param wordsFor what is said where a field is wrong */
  async keep(wordsFor: (issues: Issues) => string = faultWords): Promise<void> {
    const checked = v.safeParse(HouseholdSchema, this.draft());
    if (!checked.success) {
      this.message.set(wordsFor(checked.issues));
      return;
    }
    const base = this.base();
    if (!base) return;
    try {
      const kept = await this.conflicts.put('/household', HouseholdSchema, {
        base,
        mine: checked.output,
        what: 'the household',
        words: HOUSEHOLD_WORDS,
      });
      if (!kept) return;
      this.base.set(kept);
      this.draft.set(kept);
      this.message.set(null);
      this.kept.set(true);
      this.store.dispatch(HouseholdActions.libraryChanged());
    } catch (error) {
      this.message.set((error as Error).message);
    }
  }
}
