import { randomUUID } from 'node:crypto';
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
import {
  type Card,
  type PlannedWeek,
  alternativesTo,
  cardOf,
  changedWords,
  checkWeek,
  coverageOf,
  entryOf,
  meanwhileWords,
  momentFor,
  openingIn,
  reasonFor,
  shareWords,
  unservedIn,
  violationsOf,
  weekWords,
} from '@gumo/core/planning';
import {
  ClockTime,
  type Day,
  PlanEntry,
  Version,
  WeekSheet,
  addDays,
  weekdayNumber,
  closureOn,
} from '@gumo/core/vocabulary';
import type { NeedLine } from '@gumo/core/materials';
import { Router } from 'express';
import * as v from 'valibot';
import type { WeekPlans } from '../planning/week-plans.js';
import { Problem, checked, notFound, outdated, wrongField } from '../problems.js';
import { weekOf } from '../week.js';
import { type Context, param } from './context.js';
import { cautionsFor, needsFor } from './materials.js';
import { answer } from './answer.js';

const Monday = WeekSheet.entries.from;
const At = v.object({ now: v.optional(ClockTime) });
const DAYS = 7;

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

  /** Last week's cards once more, where they may stand and nothing else does. */
  router.post('/:from/copy', (request, response) => {
    const from = fromOf(request);
    const before = Array.from({ length: DAYS }, (_, i) =>
      store.plan.ofDay(addDays(from, i - DAYS)),
    );
    const copied = before.flat().filter((entry) => entry.state !== 'left' && !entry.invitation);
    if (copied.length === 0) throw new Problem(422, 'Last week has no cards to copy.');
    const left: string[] = [];
    let count = 0;
    const week = weekOf(context, from);
    const status = cardsOf(week);
    store.atomically(() => {
      for (const entry of copied) {
        const fresh: PlanEntry = {
          ...entry,
          id: randomUUID(),
          day: addDays(entry.day, DAYS),
          state: 'planned',
          pinned: false,
          version: 1,
        };
        const away = store.days.find(fresh.day).away;
        const participants = fresh.participants.filter(
          (participant) => !away.includes(participant.childId),
        );
        const card = participants.length > 0 ? cardOf(week, { ...fresh, participants }) : null;
        const broken = card ? violationsOf(week.model, card, status) : [];
        if (!card || broken.length > 0) {
          const why = broken[0]?.sentence ?? 'Nobody who would take part is here, or it is gone.';
          if (!left.includes(why)) left.push(why);
          continue;
        }
        store.plan.add({ ...entryOf(week, card, fresh.id), with: fresh.with });
        status.push(card);
        count++;
      }
    });
    answer(response, Copied, { copied: count, left });
    tell(null);
  });

  router.get('/:from/cards/:id/why', (request, response) => {
    const { now = null } = checked(At, request.query);
    const week = weekOf(context, fromOf(request), now);
    const found = cardIn(week, param(request, 'id'));
    const { entry, others } = found;
    const card = presentCard(week, entry) ?? found.card;
    const isInvitation = entry.invitation === true;
    answer(response, CardWhy, {
      ...(isInvitation ? { children: [], instead: '', also: [] } : reasonFor(week, card, others)),
      meanwhile: meanwhileWords(week, entry),
      others: (isInvitation ? [] : alternativesTo(week.model, card, others)).flatMap((other) => {
        const activity = week.model.activities[other.activity];
        const { share, focus } = other;
        const childIds = focus.flatMap(({ child }) => week.model.children[child]?.id ?? []);
        if (!activity) return [];
        return [
          { activityId: activity.id, title: activity.title, childIds, words: shareWords(share) },
        ];
      }),
      broken: isInvitation ? [] : violationsOf(week.model, card, others).map((one) => one.sentence),
      needs: needsFor(store, [entry], () => week.facts.children.map((one) => one.child)).map(
        needWords,
      ),
    });
  });

  /** Puts the next best card in the place of this one, or the one that is named. */
  router.post('/:from/cards/:id/swap', (request, response) => {
    const { version, activityId } = checked(CardSwap, request.body);
    const week = weekOf(context, fromOf(request));
    const { entry, card, others } = cardIn(week, param(request, 'id'), version);
    const offers = alternativesTo(
      week.model,
      card,
      others,
      activityId === undefined ? 1 : Infinity,
    );
    const offer = offers.find(
      (one) => activityId === undefined || week.model.activities[one.activity]?.id === activityId,
    );
    if (!offer) throw new Problem(422, 'Nothing else fits in this place now.');
    const next = entryOf(week, offer, randomUUID());
    store.atomically(() => {
      store.plan.remove(entry.id);
      store.plan.add(next);
    });
    answer(response, PlanEntry, next);
    tell(entry.day);
  });

  /** Who is away on a day of the week. */
  router.post('/:from/away', (request, response) => {
    const { day, childId, away } = checked(AwayMark, request.body);
    if (!store.children.find(childId)) throw wrongField('childId', 'is not a child here');
    const sheet = store.days.find(day);
    const others = sheet.away.filter((one) => one !== childId);
    store.days.put({ ...sheet, away: away ? [...others, childId] : others });
    response.status(204).end();
    changes.tell({ what: 'day', childIds: [], day });
  });

  /** Takes a card out and leaves its place empty when the week is planned again. */
  router.post('/:from/cards/:id/empty', (request, response) => {
    const { version } = checked(v.object({ version: Version }), request.body);
    const week = weekOf(context, fromOf(request));
    const { entry, card } = cardIn(week, param(request, 'id'), version);
    const band = week.model.activities[card.activity]?.band ?? 'anytime';
    const { sheet } = week.facts;
    store.atomically(() => {
      store.plan.remove(entry.id);
      if (entry.invitation) return;
      store.weeks.put({ ...sheet, empty: [...sheet.empty, { day: entry.day, band }] });
    });
    response.status(204).end();
    tell(null);
  });

  /** Takes an activity out of the week, with its cards that were not begun. */
  router.post('/:from/ban', (request, response) => {
    const { activityId } = checked(ActivityBan, request.body);
    const { sheet, entries, activities } = weekOf(context, fromOf(request)).facts;
    if (!activities.some((one) => one.id === activityId)) {
      throw wrongField('activityId', 'is not an activity here');
    }
    store.atomically(() => {
      for (const entry of entries) {
        if (entry.activityId === activityId && entry.state === 'planned') {
          store.plan.remove(entry.id);
        }
      }
      const banned = [...sheet.banned.filter((one) => one !== activityId), activityId];
      store.weeks.put({ ...sheet, banned });
    });
    response.status(204).end();
    tell(null);
  });

  /** Moves a card to another day. A limit may be passed, and is named; a caution may not. */
  router.post('/:from/cards/:id/move', (request, response) => {
    const { version, day } = checked(CardMove, request.body);
    const week = weekOf(context, fromOf(request));
    const { entry, card, others } = cardIn(week, param(request, 'id'), version);
    const d = week.model.days.findIndex((one) => one.day === day);
    if (d < 0) throw wrongField('day', 'is not in this week');
    const here = week.model.days[d]?.here ?? [];
    const focus = card.focus.filter(({ child }) => here.includes(child));
    const moved: Card = { ...card, day: d, focus };
    const moment = momentFor(week.model, others, moved) ?? card.moment;
    const broken = violationsOf(week.model, { ...moved, moment }, others);
    const cautions = broken.filter((one) => one.level === 'caution');
    if (cautions.length > 0) {
      throw new Problem(
        422,
        cautions[0]?.sentence ?? '',
        cautions.map((one) => ({ field: 'day', message: one.sentence })),
      );
    }
    const kept = new Set(focus.map(({ child }) => week.model.children[child]?.id));
    const next = store.plan.replace({
      ...entry,
      day,
      momentId: week.model.moments[moment]?.id ?? entry.momentId,
      participants: entry.participants.filter((participant) => kept.has(participant.childId)),
      pinned: true,
    });
    const gone = card.focus.length - focus.length;
    answer(response, MovedCard, {
      entry: next,
      notes: [
        ...(gone > 0
          ? [`${gone === 1 ? 'One child is' : `${gone} children are`} away on that day.`]
          : []),
        ...broken.map((one) => one.sentence),
      ],
    });
    tell(null);
  });

  return router;
}

/** "30 like counters: wooden bobbins, box 1". */
const needWords = ({ count, words, material, short }: NeedLine): string => {
  const place = material
    ? `: ${[material.name, material.box].filter((one) => one !== '').join(', ')}`
    : '';
  return `${count} ${words}${place}${short > 0 ? ` (${short} short)` : ''}`;
};

/** All cards of a week, in the order of its entries; what was left undone is not among them. */
export function cardsOf(week: PlannedWeek, but?: string): Card[] {
  return week.facts.entries.flatMap((entry) => {
    if (entry.state === 'left' || entry.invitation || entry.id === but) return [];
    const isOver = entry.state === 'planned' && entry.day < week.facts.today;
    return isOver ? [] : (presentCard(week, entry) ?? []);
  });
}

/** A card with those who are here; null where nobody is. */
function presentCard(week: PlannedWeek, entry: PlanEntry): Card | null {
  const card = cardOf(week, entry);
  if (!card || entry.state !== 'planned') return card;
  const here = week.model.days[card.day]?.here ?? [];
  const focus = card.focus.filter(({ child }) => here.includes(child));
  return focus.length > 0 ? { ...card, focus } : null;
}

function cardIn(
  week: PlannedWeek,
  id: string,
  version?: number,
): { entry: PlanEntry; card: Card; others: Card[] } {
  const entry = week.facts.entries.find((one) => one.id === id);
  const card = entry && cardOf(week, entry);
  if (!entry || !card) throw notFound('card in this week');
  if (version !== undefined && entry.version !== version) throw outdated(entry);
  if (version !== undefined && entry.state !== 'planned') {
    throw new Problem(422, 'It was begun or done already, and stays where it is.');
  }
  return { entry, card, others: cardsOf(week, id) };
}

function boardOf({ planner, store }: Context, week: PlannedWeek) {
  const { model, facts } = week;
  const cards = cardsOf(week);
  const job = planner.current();
  return {
    sheet: facts.sheet,
    days: model.days.map(({ day, open, here }) => ({
      day,
      open,
      closed: facts.sheet.closed.includes(day),
      closure: closureOn(facts.household, day)?.name ?? null,
      usual: facts.household.openDays.includes(weekdayNumber(day)),
      past: day < facts.today,
      here: here.map((c) => model.children[c]?.id ?? ''),
      away: store.days.find(day).away,
    })),
    entries: facts.entries,
    cautions: Object.fromEntries(
      facts.entries
        .filter((entry) => entry.state === 'planned' && entry.day >= facts.today)
        .map((entry) => {
          const { away } = store.days.find(entry.day);
          const here = facts.children.flatMap(({ child }) =>
            away.includes(child.id) ? [] : child,
          );
          return [entry.id, cautionsFor(store, entry, here)];
        }),
    ),
    coverage: coverageOf(model, cards),
    unserved: unservedIn(model),
    opening: openingIn(model),
    changed: changedWords(facts),
    ...checkWeek(week),
    words: weekWords(week, cards),
    job: job && { id: job.id, of: job.of },
  };
}
