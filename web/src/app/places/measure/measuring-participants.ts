import { ChangeDetectionStrategy, Component, inject, input } from '@angular/core';
import { ChildSymbol } from '../../common/child-symbol';
import { TOGGLES } from '../../common/toggle';
import { MeasuringSession } from './measuring-session';

/** Who takes part, by one tap each. */
@Component({
  selector: 'gumo-measuring-participants',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ChildSymbol, TOGGLES],
  template: `
    <div role="group" [attr.aria-label]="words()">
      <span class="soft">{{ words() }}</span>
      @for (child of session.here(); track child.id) {
        <mat-button-toggle [checked]="session.isIn(child.id)" (change)="session.toggle(child.id)">
          <gumo-child-symbol [symbol]="child.symbol" [name]="child.name" [size]="30" />
          {{ child.name }}
        </mat-button-toggle>
      }
      @if (withAdult()) {
        <mat-button-toggle
          [checked]="session.adult()"
          (change)="session.adult.set(!session.adult())"
        >
          You
        </mat-button-toggle>
      }
      @if (session.noted() > 0) {
        <span class="noted" role="status">{{ session.noted() }} noted</span>
      }
    </div>
  `,
  styles: `
    div {
      display: flex;
      flex-wrap: wrap;
      align-items: center;
      gap: 4px;
    }
    .soft {
      margin-right: 6px;
      font-size: var(--text-small);
    }
    .noted {
      margin-left: auto;
      color: var(--primary);
      font-size: var(--text-small);
      font-weight: 600;
    }
  `,
})
export class MeasuringParticipants {
  readonly words = input('Who takes part');
  /** Whether an adult guesses beside the children. */
  readonly withAdult = input(false);
  protected readonly session = inject(MeasuringSession);
}
