import { inject } from '@angular/core';
import { type Child, speaksOf } from '@gumo/core/vocabulary';
import { Actions, createEffect, ofType } from '@ngrx/effects';
import { createEntityAdapter, type EntityState } from '@ngrx/entity';
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
import { Children } from '@gumo/core/contract';
import { HouseholdActions } from './household';

/** False for a child who is known to answer without words. */
export function isSpeaker(
  children: Readonly<Record<string, Child | undefined>>,
  childId: string,
): boolean {
  const child = children[childId];
  return !child || speaksOf(child);
}

export const ChildrenActions = createActionGroup({
  source: 'Children',
  events: {
    Opened: emptyProps(),
    Loaded: props<{ children: Child[] }>(),
    'Load Failed': props<{ message: string }>(),
    Kept: props<{ child: Child }>(),
  },
});

interface ChildrenState extends EntityState<Child> {
  readonly loaded: boolean;
  readonly failure: string | null;
}

const adapter = createEntityAdapter<Child>({
  sortComparer: (a, b) => b.birthDate.localeCompare(a.birthDate) || a.name.localeCompare(b.name),
});
const initial: ChildrenState = adapter.getInitialState({ loaded: false, failure: null });
const { selectAll, selectEntities } = adapter.getSelectors();

/** The children of the household, youngest first. */
export const childrenFeature = createFeature({
  name: 'children',
  reducer: createReducer(
    initial,
    on(ChildrenActions.loaded, (state, { children }): ChildrenState =>
      adapter.setAll(children, { ...state, loaded: true, failure: null }),
    ),
    on(ChildrenActions.loadFailed, (state, { message }): ChildrenState => ({
      ...state,
      failure: message,
    })),
    on(ChildrenActions.kept, (state, { child }): ChildrenState => adapter.setOne(child, state)),
  ),
  extraSelectors: ({ selectChildrenState }) => ({
    selectChildById: createSelector(selectChildrenState, selectEntities),
    selectEveryone: createSelector(selectChildrenState, selectAll),
    selectPresent: createSelector(selectChildrenState, (state) =>
      selectAll(state).filter((child) => !child.archived),
    ),
    selectArchived: createSelector(selectChildrenState, (state) =>
      selectAll(state).filter((child) => child.archived),
    ),
  }),
});

export const loadChildren = createEffect(
  (actions = inject(Actions), api = inject(Api)) => {
    return actions.pipe(
      ofType(HouseholdActions.opened, ChildrenActions.opened),
      switchMap(() =>
        from(api.get('/children', Children)).pipe(
          map((children) => ChildrenActions.loaded({ children })),
          catchError((error: Error) => of(ChildrenActions.loadFailed({ message: error.message }))),
        ),
      ),
    );
  },
  { functional: true },
);
