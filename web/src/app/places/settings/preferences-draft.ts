import { Injectable, effect, inject, signal, untracked } from '@angular/core';
import type { FormGroup } from '@angular/forms';
import { Household as HouseholdSchema, type Household } from '@gumo/core/vocabulary';
import { Store } from '@ngrx/store';
import { Unsaved, refused } from '../../common/forms';
import { Conflicts } from '../../conflict/conflicts';
import { HOUSEHOLD_WORDS } from '../../conflict/household-words';
import { HouseholdActions, householdFeature } from '../../state/household';

/** Keeps what a form makes of the household, as a whole and with its version. */
@Injectable()
export class PreferencesDraft {
  private readonly store = inject(Store);
  private readonly household = this.store.selectSignal(householdFeature.selectHousehold);
  private readonly conflicts = inject(Conflicts);
  private readonly unsaved = inject(Unsaved);

  /** The household as it was when the change began. */
  readonly base = signal<Household | null>(null);
  readonly message = signal<string | null>(null);
  readonly kept = signal(false);

  /** Fills a form, and anew whenever the household changes while nothing is being changed here. */
  fills(form: FormGroup, fill: (household: Household) => void): void {
    this.unsaved.watch(() => form.dirty);
    effect(() => {
      const household = this.household();
      untracked(() => {
        // What is being changed stays; what came meanwhile is settled when it is kept.
        if (form.dirty || !household) return;
        this.base.set(household);
        fill(household);
      });
    });
  }

  /** Keeps the household, where every field of the form may stand as it is. */
  async keep(form: FormGroup, mine: Household): Promise<void> {
    const base = this.base();
    form.markAllAsTouched();
    this.kept.set(false);
    if (!base || form.invalid) return;
    try {
      const kept = await this.conflicts.put('/household', HouseholdSchema, {
        base,
        mine,
        what: 'the household',
        words: HOUSEHOLD_WORDS,
        loads: true,
      });
      if (!kept) return;
      form.markAsPristine();
      this.base.set(kept);
      this.message.set(null);
      this.kept.set(true);
      this.store.dispatch(HouseholdActions.libraryChanged());
    } catch (error) {
      this.message.set(refused(form, error));
    }
  }
}
