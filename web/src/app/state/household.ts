import { inject } from '@angular/core';
import type { Activity, Household } from '@gumo/core/vocabulary';
import { Actions, createEffect, ofType } from '@ngrx/effects';
import {
  createActionGroup,
  createFeature,
  createReducer,
  createSelector,
  emptyProps,
  on,
  props,
} from '@ngrx/store';
import { catchError, from, map, of, switchMap } from 'rxjs';
import { Api } from '../common/api';
import { Activities, MaybeHousehold } from '@gumo/core/contract';

export const HouseholdActions = createActionGroup({
  source: 'Household',
  events: {
    Opened: emptyProps(),
    'Library Changed': emptyProps(),
    Loaded: props<{ household: Household | null; activities: Activity[] }>(),
    'Load Failed': props<{ message: string }>(),
  },
});

interface HouseholdState {
  readonly household: Household | null;
  readonly activities: readonly Activity[];
  readonly failure: string | null;
}

const initial: HouseholdState = { household: null, activities: [], failure: null };

/** The household's settings and the library of activities. */
export const householdFeature = createFeature({
  name: 'household',
  reducer: createReducer(
    initial,
    on(HouseholdActions.loaded, (_state, { household, activities }): HouseholdState => ({
      household,
      activities,
      failure: null,
    })),
    on(HouseholdActions.loadFailed, (state, { message }): HouseholdState => ({
      ...state,
      failure: message,
    })),
  ),
  extraSelectors: ({ selectHousehold, selectActivities }) => ({
    selectMoments: createSelector(selectHousehold, (household) => household?.moments ?? []),
    selectActivityById: createSelector(
      selectActivities,
      (activities) => new Map(activities.map((activity) => [activity.id, activity])),
    ),
  }),
});

export const loadHousehold = createEffect(
  (actions = inject(Actions), api = inject(Api)) => {
    return actions.pipe(
      ofType(HouseholdActions.opened, HouseholdActions.libraryChanged),
      switchMap(() =>
        from(
          Promise.all([api.get('/household', MaybeHousehold), api.get('/activities', Activities)]),
        ).pipe(
          map(([household, activities]) => HouseholdActions.loaded({ household, activities })),
          catchError((error: Error) => of(HouseholdActions.loadFailed({ message: error.message }))),
        ),
      ),
    );
  },
  { functional: true },
);
