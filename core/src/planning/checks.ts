import type { Day, PlanEntry } from '../vocabulary/index.js';
import { violationsOf, weekdayOf } from './violation-words.js';
import type { PlannedWeek } from './week-model.js';

/** What is in the way of planning a week, and what is worth knowing about what is pinned. */
export interface WeekChecks {
  /** While one of these holds nothing is planned. */
  readonly refusals: readonly string[];
  /** Limits that were passed by hand; the plan keeps them and goes on. */
  readonly notes: readonly string[];
}

/**
 * Looks at a week before it is planned: whether there is anything to plan, and whether what is pinned
 * can stay. A pin may pass a limit, and is kept with a word about it; it may not pass a caution.
 * @param only the one day that is planned, where it is not the whole week
 */
export function checkWeek(
  { model, facts, fixed }: PlannedWeek,
  only: Day | null = null,
): WeekChecks {
  const { days, children, activities } = model;
  const open = days.filter((day) => day.open);
  const isPin = (entry: PlanEntry): boolean =>
    entry.state === 'planned' && entry.pinned === true && (only === null || entry.day === only);
  const refusals: string[] = [];
  const notes = new Set<string>();
  if (children.length === 0) refusals.push('There is no child to plan for yet: add one first.');
  else if (open.length === 0) {
    refusals.push('Every day of this week is closed or over: open a day, or go to another week.');
  } else if (open.every((day) => day.here.length === 0)) {
    refusals.push('Nobody is here on any open day of this week: say who comes.');
  }
  if (activities.every((activity) => facts.sheet.banned.includes(activity.id))) {
    refusals.push('Every activity is left out of this week: allow one again.');
  }
  fixed.forEach((entry, i) => {
    const card = model.fixed[i];
    if (!card || !isPin(entry)) return;
    const others = model.fixed.filter((_, j) => j !== i);
    const title = activities[card.activity]?.title ?? 'This card';
    if (facts.sheet.banned.includes(entry.activityId)) {
      refusals.push(
        `${title} is pinned on ${weekdayOf(entry.day)} and left out of this week: unpin it, or allow it again.`,
      );
    }
    for (const { level, sentence } of violationsOf(model, card, others)) {
      if (level === 'limit') notes.add(sentence);
      else
        refusals.push(`${title} is pinned on ${weekdayOf(entry.day)}. ${sentence} Unpin it first.`);
    }
  });
  for (const entry of facts.entries) {
    if (!isPin(entry) || entry.day < facts.today || fixed.includes(entry)) continue;
    const activity = facts.activities.find((one) => one.id === entry.activityId);
    const why = !activity
      ? 'it is no longer among the activities'
      : facts.household.moments.some((moment) => moment.id === entry.momentId)
        ? 'everyone on it is away'
        : 'its moment is no longer part of the day';
    refusals.push(
      `${activity?.title ?? 'An activity'} is pinned on ${weekdayOf(entry.day)}, and ${why}: unpin it, or change it.`,
    );
  }
  if (facts.materials.length === 0 && refusals.length === 0) {
    const careful = children.some((child) => child.careful);
    notes.add(
      `No materials are listed, so the plan supposes that the house has what is needed${careful ? ', and leaves out small parts' : ''}.`,
    );
  }
  return { refusals, notes: [...notes] };
}
