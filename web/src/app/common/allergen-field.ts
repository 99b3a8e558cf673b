import { ChangeDetectionStrategy, Component, computed, input, model, signal } from '@angular/core';
import {
  MatAutocompleteModule,
  type MatAutocompleteSelectedEvent,
} from '@angular/material/autocomplete';
import { type MatChipInputEvent, MatChipsModule } from '@angular/material/chips';
import { ALLERGENS, allergenName, asAllergen } from '@gumo/core/vocabulary';
import { FORM_FIELDS } from './form-field';

const LONGEST = 60;
const MOST = 24;

/** Allergens, chosen from the list or said in own words, as chips. */
@Component({
  selector: 'gumo-allergen-field',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [FORM_FIELDS, MatAutocompleteModule, MatChipsModule],
  template: `
    <mat-form-field>
      <mat-label>{{ label() }}</mat-label>
      <mat-chip-grid #grid [attr.aria-label]="label()">
        @for (one of value(); track one) {
          <mat-chip-row (removed)="remove(one)">
            {{ name(one) }}
            <button matChipRemove type="button" [attr.aria-label]="'Remove ' + name(one)">×</button>
          </mat-chip-row>
        }
      </mat-chip-grid>
      <input
        #typed
        [matChipInputFor]="grid"
        [matAutocomplete]="auto"
        [matChipInputAddOnBlur]="false"
        [attr.maxlength]="longest"
        [placeholder]="value().length === 0 ? 'choose, or type your own words' : ''"
        (input)="text.set(typed.value)"
        (matChipInputTokenEnd)="type($event)"
      />
      <mat-autocomplete #auto="matAutocomplete" (optionSelected)="choose($event, typed)">
        @for (one of offered(); track one) {
          <mat-option [value]="one">{{ name(one) }}</mat-option>
        }
      </mat-autocomplete>
      @if (hint()) {
        <mat-hint>{{ hint() }}</mat-hint>
      }
    </mat-form-field>
  `,
  styles: `
    mat-form-field {
      inline-size: 100%;
    }
  `,
})
export class AllergenField {
  readonly label = input.required<string>();
  readonly hint = input('');
  readonly value = model<readonly string[]>([]);

  protected readonly longest = LONGEST;
  protected readonly text = signal('');
  protected readonly name = allergenName;
  protected readonly offered = computed(() => {
    const typed = this.text().trim().toLowerCase();
    return Object.keys(ALLERGENS).filter(
      (tag) => !this.value().includes(tag) && allergenName(tag).toLowerCase().includes(typed),
    );
  });

  private add(words: string): void {
    const one = asAllergen(words.slice(0, LONGEST));
    if (one === '' || this.value().includes(one) || this.value().length >= MOST) return;
    this.value.set([...this.value(), one]);
  }

  protected remove(one: string): void {
    this.value.set(this.value().filter((other) => other !== one));
  }

  protected type({ value, chipInput }: MatChipInputEvent): void {
    this.add(value);
    chipInput.clear();
    this.text.set('');
  }

  protected choose(event: MatAutocompleteSelectedEvent, field: HTMLInputElement): void {
    this.add(String(event.option.value));
    field.value = '';
    this.text.set('');
    event.option.deselect();
  }
}
