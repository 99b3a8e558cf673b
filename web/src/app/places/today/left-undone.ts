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
import { PlanEntry } from '@gumo/core/vocabulary';
import { Store } from '@ngrx/store';
import { format } from 'date-fns/format';
import { parseISO } from 'date-fns/parseISO';
import { Api } from '../../common/api';
import { Clock } from '../../common/clock';
import { Icon } from '../../common/icon';
import { DayActions, dayFeature, selectPlanned } from '../../state/day';
import { householdFeature } from '../../state/household';
import { LeftAnswer } from '@gumo/core/contract';
import { Writes } from '../../state/writes';

const MOST_SHOWN = 4;

/** Cards of the last days that were never begun, to be brought into today. */
@Component({
  selector: 'gumo-left-undone',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [Icon, MatButton],
  template: `
    @if (lines().length > 0) {
      <section class="sheet" aria-labelledby="left-undone">
        <h2 id="left-undone">Left undone</h2>
        @if (failure(); as message) {
          <p class="caution" role="alert">{{ message }}</p>
        }
        <ul>
          @for (line of lines(); track line.entry.id) {
            <li>
              <span>
                {{ line.title }} <span class="soft">{{ line.when }}</span>
              </span>
              <button
                matButton
                type="button"
                [attr.aria-label]="'Bring ' + line.title + ' into today'"
                (click)="bring(line.entry)"
              >
                <gumo-icon name="add" /> Today
              </button>
            </li>
          }
        </ul>
      </section>
    }
  `,
  styles: `
    section {
      margin-block-start: 10px;
    }
    h2 {
      padding-block-end: 4px;
      font-size: var(--text-body);
    }
    li {
      display: flex;
      align-items: center;
      justify-content: space-between;
      gap: 8px;
      padding: 2px 0;
      border-block-start: 1px solid var(--line);
    }
  `,
})
export class LeftUndone {
  private readonly api = inject(Api);
  private readonly writes = inject(Writes);
  private readonly clock = inject(Clock);
  private readonly store = inject(Store);
  private readonly answer = this.store.selectSignal(dayFeature.selectAnswer);
  private readonly planned = this.store.selectSignal(selectPlanned);
  private readonly activities = this.store.selectSignal(householdFeature.selectActivityById);
  private readonly left = signal<readonly PlanEntry[]>([]);
  protected readonly failure = signal<string | null>(null);
  protected readonly lines = computed(() =>
    this.left()
      .flatMap((entry) => {
        const title = this.activities().get(entry.activityId)?.title;
        const isToday = entry.day === this.clock.today();
        const when = isToday ? 'earlier today' : format(parseISO(entry.day), 'EEEE');
        return title === undefined ? [] : [{ entry, title, when }];
      })
      .slice(-MOST_SHOWN)
      .toReversed(),
  );

  constructor() {
    effect(() => {
      if (this.planned() !== null) untracked(() => void this.load(this.answer()?.day ?? ''));
    });
  }

  private async load(day: string): Promise<void> {
    try {
      this.left.set(await this.api.get(`/days/${day}/left`, LeftAnswer));
    } catch {
      this.left.set([]);
    }
  }

  protected async bring(entry: PlanEntry): Promise<void> {
    const day = this.clock.today();
    try {
      const body = { now: this.clock.time() };
      await this.writes.send('POST', `/days/${day}/left/${entry.id}`, body, PlanEntry, {
        loads: true,
      });
      this.failure.set(null);
      this.store.dispatch(DayActions.opened({ day }));
    } catch (error) {
      this.failure.set((error as Error).message);
    }
  }
}
