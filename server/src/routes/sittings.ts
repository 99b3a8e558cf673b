import { FIRST_LOOK } from '@gumo/core/evidence';
import {
  type Impossible,
  RangeMove,
  Sitting,
  SittingEnd,
  impossibleDay,
  impossibleEnd,
  inRange,
} from '@gumo/core/vocabulary';
import { Router } from 'express';
import { checked, notFound, wrongField } from '../problems.js';
import { type Context, param, refuseImpossible } from './context.js';
import { activityIn } from './cupboard.js';

/** The same fault at the field of an end. */
const endDay = (found: Impossible | null): Impossible | null =>
  found && { ...found, field: 'endedAt' };

/** Sittings: begun, noted in, ended. */
export function sittingsRoutes(context: Context): Router {
  const { store, changes } = context;
  const router = Router();

  const find = (id: string): Sitting => {
    const sitting = store.sittings.find(id);
    if (!sitting) throw notFound('sitting');
    return sitting;
  };

  function move(sitting: Sitting, state: 'begun' | 'done'): void {
    const entry = sitting.planEntryId === null ? undefined : store.plan.find(sitting.planEntryId);
    if (entry && entry.state !== state && entry.state !== 'done') {
      store.plan.replace({ ...entry, state });
    }
  }

  const tell = (sitting: Sitting): void =>
    changes.tell({
      what: 'sittings',
      childIds: sitting.takers.map((taker) => taker.childId),
      day: sitting.day,
    });

  router.put('/:id', (request, response) => {
    const sitting = checked(Sitting, request.body);
    if (sitting.id !== param(request, 'id')) {
      throw wrongField('id', 'is not the one in the address');
    }
    if (sitting.activityId !== FIRST_LOOK && !activityIn(store, sitting.activityId)) {
      throw wrongField('activityId', 'is not an activity here');
    }
    sitting.takers.forEach((taker, i) => {
      if (!store.children.find(taker.childId)) {
        throw wrongField(`takers.${i}.childId`, 'is not a child here');
      }
    });
    refuseImpossible(
      impossibleDay({ day: sitting.day, at: sitting.startedAt }, null, context.today()),
    );
    refuseImpossible(impossibleEnd(sitting.startedAt, sitting.endedAt));
    const isNew = store.atomically(() => {
      const added = store.sittings.add(sitting);
      if (added) move(sitting, 'begun');
      return added;
    });
    response.status(isNew ? 201 : 200).json(find(sitting.id));
    if (isNew) tell(sitting);
  });

  router.post('/:id/end', (request, response) => {
    const end = checked(SittingEnd, request.body);
    const sitting = find(param(request, 'id'));
    refuseImpossible(impossibleEnd(sitting.startedAt, end.endedAt));
    refuseImpossible(
      endDay(impossibleDay({ day: sitting.day, at: end.endedAt }, null, context.today())),
    );
    store.atomically(() => {
      store.sittings.end(sitting.id, end);
      move(sitting, 'done');
    });
    response.json(find(sitting.id));
    tell(sitting);
  });

  router.post('/:id/range', (request, response) => {
    const move = checked(RangeMove, request.body);
    const sitting = find(param(request, 'id'));
    if (!sitting.takers.some((taker) => taker.childId === move.childId)) {
      throw wrongField('childId', 'is not in this sitting');
    }
    store.sittings.putTakers(inRange(sitting, move));
    response.json(find(sitting.id));
    tell(sitting);
  });

  router.get('/:id', (request, response) => {
    const sitting = find(param(request, 'id'));
    response.json({ sitting, observations: store.facts.ofSitting(sitting.id) });
  });

  return router;
}
