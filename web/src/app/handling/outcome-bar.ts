import { ChangeDetectionStrategy, Component, input, output } from '@angular/core';
import type { Outcome } from '@gumo/core/vocabulary';

export interface Noted {
  readonly outcome: Outcome;
  readonly triedFirst: boolean;
}

/** The four outcomes of a try, large enough for a thumb; *with help* asks who tried first. */
@Component({
  selector: 'gumo-outcome-bar',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <button
      type="button"
      class="own"
      [class.first]="right()"
      [attr.aria-disabled]="!right()"
      aria-keyshortcuts="o"
      (click)="note('own')"
    >
      On own
    </button>
    <span class="help">
      <button type="button" aria-keyshortcuts="h" (click)="note('help')">With help</button>
      <button
        type="button"
        class="at-once"
        aria-keyshortcuts="Shift+H"
        aria-label="With help, given at once"
        (click)="note('help', false)"
      >
        at once
      </button>
    </span>
    <button
      type="button"
      class="yet"
      [class.first]="!right()"
      aria-keyshortcuts="n"
      (click)="note('not-yet')"
    >
      Not yet
    </button>
    <button type="button" class="now" aria-keyshortcuts="x" (click)="note('not-now')">
      Not now
    </button>
  `,
  host: { role: 'group', 'aria-label': 'How it went' },
  styles: `
    :host {
      display: grid;
      grid-template-columns: 1.5fr 1.35fr 1.1fr 0.8fr;
      gap: 10px;
    }
    button {
      min-height: 72px;
      border: 2px solid var(--line);
      border-radius: 10px;
      background: var(--sheet);
      color: var(--ink);
      font-size: 17px;
      font-weight: 650;
      cursor: pointer;
    }
    :host > button:hover,
    .help:hover button {
      border-color: var(--primary);
    }
    .own.first,
    .yet.first {
      background: var(--primary);
      border-color: var(--primary);
      color: var(--on-primary);
    }
    [aria-disabled='true'] {
      color: var(--ink-soft);
      background: transparent;
      cursor: default;
    }
    .now {
      border-color: transparent;
      background: none;
      font-weight: 450;
    }
    .help {
      display: grid;
      grid-template-columns: 1fr auto;
    }
    .help button:first-child {
      border-radius: 10px 0 0 10px;
      border-color: var(--primary);
      border-right: 0;
    }
    .help .at-once {
      padding: 0 10px;
      border-radius: 0 10px 10px 0;
      border-color: var(--primary);
      border-left: 1px solid var(--line);
      font-size: 13.5px;
      font-weight: 500;
    }
    @media (max-width: 700px) {
      :host {
        grid-template-columns: 1fr 1fr;
      }
      :host {
        gap: 6px;
      }
      button {
        min-height: 56px;
      }
    }
  `,
})
export class OutcomeBar {
  /** False where the answer tapped is a wrong one: *on own* is then not offered. */
  readonly right = input(true);
  readonly noted = output<Noted>();

  protected note(outcome: Outcome, triedFirst = true): void {
    this.noted.emit({ outcome, triedFirst });
  }
}

const OUTCOME_KEYS: Readonly<Record<string, Outcome>> = {
  o: 'own',
  h: 'help',
  n: 'not-yet',
  x: 'not-now',
};

/** The outcome that a key stands for; Shift + H is help that was given at once. */
export function outcomeOfKey(event: KeyboardEvent): Noted | null {
  const outcome = OUTCOME_KEYS[event.key.toLowerCase()];
  return outcome ? { outcome, triedFirst: !(outcome === 'help' && event.shiftKey) } : null;
}
