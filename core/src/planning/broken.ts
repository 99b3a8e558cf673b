import { joinWords } from '../numbers/index.js';
import { dayInWords } from '../vocabulary/index.js';
import { type Card, MOST_A_WEEK, type WeekProblem } from './problem.js';
import { besideDay, termsOn } from './rules.js';

/** A rule that a card does not keep. */
export interface Broken {
  /** A caution is never passed over; a limit may be, by hand. */
  readonly level: 'caution' | 'limit';
  readonly sentence: string;
}

const WEEKDAYS = ['Sunday', 'Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday'];

/** "Monday"; the date as well where asked for. */
export function weekdayOf(day: string, withDate = false): string {
  const name = WEEKDAYS[new Date(`${day}T00:00:00Z`).getUTCDay()] ?? day;
  return withDate ? `${name} ${dayInWords(day)}` : name;
}

/**
 * The rules that a card breaks beside other cards of the week, cautions first.
 * @param others all other cards, fixed and not
 */
export function brokenBy(problem: WeekProblem, card: Card, others: readonly Card[]): Broken[] {
  return [...cautions(problem, card), ...limitsOf(problem, card, others)];
}

function cautions(problem: WeekProblem, card: Card): Broken[] {
  const { activities, children, days } = problem;
  const activity = activities[card.activity];
  const day = days[card.day];
  if (!activity || !day) return [];
  const found: string[] = [];
  const on = weekdayOf(day.day);
  if (!day.open) found.push(`${on} is closed or over.`);
  const gone = card.takers.filter((c) => !day.here.includes(c));
  if (gone.length > 0 && day.open) {
    found.push(`${namesOf(children, gone)} ${gone.length > 1 ? 'are' : 'is'} away on ${on}.`);
  }
  if (card.takers.length === 0) found.push(`Nobody is left for ${activity.title} on ${on}.`);
  return [...found, ...dangersOf(problem, card)].map((sentence) => ({
    level: 'caution',
    sentence,
  }));
}

const namesOf = (children: WeekProblem['children'], some: readonly number[]): string =>
  joinWords(some.map((c) => children[c]?.name ?? 'a child'));

/** What could hurt a child in a card: small parts, and what holds an allergen. No hand may pass over these. */
export function dangersOf(problem: WeekProblem, card: Card): string[] {
  const { activities, children, days, moments } = problem;
  const activity = activities[card.activity];
  const day = days[card.day];
  if (!activity || !day) return [];
  const found: string[] = [];
  const careful = day.here.filter((c) => children[c]?.careful);
  const smallParts = activity.needsSmall && careful.length > 0;
  const mouths = card.takers.filter((c) => children[c]?.careful);
  if (smallParts && mouths.length > 0) {
    found.push(
      `${activity.title} needs small parts, and the cupboard has nothing larger for it: not with ${namesOf(children, mouths)}.`,
    );
  } else if (smallParts && moments[card.moment]?.shared) {
    found.push(
      `${activity.title} needs small parts, and ${namesOf(children, careful)} ${careful.length > 1 ? 'are' : 'is'} in the room at ${moments[card.moment]?.name ?? 'that moment'}.`,
    );
  }
  const shared = moments[card.moment]?.shared ?? true;
  const allergic = activity.keptFrom.filter((c) =>
    shared ? day.here.includes(c) : card.takers.includes(c),
  );
  if (allergic.length > 0) {
    const has = allergic.length > 1 ? 'have' : 'has';
    found.push(
      `Nothing here that serves ${activity.title} is free of what ${namesOf(children, allergic)} ${has} an allergy to.`,
    );
  }
  return found;
}

function limitsOf(problem: WeekProblem, card: Card, others: readonly Card[]): Broken[] {
  const { activities, children, days, moments, items, limits } = problem;
  const activity = activities[card.activity];
  const day = days[card.day];
  const moment = moments[card.moment];
  if (!activity || !day) return [];
  const found: Broken[] = [];
  const limit = (sentence: string): void => void found.push({ level: 'limit', sentence });
  const on = weekdayOf(day.day);
  const sameDay = others.filter((other) => other.day === card.day);
  const inBand = sameDay.filter((other) => activities[other.activity]?.band === activity.band);
  const words = { woven: 'woven-in', 'set-out': 'set-out', table: 'table-time' }[activity.band];
  const most = limits.bands[activity.band] - (day.emptied?.[activity.band] ?? 0);
  if (inBand.length + 1 > most) {
    limit(`${on} then has ${inBand.length + 1} ${words} activities; ${most} is the most.`);
  }
  const minutes = (some: readonly Card[]): number =>
    some.reduce((sum, other) => sum + (activities[other.activity]?.minutes ?? 0), activity.minutes);
  if (activity.band === 'table' && minutes(inBand) > limits.tableMinutes) {
    limit(
      `${on} then has ${minutes(inBand)} minutes at the table; ${limits.tableMinutes} is the most.`,
    );
  }
  if (moment) {
    if (!moment.bands.includes(activity.band))
      limit(`${moment.name} is not for ${words} activities.`);
    const there = sameDay.filter((other) => other.moment === card.moment);
    if (minutes(there) > moment.minutes) {
      limit(`${moment.name} has ${moment.minutes} minutes, and then holds ${minutes(there)}.`);
    }
  }
  const same = others.filter((other) => other.activity === card.activity);
  if (same.length + 1 > MOST_A_WEEK)
    limit(`${activity.title} then comes ${same.length + 1} times this week.`);
  if (same.some((other) => other.day === card.day)) limit(`${activity.title} is on ${on} already.`);
  const near = same.find((other) => besideDay(problem, card.day).includes(other.day));
  if (near) {
    limit(
      `${activity.title} then comes on ${weekdayOf(days[near.day]?.day ?? '')} and ${on}, two days running.`,
    );
  }
  const group = termsOn(problem, card.activity, card.day).most;
  if (card.takers.length > group) {
    limit(
      group === 0
        ? `The cupboard does not have what ${activity.title} needs.`
        : `There is enough for ${group} at a time in ${activity.title}, not for ${card.takers.length}.`,
    );
  }
  for (const c of card.takers) {
    const child = children[c];
    if (!child) continue;
    if (activity.barred[c] === 'age') limit(`${child.name} is young for ${activity.title}.`);
    if (activity.band !== 'table') continue;
    const tables = others.filter(
      (other) => activities[other.activity]?.band === 'table' && other.takers.includes(c),
    );
    if (tables.some((other) => other.day === card.day))
      limit(`${child.name} is at the table on ${on} already.`);
    if (tables.length + 1 > child.tablesAWeek) {
      limit(`${child.name} is then at the table ${tables.length + 1} times this week.`);
    }
    if (child.restOn === day.day) limit(`${child.name} has a day without table time on ${on}.`);
    if (activity.barred[c] === 'longer') {
      limit(`${activity.title} is longer than the ${child.tableMinutes} minutes of ${child.name}.`);
    }
  }
  for (const use of activity.uses) {
    const used = [...others, card].reduce((sum, other) => {
      const one = activities[other.activity]?.uses.find((each) => each.item === use.item);
      return sum + (one ? one.base + one.each * other.takers.length : 0);
    }, 0);
    const item = items[use.item];
    if (item && used > item.stock)
      limit(`The week then uses ${used} ${item.words}; there are ${item.stock}.`);
  }
  return found;
}
