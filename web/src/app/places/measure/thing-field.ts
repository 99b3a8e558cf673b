import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import { Icon } from '../../common/icon';

let fields = 0;

/** The name of a thing, of the cupboard or any other, one after the other as fast as they are typed. */
@Component({
  selector: 'gumo-thing-field',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [Icon],
  template: `
    <label class="field wide">
      Thing
      <input
        #named
        maxlength="28"
        placeholder="of the cupboard, or any"
        [attr.list]="list"
        (keydown.enter)="add(named)"
      />
      <datalist [id]="list">
        @for (name of left(); track name) {
          <option [value]="name"></option>
        }
      </datalist>
    </label>
    <button type="button" class="button outlined" [disabled]="full()" (click)="add(named)">
      <gumo-icon name="add" /> Add
    </button>
  `,
  styleUrl: './kit.scss',
  // It lies in its parent's row as if it were part of it.
  host: { '[style.display]': '"contents"' },
})
export class ThingField {
  /** Names that are offered, and those that are there already. */
  readonly offered = input.required<readonly string[]>();
  readonly taken = input.required<readonly string[]>();
  readonly full = input(false);
  readonly added = output<string>();

  protected readonly list = `things-${++fields}`;
  protected readonly left = computed(() =>
    this.offered().filter((name) => !this.taken().includes(name)),
  );

  protected add(field: HTMLInputElement): void {
    const name = field.value.trim();
    if (name === '' || this.full() || this.taken().includes(name)) return;
    // At once, and not with the next drawing: the next name may be typed already.
    field.value = '';
    this.added.emit(name);
  }
}
