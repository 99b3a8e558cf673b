import { dayNumber } from '../vocabulary/index.js';
import type { WeekModel } from './model.js';

/** How an activity can be given on a day. */
export interface Terms {
  /** By range: most children at once in ranges up to it. */
  readonly most: readonly number[];
  readonly moments: readonly number[];
  /** Small parts are on the table: children who must not meet them stay out. */
  readonly smallParts: boolean;
}

/** Days on the list that lie on the calendar beside this one. */
export function besideDay({ days }: WeekModel, d: number): number[] {
  const at = dayNumber(days[d]?.day ?? '');
  return [d - 1, d + 1].filter((one) => Math.abs(dayNumber(days[one]?.day ?? '') - at) === 1);
}

/**
 * How an activity can be given on a day. Where a child who must not meet small parts is here, it is
 * given with large things if there are any; if not, without that child, and only in moments in which
 * the others are in another room.
 */
export function termsOn(model: WeekModel, a: number, d: number): Terms {
  const activity = model.activities[a];
  const day = model.days[d];
  if (!activity || !day || activity.missing.length > 0) {
    return { most: [], moments: [], smallParts: false };
  }
  // Somebody with an allergy to it may be in the house, and not in the room.
  const apart = activity.keptFrom.some((c) => day.here.includes(c));
  const moments = activity.moments.filter(
    (m) => day.moments.includes(m) && !(apart && model.moments[m]?.shared),
  );
  if (!day.here.some((c) => model.children[c]?.careful)) {
    return { most: activity.mostAny, moments, smallParts: false };
  }
  if (activity.mostSafe.some((most) => most > 0))
    return { most: activity.mostSafe, moments, smallParts: false };
  return {
    most: activity.mostAny,
    moments: moments.filter((m) => !model.moments[m]?.shared),
    smallParts: true,
  };
}

/** True where a child may be in focus on an activity on a day, and has something from it. */
export function mayBeInFocus(model: WeekModel, a: number, c: number, d: number): boolean {
  const activity = model.activities[a];
  const child = model.children[c];
  const day = model.days[d];
  if (!activity || !child || !day?.here.includes(c)) return false;
  if (activity.barred[c] || (activity.options[c]?.length ?? 0) === 0) return false;
  if (activity.band === 'table' && (child.restOn === day.day || child.tablesAWeek === 0))
    return false;
  return !(child.careful && termsOn(model, a, d).smallParts);
}
