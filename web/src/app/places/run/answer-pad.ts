import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import type { Prompt, Taps } from '@gumo/core/activities';
import type { CaptureKind } from '@gumo/core/vocabulary';
import { NumberStrip } from '../../handling/number-strip';

const CAPTION: Partial<Record<CaptureKind, string>> = {
  count: 'the last word said',
  give: 'how many were handed over',
  glance: 'how many the child saw',
  frame: 'how many lay there',
  after: 'the number said',
  bond: 'how many the child said',
  add: 'how many the child said',
  gap: 'the number that was found',
  place: 'which place the child pointed to',
  story: 'how many the child said',
  numeral: 'what the child said or chose',
  reach: 'tap where the child stopped, then what was left out',
};

/** Takes the answer exactly: the expected one is there already, another is one tap away. */
@Component({
  selector: 'gumo-answer-pad',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [NumberStrip],
  template: `
    @if (choices().length > 0) {
      <gumo-number-strip
        [label]="caption()"
        [numbers]="choices()"
        [selected]="shown()"
        [struck]="taps().leftOut"
        [passed]="passed()"
        (tapped)="tap($event)"
      />
      <p class="caption soft">{{ caption() }}</p>
    }
    @if (prompt().kind === 'count') {
      <div class="slips" role="group" aria-label="What happened on the way">
        <button type="button" [attr.aria-pressed]="taps().doubled" (click)="flip('doubled')">
          touched one twice
        </button>
        <button type="button" [attr.aria-pressed]="taps().skipped" (click)="flip('skipped')">
          skipped one
        </button>
        <button type="button" [attr.aria-pressed]="taps().recounted" (click)="flip('recounted')">
          counted again when asked
        </button>
      </div>
    }
    @if (prompt().kind === 'reach' && prompt().direction === 'up' && prompt().from > 1) {
      <div class="slips">
        <button type="button" [attr.aria-pressed]="taps().fromOne" (click)="flip('fromOne')">
          started again at one
        </button>
      </div>
    }
  `,
  styles: `
    :host {
      display: block;
    }
    .caption {
      margin-top: 8px;
      text-align: center;
      font-size: 14px;
      color: var(--ink);
    }
    .slips {
      display: flex;
      flex-wrap: wrap;
      justify-content: center;
      gap: 8px;
      margin-top: 10px;
    }
    .slips button {
      min-height: 56px;
      padding: 0 16px;
      border: 0;
      border-radius: 10px;
      background: var(--sheet);
      font-size: 14.5px;
      cursor: pointer;
    }
    .slips [aria-pressed='true'] {
      background: var(--ink);
      color: var(--ground);
    }
    @media (max-width: 700px) {
      .caption {
        margin-top: 4px;
        font-size: 13px;
      }
      .slips {
        flex-wrap: nowrap;
        gap: 6px;
        margin-top: 6px;
      }
      .slips button {
        flex: 1;
        padding: 0 6px;
        font-size: 13px;
        line-height: 1.2;
      }
    }
  `,
})
export class AnswerPad {
  readonly prompt = input.required<Prompt>();
  readonly choices = input.required<readonly number[]>();
  readonly taps = input.required<Taps>();
  readonly tapsChange = output<Taps>();

  protected readonly caption = computed(() => CAPTION[this.prompt().kind] ?? '');
  protected readonly shown = computed(() => this.taps().value ?? this.prompt().expected);
  protected readonly passed = computed(() => {
    const { kind, direction } = this.prompt();
    const stop = this.shown();
    return (n: number): boolean => kind === 'reach' && (direction === 'up' ? n < stop : n > stop);
  });

  protected tap(n: number): void {
    const taps = this.taps();
    const onTheWay = taps.value !== null && this.passed()(n);
    if (this.prompt().kind === 'reach' && onTheWay) {
      const leftOut = taps.leftOut.includes(n)
        ? taps.leftOut.filter((one) => one !== n)
        : [...taps.leftOut, n];
      this.tapsChange.emit({ ...taps, leftOut });
      return;
    }
    const again = taps.value === n;
    this.tapsChange.emit({ ...taps, value: again ? null : n, leftOut: again ? [] : taps.leftOut });
  }

  protected flip(slip: 'doubled' | 'skipped' | 'recounted' | 'fromOne'): void {
    this.tapsChange.emit({ ...this.taps(), [slip]: !this.taps()[slip] });
  }
}
