import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { RouterLink } from '@angular/router';
import { activitiesOn } from '@gumo/core/activities';

const MOST = 6;

/** The activities that a manipulative or a tool to measure with belongs to. */
@Component({
  selector: 'gumo-used-in',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [MatButtonModule, RouterLink],
  template: `
    @if (activities().length > 0) {
      <p>
        <span class="soft">Used in</span>
        @for (one of activities(); track one.id) {
          <a matButton [routerLink]="['/activities', one.id]">{{ one.title }}</a>
        }
      </p>
    }
  `,
  styles: `
    p {
      display: flex;
      flex-wrap: wrap;
      align-items: center;
      gap: 4px;
      margin-block: 10px;
    }
  `,
})
export class UsedIn {
  readonly place = input.required<'manipulatives' | 'measure'>();
  readonly material = input.required<string>();
  protected readonly activities = computed(() =>
    activitiesOn(this.place(), this.material()).slice(0, MOST),
  );
}
