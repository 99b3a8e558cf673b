import {
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  inject,
  output,
} from '@angular/core';
import { MatButton } from '@angular/material/button';
import { weekToPlan } from '@gumo/core/vocabulary';
import { Store } from '@ngrx/store';
import { format } from 'date-fns/format';
import { parseISO } from 'date-fns/parseISO';
import { Clock } from '../../common/clock';
import { Counted } from '../../common/plural';
import { householdFeature } from '../../state/household';
import { WeekActions, weekFeature } from '../../state/week';
import { Planning } from '../../planning/planning';
import { PlanningBar } from '../../planning/planning-bar';

/** The first week, planned. */
@Component({
  selector: 'gumo-start-week',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [Counted, MatButton, PlanningBar],
  providers: [Planning],
  template: `
    @if (cards() > 0 && !planning.running()) {
      <h3>{{ next ? 'Next week is planned' : 'This week is planned' }}</h3>
      <p>
        {{ cards() | counted: 'activity' : 'activities' }}, each with its children, its range and
        what it needs. Today shows them in the order of the day; Week is where they can be moved,
        swapped and planned anew.
      </p>
      <ul class="plan">
        @for (day of days(); track day.name) {
          <li>
            <strong>{{ day.name }}</strong> <span>{{ day.titles }}</span>
          </li>
        }
      </ul>
    } @else {
      <h3>{{ next ? 'Plan the next week' : 'Plan this week' }}</h3>
      <p>
        Gumo chooses activities that fit each child, your day and what is in the house, about 45
        minutes of yours a day. Every one can be changed.
      </p>
    }
    <gumo-planning-bar />
    <div class="actions">
      <button
        [matButton]="cards() > 0 ? 'outlined' : 'filled'"
        type="button"
        [disabled]="planning.running()"
        (click)="planning.begin(monday)"
      >
        {{ cards() > 0 ? 'Plan it anew' : 'Plan the first week' }}
      </button>
      @if (cards() > 0) {
        <button
          matButton="filled"
          type="button"
          [disabled]="planning.running()"
          (click)="finished.emit()"
        >
          Done: go to Today
        </button>
      }
    </div>
  `,
  styleUrl: './steps.scss',
})
export class StartWeek {
  private readonly store = inject(Store);
  private readonly today = inject(Clock).today();
  private readonly week = this.store.selectSignal(weekFeature.selectAnswer);
  private readonly activities = this.store.selectSignal(householdFeature.selectActivityById);
  protected readonly planning = inject(Planning);
  readonly finished = output();
  private readonly household = this.store.selectSignal(householdFeature.selectHousehold);
  protected readonly monday = weekToPlan(this.household()?.openDays ?? [], this.today);
  protected readonly next = this.monday > this.today;
  protected readonly cards = computed(() => {
    const week = this.week();
    return week?.sheet.from === this.monday ? week.entries.length : 0;
  });

  /** What is planned, day by day. */
  protected readonly days = computed(() => {
    const entries = this.week()?.entries ?? [];
    return [...new Set(entries.map(({ day }) => day))].sort().map((day) => ({
      name: format(parseISO(day), 'EEEE'),
      titles: entries
        .filter((one) => one.day === day)
        .map(({ activityId }) => this.activities().get(activityId)?.title ?? '')
        .join(' · '),
    }));
  });

  constructor() {
    this.store.dispatch(WeekActions.opened({ from: this.monday }));
    // A plan that is being made already is followed.
    effect(() => {
      const job = this.week()?.job;
      if (job) this.planning.follow(job);
    });
  }
}
