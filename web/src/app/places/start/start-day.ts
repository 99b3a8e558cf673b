import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { MatRadioModule } from '@angular/material/radio';
import { RouterLink } from '@angular/router';
import { type Household, READY_DAYS, type ReadyDay } from '@gumo/core/vocabulary';
import { Store } from '@ngrx/store';
import { FirstHour } from '../../state/first-hour';
import { householdFeature } from '../../state/household';

const OWN = 'own';

/** The moments of the day: one of three that are ready made, or what is there already. */
@Component({
  selector: 'gumo-start-day',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [MatRadioModule, RouterLink],
  template: `
    <mat-radio-group
      class="days"
      aria-label="The day"
      [value]="id()"
      (change)="picked.set($event.value)"
    >
      @for (day of days(); track day.id) {
        <div class="day" [class.chosen]="id() === day.id">
          <mat-radio-button [value]="day.id">{{ day.title }}</mat-radio-button>
          <ol>
            @for (moment of day.moments; track moment.id) {
              <li>
                <span class="numbers soft">{{ moment.time.replace(zero, '') }}</span>
                {{ moment.name }}
                <span class="soft numbers">{{ moment.minutes }} min</span>
              </li>
            }
          </ol>
        </div>
      }
    </mat-radio-group>
    <p class="soft">
      Activities are planned into these moments. Times, names and more moments can be changed at any
      time under <a routerLink="/settings/day">Settings, The day</a>.
    </p>
  `,
  styleUrl: './steps.scss',
})
export class StartDay {
  private readonly household = inject(Store).selectSignal(householdFeature.selectHousehold);
  private readonly hour = inject(FirstHour);
  protected readonly zero = /^0/;
  protected readonly picked = signal<string | null>(null);
  /** The household's own day stands first where it is none of those that are ready made. */
  protected readonly days = computed<readonly (Omit<ReadyDay, 'id'> & { readonly id: string })[]>(
    () => {
      const moments = this.household()?.moments ?? [];
      const isReady = moments.length === 0 || this.readyId() !== null;
      return isReady ? READY_DAYS : [{ id: OWN, title: 'As it is now', moments }, ...READY_DAYS];
    },
  );
  private readonly readyId = computed(() => {
    const shape = ({ moments }: Pick<ReadyDay, 'moments'>): string =>
      moments.map(({ id, time }) => `${id} ${time}`).join();
    const now = shape({ moments: this.household()?.moments ?? [] });
    return READY_DAYS.find((day) => shape(day) === now)?.id ?? null;
  });
  protected readonly id = computed(() => this.picked() ?? this.readyId() ?? this.days()[0]?.id);

  /** What the household takes over. */
  chosen(): Partial<Household> {
    const day = READY_DAYS.find(({ id }) => id === this.picked());
    // A day that was never touched stays as it is.
    return day && !(this.hour.done().has('day') && day.id === this.readyId())
      ? { moments: [...day.moments] }
      : {};
  }
}
