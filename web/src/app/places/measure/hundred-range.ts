import { ChangeDetectionStrategy, Component, computed, input, model } from '@angular/core';

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
        '; arrows move the low end, with Shift the high end'
      "
      (keydown)="key($event)"
      (pointerup)="end = null"
      (pointercancel)="end = null"
      (pointerleave)="end = null"
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
  readonly actual = input<number | null>(null);

  protected readonly numbers = computed(() => Array.from({ length: this.top() }, (_, i) => i + 1));
  protected end: 'low' | 'high' | null = null;

  /** The nearer end follows the finger: what is touched is crossed out with all beyond it. */
  protected touch(event: PointerEvent, n: number): void {
    (event.target as Element).releasePointerCapture(event.pointerId);
    const { low, high } = { low: this.low(), high: this.high() };
    this.end = n - low <= high - n ? 'low' : 'high';
    this.set(n, true);
  }

  protected drag(event: PointerEvent, n: number): void {
    if (event.buttons > 0 && this.end) this.set(n, false);
  }

  private set(n: number, tapped: boolean): void {
    const [low, high] = [this.low(), this.high()];
    if (this.end === 'low') {
      // A tap on what is crossed out already brings it back.
      const next = tapped && n < low ? n : n + 1;
      if (next <= high) this.low.set(next);
    } else {
      const next = tapped && n > high ? n : n - 1;
      if (next >= low) this.high.set(next);
    }
  }

  protected key(event: KeyboardEvent): void {
    const by = { ArrowRight: 1, ArrowLeft: -1, ArrowDown: 10, ArrowUp: -10 }[event.key];
    if (by === undefined) return;
    event.preventDefault();
    const [low, high] = [this.low(), this.high()];
    const within = (n: number, least: number, most: number): number =>
      Math.min(most, Math.max(least, n));
    if (event.shiftKey) this.high.set(within(high + by, low, this.top()));
    else this.low.set(within(low + by, 1, high));
  }
}
