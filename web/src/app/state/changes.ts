import { inject } from '@angular/core';
import { Api } from '../common/api';
import { Change } from '@gumo/core/vocabulary';
import { Actions, createEffect, ofType } from '@ngrx/effects';
import { concatLatestFrom } from '@ngrx/operators';
import { type Action, Store } from '@ngrx/store';
import { EMPTY, Observable, from, mergeMap, of, repeat, switchMap } from 'rxjs';
import * as v from 'valibot';
import { ChildrenActions } from './children';
import { DayActions, dayFeature } from './day';
import { HouseholdActions } from './household';
import { Outbox, OutboxActions } from './outbox';
import { ProgressActions, progressFeature } from './progress';
import { MaterialsActions } from './materials';
import { WeekActions, weekFeature } from './week';

/** A line that comes back within this time was never gone. */
const GONE_MS = 3_000;

/** Server-sent events, for as long as someone listens; `open` and `gone` say whether the line is there. */
function events(): Observable<Change | 'open' | 'gone'> {
  return line().pipe(repeat());
}

/** One line; it ends where it was taken by another window, and this one is looked at again. */
function line(): Observable<Change | 'open' | 'gone'> {
  return new Observable((subscriber) => {
    const source = new EventSource('/api/changes?ngsw-bypass');
    let gone: ReturnType<typeof setTimeout> | undefined;
    const lookedAt = (): void => {
      if (document.visibilityState === 'visible') subscriber.complete();
    };
    source.onopen = () => {
      clearTimeout(gone);
      gone = undefined;
      subscriber.next('open');
    };
    source.onerror = () => {
      gone ??= setTimeout(() => subscriber.next('gone'), GONE_MS);
    };
    // Another window of this device took the line: this one waits until somebody looks at it again.
    source.addEventListener('displaced', () => {
      clearTimeout(gone);
      source.close();
      document.addEventListener('visibilitychange', lookedAt);
      window.addEventListener('focus', lookedAt);
    });
    source.onmessage = ({ data }) => {
      const change = v.safeParse(Change, JSON.parse(String(data)));
      if (change.success) subscriber.next(change.output);
    };
    return () => {
      clearTimeout(gone);
      source.close();
      document.removeEventListener('visibilitychange', lookedAt);
      window.removeEventListener('focus', lookedAt);
    };
  });
}

/** What no plan rests on. */
const APART_FROM_PLANS: ReadonlySet<Change['what']> = new Set([
  'evidence',
  'prints',
  'families',
  'samples',
]);

/** What changed on the server, on this or another device, is loaded again where it is on screen. */
export const followChanges = createEffect(
  (
    actions = inject(Actions),
    store = inject(Store),
    outbox = inject(Outbox),
    api = inject(Api),
  ) => {
    return actions.pipe(
      ofType(HouseholdActions.opened),
      switchMap(events),
      concatLatestFrom(() => [
        store.select(dayFeature.selectAnswer),
        store.select(progressFeature.selectByChild),
        store.select(weekFeature.selectFrom),
      ]),
      mergeMap(([change, answer, progress, monday]) => {
        const wanted: Action[] = [];
        const day = answer ? [DayActions.opened({ day: answer.day })] : [];
        if (change === 'gone') return of(OutboxActions.reached({ reachable: false }));
        if (change === 'open') {
          void outbox.flush();
          return of(OutboxActions.reached({ reachable: true }));
        }
        if (api.isOwn(change)) return EMPTY;
        if (change.what === 'children') wanted.push(ChildrenActions.opened(), ...day);
        if (change.what === 'activities' || change.what === 'household') {
          wanted.push(HouseholdActions.libraryChanged());
        }
        if (change.what === 'materials') wanted.push(MaterialsActions.wanted(), ...day);
        if (change.what === 'plan' || change.what === 'day' || change.what === 'sessions') {
          if (change.day === null || change.day === answer?.day) wanted.push(...day);
        }
        // What a plan rests on, or what it holds; what was noted changes only what counts.
        if (monday !== null && !APART_FROM_PLANS.has(change.what)) {
          wanted.push(WeekActions.opened({ from: monday }));
        }
        if (change.what === 'evidence' || change.what === 'children') {
          for (const childId of change.childIds) {
            if (progress[childId]) wanted.push(ProgressActions.wanted({ childId }));
          }
        }
        return from(wanted);
      }),
    );
  },
  { functional: true },
);

/** Once what was noted here has gone out, it is loaded again where it is on screen. */
export const loadAfterDraining = createEffect(
  (actions = inject(Actions), store = inject(Store)) => {
    return actions.pipe(
      ofType(OutboxActions.drained),
      concatLatestFrom(() => [
        store.select(dayFeature.selectAnswer),
        store.select(progressFeature.selectByChild),
      ]),
      mergeMap(([{ childIds }, answer, progress]) =>
        from<Action[]>([
          ...(answer ? [DayActions.opened({ day: answer.day })] : []),
          ...childIds.flatMap((childId) =>
            progress[childId] ? [ProgressActions.wanted({ childId })] : [],
          ),
        ]),
      ),
    );
  },
  { functional: true },
);
