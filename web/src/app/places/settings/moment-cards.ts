import { ChangeDetectionStrategy, Component, inject, signal } from '@angular/core';
import { FormBuilder, ReactiveFormsModule } from '@angular/forms';
import { MatButtonModule } from '@angular/material/button';
import { MAT_DIALOG_DATA, MatDialogModule, MatDialogRef } from '@angular/material/dialog';
import { MatRadioModule } from '@angular/material/radio';
import { type MomentCards as Cards } from '@gumo/core/contract';
import type { Moment } from '@gumo/core/vocabulary';
import * as v from 'valibot';
import { dayWords } from '../../common/words';
import { Writes } from '../../state/writes';

export interface MomentCardsData {
  readonly moment: Pick<Moment, 'id' | 'name'>;
  readonly cards: Cards;
  /** Where they could go. */
  readonly others: readonly Moment[];
}

const CANCEL = '';
const SHOWN = 6;

/** What is still to come in a moment that is to be removed: moved, or canceled. */
@Component({
  selector: 'gumo-moment-cards',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [MatButtonModule, MatDialogModule, MatRadioModule, ReactiveFormsModule],
  template: `
    <h2 mat-dialog-title>{{ data.moment.name }} still has cards</h2>
    <mat-dialog-content>
      <ul>
        @for (card of data.cards.slice(0, shown); track card.id) {
          <li>
            {{ card.title }} <span class="soft">{{ dayWords(card.day) }}</span>
          </li>
        }
        @if (data.cards.length > shown) {
          <li class="soft">and {{ data.cards.length - shown }} more</li>
        }
      </ul>
      <mat-radio-group [formControl]="to" aria-label="What becomes of them">
        @for (moment of data.others; track moment.id) {
          <mat-radio-button [value]="moment.id">Move them to {{ moment.name }}</mat-radio-button>
        }
        <mat-radio-button [value]="cancel">Cancel them</mat-radio-button>
      </mat-radio-group>
      @if (message(); as text) {
        <p class="caution" role="alert">{{ text }}</p>
      }
    </mat-dialog-content>
    <mat-dialog-actions align="end">
      <button matButton type="button" mat-dialog-close>Keep {{ data.moment.name }}</button>
      <button matButton="filled" type="button" (click)="go()">Remove {{ data.moment.name }}</button>
    </mat-dialog-actions>
  `,
  styles: `
    ul {
      padding-bottom: 12px;
    }
    mat-radio-group {
      display: grid;
    }
  `,
})
export class MomentCards {
  protected readonly data = inject<MomentCardsData>(MAT_DIALOG_DATA);
  private readonly writes = inject(Writes);
  private readonly ref = inject<MatDialogRef<MomentCards, boolean>>(MatDialogRef);
  protected readonly to = inject(FormBuilder).nonNullable.control(
    this.data.others[0]?.id ?? CANCEL,
  );
  protected readonly message = signal<string | null>(null);
  protected readonly dayWords = dayWords;
  protected readonly cancel = CANCEL;
  protected readonly shown = SHOWN;

  protected async go(): Promise<void> {
    const to = this.to.value === CANCEL ? null : this.to.value;
    try {
      const { id } = this.data.moment;
      await this.writes.send('POST', `/household/moments/${id}/clear`, { to }, v.unknown());
      this.ref.close(true);
    } catch (error) {
      this.message.set((error as Error).message);
    }
  }
}
