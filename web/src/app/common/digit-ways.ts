import { Injectable, computed, inject } from '@angular/core';
import { type OwnWords, cueOf, usualWish } from '@gumo/core/sheets';
import { Store } from '@ngrx/store';
import { householdFeature } from '../state/household';

/** How the household writes its digits, and what it says while it does. */
@Injectable({ providedIn: 'root' })
export class DigitWays {
  private readonly household = inject(Store).selectSignal(householdFeature.selectHousehold);
  readonly forms = computed(() => this.household()?.digitForms ?? usualWish().forms);
  private readonly own = computed((): OwnWords => this.household()?.digitWords ?? []);

  /** What is said while a number is written. */
  cueOf(number: number): string {
    return cueOf(number, this.forms(), this.household()?.digitCue ?? 'movement', this.own());
  }
}
