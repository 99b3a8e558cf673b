import {
  ChangeDetectionStrategy,
  Component,
  computed,
  input,
  linkedSignal,
  output,
} from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import type { CameUp as What } from '@gumo/core/rounds';

/** Up to this many the whole row of numbers stands there; digits make the others. */
const MOST_KEYS = 20;
const DIGITS = [1, 2, 3, 4, 5, 6, 7, 8, 9, 0];

/** What chance or the child decided, tapped before anything is asked: one tap a number. */
@Component({
  selector: 'gumo-came-up',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [MatButtonModule],
  template: `
    <p class="line">
      <strong>{{ what().words }}:</strong>
      @for (n of came(); track $index) {
        <button
          matButton="outlined"
          type="button"
          [attr.aria-label]="n + ', change'"
          (click)="again($index)"
        >
          {{ n }}
        </button>
      }
      @if (slot(); as name) {
        <span class="soft">{{ name }}</span>
      }
    </p>
    @if (open()) {
      @if (!digits()) {
        <div role="group" [attr.aria-label]="what().words + ' ' + (slot() ?? '')" class="keys">
          @for (n of keys(); track n) {
            <button
              matButton="tonal"
              type="button"
              class="child-reads"
              [attr.aria-pressed]="several() ? came().includes(n) : null"
              (click)="take(n)"
            >
              {{ n }}
            </button>
          }
          @if (what().high > most) {
            <button matButton="tonal" type="button" (click)="typed.set(0)">more …</button>
          }
        </div>
      } @else {
        <div role="group" aria-label="Digits" class="keys digits">
          <output class="child-reads">{{ typed() }}</output>
          @for (digit of all; track digit) {
            <button matButton="tonal" type="button" class="child-reads" (click)="type(digit)">
              {{ digit }}
            </button>
          }
          <button
            matButton="filled"
            type="button"
            [disabled]="typed()! < what().low || typed()! > what().high"
            (click)="take(typed()!)"
          >
            That’s it
          </button>
        </div>
      }
      @if (what().deal.length > 0) {
        <button matButton type="button" (click)="changed.emit(what().deal[0]!)">
          Lay one that has not come
        </button>
      }
    }
  `,
  styles: `
    :host {
      display: grid;
      justify-items: center;
      gap: 8px;
      margin-bottom: 12px;
    }
    .line {
      display: flex;
      align-items: center;
      gap: 8px;
      min-block-size: 56px;
      font-size: var(--text-lead);
    }
    .line button {
      min-inline-size: 56px;
      block-size: 56px;
      font-size: var(--text-title);
    }
    .keys {
      display: grid;
      grid-template-columns: repeat(auto-fit, 58px);
      justify-content: center;
      gap: 6px;
      inline-size: 100%;
    }
    .keys button {
      min-inline-size: 0;
      block-size: 56px;
      padding: 0;
      font-size: var(--text-title);
      white-space: nowrap;
    }
    .keys button:last-child:not(.child-reads) {
      grid-column: span 2;
      font-size: var(--text-body);
    }
    output {
      align-self: center;
      text-align: center;
      font-size: var(--text-heading);
    }
    [aria-pressed='true'] {
      --mat-button-tonal-container-color: var(--ink);
      --mat-button-tonal-label-text-color: var(--ground);
    }
  `,
})
export class CameUp {
  readonly what = input.required<What>();
  readonly came = input.required<readonly number[]>();
  readonly changed = output<readonly number[]>();

  protected readonly most = MOST_KEYS;
  protected readonly all = DIGITS;
  /** Several of a set may be tapped, and tapped again. */
  protected readonly several = computed(() => this.what().least < this.what().slots.length);
  protected readonly open = computed(
    () => this.several() || this.came().length < this.what().slots.length,
  );
  protected readonly slot = computed(() =>
    this.several() ? '' : (this.what().slots[this.came().length] ?? null),
  );
  protected readonly keys = computed(() => {
    const { low, high } = this.what();
    const top = Math.min(high, MOST_KEYS);
    return Array.from({ length: Math.max(0, top - low + 1) }, (_, i) => low + i);
  });
  /** A number of several digits that is being typed; null while none is. */
  protected readonly typed = linkedSignal<unknown, number | null>({
    source: () => this.came(),
    computation: () => null,
  });
  protected readonly digits = computed(() => this.typed() !== null);

  protected take(n: number): void {
    const came = this.came();
    if (this.several() && came.includes(n)) {
      this.changed.emit(came.filter((one) => one !== n));
    } else {
      this.changed.emit([...came, n]);
    }
  }

  protected type(digit: number): void {
    const longer = 10 * (this.typed() ?? 0) + digit;
    this.typed.set(longer > this.what().high ? digit : longer);
  }

  /** From this number on it is tapped again. */
  protected again(at: number): void {
    this.changed.emit(this.several() ? [] : this.came().slice(0, at));
  }
}
