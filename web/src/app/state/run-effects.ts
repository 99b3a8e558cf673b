import { inject } from '@angular/core';
import { type ChildState, emptyState } from '@gumo/core/evidence';
import { Actions, createEffect, ofType } from '@ngrx/effects';
import { concatLatestFrom } from '@ngrx/operators';
import { Store } from '@ngrx/store';
import { EMPTY, catchError, concat, concatMap, from, map, mergeMap, of } from 'rxjs';
import { Api } from '../common/api';
import { Evidence, LastTime } from './answers';
import { childrenFeature, isSpeaker } from './children';
import { Outbox, outboxFeature } from './outbox';
import { RunActions, runFeature } from './run';
import { evidenceWithWaiting } from './waiting';

/** What is known of each child when a sitting opens; nothing where the server cannot be reached. */
export const loadEvidence = createEffect(
  (
    actions = inject(Actions),
    api = inject(Api),
    outbox = inject(Outbox),
    store = inject(Store),
  ) => {
    const load = async (childId: string, reachable: boolean): Promise<ChildState> => {
      const state = await api.get(`/children/${childId}/evidence`, Evidence);
      return reachable ? state : evidenceWithWaiting(state, await outbox.waiting());
    };
    return actions.pipe(
      ofType(RunActions.begun, RunActions.resumed),
      mergeMap(({ sitting }) => sitting.takers.map((taker) => taker.childId)),
      concatLatestFrom(() => [
        store.select(outboxFeature.selectReachable),
        store.select(childrenFeature.selectChildById),
      ]),
      mergeMap(([childId, reachable, children]) =>
        from(load(childId, reachable)).pipe(
          catchError(() => of(emptyState(childId, 'middle'))),
          map((state) =>
            RunActions.evidenceLoaded({ state, speaks: isSpeaker(children, childId) }),
          ),
        ),
      ),
    );
  },
  { functional: true },
);

/** How the same activity went the last time, for the line to open with; nothing without the server. */
export const loadLastTime = createEffect(
  (actions = inject(Actions), api = inject(Api)) => {
    return actions.pipe(
      ofType(RunActions.begun),
      mergeMap(({ sitting: { activityId, takers } }) =>
        takers.map(({ childId }) => ({ childId, activityId })),
      ),
      mergeMap(({ childId, activityId }) =>
        from(api.get(`/children/${childId}/last-time?activity=${activityId}`, LastTime)).pipe(
          mergeMap(({ words }) =>
            words === null ? EMPTY : of(RunActions.lastTimeLoaded({ childId, words })),
          ),
          catchError(() => EMPTY),
        ),
      ),
    );
  },
  { functional: true },
);

/** Everything noted goes through the outbox, in order; the session itself with its first record. */
export const keepRun = createEffect(
  (actions = inject(Actions), outbox = inject(Outbox), store = inject(Store)) => {
    let sent: string | null = null;
    return actions.pipe(
      ofType(
        RunActions.resumed,
        RunActions.noted,
        RunActions.takenBack,
        RunActions.rangeSet,
        RunActions.ended,
      ),
      concatLatestFrom(() => [
        store.select(runFeature.selectSitting),
        store.select(runFeature.selectKept),
      ]),
      concatMap(([action, sitting, kept]) => {
        switch (action.type) {
          case RunActions.resumed.type:
            sent = action.sitting.id;
            return EMPTY;
          case RunActions.noted.type: {
            const { observation } = action;
            const begins = sitting !== null && sent !== sitting.id;
            if (begins) sent = sitting.id;
            return begins
              ? concat(
                  outbox.put({ kind: 'sitting', sitting }),
                  outbox.put({ kind: 'observation', observation }),
                )
              : outbox.put({ kind: 'observation', observation });
          }
          case RunActions.takenBack.type:
            return outbox.put({ kind: 'voiding', voiding: action.voiding });
          case RunActions.rangeSet.type:
            return sitting && kept
              ? outbox.put({
                  kind: 'range',
                  sittingId: sitting.id,
                  move: { childId: action.childId, top: action.top },
                })
              : EMPTY;
          case RunActions.ended.type:
            return sent === action.sittingId
              ? outbox.put({ kind: 'end', sittingId: action.sittingId, end: action.end })
              : EMPTY;
        }
      }),
    );
  },
  { functional: true, dispatch: false },
);
