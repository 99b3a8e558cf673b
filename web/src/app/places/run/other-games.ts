import { LiveAnnouncer } from '@angular/cdk/a11y';
import { Injectable, computed, inject } from '@angular/core';
import { alsoWith } from '@gumo/core/activities';
import type { Activity, Child } from '@gumo/core/vocabulary';
import { Store } from '@ngrx/store';
import { childrenFeature } from '../../state/children';
import { householdFeature } from '../../state/household';
import { RunActions, runFeature } from '../../state/run';

/** A game for the things that lie there, and the range of the child in it. */
export interface Choice {
  readonly activity: Activity;
  readonly top: number;
}

/** Among several children each may play another game with the same things. */
@Injectable()
export class OtherGames {
  private readonly store = inject(Store);
  private readonly announcer = inject(LiveAnnouncer);
  private readonly session = this.store.selectSignal(runFeature.selectSession);
  private readonly activity = this.store.selectSignal(runFeature.selectActivity);
  private readonly activities = this.store.selectSignal(householdFeature.selectActivityById);
  private readonly childById = this.store.selectSignal(childrenFeature.selectChildById);
  private readonly child = this.store.selectSignal(runFeature.selectChild);
  private readonly before = this.store.selectSignal(runFeature.selectBefore);
  readonly played = this.store.selectSignal(runFeature.selectPlayed);

  /** Games by child, from what was known when the session opened: no tap waits for them. */
  private readonly all = computed((): Readonly<Record<string, readonly Choice[]>> => {
    const [session, activity] = [this.session(), this.activity()];
    if (!session || !activity || session.participants.length < 2) return {};
    const known = session.participants.flatMap(({ childId, rangeMax: top }) => {
      const [child, state] = [this.childById()[childId], this.before()[childId]];
      return child && state ? [{ child, state, top }] : [];
    });
    const library = [...this.activities().values()];
    return Object.fromEntries(
      known.map(({ child, state, top }) => [
        child.id,
        [
          { activity, top },
          ...alsoWith(activity, library, [{ child, state }], session.day).map((other) => ({
            activity: other.activity,
            top: other.tops[0] ?? top,
          })),
        ],
      ]),
    );
  });
  /** For the child whose turn it is, beside the one that is on. */
  readonly choices = computed(() =>
    (this.all()[this.child()?.id ?? ''] ?? []).filter(
      ({ activity }) => activity.id !== this.played()?.id,
    ),
  );

  play(child: Child, { activity, top }: Choice): void {
    this.store.dispatch(RunActions.gameChosen({ childId: child.id, activityId: activity.id, top }));
    void this.announcer.announce(`${child.name}: ${activity.title}`);
  }
}
