import { inject } from '@angular/core';
import { DaySheet } from '@gumo/core/vocabulary';
import { Actions, createEffect, ofType } from '@ngrx/effects';
import { concatLatestFrom } from '@ngrx/operators';
import {
  Store,
  createActionGroup,
  createFeature,
  createReducer,
  createSelector,
  on,
  props,
} from '@ngrx/store';
import { EMPTY, catchError, concatMap, from, map, of, switchMap } from 'rxjs';
import { Api } from '../common/api';
import { DayAnswer } from './answers';

export const DayActions = createActionGroup({
  source: 'Day',
  events: {
    Opened: props<{ day: string }>(),
    Loaded: props<{ answer: DayAnswer }>(),
    'Load Failed': props<{ message: string }>(),
    'Presence Toggled': props<{ childId: string }>(),
    'Line Ticked': props<{ key: string }>(),
    'Sheet Kept': props<{ day: string }>(),
    'Sheet Refused': props<{ message: string; day: string }>(),
  },
});

interface DayState {
  readonly answer: DayAnswer | null;
  readonly failure: string | null;
  /** Changes of the sheet on their way; until they are kept, what is on screen wins. */
  readonly writing: number;
}

const initial: DayState = { answer: null, failure: null, writing: 0 };

const toggled = (list: readonly string[], one: string): string[] =>
  list.includes(one) ? list.filter((other) => other !== one) : [...list, one];

const withSheet = (state: DayState, change: (sheet: DaySheet) => DaySheet): DayState =>
  state.answer
    ? {
        ...state,
        writing: state.writing + 1,
        answer: { ...state.answer, sheet: change(state.answer.sheet) },
      }
    : state;

/** The day on screen: what is planned, who is away, what lies ready. */
export const dayFeature = createFeature({
  name: 'day',
  reducer: createReducer(
    initial,
    on(DayActions.loaded, (state, { answer }): DayState => ({
      ...state,
      failure: null,
      answer:
        state.writing > 0 && state.answer?.day === answer.day
          ? { ...answer, sheet: state.answer.sheet }
          : answer,
    })),
    on(DayActions.loadFailed, (state, { message }): DayState => ({ ...state, failure: message })),
    on(DayActions.sheetKept, (state): DayState => ({ ...state, writing: state.writing - 1 })),
    on(DayActions.sheetRefused, (state, { message }): DayState => ({
      ...state,
      writing: state.writing - 1,
      failure: message,
    })),
    on(DayActions.presenceToggled, (state, { childId }): DayState =>
      withSheet(state, (sheet) => ({ ...sheet, away: toggled(sheet.away, childId) })),
    ),
    on(DayActions.lineTicked, (state, { key }): DayState =>
      withSheet(state, (sheet) => ({ ...sheet, laidReady: toggled(sheet.laidReady, key) })),
    ),
  ),
  extraSelectors: ({ selectAnswer }) => ({
    selectAway: createSelector(selectAnswer, (answer) => new Set(answer?.sheet.away ?? [])),
    selectTicked: createSelector(selectAnswer, (answer) => new Set(answer?.sheet.laidReady ?? [])),
  }),
});

export const loadDay = createEffect(
  (actions = inject(Actions), api = inject(Api)) => {
    return actions.pipe(
      ofType(DayActions.opened),
      switchMap(({ day }) =>
        from(api.get(`/days/${day}`, DayAnswer)).pipe(
          map((answer) => DayActions.loaded({ answer })),
          catchError((error: Error) => of(DayActions.loadFailed({ message: error.message }))),
        ),
      ),
    );
  },
  { functional: true },
);

/** A tick or a presence is on screen at once and kept behind it. */
export const keepSheet = createEffect(
  (actions = inject(Actions), api = inject(Api), store = inject(Store)) => {
    return actions.pipe(
      ofType(DayActions.presenceToggled, DayActions.lineTicked),
      concatLatestFrom(() => store.select(dayFeature.selectAnswer)),
      concatMap(([, answer]) => {
        if (!answer) return EMPTY;
        const { day, sheet } = answer;
        return from(api.send('PUT', `/days/${day}`, sheet, DaySheet)).pipe(
          map(() => DayActions.sheetKept({ day })),
          catchError((error: Error) =>
            of(DayActions.sheetRefused({ message: error.message, day })),
          ),
        );
      }),
    );
  },
  { functional: true },
);

/** Who is here changes what lies ready. */
export const reloadAfterPresence = createEffect(
  (actions = inject(Actions)) => {
    return actions.pipe(
      ofType(DayActions.sheetKept),
      map(({ day }) => DayActions.opened({ day })),
    );
  },
  { functional: true },
);
