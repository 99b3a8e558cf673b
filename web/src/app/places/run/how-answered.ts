import { ChangeDetectionStrategy, Component, input, output } from '@angular/core';
import { ANSWERED, type Answered, type Observation } from '@gumo/core/vocabulary';

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
];

/** How the child answered, and whether it could say how it knew: both stand there, one tap changes. */
@Component({
  selector: 'gumo-how-answered',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div role="radiogroup" aria-label="How the child answered">
      @for (way of ways; track way) {
        <button
          type="button"
          role="radio"
          [attr.aria-checked]="answered() === way"
          (click)="answeredChange.emit(way)"
        >
          {{ words[way] }}
        </button>
      }
    </div>
    <div role="group" aria-label="How do you know?" class="reason">
      <span>How do you know?</span>
      @for (one of reasons; track one[0]) {
        <button
          type="button"
          [attr.aria-pressed]="reason() === one[0]"
          (click)="reasonChange.emit(reason() === one[0] ? null : one[0])"
        >
          {{ one[1] }}
        </button>
      }
    </div>
  `,
  styles: `
    :host {
      display: flex;
      flex-wrap: wrap;
      justify-content: center;
      gap: 4px 24px;
    }
    div {
      display: flex;
      align-items: center;
      gap: 2px;
    }
    button {
      min-block-size: 56px;
      min-inline-size: 56px;
      padding: 0 10px;
      border: 0;
      border-bottom: 3px solid transparent;
      border-radius: 10px;
      background: none;
      color: var(--ink);
      font-size: 14px;
      cursor: pointer;
    }
    [aria-checked='true'],
    [aria-pressed='true'] {
      border-bottom-color: var(--primary);
      background: var(--sheet);
      font-weight: 650;
    }
    span {
      padding-right: 6px;
      font-size: 14px;
      color: var(--ink-soft);
    }
    @media (max-width: 700px) {
      :host {
        gap: 2px;
      }
      div {
        inline-size: 100%;
        justify-content: center;
      }
      span {
        font-size: 13px;
      }
      button {
        flex: 1;
        padding: 0 4px;
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
}
