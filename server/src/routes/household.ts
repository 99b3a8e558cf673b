import { Household } from '@gumo/core/vocabulary';
import { Router } from 'express';
import { checked, notFound, wrongField } from '../problems.js';
import type { Context } from './context.js';

/** The household's settings: read, and changed as a whole with their version. */
export function householdRoutes({ store, changes }: Context): Router {
  const router = Router();

  router.get('/', (_request, response) => {
    response.json(store.household.all()[0] ?? null);
  });

  router.put('/', (request, response) => {
    const household = checked(Household, request.body);
    const known = store.household.all()[0];
    if (!known) throw notFound('household');
    if (known.id !== household.id) throw wrongField('id', 'is not the one of this household');
    response.json(store.household.replace(household));
    changes.tell({ what: 'household', childIds: [], day: null });
  });

  return router;
}
