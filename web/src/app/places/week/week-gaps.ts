import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { RouterLink } from '@angular/router';
import { joinWords } from '@gumo/core/numbers';
import { skillOf } from '@gumo/core/skills';
import type { Child } from '@gumo/core/vocabulary';
import { Store } from '@ngrx/store';
import { householdFeature } from '../../state/household';
import type { WeekAnswer } from '@gumo/core/contract';

/** Under the board: what to get or make next, and next steps that no activity here serves. */
@Component({
  selector: 'gumo-week-gaps',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [RouterLink],
  template: `
    @if (openings().length > 0) {
      <section>
        <h2>What to get or make next</h2>
        <ul>
          @for (one of shown(); track one.words) {
            <li>
              <strong>{{ one.words }}</strong>
              <span class="soft">
                opens
                @for (activity of one.activities; track activity.id; let last = $last) {
                  <a [routerLink]="['/activities', activity.id]">{{ activity.title }}</a>{{
                    last ? '' : ', '
                  }}
                }
              </span>
              @if (one.makeIt !== '') {
                <span class="soft">{{ one.makeIt }}</span>
              }
            </li>
          }
        </ul>
      </section>
    }
    @if (steps().length > 0) {
      <section>
        <h2>Next steps that no activity here serves</h2>
        <ul>
          @for (one of steps(); track one.title) {
            <li>
              {{ one.title }} <span class="soft">{{ one.names }}{{ one.because }}</span>
            </li>
          }
        </ul>
      </section>
    }
  `,
  styles: `
    :host {
      display: grid;
      grid-template-columns: repeat(auto-fit, minmax(min(340px, 100%), 1fr));
      gap: 8px 32px;
      margin-block-start: 20px;
    }
    h2 {
      padding-block-end: 6px;
      font-size: var(--text-body);
    }
    ul {
      display: grid;
      gap: 6px;
    }
    li {
      font-size: var(--text-small);
      line-height: 1.4;
    }
    li > .soft {
      display: block;
      font-size: var(--text-small);
    }
  `,
})
export class WeekGaps {
  readonly unserved = input.required<WeekAnswer['unserved']>();
  readonly openings = input.required<WeekAnswer['openings']>();
  readonly childById = input.required<Readonly<Record<string, Child | undefined>>>();
  private readonly activityById = inject(Store).selectSignal(householdFeature.selectActivityById);

  protected readonly shown = computed(() =>
    this.openings().map(({ words, activityIds }) => {
      const activities = activityIds.flatMap((id) => this.activityById().get(id) ?? []);
      return { words, activities, makeIt: activities.find((one) => one.makeIt)?.makeIt ?? '' };
    }),
  );
  protected readonly steps = computed(() => {
    const bySkill = new Map<string, { names: string[]; missing: readonly string[] }>();
    for (const { childId, skillId, missing } of this.unserved()) {
      const name = this.childById()[childId]?.name;
      if (!name) continue;
      const known = bySkill.get(skillId);
      bySkill.set(skillId, { names: [...(known?.names ?? []), name], missing });
    }
    return [...bySkill].map(([skillId, { names, missing }]) => ({
      title: skillOf(skillId).title,
      names: joinWords(names),
      because: missing.length > 0 ? `: needs ${joinWords(missing)}` : '',
    }));
  });
}
