import { ChangeDetectionStrategy, Component, computed, input, output, signal } from '@angular/core';
import { MatAutocompleteModule } from '@angular/material/autocomplete';
import { MatButton } from '@angular/material/button';
import { MatInputModule } from '@angular/material/input';
import { FORM_FIELDS } from '../../common/form-field';
import { Icon } from '../../common/icon';

/** The name of a material, or of any other object, one after the other as fast as they are typed. */
@Component({
  selector: 'gumo-material-field',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [FORM_FIELDS, Icon, MatAutocompleteModule, MatButton, MatInputModule],
  template: `
    <mat-form-field class="wide">
      <mat-label>Object</mat-label>
      <input
        #named
        #list="matAutocompleteTrigger"
        matInput
        maxlength="28"
        placeholder="of your materials, or any"
        [matAutocomplete]="names"
        (input)="text.set(named.value)"
        (keydown.enter)="add(named); list.closePanel()"
      />
      <mat-autocomplete #names="matAutocomplete" (optionSelected)="add(named)">
        @for (name of left(); track name) {
          <mat-option [value]="name">{{ name }}</mat-option>
        }
      </mat-autocomplete>
    </mat-form-field>
    <button matButton="outlined" type="button" [disabled]="full()" (click)="add(named)">
      <gumo-icon name="add" /> Add
    </button>
  `,
  styleUrl: './kit.scss',
  // It lies in its parent's row as if it were part of it.
  host: { '[style.display]': '"contents"' },
})
export class MaterialField {
  /** Names that are offered, and those that are there already. */
  readonly offered = input.required<readonly string[]>();
  readonly taken = input.required<readonly string[]>();
  readonly full = input(false);
  readonly added = output<string>();

  protected readonly text = signal('');
  protected readonly left = computed(() =>
    this.offered().filter(
      (name) =>
        !this.taken().includes(name) && name.toLowerCase().includes(this.text().toLowerCase()),
    ),
  );

  protected add(field: HTMLInputElement): void {
    const name = field.value.trim();
    if (name === '' || this.full() || this.taken().includes(name)) return;
    // At once, and not with the next drawing: the next name may be typed already.
    field.value = '';
    this.text.set('');
    this.added.emit(name);
  }
}
