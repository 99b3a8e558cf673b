import { randomUUID } from 'node:crypto';
import {
  type Card,
  type PlannedWeek,
  alternativesTo,
  cardOf,
  entryOf,
  momentFor,
  violationsOf,
} from '@gumo/core/planning';
import { type Day, type PlanEntry, addDays } from '@gumo/core/vocabulary';
import { Fault, wrongField } from '../../faults.js';
import type { Services } from '../services.js';
import { cardIn, cardsOf } from './week-cards.js';

const DAYS = 7;

/** A card of a week, as whoever changes it saw it. */
interface Seen {
  readonly id: string;
  readonly version: number;
}

/**
 * Last week's cards once more, where they may stand and nothing else does.
 * @throws Fault `impossible` where last week has none
 */
export function copyWeek({ store }: Services, week: PlannedWeek) {
  const { from } = week.facts.sheet;
  const before = Array.from({ length: DAYS }, (_, i) => store.plan.ofDay(addDays(from, i - DAYS)));
  const copied = before.flat().filter((entry) => entry.state !== 'left' && !entry.invitation);
  if (copied.length === 0) throw new Fault('impossible', 'Last week has no cards to copy.');
  const left: string[] = [];
  let count = 0;
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
  return { copied: count, left };
}

/**
 * Puts the next best card in the place of one, or the activity that is named.
 * @throws Fault `impossible` where nothing else fits
 */
export function swapCard(
  { store }: Services,
  week: PlannedWeek,
  { id, version, activityId }: Seen & { readonly activityId?: string | undefined },
): PlanEntry {
  const { entry, card, others } = cardIn(week, id, version);
  const offers = alternativesTo(week.model, card, others, activityId === undefined ? 1 : Infinity);
  const offer = offers.find(
    (one) => activityId === undefined || week.model.activities[one.activity]?.id === activityId,
  );
  if (!offer) throw new Fault('impossible', 'Nothing else fits in this place now.');
  const next = entryOf(week, offer, randomUUID());
  store.atomically(() => {
    store.plan.remove(entry.id);
    store.plan.add(next);
  });
  return next;
}

/** Takes a card out and leaves its place empty when the week is planned again. */
export function leaveEmpty({ store }: Services, week: PlannedWeek, { id, version }: Seen): void {
  const { entry, card } = cardIn(week, id, version);
  const band = week.model.activities[card.activity]?.band ?? 'anytime';
  const { sheet } = week.facts;
  store.atomically(() => {
    store.plan.remove(entry.id);
    if (entry.invitation) return;
    store.weeks.put({ ...sheet, empty: [...sheet.empty, { day: entry.day, band }] });
  });
}

/**
 * Takes an activity out of the week, with its cards that were not begun.
 * @throws Fault `impossible` at `activityId`
 */
export function banActivity(
  { store }: Services,
  { facts: { sheet, entries, activities } }: PlannedWeek,
  activityId: string,
): void {
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
}

/**
 * Moves a card to another day. A limit may be passed, and is named; a caution may not.
 * @throws Fault `impossible` at `day`
 */
export function moveCard(
  { store }: Services,
  week: PlannedWeek,
  { id, version, day }: Seen & { readonly day: Day },
) {
  const { entry, card, others } = cardIn(week, id, version);
  const d = week.model.days.findIndex((one) => one.day === day);
  if (d < 0) throw wrongField('day', 'is not in this week');
  const here = week.model.days[d]?.here ?? [];
  const focus = card.focus.filter(({ child }) => here.includes(child));
  const moved: Card = { ...card, day: d, focus };
  const moment = momentFor(week.model, others, moved) ?? card.moment;
  const broken = violationsOf(week.model, { ...moved, moment }, others);
  const cautions = broken.filter((one) => one.level === 'caution');
  if (cautions.length > 0) {
    throw new Fault(
      'impossible',
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
  return {
    entry: next,
    notes: [
      ...(gone > 0
        ? [`${gone === 1 ? 'One child is' : `${gone} children are`} away on that day.`]
        : []),
      ...broken.map((one) => one.sentence),
    ],
  };
}

/** Says who is away on a day. @throws Fault `impossible` at `childId` */
export function markAway(
  { store }: Services,
  { day, childId, away }: { readonly day: Day; readonly childId: string; readonly away: boolean },
): void {
  if (!store.children.find(childId)) throw wrongField('childId', 'is not a child here');
  const sheet = store.days.find(day);
  const others = sheet.away.filter((one) => one !== childId);
  store.days.put({ ...sheet, away: away ? [...others, childId] : others });
}
