import {
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  inject,
  signal,
  untracked,
} from '@angular/core';
import { MatButton } from '@angular/material/button';
import { PlanEntry, type PlanEntryDraft } from '@gumo/core/vocabulary';
import { Store } from '@ngrx/store';
import { v7 as uuid } from 'uuid';
import type * as v from 'valibot';
import { Api } from '../../common/api';
import { Icon } from '../../common/icon';
import { ChildSymbol } from '../../common/child-symbol';
import { Suggestions as Answer } from '@gumo/core/contract';
import { childrenFeature } from '../../state/children';
import { DayActions, dayFeature, selectPlanned } from '../../state/day';
import { householdFeature } from '../../state/household';
import { Writes } from '../../state/writes';

type Suggestion = v.InferOutput<typeof Answer>[number];

/** For each child who is here and in nothing planned: the next step, one tap away from the day. */
@Component({
  selector: 'gumo-suggestions',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [Icon, MatButton, ChildSymbol],
  template: `
    @if (lines().length > 0) {
      <section class="sheet" aria-labelledby="also-here">
        <h2 id="also-here">Also here, and in nothing yet</h2>
        @if (failure(); as message) {
          <p class="caution" role="alert">{{ message }}</p>
        }
        <ul>
          @for (line of lines(); track line.child.id) {
            <li>
              <gumo-child-symbol [symbol]="line.child.symbol" [name]="line.child.name" />
              <span class="what">
                <strong>{{ line.child.name }}</strong> {{ line.step.title }}
                <span class="soft">{{ line.step.because }}</span>
              </span>
              <button matButton type="button" (click)="add(line)">
                <gumo-icon name="add" /> {{ line.step.activityTitle }} to {{ line.step.top }}
              </button>
            </li>
          }
        </ul>
      </section>
    }
  `,
  styles: `
    section {
      margin-top: 10px;
    }
    h2 {
      padding-bottom: 6px;
      font-size: var(--text-body);
    }
    li {
      display: flex;
      flex-wrap: wrap;
      align-items: center;
      gap: 4px 10px;
      padding: 6px 0;
      border-top: 1px solid var(--line);
    }
    .what {
      flex: 1 1 260px;
      min-width: 0;
    }
    .what .soft {
      display: block;
      font-size: var(--text-small);
    }
    strong {
      font-weight: 600;
    }
  `,
})
export class Suggestions {
  private readonly store = inject(Store);
  private readonly api = inject(Api);
  private readonly writes = inject(Writes);
  private readonly answer = this.store.selectSignal(dayFeature.selectAnswer);
  private readonly planned = this.store.selectSignal(selectPlanned);
  private readonly childById = this.store.selectSignal(childrenFeature.selectChildById);
  private readonly activities = this.store.selectSignal(householdFeature.selectActivityById);
  private readonly moments = this.store.selectSignal(householdFeature.selectMoments);
  private readonly found = signal<readonly Suggestion[]>([]);
  protected readonly failure = signal<string | null>(null);
  protected readonly lines = computed(() =>
    this.found().flatMap(({ childId, step }) => {
      const child = this.childById()[childId];
      return child ? [{ child, step }] : [];
    }),
  );

  constructor() {
    effect(() => {
      if (this.planned() !== null) untracked(() => void this.load(this.answer()?.day ?? ''));
    });
  }

  private async load(day: string): Promise<void> {
    try {
      this.found.set(await this.api.get(`/days/${day}/suggestions`, Answer));
    } catch {
      this.found.set([]);
    }
  }

  /** Into the first moment of the day that takes this kind of activity. */
  protected async add({ child, step }: ReturnType<typeof this.lines>[number]): Promise<void> {
    const day = this.answer()?.day;
    const activity = this.activities().get(step.activityId ?? '');
    const moment = this.moments().find((one) => activity && one.bands.includes(activity.band));
    if (day === undefined || !activity || !moment) {
      this.failure.set('No moment of the day takes this kind of activity.');
      return;
    }
    const draft: PlanEntryDraft = {
      id: uuid(),
      day,
      momentId: moment.id,
      activityId: activity.id,
      participants: [{ childId: child.id, rangeMax: step.top ?? 5 }],
      minutes: activity.minutes[0],
      with: '',
      pinned: true,
    };
    try {
      await this.writes.send('POST', '/plan', draft, PlanEntry, { loads: true });
      this.store.dispatch(DayActions.opened({ day }));
    } catch (error) {
      this.failure.set((error as Error).message);
    }
  }
}
