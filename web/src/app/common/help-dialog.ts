import { ChangeDetectionStrategy, Component, inject } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MAT_DIALOG_DATA, MatDialogModule } from '@angular/material/dialog';
import { MatExpansionModule } from '@angular/material/expansion';
import { helpFor } from './help';

const KEYS: readonly (readonly [string, string])[] = [
  ['T', 'Today'],
  ['W', 'Week'],
  ['C', 'Children'],
  ['A', 'Activities'],
  ['M', 'Measure'],
  ['B', 'Manipulatives'],
  ['U', 'Materials'],
  ['P', 'Print'],
  ['H', 'Settings'],
  ['J', 'Quick note'],
  ['?', 'this help'],
  ['Shift + ← →', 'in the week: a card to the day before or after'],
  ['O  H  N  X', 'at the tray: on their own, with help, not yet, not today'],
  ['0–9', 'the number that was answered'],
  ['← →', 'the next child'],
  ['− +', 'easier, harder'],
  ['Space', 'shows or hides the picture'],
  ['F', 'turns the picture to the child'],
  ['Backspace', 'undoes the last one'],
  ['E', 'finishes the session'],
];

/** Half a page on what can be done at the place that is open, and all keys below it. */
@Component({
  selector: 'gumo-help-dialog',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [MatButton, MatDialogModule, MatExpansionModule],
  template: `
    <h2 mat-dialog-title>{{ help.title }}: what can be done here</h2>
    <mat-dialog-content tabindex="0">
      @for (part of help.parts; track part[0]) {
        <h3>{{ part[0] }}</h3>
        <p>{{ part[1] }}</p>
      }
      <mat-expansion-panel class="mat-elevation-z0">
        <mat-expansion-panel-header>
          <mat-panel-title>Keys</mat-panel-title>
        </mat-expansion-panel-header>
        <dl>
          @for (key of keys; track key[0]) {
            <dt>{{ key[0] }}</dt>
            <dd>{{ key[1] }}</dd>
          }
        </dl>
      </mat-expansion-panel>
    </mat-dialog-content>
    <mat-dialog-actions align="end">
      <button matButton="filled" type="button" mat-dialog-close>Close</button>
    </mat-dialog-actions>
  `,
  styles: `
    h3 {
      font-size: var(--text-body);
      padding: 6px 0 0;
    }
    p {
      max-inline-size: 62ch;
      margin-bottom: 6px;
      line-height: 1.5;
    }
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
export class HelpDialog {
  protected readonly help = helpFor(inject<string>(MAT_DIALOG_DATA));
  protected readonly keys = KEYS;
}
