import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import type { SymbolColor, ChildSymbol as Mark, SymbolShape } from '@gumo/core/vocabulary';

/** Felt colors; each carries a white letter at 4.5:1 or better. */
export const SYMBOL_FILL: Record<SymbolColor, string> = {
  moss: '#3f7a30',
  heather: '#75589a',
  slate: '#3b6ea5',
  bark: '#9a5526',
  spruce: '#17645b',
  plum: '#97375f',
  rust: '#8a4b2c',
  ink: '#3c4f55',
};

/** Felt shapes on a 24 x 24 field. */
export const SYMBOL_PATH: Record<SymbolShape, string> = {
  leaf: 'M12 1c6 4.2 8.2 9.600 5.800 15.200C16.500 19.300 14.400 21.500 12 23c-2.400-1.500-4.500-3.700-5.800-6.800C3.800 10.600 6 5.200 12 1z',
  drop: 'M12 1c1.600 4.600 8.500 8.200 8.500 14A8.400 8.400 0 0 1 12 23.200 8.400 8.400 0 0 1 3.500 15C3.500 9.200 10.400 5.600 12 1z',
  wave: 'M1.500 9c2.600-4.600 5.600-4.600 8.200-1.200 2 2.600 3.900 2.500 5.600-.2 1.900-2.900 4.500-3.200 7.200.4V21h-21z',
  hill: 'M1 21.500C2 10.500 6.600 4 12 4s10 6.500 11 17.500z',
  seed: 'M12 1.500c5.400 0 8.500 4.700 8.500 10.500S17.400 22.500 12 22.500 3.500 17.800 3.500 12 6.600 1.500 12 1.500z',
  shell:
    'M12 2c6.300 0 10.500 4.900 10.500 11.200 0 2-3.100 2.300-4.700 4.200-1.500 1.800-3.100 4.600-5.800 4.600s-4.300-2.800-5.800-4.600c-1.600-1.900-4.700-2.200-4.700-4.200C1.500 6.900 5.700 2 12 2z',
  knot: 'M12 1c2.600 0 3 2.400 5 3.200s4.600.2 5.400 2.600-1.400 3.400-1.400 5.200 2.200 2.800 1.400 5.200-3.400 1.800-5.400 2.600S14.600 23 12 23s-3-2.400-5-3.200-4.600-.2-5.400-2.600S3 13.800 3 12 .8 9.200 1.600 6.800 5 5 7 4.200 9.400 1 12 1z',
  cloud: 'M7 20.500a5.500 5.500 0 0 1-1-10.900A7 7 0 0 1 19.200 9 5.800 5.800 0 0 1 17.500 20.500z',
};

/** A child's felt mark with the first letter; stands for the child wherever space is short. */
@Component({
  selector: 'gumo-child-symbol',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <svg viewBox="0 0 24 24" aria-hidden="true">
      <path [attr.d]="path()" [attr.fill]="fill()" />
    </svg>
    <span aria-hidden="true" [class.low]="low()">{{ letter() }}</span>
  `,
  host: { '[style.--size.px]': 'size()' },
  styles: `
    :host {
      position: relative;
      display: inline-flex;
      contain: strict;
      inline-size: var(--size);
      block-size: var(--size);
      flex: none;
    }
    svg {
      inline-size: 100%;
      block-size: 100%;
    }
    /* Lighter to lay out than letters drawn in the picture, of which a week holds hundreds. */
    span {
      position: absolute;
      inset: 0;
      display: grid;
      place-items: center;
      color: #fff;
      font-size: calc(var(--size) * 0.48);
      font-weight: 700;
      line-height: 1;
    }
    .low {
      inset-block-start: 19%;
    }
  `,
})
export class ChildSymbol {
  readonly symbol = input.required<Mark>();
  readonly name = input.required<string>();
  readonly size = input(22);
  protected readonly path = computed(() => SYMBOL_PATH[this.symbol().shape]);
  protected readonly fill = computed(() => SYMBOL_FILL[this.symbol().color]);
  protected readonly letter = computed(() => this.name().trim().charAt(0).toUpperCase());
  /** Shapes whose middle lies below that of their field. */
  protected readonly low = computed(() =>
    ['drop', 'wave', 'hill', 'cloud'].includes(this.symbol().shape),
  );
}
