import { PlanEntry, PlanEntryDraft, Version } from '@gumo/core/vocabulary';
import { Router } from 'express';
import * as v from 'valibot';
import { refuseDanger } from '../services/planning/refuse-danger.js';
import { checked, notFound, outdated, wrongField } from '../faults.js';
import { type Context, param } from './context.js';
import { activityIn } from '../services/needs.js';
import { answer } from './answer.js';

const VersionQuery = v.object({ version: v.pipe(v.string(), v.transform(Number), Version) });

/** True where a change touches what may endanger: activity, day, moment, children, or that it is planned. */
const isElsewhere = (before: PlanEntry, after: PlanEntry): boolean =>
  (['activityId', 'day', 'momentId', 'state'] as const).some((key) => before[key] !== after[key]) ||
  after.participants.some(
    ({ childId }) => !before.participants.some((one) => one.childId === childId),
  );

/** Entries of the plan: one activity in one moment of one day. */
export function planRoutes(context: Context): Router {
  const { store, changes } = context;
  const router = Router();

  function checkKnown(entry: PlanEntryDraft, before?: PlanEntry): void {
    if (!activityIn(store, entry.activityId))
      throw wrongField('activityId', 'is not an activity here');
    const moments = store.household.all()[0]?.moments ?? [];
    const moment = moments.find((one) => one.id === entry.momentId);
    if (!moment) throw wrongField('momentId', 'is not a moment of this household');
    if (entry.minutes > moment.minutes && entry.minutes !== before?.minutes) {
      throw wrongField(
        'minutes',
        `must be at most ${moment.minutes}: ${moment.name} takes no longer`,
      );
    }
    entry.participants.forEach((participant, i) => {
      if (!store.children.find(participant.childId)) {
        throw wrongField(`participants.${i}.childId`, 'is not a child here');
      }
    });
  }

  const tell = (day: string): void => changes.tell({ what: 'plan', childIds: [], day });

  router.post('/', (request, response) => {
    const draft = checked(PlanEntryDraft, request.body);
    checkKnown(draft);
    const fresh: PlanEntry = { ...draft, state: 'planned', version: 1 };
    refuseDanger(context, fresh);
    const entry = store.plan.add(fresh);
    answer(response, PlanEntry, entry, 201);
    tell(entry.day);
  });

  router.put('/:id', (request, response) => {
    const entry = checked(PlanEntry, request.body);
    if (entry.id !== param(request, 'id')) {
      throw wrongField('id', 'is not the one in the address');
    }
    const before = store.plan.find(entry.id);
    if (!before) throw notFound('plan entry');
    checkKnown(entry, before);
    if (before.state === 'done' && entry.day !== before.day) {
      throw wrongField('day', 'stays as it is: what was done was done on its day');
    }
    if (isElsewhere(before, entry)) refuseDanger(context, entry);
    answer(response, PlanEntry, store.plan.replace(entry));
    tell(entry.day);
  });

  router.delete('/:id', (request, response) => {
    const { version } = checked(VersionQuery, request.query);
    const entry = store.plan.find(param(request, 'id'));
    if (!entry) throw notFound('plan entry');
    if (entry.version !== version) throw outdated(entry);
    store.plan.remove(entry.id);
    response.status(204).end();
    tell(entry.day);
  });

  return router;
}
