import { inject } from '@angular/core';
import type { Material } from '@gumo/core/vocabulary';
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
import { MaterialList } from '@gumo/core/contract';

export const MaterialsActions = createActionGroup({
  source: 'Materials',
  events: {
    Wanted: emptyProps(),
    Loaded: props<{ materials: Material[] }>(),
    'Load Failed': props<{ message: string }>(),
  },
});

interface MaterialsState {
  readonly materials: readonly Material[];
  readonly loaded: boolean;
  readonly failure: string | null;
}

const initial: MaterialsState = { materials: [], loaded: false, failure: null };

/** The materials: every thing of the household. */
export const materialsFeature = createFeature({
  name: 'materials',
  reducer: createReducer(
    initial,
    on(MaterialsActions.loaded, (_state, { materials }): MaterialsState => ({
      materials,
      loaded: true,
      failure: null,
    })),
    on(MaterialsActions.loadFailed, (state, { message }): MaterialsState => ({
      ...state,
      failure: message,
    })),
  ),
});

export const loadMaterials = createEffect(
  (actions = inject(Actions), api = inject(Api)) => {
    return actions.pipe(
      ofType(MaterialsActions.wanted),
      switchMap(() =>
        from(api.get('/materials', MaterialList)).pipe(
          map((materials) => MaterialsActions.loaded({ materials })),
          catchError((error: Error) => of(MaterialsActions.loadFailed({ message: error.message }))),
        ),
      ),
    );
  },
  { functional: true },
);
