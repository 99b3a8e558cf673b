import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { RouterLink } from '@angular/router';
import type { WeekOpening } from '@gumo/core/contract';
import { Store } from '@ngrx/store';
import { householdFeature } from '../state/household';

/** What to get or make next: one thing, how, and what it opens. */
@Component({
  selector: 'gumo-get-next',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [RouterLink],
  template: `
    @if (opening(); as one) {
      <h2>What to get or make next</h2>
      <p>
        <strong>{{ one.name }}</strong>&ngsp;<span class="soft"
          >about {{ one.minutes }} minutes</span
        >
      </p>
      <p>{{ one.how }}</p>
      <p class="soft">
        It opens
        @for (activity of activities(); track activity.id; let last = $last) {
          <a [routerLink]="['/activities', activity.id]">{{ activity.title }}</a>{{
            last ? '.' : ', '
          }}
        }
      </p>
    }
  `,
  styles: `
    h2 {
      padding-block-end: 6px;
      font-size: var(--text-body);
    }
    p {
      font-size: var(--text-small);
      line-height: 1.4;
    }
    strong::first-letter {
      text-transform: uppercase;
    }
    strong {
      display: inline-block;
    }
  `,
})
export class GetNext {
  readonly opening = input.required<WeekOpening>();
  private readonly activityById = inject(Store).selectSignal(householdFeature.selectActivityById);
  protected readonly activities = computed(
    () => this.opening()?.activityIds.flatMap((id) => this.activityById().get(id) ?? []) ?? [],
  );
}
