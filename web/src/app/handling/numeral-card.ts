import { ChangeDetectionStrategy, Component, input } from '@angular/core';

/** A card with one numeral, as it would be held up. */
@Component({
  selector: 'gumo-numeral-card',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<span class="child-reads">{{ n() }}</span>`,
  styles: `
    :host {
      display: inline-flex;
      align-items: center;
      justify-content: center;
      inline-size: 150px;
      block-size: 190px;
      border-radius: 14px;
      border: 2px solid var(--line);
      background: var(--card);
      color: #1e2f33;
      font-size: 116px;
      line-height: 1;
    }
    @media (max-width: 700px) {
      :host {
        inline-size: 108px;
        block-size: 132px;
        font-size: 84px;
      }
    }
  `,
})
export class NumeralCard {
  readonly n = input.required<number>();
}
