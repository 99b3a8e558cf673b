import {
  ChangeDetectionStrategy,
  Component,
  computed,
  inject,
  signal,
  viewChild,
} from '@angular/core';
import { MatButton } from '@angular/material/button';
import type { TraceSeen } from '@gumo/core/sheets';
import { DigitWays } from '../../common/digit-ways';
import { TOGGLES } from '../../common/toggle';
import { TRACE_WORDS, type TraceLook, TracePad } from '../../handling/trace-pad';

const LOOKS: readonly (readonly [TraceLook, string])[] = [
  ['hollow', 'hollow'],
  ['dotted', 'dotted'],
  ['own', 'only the dot'],
];

/** A number to go over on the screen, with what is said on the way. */
@Component({
  selector: 'gumo-trace-digit',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [MatButton, TOGGLES, TracePad],
  template: `
    <section class="on-it">
      <h1>A number to trace</h1>
      <gumo-trace-pad
        class="pad"
        [digit]="digit()"
        [forms]="ways.forms()"
        [look]="look()"
        (seen)="seen.set($event)"
      />
      <p class="says" role="status">{{ seen() === null ? '' : words[seen()!] }}</p>
    </section>
    <section class="controls" aria-label="Change it">
      <mat-button-toggle-group class="digits" aria-label="Number" hideSingleSelectionIndicator>
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
      grid-template-columns: repeat(7, 1fr);
      gap: 4px;
    }
    .looks {
      display: flex;
      flex-wrap: wrap;
      gap: 4px;
    }
    .cue {
      font-size: var(--text-title);
    }
  `,
})
export class TraceDigit {
  private readonly pad = viewChild.required(TracePad);
  protected readonly words = TRACE_WORDS;
  protected readonly looks = LOOKS;
  protected readonly digits = Array.from({ length: 21 }, (_, n) => n);
  protected readonly digit = signal(2);
  protected readonly look = signal<TraceLook>('hollow');
  protected readonly seen = signal<TraceSeen | null>(null);
  protected readonly ways = inject(DigitWays);
  protected readonly cue = computed(() => this.ways.cueOf(this.digit()));

  protected choose(digit: number): void {
    this.digit.set(digit);
    this.seen.set(null);
  }

  protected again(): void {
    this.pad().again();
    this.seen.set(null);
  }
}
