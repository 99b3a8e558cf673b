import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { joinWords } from '@gumo/core/numbers';
import { skillOf } from '@gumo/core/skills';
import type { Child } from '@gumo/core/vocabulary';
import type { WeekAnswer } from '@gumo/core/contract';
import { GetNext } from '../../common/get-next';

/** Under the board: what to get or make next, and next steps that no activity here serves. */
@Component({
  selector: 'gumo-week-gaps',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [GetNext],
  template: `
    @if (opening(); as one) {
      <section>
        <gumo-get-next [opening]="one" />
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
  readonly opening = input.required<WeekAnswer['opening']>();
  readonly childById = input.required<Readonly<Record<string, Child | undefined>>>();

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
