import { ChangeDetectionStrategy, Component, input, output } from '@angular/core';
import { ANSWERED, type Answered, type Observation } from '@gumo/core/vocabulary';
import { TOGGLES } from '../../common/toggle';

export type Reason = NonNullable<Observation['reason']> | null;

const WAYS: Record<Answered, string> = {
  spoken: 'said',
  shown: 'showed',
  fingers: 'fingers',
  pointed: 'pointed',
  handed: 'gave',
};
const REASONS: readonly (readonly [NonNullable<Reason>, string])[] = [
  ['explained', 'explained it'],
  ['knew', 'just knew'],
  ['counted', 'found by counting'],
];

/** How the child answered, and whether they could say how they knew: one tap changes either. */
@Component({
  selector: 'gumo-how-answered',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [TOGGLES],
  template: `
    <mat-button-toggle-group
      aria-label="How the child answered"
      hideSingleSelectionIndicator
      [value]="answered()"
      (change)="answeredChange.emit($event.value)"
    >
      @for (way of ways; track way) {
        <mat-button-toggle [value]="way">{{ words[way] }}</mat-button-toggle>
      }
    </mat-button-toggle-group>
    <mat-button-toggle-group
      multiple
      aria-label="How do you know?"
      hideMultipleSelectionIndicator
      [value]="reason() === null ? [] : [reason()]"
      (change)="choose($event.value)"
    >
      @for (one of reasons; track one[0]) {
        <mat-button-toggle [value]="one[0]">{{ one[1] }}</mat-button-toggle>
      }
    </mat-button-toggle-group>
  `,
  styles: `
    @use 'scale';
    :host {
      display: flex;
      flex-wrap: wrap;
      justify-content: center;
      gap: 4px 24px;
    }
    mat-button-toggle-group {
      border: 0;
    }
    mat-button-toggle {
      border: 0 !important;
      border-radius: 10px;
      background: none;
      font-size: var(--text-small);
      --mat-button-toggle-height: 56px;
    }
    .mat-button-toggle-checked {
      background: var(--sheet);
      font-weight: 650;
    }
    @media (max-width: scale.$phone) {
      :host {
        gap: 0;
        flex-wrap: nowrap;
      }
      mat-button-toggle {
        font-size: var(--text-small);
        --mat-button-toggle-label-text-size: var(--text-small);
      }
      mat-button-toggle-group + mat-button-toggle-group {
        display: none;
      }
    }
  `,
})
export class HowAnswered {
  readonly answered = input.required<Answered>();
  readonly reason = input<Reason>(null);
  readonly answeredChange = output<Answered>();
  readonly reasonChange = output<Reason>();
  protected readonly ways = ANSWERED;
  protected readonly words = WAYS;
  protected readonly reasons = REASONS;

  /** At most one holds: the last one tapped. */
  protected choose(chosen: readonly NonNullable<Reason>[]): void {
    this.reasonChange.emit(chosen.find((one) => one !== this.reason()) ?? null);
  }
}
