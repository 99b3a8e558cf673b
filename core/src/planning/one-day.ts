import type { Day } from '../vocabulary/index.js';
import { cardOf } from './entries.js';
import type { Card } from './problem.js';
import type { PlannedWeek } from './week-problem.js';

/** The week with everything but one day held fast, so that only this day is planned anew. */
export function forDay(week: PlannedWeek, day: Day): PlannedWeek {
  const { problem, facts, fixed } = week;
  const later = facts.entries.filter(
    (entry) => entry.state === 'planned' && entry.day > day && !fixed.includes(entry),
  );
  const cards = later.flatMap((entry): { entry: typeof entry; card: Card }[] => {
    const card = cardOf(week, entry);
    const here = problem.days[card?.day ?? -1]?.here ?? [];
    const takers = card?.takers.filter((c) => here.includes(c)) ?? [];
    return card && takers.length > 0 ? [{ entry, card: { ...card, takers } }] : [];
  });
  return {
    ...week,
    fixed: [...fixed, ...cards.map((one) => one.entry)],
    problem: {
      ...problem,
      fixed: [...problem.fixed, ...cards.map((one) => one.card)],
      days: problem.days.map((one) => ({ ...one, open: one.open && one.day === day })),
    },
  };
}
