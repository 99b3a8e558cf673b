import { type ClockTime, minutesOfDay } from '../vocabulary/index.js';
import { type Offer, boardFor } from './board.js';
import type { Card, PlanMoment, WeekProblem } from './problem.js';
import { roomLeft } from './rules.js';

/** Far more than any day holds: what is planned leaves room for a few minutes in between. */
const NO_LIMIT = 999;

/** The moment that runs at a time; between two of them the next one, after the last the last. */
export function momentAt(moments: readonly PlanMoment[], now: ClockTime): number {
  const at = minutesOfDay(now);
  const next = moments.findIndex((moment) => minutesOfDay(moment.time) + moment.minutes > at);
  return next >= 0 ? next : moments.length - 1;
}

/**
 * What could be done in the next few minutes: with those who are here, in what this moment takes,
 * with things at hand, setting up included; most gain first.
 * @param given cards that were given this week so far
 * @param planned cards that are still to come today; they are not offered once more
 */
export function rightNow(
  problem: WeekProblem,
  given: readonly Card[],
  planned: readonly Card[],
  where: { readonly day: number; readonly now: ClockTime; readonly minutes: number },
  most = 3,
): (Offer & { readonly moment: number })[] {
  const moment = momentAt(problem.moments, where.now);
  const bands = problem.moments[moment]?.bands ?? ['woven'];
  const open: WeekProblem = {
    ...problem,
    fixed: given,
    days: problem.days.map((day, d) => ({
      ...day,
      open: d === where.day,
      moments: d === where.day ? [moment] : [],
      emptied: {},
    })),
    moments: problem.moments.map((one) => ({ ...one, minutes: NO_LIMIT })),
    activities: problem.activities.map((activity) => ({ ...activity, moments: [moment] })),
    limits: {
      bands: { woven: NO_LIMIT, 'set-out': NO_LIMIT, table: NO_LIMIT },
      tableMinutes: NO_LIMIT,
    },
  };
  const board = boardFor(open, roomLeft(open));
  const fits = ({ activity: a }: Offer): boolean => {
    const activity = problem.activities[a];
    if (!activity || planned.some((card) => card.activity === a)) return false;
    if (activity.minutes + activity.setUpMinutes > where.minutes) return false;
    return activity.band === 'woven' || bands.includes(activity.band);
  };
  const all = board.offers().filter(fits);
  const found: Offer[] = [];
  // One after the other, so that the second serves what the first does not.
  while (found.length < most) {
    const best = board.offers().find(fits);
    if (!best) break;
    board.add(best);
    found.push(best);
  }
  const rest = all.filter((offer) => !found.some((one) => one.activity === offer.activity));
  return [...found, ...rest].slice(0, most).map((offer) => ({ ...offer, moment }));
}
