import { ChangeDetectionStrategy, Component, input, output } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import type { Outcome } from '@gumo/core/vocabulary';

/** The four outcomes of a try, large enough for a thumb. */
@Component({
  selector: 'gumo-outcome-bar',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [MatButtonModule],
  template: `
    <button
      [matButton]="right() ? 'filled' : 'outlined'"
      type="button"
      disabledInteractive
      [disabled]="!open()"
      aria-keyshortcuts="o"
      (click)="noted.emit('own')"
    >
      On their own
    </button>
    <button matButton="outlined" type="button" aria-keyshortcuts="h" (click)="noted.emit('help')">
      With help
    </button>
    <button
      [matButton]="right() ? 'outlined' : 'filled'"
      type="button"
      aria-keyshortcuts="n"
      (click)="noted.emit('not-yet')"
    >
      Not yet
    </button>
    <button matButton type="button" aria-keyshortcuts="x" (click)="noted.emit('not-now')">
      Not today
    </button>
  `,
  host: { role: 'group', 'aria-label': 'How it went' },
  styles: `
    @use 'scale';
    :host {
      display: grid;
      grid-template-columns: 1.5fr 1.3fr 1.1fr 0.8fr;
      gap: 10px;
    }
    button {
      block-size: 72px;
      font-size: var(--text-lead);
      --mat-button-outlined-horizontal-padding: 8px;
      --mat-button-filled-horizontal-padding: 8px;
    }
    @media (max-width: scale.$phone) {
      :host {
        grid-template-columns: 1.3fr 1fr 1fr 1fr;
        gap: 5px;
      }
      button {
        block-size: 60px;
        min-inline-size: 56px;
        padding: 0 4px;
        font-size: var(--text-small);
        line-height: 1.15;
        white-space: normal;
      }
    }
  `,
})
export class OutcomeBar {
  /** False where the answer that is tapped is a wrong one. */
  readonly right = input(true);
  /** False until an answer was made that has to be made. */
  readonly open = input(true);
  readonly noted = output<Outcome>();
}

const OUTCOME_KEYS: Readonly<Record<string, Outcome>> = {
  o: 'own',
  h: 'help',
  n: 'not-yet',
  x: 'not-now',
};

/** The outcome that a key stands for. */
export const outcomeOfKey = (event: KeyboardEvent): Outcome | null =>
  OUTCOME_KEYS[event.key.toLowerCase()] ?? null;
