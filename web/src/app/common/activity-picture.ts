import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { sceneOf } from '@gumo/core/activities';
import type { Activity } from '@gumo/core/vocabulary';
import { SmallPicture } from './small-picture';

/** How an activity lies on the table, small: what its first question is asked about. */
@Component({
  selector: 'gumo-activity-picture',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [SmallPicture],
  template: `<gumo-small-picture [of]="activity()" [draw]="draw()" />`,
})
export class ActivityPicture {
  readonly activity = input.required<Activity>();
  protected readonly draw = computed(() => {
    const activity = this.activity();
    return () => sceneOf(activity);
  });
}
