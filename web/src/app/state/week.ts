import { inject } from '@angular/core';
import { Actions, createEffect, ofType } from '@ngrx/effects';
import {
  createActionGroup,
  createFeature,
  createReducer,
  emptyProps,
  on,
  props,
} from '@ngrx/store';
import { catchError, from, map, of, switchMap } from 'rxjs';
import { Api } from '../common/api';
import { Clock } from '../common/clock';
import { WeekAnswer } from '@gumo/core/contract';

export const WeekActions = createActionGroup({
  source: 'Week',
  events: {
    Opened: props<{ from: string }>(),
    Left: emptyProps(),
    Loaded: props<{ answer: WeekAnswer }>(),
    'Load Failed': props<{ message: string }>(),
    /** On screen at once; what the server says of it follows. */
    'Card Moved': props<{ id: string; day: string }>(),
    'Presence Set': props<{ day: string; childId: string; away: boolean }>(),
  },
});

interface WeekState {
  /** The Monday of the week on screen; null while no week is. */
  readonly from: string | null;
  readonly answer: WeekAnswer | null;
  readonly failure: string | null;
}

const initial: WeekState = { from: null, answer: null, failure: null };

/** The week on screen. */
export const weekFeature = createFeature({
  name: 'week',
  reducer: createReducer(
    initial,
    on(WeekActions.opened, (state, { from }): WeekState => ({
      from,
      failure: null,
      answer: state.answer?.sheet.from === from ? state.answer : null,
    })),
    on(WeekActions.left, (): WeekState => initial),
    on(WeekActions.loaded, (state, { answer }): WeekState =>
      answer.sheet.from === state.from ? { ...state, answer, failure: null } : state,
    ),
    on(WeekActions.loadFailed, (state, { message }): WeekState => ({ ...state, failure: message })),
    on(WeekActions.cardMoved, (state, { id, day }): WeekState => ({
      ...state,
      answer: state.answer && {
        ...state.answer,
        entries: state.answer.entries.map((one) => (one.id === id ? { ...one, day } : one)),
      },
    })),
    on(WeekActions.presenceSet, (state, { day, childId, away }): WeekState => ({
      ...state,
      answer: state.answer && {
        ...state.answer,
        days: state.answer.days.map((one) => {
          if (one.day !== day) return one;
          const here = one.here.filter((id) => id !== childId);
          const gone = one.away.filter((id) => id !== childId);
          return away
            ? { ...one, here, away: [...gone, childId] }
            : { ...one, here: [...here, childId], away: gone };
        }),
      },
    })),
  ),
});

export const loadWeek = createEffect(
  (actions = inject(Actions), api = inject(Api), clock = inject(Clock)) => {
    return actions.pipe(
      ofType(WeekActions.opened),
      switchMap(({ from: monday }) =>
        from(api.get(`/weeks/${monday}?now=${clock.time()}`, WeekAnswer)).pipe(
          map((answer) => WeekActions.loaded({ answer })),
          catchError((error: Error) => of(WeekActions.loadFailed({ message: error.message }))),
        ),
      ),
    );
  },
  { functional: true },
);
