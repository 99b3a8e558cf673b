import { Injectable, computed, effect, inject, signal, untracked } from '@angular/core';
import { Household as HouseholdSchema, type Household } from '@gumo/core/vocabulary';
import { Store } from '@ngrx/store';
import * as v from 'valibot';
import { Api, ApiProblem } from '../../common/api';
import { faultWords } from '../../common/faults';
import { HouseholdActions, householdFeature } from '../../state/household';

type Issues = [v.BaseIssue<unknown>, ...v.BaseIssue<unknown>[]];

/** The household as it is being changed on screen, kept as a whole with its version. */
@Injectable()
export class HouseholdDraft {
  private readonly store = inject(Store);
  private readonly api = inject(Api);
  private readonly household = this.store.selectSignal(householdFeature.selectHousehold);

  readonly draft = signal<Household | null>(null);
  readonly message = signal<string | null>(null);
  readonly kept = signal(false);
  readonly changed = computed(
    () => JSON.stringify(this.draft()) !== JSON.stringify(this.household()),
  );

  constructor() {
    effect(() => {
      const household = this.household();
      untracked(() => this.draft.set(household));
    });
  }

  change(next: (household: Household) => Household): void {
    this.kept.set(false);
    this.draft.update((draft) => draft && next(draft));
  }

  /** @param wordsFor what is said where a field is wrong */
  async keep(wordsFor: (issues: Issues) => string = faultWords): Promise<void> {
    const checked = v.safeParse(HouseholdSchema, this.draft());
    if (!checked.success) {
      this.message.set(wordsFor(checked.issues));
      return;
    }
    try {
      await this.api.send('PUT', '/household', checked.output, HouseholdSchema);
      this.message.set(null);
      this.kept.set(true);
      this.store.dispatch(HouseholdActions.libraryChanged());
    } catch (error) {
      const late = error instanceof ApiProblem && error.status === 409;
      this.message.set(
        late
          ? 'This was changed on another device. Reload, then change it again.'
          : (error as Error).message,
      );
    }
  }
}
