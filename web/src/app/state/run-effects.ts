import { inject } from '@angular/core';
import { type ChildState, emptyState } from '@gumo/core/evidence';
import { Actions, createEffect, ofType } from '@ngrx/effects';
import { concatLatestFrom } from '@ngrx/operators';
import { Store } from '@ngrx/store';
import { EMPTY, catchError, concat, concatMap, from, map, mergeMap, of } from 'rxjs';
import { Api } from '../common/api';
import { Evidence, LastTime } from '@gumo/core/contract';
import { childrenFeature, isSpeaker } from './children';
import { Outbox, outboxFeature } from './outbox';
import { RunActions, runFeature } from './run';
import { evidenceWithWaiting } from './waiting';

/** What is known of each child when a session opens; nothing where the server cannot be reached. */
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
      mergeMap(({ session }) => session.participants.map((participant) => participant.childId)),
      concatLatestFrom(() => [
        store.select(outboxFeature.selectReachable),
        store.select(childrenFeature.selectChildById),
      ]),
      mergeMap(([childId, reachable, children]) =>
        from(load(childId, reachable)).pipe(
          catchError(() => of(emptyState(childId, 'balanced'))),
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
      mergeMap(({ session: { activityId, participants } }) =>
        participants.map(({ childId }) => ({ childId, activityId })),
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
        RunActions.undone,
        RunActions.rangeSet,
        RunActions.ended,
      ),
      concatLatestFrom(() => [
        store.select(runFeature.selectSession),
        store.select(runFeature.selectKept),
      ]),
      concatMap(([action, session, kept]) => {
        switch (action.type) {
          case RunActions.resumed.type:
            sent = action.session.id;
            return EMPTY;
          case RunActions.noted.type: {
            const { observation } = action;
            const begins = session !== null && sent !== session.id;
            if (begins) sent = session.id;
            return begins
              ? concat(
                  outbox.put({ kind: 'session', session }),
                  outbox.put({ kind: 'observation', observation }),
                )
              : outbox.put({ kind: 'observation', observation });
          }
          case RunActions.undone.type:
            return outbox.put({ kind: 'voiding', voiding: action.voiding });
          case RunActions.rangeSet.type:
            return session && kept
              ? outbox.put({
                  kind: 'range',
                  sessionId: session.id,
                  move: { childId: action.childId, rangeMax: action.top },
                })
              : EMPTY;
          case RunActions.ended.type:
            return sent === action.sessionId
              ? outbox.put({ kind: 'end', sessionId: action.sessionId, end: action.end })
              : EMPTY;
        }
      }),
    );
  },
  { functional: true, dispatch: false },
);
