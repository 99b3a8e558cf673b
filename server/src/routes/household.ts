import { MaybeHousehold, MomentCards, MomentClearing } from '@gumo/core/contract';
import { Household, type PlanEntry } from '@gumo/core/vocabulary';
import { Router } from 'express';
import { refuseDanger } from '../services/planning/refuse-danger.js';
import { Fault, checked, notFound, wrongField } from '../faults.js';
import { type Context, param } from './context.js';
import { activityIn } from '../services/needs.js';
import { answer } from './answer.js';

/** The household's settings: read, and changed as a whole with their version. */
export function householdRoutes(context: Context): Router {
  const { store, changes } = context;
  const router = Router();

  /** What is still to come in a moment, in the order of its days. */
  const status = (momentId: string): PlanEntry[] =>
    store.plan
      .all()
      .filter(
        ({ momentId: id, day, state }) =>
          id === momentId && day >= context.today() && (state === 'planned' || state === 'begun'),
      )
      .sort((a, b) => a.day.localeCompare(b.day));
  const titleOf = ({ activityId }: PlanEntry): string =>
    activityIn(store, activityId)?.title ?? 'an activity';

  router.get('/', (_request, response) => {
    answer(response, MaybeHousehold, store.household.all()[0] ?? null);
  });

  router.put('/', (request, response) => {
    const household = checked(Household, request.body);
    const known = store.household.all()[0];
    if (!known) throw notFound('household');
    if (known.id !== household.id) throw wrongField('id', 'is not the one of this household');
    for (const moment of known.moments) {
      if (household.moments.some((one) => one.id === moment.id)) continue;
      const cards = status(moment.id);
      if (cards.length === 0) continue;
      const many = cards.length === 1 ? 'one card' : `${cards.length} cards`;
      throw wrongField(
        'moments',
        `still need ${moment.name}: ${many} to come in it (${titleOf(cards[0] as PlanEntry)} on ${cards[0]?.day}); move or cancel first`,
      );
    }
    answer(response, Household, store.household.replace(household));
    changes.tell({ what: 'household', childIds: [], day: null });
  });

  /** What stands in a moment and is still to come. */
  router.get('/moments/:id/cards', (request, response) => {
    answer(
      response,
      MomentCards,
      status(param(request, 'id')).map((entry) => ({
        id: entry.id,
        day: entry.day,
        title: titleOf(entry),
      })),
    );
  });

  /** Moves what is still to come in a moment to another one, or cancels it. */
  router.post('/moments/:id/clear', (request, response) => {
    const { to } = checked(MomentClearing, request.body);
    const cards = status(param(request, 'id'));
    const moments = store.household.all()[0]?.moments ?? [];
    if (to !== null && !moments.some((one) => one.id === to)) {
      throw wrongField('to', 'is not a moment of this household');
    }
    const begun = cards.find((one) => one.state === 'begun');
    if (to === null && begun) {
      throw new Fault('impossible', `${titleOf(begun)} was begun: end it, or move it.`, [
        { field: 'to', message: 'must be a moment, as one card was begun' },
      ]);
    }
    store.atomically(() => {
      for (const entry of cards) {
        if (to === null) {
          store.plan.remove(entry.id);
          continue;
        }
        const moved = { ...entry, momentId: to };
        refuseDanger(context, moved);
        store.plan.replace(moved);
      }
    });
    response.json({ cards: cards.length });
    changes.tell({ what: 'plan', childIds: [], day: null });
  });

  return router;
}
