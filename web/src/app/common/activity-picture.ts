import {
  ChangeDetectionStrategy,
  Component,
  DestroyRef,
  effect,
  inject,
  input,
  signal,
} from '@angular/core';
import { topsOf } from '@gumo/core/activities';
import { emptyState } from '@gumo/core/evidence';
import type { Scene } from '@gumo/core/handling';
import { type Question, playOut, sessionOf } from '@gumo/core/rounds';
import { seeded } from '@gumo/core/numbers';
import type { Activity } from '@gumo/core/vocabulary';
import { SceneView } from '../handling/scene';
import { Icon } from './icon';

/** Small numbers are told best in a small picture. */
const TOP = 5;
const QUESTIONS = 4;
/** On no day that matters: nothing of it is kept. */
const SOME_DAY = '2026-01-01';
/** Made once, on first sight. */
const known = new Map<Activity, Scene | null>();

/** What an activity asks first that can be seen, or else what it asks first; null where it asks nothing. */
export function sampleOf(
  activity: Activity,
  top: number,
  { name, today }: { readonly name: string; readonly today: string },
): Question | null {
  const session = sessionOf({
    activity,
    top,
    state: emptyState('', 'middle'),
    name,
    today,
    seed: activity.id,
  });
  const played = playOut(session, QUESTIONS, seeded(1), () => ({ outcome: 'own', tapped: null }));
  const questions = played.map((one) => one.question);
  return questions.find(({ scene }) => scene !== null) ?? questions[0] ?? null;
}

function pictureOf(activity: Activity): Scene | null {
  const found = known.get(activity);
  if (found !== undefined) return found;
  const tops = topsOf(activity);
  const top = tops.includes(TOP) ? TOP : (tops[0] ?? TOP);
  const scene = sampleOf(activity, top, { name: '', today: SOME_DAY })?.scene ?? null;
  known.set(activity, scene);
  return scene;
}

/** How an activity lies on the table, small: what its first question is asked about. */
@Component({
  selector: 'gumo-activity-picture',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [Icon, SceneView],
  template: `
    @if (scene(); as scene) {
      <gumo-scene [scene]="scene" />
    } @else if (scene() === null) {
      <gumo-icon name="speak" />
    }
  `,
  styles: `
    :host {
      display: block;
      inline-size: 88px;
      block-size: 56px;
      padding: 4px;
      overflow: hidden;
      pointer-events: none;
    }
    gumo-icon {
      display: grid;
      place-content: center;
      block-size: 100%;
      color: var(--ink-soft);
    }
  `,
  host: { 'aria-hidden': 'true' },
})
export class ActivityPicture {
  readonly activity = input.required<Activity>();
  /** Null for what is only said or sung; undefined before it was drawn. */
  protected readonly scene = signal<Scene | null | undefined>(undefined);

  constructor() {
    let waiting = 0;
    inject(DestroyRef).onDestroy(() => cancelIdleCallback(waiting));
    effect(() => {
      const activity = this.activity();
      cancelIdleCallback(waiting);
      // One after the other, and never while somebody scrolls or taps.
      waiting = requestIdleCallback(() => this.scene.set(pictureOf(activity)));
    });
  }
}
