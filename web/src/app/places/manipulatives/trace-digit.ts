import {
  ChangeDetectionStrategy,
  Component,
  computed,
  inject,
  signal,
  viewChild,
} from '@angular/core';
import { MatButton } from '@angular/material/button';
import { type TraceSeen, strokesOf, usualWish } from '@gumo/core/sheets';
import { Store } from '@ngrx/store';
import { TOGGLES } from '../../common/toggle';
import { TRACE_WORDS, type TraceLook, TracePad } from '../../handling/trace-pad';
import { householdFeature } from '../../state/household';

const LOOKS: readonly (readonly [TraceLook, string])[] = [
  ['hollow', 'hollow'],
  ['dotted', 'dotted'],
  ['own', 'only the dot'],
];

/** A digit to go over on the screen, with what is said on the way. */
@Component({
  selector: 'gumo-trace-digit',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [MatButton, TOGGLES, TracePad],
  template: `
    <section class="on-it">
      <h1>A digit to trace</h1>
      <gumo-trace-pad
        class="pad"
        [digit]="digit()"
        [forms]="forms()"
        [look]="look()"
        (seen)="seen.set($event)"
      />
      <p class="says" role="status">{{ seen() === null ? '' : words[seen()!] }}</p>
    </section>
    <section class="controls" aria-label="Change it">
      <mat-button-toggle-group class="digits" aria-label="Digit" hideSingleSelectionIndicator>
        @for (one of digits; track one) {
          <mat-button-toggle class="child-reads" [checked]="one === digit()" (change)="choose(one)">
            {{ one }}
          </mat-button-toggle>
        }
      </mat-button-toggle-group>
      <mat-button-toggle-group class="looks" aria-label="How it looks" hideSingleSelectionIndicator>
        @for (one of looks; track one[0]) {
          <mat-button-toggle
            [checked]="one[0] === look()"
            (change)="look.set(one[0]); seen.set(null)"
          >
            {{ one[1] }}
          </mat-button-toggle>
        }
      </mat-button-toggle-group>
      <p class="cue child-reads">{{ cue() }}</p>
      <button matButton="outlined" type="button" (click)="again()">Again</button>
    </section>
  `,
  styles: `
    :host {
      display: contents;
    }
    .pad {
      block-size: min(560px, calc(100dvh - 210px));
      border-radius: 10px;
      background: var(--sheet);
    }
    h1 {
      padding-bottom: 14px;
    }
    .says {
      min-block-size: 32px;
      padding-top: 10px;
      font-size: var(--text-lead);
    }
    .controls {
      display: flex;
      flex-direction: column;
      gap: 18px;
    }
    .digits {
      display: grid;
      grid-template-columns: repeat(5, 1fr);
      gap: 4px;
    }
    .looks {
      display: flex;
      flex-wrap: wrap;
      gap: 4px;
    }
    [role='radio'] {
      min-block-size: 48px;
      padding: 0 12px;
      border: 0;
      border-bottom: 3px solid transparent;
      border-radius: 10px;
      background: var(--sheet);
      color: var(--ink);
      font-size: var(--text-body);
      cursor: pointer;
    }
    .digits [role='radio'] {
      padding: 0;
      font-size: var(--text-heading);
    }
    .cue {
      font-size: var(--text-title);
    }
  `,
})
export class TraceDigit {
  private readonly household = inject(Store).selectSignal(householdFeature.selectHousehold);
  private readonly pad = viewChild.required(TracePad);
  protected readonly words = TRACE_WORDS;
  protected readonly looks = LOOKS;
  protected readonly digits = [0, 1, 2, 3, 4, 5, 6, 7, 8, 9];
  protected readonly digit = signal(2);
  protected readonly look = signal<TraceLook>('hollow');
  protected readonly seen = signal<TraceSeen | null>(null);
  protected readonly forms = computed(() => this.household()?.digitForms ?? usualWish().forms);
  protected readonly cue = computed(() => {
    const digitCue = this.household()?.digitCue ?? 'movement';
    const said = strokesOf(this.digit(), this.forms())
      .map(({ move, rhyme }) => (digitCue === 'rhyme' ? rhyme : move))
      .join(', ');
    return digitCue === 'rhyme' ? said : `${said}, and stop`;
  });

  protected choose(digit: number): void {
    this.digit.set(digit);
    this.seen.set(null);
  }

  protected again(): void {
    this.pad().again();
    this.seen.set(null);
  }
}
