import { careFor, clothedIn, inReach } from '../things/index.js';
import type { Day, PlanEntry, Taker } from '../vocabulary/index.js';
import type { Card } from './problem.js';
import { type PlannedWeek, cardMinutes, isFixed } from './week-problem.js';

/** What a new plan changes among the entries of its days. */
export interface EntryChanges {
  readonly added: readonly PlanEntry[];
  /** With the version that they had. */
  readonly changed: readonly PlanEntry[];
  readonly removed: readonly PlanEntry[];
}

/** A card as an entry of the plan. */
export function entryOf({ problem, facts }: PlannedWeek, card: Card, id: string): PlanEntry {
  const activity = facts.activities.find((one) => one.id === problem.activities[card.activity]?.id);
  const gains = problem.activities[card.activity]?.gains;
  const children = card.takers.flatMap((c) => facts.children[c] ?? []);
  const takers = card.takers.flatMap((c): Taker[] => {
    const child = facts.children[c]?.child;
    return child ? [{ childId: child.id, top: gains?.[c]?.top ?? 5 }] : [];
  });
  if (!activity || takers.length === 0) throw new RangeError('not a card of this week');
  const here = problem.days[card.day]?.here ?? [];
  const near = inReach(problem.moments[card.moment], here, (c) => card.takers.includes(c));
  const day = problem.days[card.day]?.day ?? facts.today;
  const [clothes] = clothedIn(
    activity,
    children.map(({ child }) => child),
    facts.things,
    careFor(
      [...new Set([...near, ...card.takers])].flatMap((c) => facts.children[c]?.child ?? []),
      day,
    ),
  );
  return {
    id,
    day,
    momentId: problem.moments[card.moment]?.id ?? '',
    activityId: activity.id,
    takers,
    minutes: cardMinutes(activity, Math.min(...children.map(({ pace }) => pace.minutes))),
    with: clothes ? `with ${clothes.thing.name}`.slice(0, 80) : '',
    state: 'planned',
    version: 1,
  };
}

/**
 * What changes when these cards take the place of what was planned on the open days: entries that
 * stay keep their id, what was planned and is over is marked as left, the rest is taken out.
 * @param newId makes ids for what is new
 * @param only the one day that was planned anew, where it was not the whole week
 */
export function entryChanges(
  week: PlannedWeek,
  cards: readonly Card[],
  newId: () => string,
  only: Day | null = null,
): EntryChanges {
  const { problem, facts, fixed } = week;
  const open = facts.entries.filter(
    (entry) =>
      entry.state === 'planned' && !fixed.includes(entry) && (only === null || entry.day === only),
  );
  const over = (entry: PlanEntry): boolean => {
    const day = problem.days.find((one) => one.day === entry.day);
    const moment = problem.moments.findIndex((one) => one.id === entry.momentId);
    const isToday = entry.day === facts.today;
    return entry.day < facts.today || (isToday && moment >= 0 && !day?.moments.includes(moment));
  };
  const left = open.filter(over);
  const replaceable = open.filter((entry) => !left.includes(entry) && !isFixed(entry));
  const added: PlanEntry[] = [];
  const changed: PlanEntry[] = left.map((entry) => ({ ...entry, state: 'left' }));
  const kept = new Set<PlanEntry>();
  for (const card of cards) {
    const fresh = entryOf(week, card, '');
    const known = replaceable.find(
      (entry) =>
        !kept.has(entry) && entry.day === fresh.day && entry.activityId === fresh.activityId,
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
export function cardOf({ problem, facts }: PlannedWeek, entry: PlanEntry): Card | null {
  const activity = problem.activities.findIndex((one) => one.id === entry.activityId);
  const day = problem.days.findIndex((one) => one.day === entry.day);
  const moment = problem.moments.findIndex((one) => one.id === entry.momentId);
  const takers = entry.takers
    .map(({ childId }) => facts.children.findIndex(({ child }) => child.id === childId))
    .filter((c) => c >= 0)
    .sort((a, b) => a - b);
  if (activity < 0 || day < 0 || moment < 0 || takers.length === 0) return null;
  return { activity, day, moment, takers };
}
