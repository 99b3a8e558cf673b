import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { arc } from 'd3-shape';

const RADIUS = 24;
const WIDTH = 6;

/** Minutes as a soft ring; it never rings or flashes. */
@Component({
  selector: 'gumo-minute-ring',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <svg viewBox="-25 -25 50 50" aria-hidden="true">
      <path class="all" [attr.d]="ring(1)" />
      <path class="gone" [attr.d]="ring(share())" />
    </svg>
  `,
  styles: `
    svg {
      display: block;
      inline-size: var(--size, 52px);
      block-size: var(--size, 52px);
    }
    .all {
      fill: var(--line);
    }
    .gone {
      fill: var(--primary);
    }
  `,
})
export class MinuteRing {
  readonly minutes = input.required<number>();
  readonly most = input.required<number>();
  protected readonly share = computed(() => Math.min(1, this.minutes() / this.most()));

  protected ring(share: number): string {
    const shape = arc<null>()
      .innerRadius(RADIUS - WIDTH)
      .outerRadius(RADIUS)
      .startAngle(0)
      .endAngle(share * 2 * Math.PI);
    return shape(null) ?? '';
  }
}
