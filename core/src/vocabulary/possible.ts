import type { Day } from './basics.js';
import { addDays, daysBetween } from './days.js';

/** A device may be a day ahead of the server. */
const GRACE_DAYS = 1;
/** What happened may be written down later, by so many days at most. */
const LATE_DAYS = 60;
/** Nobody in a preschool is older, in days. */
const OLDEST_DAYS = 20 * 366;

/** A field whose day or time cannot be, and why. */
export interface Impossible {
  readonly field: string;
  readonly message: string;
}

const wrong = (field: string, message: string): Impossible => ({ field, message });

/**
 * Why the day and the moment of something that was noted cannot be; null where they can.
 * @param born birth of the child that it is about, where it is about one
 * @param today the server's calendar day
 */
export function impossibleDay(
  { day, at }: { readonly day: Day; readonly at?: string },
  born: Day | null,
  today: Day,
): Impossible | null {
  if (day > addDays(today, GRACE_DAYS)) return wrong('day', 'is in the future');
  if (born !== null && day < born) return wrong('day', 'is before the birth of the child');
  if (at === undefined) return null;
  const later = daysBetween(day, at.slice(0, 10));
  if (at.slice(0, 10) > addDays(today, GRACE_DAYS)) return wrong('at', 'is in the future');
  if (later < -GRACE_DAYS || later > LATE_DAYS) return wrong('at', `does not belong to ${day}`);
  return null;
}

/** Why a birth date cannot be that of a child here; null where it can. */
export function impossibleBirth(birthDate: Day, today: Day): Impossible | null {
  if (birthDate > today) return wrong('birthDate', 'is in the future');
  return daysBetween(birthDate, today) > OLDEST_DAYS
    ? wrong('birthDate', 'is more than twenty years back')
    : null;
}

/** Why a session cannot have ended then; null where it can. */
export const impossibleEnd = (startedAt: string, endedAt: string | null): Impossible | null =>
  endedAt !== null && endedAt < startedAt ? wrong('endedAt', 'is before the session began') : null;
