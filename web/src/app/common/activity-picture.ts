import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { topsOf } from '@gumo/core/activities';
import { emptyState } from '@gumo/core/evidence';
import type { Scene } from '@gumo/core/handling';
import { type Question, playOut, playStateOf } from '@gumo/core/rounds';
import { seeded } from '@gumo/core/numbers';
import type { Activity } from '@gumo/core/vocabulary';
import { SmallPicture } from './small-picture';

/** Small numbers are told best in a small picture. */
const TOP = 5;
const QUESTIONS = 4;
/** On no day that matters: nothing of it is kept. */
const SOME_DAY = '2026-01-01';

/** What an activity asks first that can be seen, or else what it asks first; null where it asks nothing. */
export function sampleOf(
  activity: Activity,
  top: number,
  { name, today }: { readonly name: string; readonly today: string },
): Question | null {
  const session = playStateOf({
    activity,
    top,
    state: emptyState('', 'balanced'),
    name,
    today,
    seed: activity.id,
  });
  const played = playOut(session, QUESTIONS, seeded(1), () => ({ outcome: 'own', tapped: null }));
  const questions = played.map((one) => one.question);
  return questions.find(({ scene }) => scene !== null) ?? questions[0] ?? null;
}

function pictureOf(activity: Activity): Scene | null {
  const tops = topsOf(activity);
  const top = tops.includes(TOP) ? TOP : (tops[0] ?? TOP);
  return sampleOf(activity, top, { name: '', today: SOME_DAY })?.scene ?? null;
}

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
    return () => pictureOf(activity);
  });
}
