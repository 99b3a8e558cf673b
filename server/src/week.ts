import { LIBRARY } from '@gumo/core/activities';
import { type PlannedWeek, weekProblem } from '@gumo/core/planning';
import { type ClockTime, type Day, addDays } from '@gumo/core/vocabulary';
import { paceOf } from './pace.js';
import { Problem } from './problems.js';
import type { Context } from './routes/context.js';

const DAYS = 7;
const LATELY_DAYS = 14;

/**
 * The week that begins on a Monday, in numbers and with its facts.
 * @param now the time at the household; moments of today that are over take nothing more
 * @throws Problem 409 where there is no household yet
 */
export function weekOf(
  { store, progress, today }: Context,
  from: Day,
  now: ClockTime | null = null,
): PlannedWeek {
  const household = store.household.all()[0];
  if (!household) throw new Problem(409, 'There is no household yet.');
  const days = Array.from({ length: DAYS }, (_, i) => addDays(from, i));
  return weekProblem({
    sheet: store.weeks.find(from),
    today: today(),
    now,
    household,
    children: store.children
      .all()
      .filter((child) => !child.archived)
      .map((child) => ({ child, state: progress.of(child), pace: paceOf(store, child.id) })),
    activities: [...LIBRARY, ...store.activities.all().filter((one) => !one.archived)],
    things: store.things.all(),
    away: new Map(days.map((day) => [day, store.days.find(day).away])),
    entries: days.flatMap((day) => store.plan.ofDay(day)),
    lately: store.sittings.between(addDays(from, -LATELY_DAYS), addDays(from, -1)),
  });
}
