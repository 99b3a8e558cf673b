import { ChangeDetectionStrategy, Component, input } from '@angular/core';
import type { Question } from '@gumo/core/rounds';

/** The ways of one whole as they are found, each as a sum. */
@Component({
  selector: 'gumo-ways-list',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h2>
      Ways to make {{ ways().whole }}
      <span class="soft">{{ ways().found.length }} of {{ ways().of }}</span>
    </h2>
    <ol>
      @for (way of ways().found; track $index) {
        <li class="child-reads">{{ way.join(' + ') }}</li>
      }
    </ol>
  `,
  styles: `
    h2 {
      font-size: var(--text-small);
    }
    .soft {
      display: block;
      font-weight: 400;
    }
    ol {
      display: flex;
      flex-wrap: wrap;
      gap: 2px 14px;
      margin-top: 4px;
      font-size: var(--text-title);
    }
  `,
})
export class WaysList {
  readonly ways = input.required<NonNullable<Question['ways']>>();
}
