import { DayPlanned, DayPlanning, LeftAnswer, NowAnswer } from '@gumo/core/contract';
import {
  type Card,
  cardOf,
  checkWeek,
  chosenCards,
  entryOf,
  forDay,
  inFiveMinutes,
  momentAt,
  shortReason,
  termsOn,
} from '@gumo/core/planning';
import { ClockTime, Day, PlanEntry, addDays, mondayOf } from '@gumo/core/vocabulary';
import { Router } from 'express';
import * as v from 'valibot';
import { refuseDanger } from '../services/planning/refuse-danger.js';
import { keepPlan } from '../services/planning/keep-plan.js';
import { refuse } from '../services/planning/plan-week.js';
import { checked, notFound } from '../faults.js';
import { weekOf } from '../services/planning/week-facts.js';
import { type Context, param } from './context.js';
import { answer } from './answer.js';

const Minutes = v.pipe(
  v.string(),
  v.transform(Number),
  v.number(),
  v.integer('must be a whole number'),
  v.minValue(1, 'must be at least 1'),
  v.maxValue(60, 'must be at most 60'),
);
const Now = v.object({ now: ClockTime, minutes: v.optional(Minutes) });
/** Steps of the search for one day, which is small. */
const DAY_STEPS = 150;
const FIVE = 5;
/** How far back what was left undone is brought up again. */
const LEFT_DAYS = 7;

/** A day that runs: planned again around what stands, a few minutes filled, what was left undone. */
export function todayRoutes(context: Context): Router {
  const { store, planner } = context;
  const router = Router();

  /** Plans the rest of a day again around what is pinned, begun or done. */
  router.post('/:day/plan', async (request, response) => {
    const day = checked(Day, param(request, 'day'));
    const { now = null } = checked(DayPlanning, request.body);
    const build = () => forDay(weekOf(context, mondayOf(day), now), day);
    const week = build();
    refuse(week, day);
    const found = await planner.run(day, { model: week.model, steps: DAY_STEPS });
    keepPlan(context, week, build(), found, day);
    const d = week.model.days.findIndex((one) => one.day === day);
    const cards = chosenCards(week.model, found.cards).filter((card) => card.day === d);
    answer(response, DayPlanned, { cards: cards.length, notes: checkWeek(week, day).notes });
  });

  /** Three things for the next few minutes, with those who are here. */
  router.get('/:day/now', (request, response) => {
    const day = checked(Day, param(request, 'day'));
    const { now, minutes = FIVE } = checked(Now, request.query);
    const week = weekOf(context, mondayOf(day), now);
    const d = week.model.days.findIndex((one) => one.day === day);
    const moment = week.model.moments[momentAt(week.model.moments, now)];
    const cardsIn = (states: readonly PlanEntry['state'][]): Card[] =>
      week.facts.entries
        .filter((one) => states.includes(one.state) && one.day <= day)
        .flatMap((one) => cardOf(week, one) ?? []);
    const given = cardsIn(['begun', 'done']);
    const planned = cardsIn(['planned']).filter((card) => card.day === d);
    const found = inFiveMinutes(week.model, given, planned, { day: d, now, minutes });
    answer(response, NowAnswer, {
      moment: moment ? { id: moment.id, name: moment.name } : null,
      offers: found.map((offer, i) => ({
        entry: entryOf(week, offer, `00000000-0000-4000-8000-00000000000${i}`),
        because: shortReason(week, offer),
      })),
    });
  });

  /** Cards of the last days that were planned and never begun. */
  router.get('/:day/left', (request, response) => {
    const day = checked(Day, param(request, 'day'));
    const before = Array.from({ length: LEFT_DAYS }, (_, i) => addDays(day, i - LEFT_DAYS));
    const today = store.plan.ofDay(day);
    const again = (activityId: string): boolean =>
      today.some((entry) => entry.activityId === activityId && entry.state !== 'left');
    answer(
      response,
      LeftAnswer,
      [...before, day]
        .flatMap((one) => store.plan.ofDay(one))
        .filter((entry) => entry.state === 'left' || (entry.state === 'planned' && entry.day < day))
        .filter((entry) => !again(entry.activityId)),
    );
  });

  /** Brings a card that was left undone into this day. */
  router.post('/:day/left/:id', (request, response) => {
    const day = checked(Day, param(request, 'day'));
    const entry = store.plan.find(param(request, 'id'));
    if (!entry) throw notFound('plan entry');
    const week = weekOf(context, mondayOf(day), checked(DayPlanning, request.body).now ?? null);
    const card = cardOf(week, { ...entry, day });
    const [fit] = card ? termsOn(week.model, card.activity, card.day).moments : [];
    const [any] = week.model.activities[card?.activity ?? -1]?.moments ?? [];
    const moment = fit ?? any;
    const momentId = week.model.moments[moment ?? -1]?.id ?? entry.momentId;
    const next: PlanEntry = { ...entry, day, momentId, state: 'planned', pinned: true };
    refuseDanger(context, next);
    answer(response, PlanEntry, store.plan.replace(next));
    context.changes.tell({ what: 'plan', childIds: [], day: null });
  });

  return router;
}
