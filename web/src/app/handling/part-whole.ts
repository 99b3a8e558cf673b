import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';

const WIDE = 64;

/** The whole above, its parts below, each in its ring: the same sum as a picture. */
@Component({
  selector: 'gumo-part-whole',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <svg
      role="img"
      [attr.viewBox]="box()"
      [style.inline-size.px]="width()"
      [attr.aria-label]="words()"
    >
      @for (part of spots(); track $index) {
        <path [attr.d]="'M' + width() / 2 + ',24L' + part.x + ',84'" />
      }
      <circle [attr.cx]="width() / 2" cy="24" r="23" />
      <text [attr.x]="width() / 2" y="32">{{ whole() }}</text>
      @for (part of spots(); track $index) {
        <circle [attr.cx]="part.x" cy="84" r="23" />
        <text [attr.x]="part.x" y="92">{{ part.n }}</text>
      }
    </svg>
  `,
  styles: `
    svg {
      display: block;
      block-size: 108px;
      font-family: Andika, sans-serif;
      font-size: var(--text-title);
    }
    path {
      stroke: var(--ink-soft);
      stroke-width: 1.5;
    }
    circle {
      fill: var(--sheet);
      stroke: var(--ink-soft);
      stroke-width: 1.5;
    }
    text {
      fill: var(--ink);
      text-anchor: middle;
    }
  `,
})
export class PartWhole {
  readonly whole = input.required<number>();
  readonly parts = input.required<readonly number[]>();
  protected readonly width = computed(() => Math.max(2, this.parts().length) * WIDE);
  protected readonly box = computed(() => `0 0 ${this.width()} 108`);
  protected readonly spots = computed(() =>
    this.parts().map((n, i) => ({ n, x: this.width() * ((i + 0.5) / this.parts().length) })),
  );
  protected readonly words = computed(
    () => `${this.whole()} made of ${this.parts().join(' and ')}`,
  );
}
