import { ChangeDetectionStrategy, Component } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatDialogModule } from '@angular/material/dialog';

const KEYS: readonly (readonly [string, string])[] = [
  ['T', 'Today'],
  ['W', 'Week'],
  ['C', 'Children'],
  ['A', 'Activities'],
  ['M', 'Measure'],
  ['B', 'Table'],
  ['U', 'Materials'],
  ['P', 'Print'],
  ['J', 'Quick note'],
  ['H', 'Household'],
  ['?', 'these keys'],
  ['Shift + ← →', 'in the week: a card to the day before or after'],
  ['O  H  N  X', 'at the tray: on their own, with help, not yet, not today'],
  ['Shift + H', 'with help that was given at once'],
  ['0–9', 'the number that was answered'],
  ['← →', 'the next child'],
  ['− +', 'easier, harder'],
  ['Space', 'shows or hides the picture'],
  ['F', 'turns the picture to the child'],
  ['Backspace', 'undoes the last one'],
  ['E', 'finishes the session'],
];

/** What can be done by keys alone. */
@Component({
  selector: 'gumo-keys-dialog',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [MatButton, MatDialogModule],
  template: `
    <h2 mat-dialog-title>Keys</h2>
    <mat-dialog-content tabindex="0">
      <dl>
        @for (key of keys; track key[0]) {
          <dt>{{ key[0] }}</dt>
          <dd>{{ key[1] }}</dd>
        }
      </dl>
    </mat-dialog-content>
    <mat-dialog-actions align="end">
      <button matButton="filled" type="button" mat-dialog-close>Close</button>
    </mat-dialog-actions>
  `,
  styles: `
    dl {
      display: grid;
      grid-template-columns: auto 1fr;
      gap: 8px 20px;
    }
    dt {
      font-weight: 650;
      white-space: pre;
    }
  `,
})
export class KeysDialog {
  protected readonly keys = KEYS;
}
