import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MAT_DIALOG_DATA, MatDialogModule, MatDialogRef } from '@angular/material/dialog';
import { MatRadioModule } from '@angular/material/radio';

/** One field that two devices changed, and what each made of it. */
export interface Clash {
  readonly field: string;
  readonly name: string;
  readonly here: string;
  readonly there: string;
}

export type Settled = Readonly<Record<string, 'here' | 'there'>>;

/** What two devices made of the same, side by side; nothing is kept before each is settled. */
@Component({
  selector: 'gumo-conflict-dialog',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [MatButton, MatDialogModule, MatRadioModule],
  template: `
    <h2 mat-dialog-title>Changed on another device too</h2>
    <mat-dialog-content>
      <p class="soft">
        While you changed {{ data.what }} here, it was changed elsewhere. Everything else of both is
        kept; here both changed the same. Which should be kept?
      </p>
      @for (clash of data.clashes; track clash.field) {
        <fieldset>
          <legend>{{ clash.name }}</legend>
          <mat-radio-group
            class="sides"
            [aria-label]="clash.name"
            (change)="choose(clash.field, $event.value)"
          >
            @for (side of sides; track side[0]) {
              <mat-radio-button
                [value]="side[0]"
                [class.chosen]="chosen()[clash.field] === side[0]"
              >
                <span class="soft">{{ side[1] }}</span>
                <span class="value">{{ clash[side[0]] }}</span>
              </mat-radio-button>
            }
          </mat-radio-group>
        </fieldset>
      }
    </mat-dialog-content>
    <mat-dialog-actions align="end">
      <button matButton type="button" (click)="ref.close(null)">Back, without keeping</button>
      <button
        matButton="filled"
        type="button"
        [disabled]="!isSettled()"
        (click)="ref.close(chosen())"
      >
        Save
      </button>
    </mat-dialog-actions>
  `,
  styles: `
    @use 'scale';
    mat-dialog-content {
      display: grid;
      gap: 16px;
    }
    legend {
      padding-bottom: 6px;
      font-weight: 650;
    }
    .sides {
      display: grid;
      grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
      gap: 10px;
    }
    mat-radio-button {
      padding: 6px 12px 6px 0;
      border: 2px solid var(--line);
      border-radius: 10px;
    }
    .chosen {
      border-color: var(--primary);
      background: var(--primary-soft);
    }
    .soft {
      display: block;
      font-size: var(--text-small);
    }
    .value {
      color: var(--ink);
      font-size: var(--text-body);
      overflow-wrap: anywhere;
      white-space: pre-wrap;
    }
    @media (max-width: scale.$phone) {
      .sides {
        grid-template-columns: minmax(0, 1fr);
      }
    }
  `,
})
export class ConflictDialog {
  protected readonly data = inject<{ what: string; clashes: readonly Clash[] }>(MAT_DIALOG_DATA);
  protected readonly ref = inject<MatDialogRef<ConflictDialog, Settled | null>>(MatDialogRef);
  protected readonly sides = [
    ['here', 'here'],
    ['there', 'on the other device'],
  ] as const;
  protected readonly chosen = signal<Settled>({});
  protected readonly isSettled = computed(() =>
    this.data.clashes.every(({ field }) => this.chosen()[field] !== undefined),
  );

  protected choose(field: string, side: 'here' | 'there'): void {
    this.chosen.update((chosen) => ({ ...chosen, [field]: side }));
  }
}
