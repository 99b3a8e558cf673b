import { ChangeDetectionStrategy, Component, input, output } from '@angular/core';

/** Numbers to tap: what was answered, where the child stopped, what was left out. */
@Component({
  selector: 'gumo-number-strip',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div
      class="strip"
      role="group"
      [attr.aria-label]="label()"
      [class.many]="numbers().length > 11"
    >
      @for (n of numbers(); track n) {
        <button
          type="button"
          class="child-reads"
          [attr.aria-pressed]="n === selected()"
          [class.passed]="passed()(n)"
          [class.struck]="struck().includes(n)"
          [attr.aria-label]="struck().includes(n) ? n + ', left out' : null"
          (click)="tapped.emit(n)"
        >
          {{ n }}
        </button>
      }
    </div>
  `,
  styles: `
    .strip {
      display: flex;
      flex-wrap: wrap;
      justify-content: center;
      gap: 8px;
    }
    .many {
      display: grid;
      grid-template-columns: repeat(10, minmax(0, 64px));
      justify-content: center;
    }
    button {
      inline-size: 58px;
      block-size: 58px;
      padding: 0;
      border: 0;
      border-radius: 10px;
      background: var(--sheet);
      color: var(--ink);
      font-size: 25px;
      cursor: pointer;
    }
    .many button {
      inline-size: 100%;
      block-size: 56px;
      font-size: 22px;
    }
    button.passed {
      background: var(--primary-soft);
    }
    button.struck {
      background: var(--madder-soft);
      color: var(--madder);
      text-decoration: line-through;
    }
    button[aria-pressed='true'] {
      background: var(--ink);
      color: var(--ground);
    }
    @media (max-width: 700px) {
      .strip,
      .many {
        display: grid;
        grid-template-columns: repeat(6, minmax(0, 1fr));
        gap: 6px;
      }
      .many {
        grid-template-columns: repeat(7, minmax(0, 1fr));
      }
      button,
      .many button {
        inline-size: 100%;
        block-size: 56px;
      }
    }
  `,
})
export class NumberStrip {
  readonly label = input.required<string>();
  readonly numbers = input.required<readonly number[]>();
  readonly selected = input<number | null>(null);
  readonly struck = input<readonly number[]>([]);
  /** Whether a number lies on the way to the selected one. */
  readonly passed = input<(n: number) => boolean>(() => false);
  readonly tapped = output<number>();
}
