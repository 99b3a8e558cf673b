import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { hashText, layOut, numberWord } from '@gumo/core/numbers';
import type { Layout } from '@gumo/core/vocabulary';

const DIAMETER = 56;

/** Like counters, drawn as they should lie. */
@Component({
  selector: 'gumo-counters',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <svg
      role="img"
      [attr.aria-label]="words()"
      [attr.viewBox]="box()"
      [style.max-inline-size.px]="picture().width * diameter"
    >
      @for (spot of picture().spots; track $index) {
        <circle
          class="counter"
          [attr.cx]="spot.x * diameter"
          [attr.cy]="spot.y * diameter"
          [attr.r]="diameter / 2 - 1"
        />
      }
    </svg>
  `,
  styles: `
    :host {
      display: flex;
      justify-content: center;
      min-block-size: 0;
    }
    svg {
      inline-size: 100%;
      max-block-size: 100%;
    }
    .counter {
      fill: var(--counter);
    }
  `,
})
export class Counters {
  readonly n = input.required<number>();
  readonly layout = input<Layout>('row');
  /** The same seed lays the same picture. */
  readonly seed = input('');
  protected readonly diameter = DIAMETER;
  protected readonly picture = computed(() =>
    layOut(this.n(), this.layout(), hashText(`${this.seed()}/${this.n()}`)),
  );
  protected readonly box = computed(() => {
    const { width, height } = this.picture();
    return `0 0 ${width * DIAMETER} ${height * DIAMETER}`;
  });
  protected readonly words = computed(() => `${numberWord(this.n())} counters, ${this.layout()}`);
}
