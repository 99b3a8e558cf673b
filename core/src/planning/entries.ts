import { careFor, materialForInterest, inReach } from '../materials/index.js';
import type { Day, PlanEntry, Participant } from '../vocabulary/index.js';
import { type Card, minutesOf } from './model.js';
import { type PlannedWeek, isFixed, optionFor } from './week-model.js';

/** What a new plan changes among the entries of its days. */
export interface EntryChanges {
  readonly added: readonly PlanEntry[];
  /** With the version that they had. */
  readonly changed: readonly PlanEntry[];
  readonly removed: readonly PlanEntry[];
}

/** The top of a range where nothing says which. */
const SOME_TOP = 5;

/** A card as an entry of the plan. @throws RangeError for a card of another week */
export function entryOf({ model, facts }: PlannedWeek, card: Card, id: string): PlanEntry {
  const activity = facts.activities.find((one) => one.id === model.activities[card.activity]?.id);
  const planned = model.activities[card.activity];
  const children = card.focus.flatMap(({ child }) => facts.children[child]?.child ?? []);
  const participants = card.focus.flatMap(({ child, option }): Participant[] => {
    const one = facts.children[child]?.child;
    const ways = planned?.options[child];
    const top = (ways?.[option] ?? ways?.[0])?.top ?? SOME_TOP;
    const want = ways?.[option]?.hits[0]?.want ?? -1;
    const skillId = model.children[child]?.wants[want]?.skillId;
    return one ? [{ childId: one.id, rangeMax: top, ...(skillId ? { skillId } : {}) }] : [];
  });
  if (!activity || !planned || participants.length === 0)
    throw new RangeError('not a card of this week');
  const here = model.days[card.day]?.here ?? [];
  const isIn = (c: number): boolean => card.focus.some(({ child }) => child === c);
  const near = inReach(model.moments[card.moment], here, isIn);
  const day = model.days[card.day]?.day ?? facts.today;
  const [clothes] = materialForInterest(
    activity,
    children,
    facts.materials,
    careFor(
      [...new Set([...near, ...card.focus.map(({ child }) => child)])].flatMap(
        (c) => facts.children[c]?.child ?? [],
      ),
      day,
    ),
    { tops: participants.map(({ rangeMax: top }) => top) },
  );
  return {
    id,
    day,
    momentId: model.moments[card.moment]?.id ?? '',
    activityId: activity.id,
    participants,
    minutes: minutesOf(planned, participants.length),
    with: clothes ? `with ${clothes.material.name}`.slice(0, 80) : '',
    state: 'planned',
    version: 1,
  };
}

/**
 * What changes when these entries take the place of what was planned on the open days: entries that
 * stay keep their id, what was planned and is over is marked as left, the rest is taken out.
 * @param wanted the entries of the new plan, without ids of their own
 * @param newId makes ids for what is new
 * @param only the one day that was planned anew, where it was not the whole week
 */
export function entryChanges(
  { model, facts, fixed }: PlannedWeek,
  wanted: readonly PlanEntry[],
  newId: () => string,
  only: Day | null = null,
): EntryChanges {
  const open = facts.entries.filter(
    (entry) =>
      entry.state === 'planned' && !fixed.includes(entry) && (only === null || entry.day === only),
  );
  const over = (entry: PlanEntry): boolean => {
    const day = model.days.find((one) => one.day === entry.day);
    const moment = model.moments.findIndex((one) => one.id === entry.momentId);
    const isToday = entry.day === facts.today;
    return entry.day < facts.today || (isToday && moment >= 0 && !day?.moments.includes(moment));
  };
  const left = open.filter(over);
  const replaceable = open.filter((entry) => !left.includes(entry) && !isFixed(entry));
  const added: PlanEntry[] = [];
  const changed: PlanEntry[] = left.map((entry) => ({ ...entry, state: 'left' }));
  const kept = new Set<PlanEntry>();
  for (const fresh of wanted) {
    const known = replaceable.find(
      (entry) =>
        !kept.has(entry) &&
        entry.day === fresh.day &&
        entry.activityId === fresh.activityId &&
        Boolean(entry.invitation) === Boolean(fresh.invitation),
    );
    if (!known) {
      added.push({ ...fresh, id: newId() });
      continue;
    }
    kept.add(known);
    const next = { ...known, ...fresh, id: known.id, version: known.version };
    if (JSON.stringify(next) !== JSON.stringify(known)) changed.push(next);
  }
  return { added, changed, removed: replaceable.filter((entry) => !kept.has(entry)) };
}

/** An entry as a card of the week, whoever is away; null where the week does not know its parts. */
export function cardOf({ model, facts }: PlannedWeek, entry: PlanEntry): Card | null {
  const activity = model.activities.findIndex((one) => one.id === entry.activityId);
  const day = model.days.findIndex((one) => one.day === entry.day);
  const moment = model.moments.findIndex((one) => one.id === entry.momentId);
  const focus = entry.participants
    .flatMap((participant) => {
      const c = facts.children.findIndex(({ child }) => child.id === participant.childId);
      const option = optionFor(model.activities[activity], model.children[c], c, participant);
      return c < 0 ? [] : [{ child: c, option }];
    })
    .sort((x, y) => x.child - y.child);
  if (activity < 0 || day < 0 || moment < 0 || focus.length === 0) return null;
  return { activity, day, moment, focus };
}

/** The week with everything but one day held fast, so that only this day is planned anew. */
export function forDay(week: PlannedWeek, day: Day): PlannedWeek {
  const { model, facts, fixed } = week;
  const later = facts.entries.filter(
    (entry) => entry.state === 'planned' && entry.day > day && !fixed.includes(entry),
  );
  const cards = later.flatMap((entry): { entry: PlanEntry; card: Card }[] => {
    const card = cardOf(week, entry);
    const here = model.days[card?.day ?? -1]?.here ?? [];
    const focus = card?.focus.filter(({ child }) => here.includes(child)) ?? [];
    return card && focus.length > 0 ? [{ entry, card: { ...card, focus } }] : [];
  });
  return {
    ...week,
    fixed: [...fixed, ...cards.map((one) => one.entry)],
    model: {
      ...model,
      fixed: [...model.fixed, ...cards.map((one) => one.card)],
      // What the other days take is settled: this one has its own minutes.
      limits: { ...model.limits, weekMinutes: Infinity },
      days: model.days.map((one) => ({ ...one, open: one.open && one.day === day })),
    },
  };
}
