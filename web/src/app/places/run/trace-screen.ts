import { A11yModule } from '@angular/cdk/a11y';
import {
  ChangeDetectionStrategy,
  Component,
  computed,
  inject,
  input,
  output,
  signal,
  viewChild,
} from '@angular/core';
import { MatButton } from '@angular/material/button';
import { FIELD, type TraceSeen, digitsOf, strokePath, strokesOfNumber } from '@gumo/core/sheets';
import { DigitWays } from '../../common/digit-ways';
import { TRACE_WORDS, type TraceLook, TracePad } from '../../handling/trace-pad';

/** A digit alone on the screen for the child to write over; what was seen goes to the pad. */
@Component({
  selector: 'gumo-trace-screen',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [A11yModule, MatButton, TracePad],
  template: `
    <div
      class="screen"
      role="dialog"
      aria-modal="true"
      [attr.aria-label]="'Write ' + digit() + ' here'"
      cdkTrapFocus
      [cdkTrapFocusAutoCapture]="true"
    >
      <p class="model child-reads">
        <svg [attr.viewBox]="'0 0 ' + wide() + ' 16'" role="img" [attr.aria-label]="digit()">
          @for (path of paths(); track $index) {
            <path [attr.d]="path" />
          }
        </svg>
        {{ cue() }}
      </p>
      <gumo-trace-pad
        [digit]="digit()"
        [forms]="ways.forms()"
        [look]="look()"
        (seen)="seen.set($event)"
      />
      <footer>
        <p role="status">{{ seen() === null ? '' : words[seen()!] }}</p>
        <button matButton="outlined" type="button" (click)="again()">Again</button>
        <button matButton="filled" type="button" (click)="closed.emit(seen())">
          {{ seen() === null ? 'Back' : 'Take it to the pad' }}
        </button>
      </footer>
    </div>
  `,
  host: { '(document:keydown.escape)': 'closed.emit(null)' },
  styles: `
    .screen {
      position: fixed;
      inset: 0;
      z-index: 8;
      display: grid;
      grid-template-rows: auto minmax(0, 1fr) auto;
      padding: 16px;
      background: var(--sheet);
    }
    .model {
      display: flex;
      flex-wrap: wrap;
      gap: 4px 20px;
      align-items: center;
      justify-content: center;
      font-size: var(--text-title);
    }
    .model svg {
      block-size: 64px;
      fill: none;
      stroke: currentcolor;
      stroke-width: 1.4;
      stroke-linecap: round;
      stroke-linejoin: round;
    }
    footer {
      display: flex;
      flex-wrap: wrap;
      justify-content: center;
      gap: 12px;
    }
    footer p {
      flex: 1 1 100%;
      min-block-size: 28px;
      text-align: center;
      font-size: var(--text-lead);
    }
  `,
})
export class TraceScreen {
  readonly digit = input.required<number>();
  readonly look = input<TraceLook>('own');
  /** What was seen in it; null where nothing was drawn. */
  readonly closed = output<TraceSeen | null>();

  private readonly pad = viewChild.required(TracePad);
  protected readonly ways = inject(DigitWays);
  /** The number as it is written here, from its strokes. */
  protected readonly paths = computed(() =>
    strokesOfNumber(this.digit(), this.ways.forms()).map(strokePath),
  );
  protected readonly wide = computed(() => digitsOf(this.digit()).length * FIELD.width);
  protected readonly cue = computed(() => this.ways.cueOf(this.digit()));
  protected readonly words = TRACE_WORDS;
  protected readonly seen = signal<TraceSeen | null>(null);

  protected again(): void {
    this.pad().again();
    this.seen.set(null);
  }
}
