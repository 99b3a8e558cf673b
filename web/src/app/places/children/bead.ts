import { ChangeDetectionStrategy, Component, input } from '@angular/core';
import type { Mark, SkillStatus } from '@gumo/core/evidence';

/** One bead: shape and fill carry the meaning, color only repeats it. */
@Component({
  selector: 'gumo-bead',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <svg viewBox="0 0 32 32" aria-hidden="true">
      @if (status() === 'review' || mark() === 'due' || mark() === 'look-again') {
        <circle class="ring" cx="16" cy="16" r="14.5" />
      }
      <circle class="bead" cx="16" cy="16" r="10.5" />
      @switch (status()) {
        @case ('started') {
          <path class="fill" d="M16 16H5.5A10.500 10.500 0 0 0 16 26.500z" />
        }
        @case ('nearly') {
          <path class="fill" d="M5.500 16a10.500 10.500 0 0 0 21 0z" />
        }
        @case ('secure') {
          <circle class="fill" cx="16" cy="16" r="10.5" />
        }
        @case ('review') {
          <circle class="fill" cx="16" cy="16" r="10.5" />
          <path class="cut" d="M16 4v24" />
        }
        @case ('assumed') {
          <circle class="fill" cx="16" cy="16" r="10.5" />
          <circle class="open" cx="16" cy="16" r="4.6" />
        }
      }
      @if (mark() === 'resting') {
        <circle class="resting" cx="16" cy="16" r="13.5" />
      }
      @if (byWord()) {
        <path class="word" d="M8 30.200h16" />
      }
    </svg>
  `,
  host: { '[style.--size.px]': 'size()' },
  styles: `
    :host {
      display: inline-flex;
      flex: none;
      inline-size: var(--size);
      block-size: var(--size);
    }
    svg {
      inline-size: 100%;
      block-size: 100%;
    }
    .bead {
      fill: var(--sheet);
      stroke: var(--primary);
      stroke-width: 2;
    }
    .fill {
      fill: var(--primary);
    }
    .open {
      fill: var(--sheet);
    }
    .word {
      stroke: var(--heather);
      stroke-width: 2.6;
      stroke-linecap: round;
    }
    .ring {
      fill: var(--sheet);
      stroke: var(--straw);
      stroke-width: 2.4;
    }
    .resting {
      fill: none;
      stroke: var(--ink-soft);
      stroke-width: 2;
      stroke-dasharray: 3 3.4;
    }
    .cut {
      stroke: var(--sheet);
      stroke-width: 3;
    }
  `,
})
export class Bead {
  readonly status = input.required<SkillStatus>();
  /** A review that is due or a doubt is an outer ring; a rest a dashed edge. */
  readonly mark = input<Mark | null>(null);
  readonly size = input(32);
  /** The educator's own word stands: a line below the bead. */
  readonly byWord = input(false);
}
