import { ChangeDetectionStrategy, Component, input } from '@angular/core';
import { LOCAL_RULES } from './words';

/** Cautions that apply now, each with what to do; nothing where none does. */
@Component({
  selector: 'gumo-caution-list',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (words().length > 0) {
      <section class="caution" aria-label="Cautions">
        @for (one of words(); track one) {
          <p>{{ one }}</p>
        }
        @if (withRules()) {
          <p class="rules">{{ rules }}</p>
        }
      </section>
    }
  `,
  styles: `
    .caution {
      display: grid;
      gap: 6px;
    }
    .rules {
      color: var(--ink-soft);
      font-size: var(--text-fine);
    }
  `,
})
export class CautionList {
  readonly words = input.required<readonly string[]>();
  /** Says once on a screen that local rules and trained people come first. */
  readonly withRules = input(true);
  protected readonly rules = LOCAL_RULES;
}
