import { LIBRARY } from '@gumo/core/activities';
import { type PlannedWeek, weekModel } from '@gumo/core/planning';
import { type ClockTime, type Day, addDays } from '@gumo/core/vocabulary';
import type { Store } from '../../database/store.js';
import { paceOf } from '../table-pace.js';
import { Fault } from '../../faults.js';
import { dayOf } from '../progress.js';
import type { Services } from '../services.js';
import { hadLately } from '../needs.js';

const DAYS = 7;
/** How far back it matters when an activity was used. */
const LATELY_DAYS = 70;

/**
 * The week that begins on a Monday, in numbers and with its facts.
 * @param now the time at the household; moments of today that are over take nothing more
 * @throws Fault `conflict` where there is no household yet
 */
export function weekOf(
  { store, progress, today }: Services,
  from: Day,
  now: ClockTime | null = null,
): PlannedWeek {
  const household = store.household.all()[0];
  if (!household) throw new Fault('conflict', 'There is no household yet.');
  const days = Array.from({ length: DAYS }, (_, i) => addDays(from, i));
  const before = days.map((day) => addDays(day, -DAYS)).filter((day) => day >= today());
  return weekModel({
    sheet: store.weeks.find(from),
    today: today(),
    now,
    household,
    children: store.children
      .all()
      .filter((child) => !child.archived)
      .map((child) => ({
        child,
        state: progress.of(child),
        pace: paceOf(store, child.id),
        since: firstDayOf(store, child.id),
      })),
    activities: [...LIBRARY, ...store.activities.all().filter((one) => !one.archived)],
    materials: store.materials.all(),
    away: new Map(days.map((day) => [day, store.days.find(day).away])),
    entries: days.flatMap((day) => store.plan.ofDay(day)),
    had: hadLately(store, from),
    lately: [
      ...store.sessions.between(addDays(from, -LATELY_DAYS), addDays(from, -1)),
      // What is planned before the week and still to come.
      ...before.flatMap((day) => store.plan.ofDay(day)).filter(({ state }) => state === 'planned'),
    ],
  });
}

/** The day of a child's first record; null where there is none. */
function firstDayOf(store: Store, childId: string): Day | null {
  for (const { fact } of store.facts.after(childId, 0)) {
    const day = dayOf(fact);
    if (day !== null) return day;
  }
  return null;
}
