import { inject } from '@angular/core';
import type { DayMark, DaySheet } from '@gumo/core/vocabulary';
import { Actions, createEffect, ofType } from '@ngrx/effects';
import { concatLatestFrom } from '@ngrx/operators';
import {
  Store,
  createActionGroup,
  createFeature,
  createReducer,
  createSelector,
  emptyProps,
  on,
  props,
} from '@ngrx/store';
import { EMPTY, catchError, concatMap, from, map, of, switchMap } from 'rxjs';
import { Api } from '../common/api';
import { DayAnswer } from '@gumo/core/contract';
import { Outbox } from './outbox';
import { dayWithWaiting } from './waiting';

export const DayActions = createActionGroup({
  source: 'Day',
  events: {
    Opened: props<{ day: string }>(),
    Loaded: props<{ answer: DayAnswer }>(),
    'Load Failed': props<{ message: string }>(),
    'Presence Toggled': props<{ childId: string }>(),
    'Line Ticked': props<{ key: string }>(),
    'Sheet Kept': emptyProps(),
  },
});

interface DayState {
  readonly answer: DayAnswer | null;
  readonly failure: string | null;
  /** Marks on their way to the outbox; until they are there, what is on screen wins. */
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
    on(DayActions.presenceToggled, (state, { childId }): DayState =>
      withSheet(state, (sheet) => ({ ...sheet, away: toggled(sheet.away, childId) })),
    ),
    on(DayActions.lineTicked, (state, { key }): DayState =>
      withSheet(state, (sheet) => ({ ...sheet, gotReady: toggled(sheet.gotReady, key) })),
    ),
  ),
  extraSelectors: ({ selectAnswer }) => ({
    selectAway: createSelector(selectAnswer, (answer) => new Set(answer?.sheet.away ?? [])),
    selectTicked: createSelector(selectAnswer, (answer) => new Set(answer?.sheet.gotReady ?? [])),
  }),
});

/** What is planned for the day and for whom, as text: the same as long as nothing of it changed. */
export const selectPlanned = createSelector(dayFeature.selectAnswer, (answer) =>
  answer ? JSON.stringify([answer.day, answer.entries, answer.sheet.away]) : null,
);

export const loadDay = createEffect(
  (actions = inject(Actions), api = inject(Api), outbox = inject(Outbox)) => {
    return actions.pipe(
      ofType(DayActions.opened),
      switchMap(({ day }) =>
        from(
          api
            .get(`/days/${day}`, DayAnswer)
            .then(async (answer) => dayWithWaiting(answer, await outbox.waiting())),
        ).pipe(
          map((answer) => DayActions.loaded({ answer })),
          catchError((error: Error) => of(DayActions.loadFailed({ message: error.message }))),
        ),
      ),
    );
  },
  { functional: true },
);

/** A tick or a presence is on screen at once, kept on the device, and sent behind it. */
export const keepSheet = createEffect(
  (actions = inject(Actions), outbox = inject(Outbox), store = inject(Store)) => {
    return actions.pipe(
      ofType(DayActions.presenceToggled, DayActions.lineTicked),
      concatLatestFrom(() => store.select(dayFeature.selectAnswer)),
      concatMap(([action, answer]) => {
        if (!answer) return EMPTY;
        const { day, sheet } = answer;
        const mark: DayMark =
          action.type === DayActions.presenceToggled.type
            ? { what: 'away', childId: action.childId, on: sheet.away.includes(action.childId) }
            : { what: 'ready', key: action.key, on: sheet.gotReady.includes(action.key) };
        return from(outbox.put({ kind: 'mark', day, mark })).pipe(
          map(() => DayActions.sheetKept()),
        );
      }),
    );
  },
  { functional: true },
);
