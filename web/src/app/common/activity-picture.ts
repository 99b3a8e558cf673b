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
import { playOut, sessionOf } from '@gumo/core/rounds';
import { seeded } from '@gumo/core/numbers';
import type { Activity } from '@gumo/core/vocabulary';
import { SceneView } from '../handling/scene';
import { Icon } from './icon';

/** Small numbers are told best in a small picture. */
const TOP = 5;
const QUESTIONS = 4;
/** Made once, on first sight. */
const known = new Map<Activity, Scene | null>();

function pictureOf(activity: Activity): Scene | null {
  const found = known.get(activity);
  if (found !== undefined) return found;
  const tops = topsOf(activity);
  const session = sessionOf({
    activity,
    top: tops.includes(TOP) ? TOP : (tops[0] ?? TOP),
    state: emptyState('', 'middle'),
    name: '',
    today: '2026-01-01',
    seed: activity.id,
  });
  const played = playOut(session, QUESTIONS, seeded(1), () => ({ outcome: 'own', tapped: null }));
  const scene = played.find(({ question }) => question.scene !== null)?.question.scene ?? null;
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
