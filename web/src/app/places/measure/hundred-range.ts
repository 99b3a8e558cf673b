import { ChangeDetectionStrategy, Component, computed, input, model } from '@angular/core';
import { ruledOut } from '@gumo/core/measuring';

/** A hundred chart, or one to twenty, on which numbers are crossed out from both ends. */
@Component({
  selector: 'gumo-hundred-range',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div
      class="chart child-reads"
      role="application"
      tabindex="0"
      [attr.aria-label]="
        name() +
        ' keeps ' +
        low() +
        ' to ' +
        high() +
        '; arrows rule out from ' +
        (end() === 'low' ? 'below' : 'above') +
        ', with Shift from the other end'
      "
      (keydown)="key($event)"
    >
      @for (n of numbers(); track n) {
        <span
          [class.out]="n < low() || n > high()"
          [class.here]="n === actual()"
          (pointerdown)="touch($event, n)"
          (pointerenter)="drag($event, n)"
        >
          {{ n }}
        </span>
      }
    </div>
  `,
  styles: `
    .chart {
      display: grid;
      grid-template-columns: repeat(10, 1fr);
      inline-size: 100%;
      max-inline-size: 440px;
      border-radius: 10px;
      background: var(--card);
      color: var(--card-ink);
      touch-action: none;
      user-select: none;
      overflow: hidden;
    }
    span {
      display: grid;
      place-items: center;
      block-size: 40px;
      border: 1px solid var(--card-line);
      font-size: var(--text-body);
      cursor: pointer;
    }
    .out {
      background: #cfd8d4;
      color: #56666a;
      text-decoration: line-through;
    }
    .here {
      box-shadow: inset 0 0 0 4px #17645b;
      font-weight: 700;
      text-decoration: none;
    }
  `,
})
export class HundredRange {
  readonly name = input.required<string>();
  readonly low = model.required<number>();
  readonly high = model.required<number>();
  readonly top = input(100);
  /** From which end a tap rules out: too few, or too many. */
  readonly end = input<'low' | 'high'>('low');
  readonly actual = input<number | null>(null);

  protected readonly numbers = computed(() => Array.from({ length: this.top() }, (_, i) => i + 1));

  /** What is touched is ruled out with all beyond it, from the end that was chosen. */
  protected touch(event: PointerEvent, n: number): void {
    (event.target as Element).releasePointerCapture(event.pointerId);
    this.set(ruledOut({ low: this.low(), high: this.high() }, this.end(), n));
  }

  protected drag(event: PointerEvent, n: number): void {
    const { low, high } = { low: this.low(), high: this.high() };
    // A finger that goes on rules out more; it brings nothing back on its way.
    const isOut = n < low || n > high;
    if (event.buttons > 0 && !isOut) this.set(ruledOut({ low, high }, this.end(), n));
  }

  private set({ low, high }: { readonly low: number; readonly high: number }): void {
    if (low !== this.low()) this.low.set(low);
    if (high !== this.high()) this.high.set(high);
  }

  protected key(event: KeyboardEvent): void {
    const by = { ArrowRight: 1, ArrowLeft: -1, ArrowDown: 10, ArrowUp: -10 }[event.key];
    if (by === undefined) return;
    event.preventDefault();
    const [low, high] = [this.low(), this.high()];
    const within = (n: number, least: number, most: number): number =>
      Math.min(most, Math.max(least, n));
    const isHigh = (this.end() === 'high') !== event.shiftKey;
    if (isHigh) this.high.set(within(high + by, low, this.top()));
    else this.low.set(within(low + by, 1, high));
  }
}
