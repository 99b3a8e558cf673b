import { inject } from '@angular/core';
import type { Thing } from '@gumo/core/vocabulary';
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
import { Things } from './answers';

export const ThingsActions = createActionGroup({
  source: 'Things',
  events: {
    Wanted: emptyProps(),
    Loaded: props<{ things: Thing[] }>(),
    'Load Failed': props<{ message: string }>(),
  },
});

interface ThingsState {
  readonly things: readonly Thing[];
  readonly loaded: boolean;
  readonly failure: string | null;
}

const initial: ThingsState = { things: [], loaded: false, failure: null };

/** The cupboard: every thing of the household. */
export const thingsFeature = createFeature({
  name: 'things',
  reducer: createReducer(
    initial,
    on(ThingsActions.loaded, (_state, { things }): ThingsState => ({
      things,
      loaded: true,
      failure: null,
    })),
    on(ThingsActions.loadFailed, (state, { message }): ThingsState => ({
      ...state,
      failure: message,
    })),
  ),
});

export const loadThings = createEffect(
  (actions = inject(Actions), api = inject(Api)) => {
    return actions.pipe(
      ofType(ThingsActions.wanted),
      switchMap(() =>
        from(api.get('/things', Things)).pipe(
          map((things) => ThingsActions.loaded({ things })),
          catchError((error: Error) => of(ThingsActions.loadFailed({ message: error.message }))),
        ),
      ),
    );
  },
  { functional: true },
);
