import { inject } from '@angular/core';
import { Actions, createEffect, ofType } from '@ngrx/effects';
import { Store, createActionGroup, createFeature, createReducer, on, props } from '@ngrx/store';
import { catchError, from, map, mergeMap, of } from 'rxjs';
import { Api, Unreachable } from '../common/api';
import { Clock } from '../common/clock';
import { Evidence, ProgressAnswer } from '@gumo/core/contract';
import { childrenFeature, isSpeaker } from './children';
import { Outbox } from './outbox';
import { progressWithWaiting } from './waiting';

export const ProgressActions = createActionGroup({
  source: 'Progress',
  events: {
    Wanted: props<{ childId: string }>(),
    Loaded: props<{ answer: ProgressAnswer }>(),
    'Load Failed': props<{ childId: string; message: string }>(),
  },
});

interface ProgressState {
  readonly byChild: Readonly<Record<string, ProgressAnswer>>;
  readonly failures: Readonly<Record<string, string>>;
}

const initial: ProgressState = { byChild: {}, failures: {} };

/** What is concluded about each child, as the server last said. */
export const progressFeature = createFeature({
  name: 'progress',
  reducer: createReducer(
    initial,
    on(ProgressActions.loaded, (state, { answer }): ProgressState => ({
      byChild: { ...state.byChild, [answer.childId]: answer },
      failures: { ...state.failures, [answer.childId]: '' },
    })),
    on(ProgressActions.loadFailed, (state, { childId, message }): ProgressState => ({
      ...state,
      failures: { ...state.failures, [childId]: message },
    })),
  ),
});

export const loadProgress = createEffect(
  (
    actions = inject(Actions),
    api = inject(Api),
    clock = inject(Clock),
    outbox = inject(Outbox),
    store = inject(Store),
  ) => {
    const children = store.selectSignal(childrenFeature.selectChildById);
    const load = async (childId: string): Promise<ProgressAnswer> => {
      const today = clock.today();
      try {
        return await api.get(`/children/${childId}/progress?today=${today}`, ProgressAnswer);
      } catch (error) {
        if (!(error instanceof Unreachable)) throw error;
        const state = await api.get(`/children/${childId}/evidence`, Evidence);
        const speaks = isSpeaker(children(), childId);
        return progressWithWaiting(state, await outbox.waiting(), today, speaks);
      }
    };
    return actions.pipe(
      ofType(ProgressActions.wanted),
      mergeMap(({ childId }) =>
        from(load(childId)).pipe(
          map((answer) => ProgressActions.loaded({ answer })),
          catchError((error: Error) =>
            of(ProgressActions.loadFailed({ childId, message: error.message })),
          ),
        ),
      ),
    );
  },
  { functional: true },
);
