import { ChangeDetectionStrategy, Component, inject, input, output } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { MatDialog } from '@angular/material/dialog';
import { MatSelectModule } from '@angular/material/select';
import { ROUND_TITLES } from '@gumo/core/rounds';
import { type Activity, ROUND_KINDS, type Round } from '@gumo/core/vocabulary';
import { FORM_FIELDS } from '../../common/form-field';
import { RunPreview } from './run-preview';

/** How an activity of the household's own is played, and a run of it to look at. */
@Component({
  selector: 'gumo-round-field',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [FORM_FIELDS, MatButtonModule, MatSelectModule],
  template: `
    <mat-form-field>
      <mat-label>How it is played</mat-label>
      <mat-select [value]="activity().rounds?.[0]?.kind ?? ''" (valueChange)="choose($event)">
        <mat-option value="">By its skills</mat-option>
        @if ((activity().rounds?.length ?? 0) > 1) {
          <mat-option [value]="activity().rounds![0]!.kind">
            As in the built-in one, {{ activity().rounds!.length }} rounds
          </mat-option>
        }
        @for (kind of kinds; track kind) {
          @if ((activity().rounds?.length ?? 0) < 2 || kind !== activity().rounds![0]!.kind) {
            <mat-option [value]="kind">{{ titles[kind] }}</mat-option>
          }
        }
      </mat-select>
    </mat-form-field>
    <button
      matButton="outlined"
      type="button"
      [disabled]="activity().skills.length === 0"
      (click)="preview()"
    >
      See a run of it
    </button>
  `,
  styles: `
    :host {
      display: flex;
      flex-wrap: wrap;
      align-items: center;
      gap: 12px;
    }
    mat-form-field {
      flex: 1 1 280px;
    }
  `,
})
export class RoundField {
  private readonly dialogs = inject(MatDialog);
  readonly activity = input.required<Activity>();
  /** The rounds chosen; undefined where they follow from the skills. */
  readonly chosen = output<Round[] | undefined>();
  protected readonly kinds = ROUND_KINDS;
  protected readonly titles = ROUND_TITLES;

  protected choose(kind: (typeof ROUND_KINDS)[number] | ''): void {
    const before = this.activity().rounds ?? [];
    if (kind !== '' && before.length > 1 && before[0]?.kind === kind) return;
    this.chosen.emit(kind === '' ? undefined : [{ kind }]);
  }

  protected preview(): void {
    this.dialogs.open(RunPreview, { data: this.activity(), width: '640px', maxWidth: '100vw' });
  }
}
