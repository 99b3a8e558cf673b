import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { helpFor } from '@gumo/core/activities';
import { slipWords } from '@gumo/core/evidence';
import { skillOf } from '@gumo/core/skills';
import { Store } from '@ngrx/store';
import { max } from 'd3-array';
import { scaleBand, scaleLinear } from 'd3-scale';
import type * as v from 'valibot';
import { dayWords } from '../../../common/words';
import { householdFeature } from '../../../state/household';
import type { SlipsAnswer } from '@gumo/core/contract';
import { Times } from '../../../common/plural';

const WIDTH = 220;
const HEIGHT = 44;
/** From three on a slip is more than chance. */
const HABIT = 3;

/** Kinds of slip over the weeks, each with what helps. */
@Component({
  selector: 'gumo-slips-list',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [Times],
  template: `
    <ul>
      @for (kind of kinds(); track kind.code) {
        <li [class.rare]="kind.times < habit">
          <div>
            <h2>{{ kind.words }}</h2>
            <p class="soft">
              {{ kind.times | times }} · last on {{ day(kind.last) }} · {{ kind.skill }}
            </p>
          </div>
          <svg [attr.viewBox]="box" aria-hidden="true">
            <path class="base" [attr.d]="'M0 43.500H220'" />
            @for (bar of kind.bars; track bar.x) {
              <rect
                [attr.x]="bar.x"
                [attr.y]="bar.y"
                [attr.width]="band().bandwidth()"
                [attr.height]="bar.height"
                rx="1.5"
              />
            }
          </svg>
          <p class="help">
            {{ kind.advice }}
            @if (kind.activity) {
              <span class="soft">{{ kind.activity }}</span>
            }
          </p>
          <span class="cdk-visually-hidden">{{ kind.spoken }}</span>
        </li>
      } @empty {
        <li class="soft none">
          No errors were noted in the last twelve weeks. They come from the numbers you tap as you
          note a try: what a child said, touched or laid. With an outcome alone, nothing can appear
          here.
        </li>
      }
    </ul>
  `,
  styles: `
    @use 'scale';
    li {
      display: grid;
      grid-template-columns: minmax(0, 1.1fr) 220px minmax(0, 1.3fr);
      gap: 8px 28px;
      align-items: center;
      padding: 12px 0;
      border-top: 1px solid var(--line);
    }
    .none {
      display: block;
    }
    li:first-child {
      border: 0;
      padding-top: 0;
    }
    h2 {
      font-size: var(--text-body);
    }
    h2::first-letter {
      text-transform: uppercase;
    }
    .rare h2 {
      font-weight: 500;
    }
    p {
      font-size: var(--text-small);
    }
    .help span {
      display: block;
    }
    svg {
      inline-size: 220px;
      block-size: 44px;
    }
    rect {
      fill: var(--primary);
    }
    .base {
      stroke: var(--line);
    }
    @media (max-width: scale.$tablet) {
      li {
        grid-template-columns: minmax(0, 1fr);
      }
    }
  `,
})
export class SlipsList {
  readonly slips = input.required<v.InferOutput<typeof SlipsAnswer>>();
  private readonly activities = inject(Store).selectSignal(householdFeature.selectActivityById);
  protected readonly box = `0 0 ${WIDTH} ${HEIGHT}`;
  protected readonly habit = HABIT;
  protected readonly day = dayWords;
  protected readonly band = computed(() =>
    scaleBand<string>().domain(this.slips().weeks).range([0, WIDTH]).paddingInner(0.25),
  );
  private readonly height = computed(() => {
    const most = max(this.slips().kinds, (kind) => max(kind.byWeek) ?? 0) ?? 1;
    return scaleLinear()
      .domain([0, Math.max(HABIT, most)])
      .range([0, HEIGHT - 4]);
  });
  protected readonly kinds = computed(() =>
    this.slips().kinds.map((kind) => {
      const { weeks } = this.slips();
      const help = helpFor(kind.code);
      const activity = help.activityId ? this.activities().get(help.activityId) : undefined;
      const bars = kind.byWeek.flatMap((times, i) => {
        const height = this.height()(times);
        const x = this.band()(weeks[i] ?? '') ?? 0;
        return times === 0 ? [] : [{ x, y: HEIGHT - 1 - height, height }];
      });
      const told = kind.byWeek.flatMap((times, i) =>
        times === 0 ? [] : [`${times} in the week of ${dayWords(weeks[i] ?? '')}`],
      );
      return {
        ...kind,
        words: slipWords(kind.code),
        skill: skillOf(kind.skillId).title,
        advice: help.advice,
        activity: activity ? `Helps: ${activity.title}` : null,
        bars,
        spoken: told.join(', '),
      };
    }),
  );
}
