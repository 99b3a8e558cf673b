import { ChangeDetectionStrategy, Component, input } from '@angular/core';

/** A card with one numeral, as it would be held up; `--card-height` sets its size. */
@Component({
  selector: 'gumo-numeral-card',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<span class="child-reads">{{ n() }}</span>`,
  styles: `
    :host {
      display: inline-flex;
      align-items: center;
      justify-content: center;
      --height: var(--card-height, 190px);
      inline-size: calc(0.79 * var(--height));
      block-size: var(--height);
      border-radius: 14px;
      border: 2px solid var(--line);
      background: var(--card);
      color: #1e2f33;
      font-size: calc(0.61 * var(--height));
      line-height: 1;
    }
    @media (max-width: 700px) {
      :host {
        --height: var(--card-height, 132px);
      }
    }
  `,
})
export class NumeralCard {
  readonly n = input.required<number>();
}
