import { type ClockTime, minutesOfDay } from '../vocabulary/index.js';
import { type Offer, draftWith } from './draft.js';
import { type Card, type ModelMoment, type WeekModel, minutesOf } from './model.js';

/** Far more than any day holds: what is planned leaves room for a few minutes in between. */
const NO_LIMIT = 999;

/** The moment that runs at a time; between two of them the next one, after the last the last. */
export function momentAt(moments: readonly ModelMoment[], now: ClockTime): number {
  const at = minutesOfDay(now);
  const next = moments.findIndex((moment) => minutesOfDay(moment.time) + moment.minutes > at);
  return next >= 0 ? next : moments.length - 1;
}

/**
 * What could be done in the next few minutes: with those who are here, in what this moment takes, with
 * materials at hand, setting up included. Most gain first, and each offer with other children than
 * those before it, as far as there are such.
 * @param given cards that were given this week so far
 * @param planned cards that are still to come today; they are not offered once more
 */
export function inFiveMinutes(
  model: WeekModel,
  given: readonly Card[],
  planned: readonly Card[],
  where: { readonly day: number; readonly now: ClockTime; readonly minutes: number },
  most = 3,
): Offer[] {
  const moment = momentAt(model.moments, where.now);
  const bands = model.moments[moment]?.bands ?? ['anytime'];
  const isOffered = (a: number): boolean => {
    const activity = model.activities[a];
    if (!activity || planned.some((card) => card.activity === a)) return false;
    if (minutesOf(activity, 1) + activity.setUpMinutes > where.minutes) return false;
    return activity.band === 'anytime' || bands.includes(activity.band);
  };
  const open: WeekModel = {
    ...model,
    fixed: given,
    days: model.days.map((day, d) => ({
      ...day,
      open: d === where.day,
      moments: d === where.day ? [moment] : [],
      emptied: { anytime: 0, play: 0, table: 0 },
    })),
    moments: model.moments.map((one) => ({ ...one, minutes: NO_LIMIT })),
    children: model.children.map((child) => ({
      ...child,
      cardsADay: NO_LIMIT,
      minutesADay: NO_LIMIT,
    })),
    activities: model.activities.map((activity) => {
      const { setUpMinutes, minutes } = activity;
      const short = minutes.filter((one) => one + setUpMinutes <= where.minutes);
      return { ...activity, moments: [moment], minutes: short };
    }),
    limits: {
      cards: { anytime: NO_LIMIT, play: NO_LIMIT, table: NO_LIMIT },
      dayMinutes: NO_LIMIT,
      weekMinutes: NO_LIMIT,
    },
  };
  const draft = draftWith(open, given);
  const offers = (): Offer[] =>
    open.activities
      .flatMap((_, a) => (isOffered(a) ? (draft.best(a, where.day, -Infinity) ?? []) : []))
      .sort((x, y) => y.gain - x.gain || x.activity - y.activity);
  const all = offers();
  const found: Offer[] = [];
  const met = new Set<number>();
  while (found.length < most) {
    const isNew = (offer: Offer): boolean => !found.some((one) => one.activity === offer.activity);
    // One after the other, so that the second serves what the first does not, while there is such.
    const further = offers().filter(isNew);
    const left = further.length > 0 ? further : all.filter(isNew);
    const fresh = (offer: Offer): number =>
      offer.focus.filter(({ child }) => !met.has(child)).length;
    const best = left.find((offer) => fresh(offer) > 0) ?? left[0];
    if (!best) break;
    draft.add(best);
    best.focus.forEach(({ child }) => met.add(child));
    found.push(best);
  }
  return found;
}
