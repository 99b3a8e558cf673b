import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import type { Band } from '@gumo/core/vocabulary';

export const BAND_WORDS: Record<Band, string> = {
  anytime: 'Anytime',
  play: 'Play',
  table: 'Table time',
};

/** A thread, a mat or a table edge. */
const SIGN: Record<Band, string> = {
  anytime: 'M1 7c3-5 6-5 9-1s6 4 9 0 4-3 6-2',
  play: 'M2 2v10M24 2v10M2 3h22M2 11h22',
  table: 'M1 3h24M5 3v10M21 3v10',
};

/** The band of an activity: a small drawn sign and the word. */
@Component({
  selector: 'gumo-band-sign',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <svg viewBox="0 0 26 14" aria-hidden="true"><path [attr.d]="sign()" /></svg>
    <span>{{ word() }}<ng-content /></span>
  `,
  styles: `
    :host {
      display: inline-flex;
      align-items: center;
      gap: 8px;
      color: var(--primary);
      font-size: var(--text-small);
      font-weight: 600;
    }
    svg {
      inline-size: 26px;
      block-size: 14px;
    }
    path {
      fill: none;
      stroke: currentcolor;
      stroke-width: 2.2;
      stroke-linecap: round;
      stroke-linejoin: round;
    }
  `,
})
export class BandSign {
  readonly band = input.required<Band>();
  protected readonly word = computed(() => BAND_WORDS[this.band()]);
  protected readonly sign = computed(() => SIGN[this.band()]);
}
