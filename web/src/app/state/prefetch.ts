import { DOCUMENT, inject } from '@angular/core';
import { addDays } from '@gumo/core/vocabulary';
import { Actions, createEffect, ofType } from '@ngrx/effects';
import { concatLatestFrom } from '@ngrx/operators';
import { Store } from '@ngrx/store';
import { concatMap, debounceTime, filter, fromEvent, map, merge } from 'rxjs';
import { Clock } from '../common/clock';
import { Door } from '../common/door';
import { childrenFeature } from './children';
import { DayActions } from './day';
import { OutboxActions } from './outbox';
import { runFeature } from './run';

/** Days ahead that a device holds, so that it opens next week too while the server is away. */
const DAYS_AHEAD = 7;
const ALL_AGAIN_MS = 10 * 60_000;
const QUIET_MS = 3_000;

/**
 * Asks once more for what today, the tray, quick notes and a child's page are drawn from, so that the device's
 * cache of files has it when the server is away. It asks only where there is such an owner.
 */
export const hold = createEffect(
  (
    actions = inject(Actions),
    store = inject(Store),
    clock = inject(Clock),
    door = inject(Door),
    view = inject(DOCUMENT).defaultView,
  ) => {
    const owner = view?.navigator.serviceWorker as ServiceWorkerContainer | undefined;
    let heldAt = -Infinity;
    let waitsFor = new Set<string>();

    const ofChild = (id: string): string[] => {
      const run = ['evidence', 'pace'];
      const page = door.isOwner() ? ['sessions', 'notes'] : [];
      // Progress is counted here from the evidence, with what waits on this device.
      return [...run, ...page].map((part) => `/children/${id}/${part}`);
    };
    const everything = (ids: readonly string[]): string[] => [
      '/access',
      '/household',
      '/activities',
      '/children',
      '/materials',
      ...Array.from({ length: DAYS_AHEAD }, (_, i) => `/days/${addDays(clock.today(), i)}`),
      ...ids.flatMap(ofChild),
    ];

    return merge(
      actions.pipe(
        ofType(DayActions.loaded),
        map(() => []),
      ),
      actions.pipe(
        ofType(OutboxActions.drained),
        map(({ childIds }) => childIds),
      ),
      ...(owner ? [fromEvent(owner, 'controllerchange').pipe(map(() => []))] : []),
    ).pipe(
      map((ids: readonly string[]) => ids.forEach((id) => waitsFor.add(id))),
      debounceTime(QUIET_MS),
      filter(() => !!owner?.controller),
      concatLatestFrom(() => [
        store.select(childrenFeature.selectPresent),
        store.select(runFeature.selectSession),
      ]),
      concatMap(async ([, children, session]) => {
        const now = clock.now().getTime();
        const all = now - heldAt > ALL_AGAIN_MS;
        const paths = all
          ? everything(children.map(({ id }) => id))
          : [...waitsFor].flatMap(ofChild);
        if (session) paths.push(`/sessions/${session.id}`);
        waitsFor = new Set();
        if (all) heldAt = now;
        for (const path of paths) {
          // One after the other: whoever sits at the screen comes first.
          const answer = await fetch(`/api${path}`).catch(() => null);
          if (!answer?.ok && all) heldAt = -Infinity;
          await answer?.body?.cancel();
        }
      }),
    );
  },
  { functional: true, dispatch: false },
);
