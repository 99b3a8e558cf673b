import type { WeekProblem } from './problem.js';
import { type Room, termsOn } from './rules.js';

/** Moments in which an activity fits on a day, beside what is fixed there. */
export function momentsOn(problem: WeekProblem, room: Room, a: number, d: number): number[] {
  const minutes = problem.activities[a]?.minutes ?? 0;
  return termsOn(problem, a, d).moments.filter((m) => (room.days[d]?.moments[m] ?? 0) >= minutes);
}

/**
 * A moment for each activity of a day, so that no moment holds more minutes than it has; null where
 * there is no such way. Spreads them: the emptiest moment first, out of doors for what is meant for
 * there, early for what is better early.
 * @param early activities that are better offered early in the day
 */
export function momentsForDay(
  problem: WeekProblem,
  room: Room,
  d: number,
  activities: readonly number[],
  early: ReadonlySet<number> = new Set(),
): number[] | null {
  const left = [...(room.days[d]?.moments ?? [])];
  const busy = problem.moments.map(
    (moment, m) =>
      problem.fixed.filter((card) => card.day === d && card.moment === m).length +
      (moment.minutes - (left[m] ?? 0)) / 1000,
  );
  const open = activities.map((a) => momentsOn(problem, room, a, d));
  const order = activities.map((_, i) => i);
  order.sort((i, j) => (open[i]?.length ?? 0) - (open[j]?.length ?? 0) || i - j);
  const chosen = activities.map(() => -1);

  const liking = (a: number, m: number): number => {
    const moment = problem.moments[m];
    const outdoors = problem.activities[a]?.outdoors === moment?.outdoors ? 0 : 0.5;
    const hour = early.has(a) ? m * 2 : m * 0.001;
    return (busy[m] ?? 0) + outdoors + hour;
  };

  const place = (step: number): boolean => {
    const i = order[step];
    if (i === undefined) return true;
    const a = activities[i] as number;
    const minutes = problem.activities[a]?.minutes ?? 0;
    const fitting = (open[i] ?? [])
      .filter((m) => (left[m] ?? 0) >= minutes)
      .sort((m, n) => liking(a, m) - liking(a, n) || m - n);
    for (const m of fitting) {
      chosen[i] = m;
      left[m] = (left[m] ?? 0) - minutes;
      busy[m] = (busy[m] ?? 0) + 1;
      if (place(step + 1)) return true;
      left[m] = (left[m] ?? 0) + minutes;
      busy[m] = (busy[m] ?? 0) - 1;
    }
    return false;
  };
  return place(0) ? chosen : null;
}

const remembered = new WeakMap<Room, readonly Map<string, boolean>[]>();

/**
 * Says whether all that stands on a day has a moment, and remembers it as long as the room, which is
 * of one problem alone. Activities are asked for in rising order.
 */
export function momentsRemembered(
  problem: WeekProblem,
  room: Room,
): (d: number, activities: readonly number[]) => boolean {
  const known = remembered.get(room) ?? problem.days.map(() => new Map<string, boolean>());
  remembered.set(room, known);
  return (d, activities) => {
    const key = String.fromCharCode(...activities);
    const seen = known[d]?.get(key);
    if (seen !== undefined) return seen;
    const has = momentsForDay(problem, room, d, activities) !== null;
    known[d]?.set(key, has);
    return has;
  };
}
