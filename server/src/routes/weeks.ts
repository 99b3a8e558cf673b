import {
  ActivityBan,
  AwayMark,
  CardMove,
  CardSwap,
  CardWhy,
  Copied,
  MovedCard,
  PlanJob,
  WeekAnswer,
  WeekOpening,
  WeekPlanning,
} from '@gumo/core/contract';
import { openingIn } from '@gumo/core/planning';
import { ClockTime, type Day, PlanEntry, Version, WeekSheet } from '@gumo/core/vocabulary';
import { Router } from 'express';
import * as v from 'valibot';
import { checked, wrongField } from '../faults.js';
import {
  banActivity,
  copyWeek,
  leaveEmpty,
  markAway,
  moveCard,
  swapCard,
} from '../services/planning/change-week.js';
import type { WeekPlans } from '../services/planning/plan-week.js';
import { boardOf, whyCard } from '../services/planning/week-board.js';
import { weekOf } from '../services/planning/week-facts.js';
import { type Context, param } from './context.js';
import { answer } from './answer.js';

const Monday = WeekSheet.entries.from;
const At = v.object({ now: v.optional(ClockTime) });

/** Weeks: the board with its days, how good it is, and what can be done with a card. */
export function weeksRoutes(context: Context, plans: WeekPlans): Router {
  const { store, changes } = context;
  const router = Router();
  const tell = (day: Day | null): void => changes.tell({ what: 'plan', childIds: [], day });
  const fromOf = (request: Parameters<typeof param>[0]): Day =>
    checked(v.object({ from: Monday }), { from: param(request, 'from') }).from;

  router.get('/:from', (request, response) => {
    const { now = null } = checked(At, request.query);
    answer(response, WeekAnswer, boardOf(context, weekOf(context, fromOf(request), now)));
  });

  router.get('/:from/opening', (request, response) => {
    answer(response, WeekOpening, openingIn(weekOf(context, fromOf(request)).model));
  });

  /** Closed days, activities left out, places left empty; what a plan is worth is not for writing. */
  router.put('/:from', (request, response) => {
    const sheet = checked(WeekSheet, request.body);
    if (sheet.from !== param(request, 'from')) {
      throw wrongField('from', 'is not the one in the address');
    }
    const { worth } = store.weeks.find(sheet.from);
    answer(response, WeekSheet, store.weeks.put({ ...sheet, worth }));
    tell(null);
  });

  router.post('/:from/plan', (request, response) => {
    const { now = null, steps } = checked(WeekPlanning, request.body);
    const job = plans.begin(fromOf(request), now, steps);
    answer(response, PlanJob, { id: job.id, of: job.of }, 202);
  });

  router.post('/:from/copy', (request, response) => {
    answer(response, Copied, copyWeek(context, weekOf(context, fromOf(request))));
    tell(null);
  });

  router.get('/:from/cards/:id/why', (request, response) => {
    const { now = null } = checked(At, request.query);
    const week = weekOf(context, fromOf(request), now);
    answer(response, CardWhy, whyCard(context, week, param(request, 'id')));
  });

  router.post('/:from/cards/:id/swap', (request, response) => {
    const swap = checked(CardSwap, request.body);
    const week = weekOf(context, fromOf(request));
    const next = swapCard(context, week, { id: param(request, 'id'), ...swap });
    answer(response, PlanEntry, next);
    tell(next.day);
  });

  router.post('/:from/away', (request, response) => {
    const mark = checked(AwayMark, request.body);
    markAway(context, mark);
    response.status(204).end();
    changes.tell({ what: 'day', childIds: [], day: mark.day });
  });

  router.post('/:from/cards/:id/empty', (request, response) => {
    const { version } = checked(v.object({ version: Version }), request.body);
    leaveEmpty(context, weekOf(context, fromOf(request)), { id: param(request, 'id'), version });
    response.status(204).end();
    tell(null);
  });

  router.post('/:from/ban', (request, response) => {
    const { activityId } = checked(ActivityBan, request.body);
    banActivity(context, weekOf(context, fromOf(request)), activityId);
    response.status(204).end();
    tell(null);
  });

  router.post('/:from/cards/:id/move', (request, response) => {
    const move = checked(CardMove, request.body);
    const week = weekOf(context, fromOf(request));
    answer(response, MovedCard, moveCard(context, week, { id: param(request, 'id'), ...move }));
    tell(null);
  });

  return router;
}
