import type { WeekProblem } from './problem.js';
import type { Room } from './rules.js';
import { isNextDay } from './rules.js';

/** Open days that are alike for planning: the same children, the same room left. */
export type DayClass = readonly number[];

/** Days with the same attendance and the same room, each class in the order of its days. */
export function dayClasses(problem: WeekProblem, room: Room): DayClass[] {
  const byLook = new Map<string, number[]>();
  problem.days.forEach((day, d) => {
    if (!day.open) return;
    const left = room.days[d];
    const resting = problem.children.flatMap((child, c) => (child.restOn === day.day ? [c] : []));
    const fixed = problem.fixed.filter((card) => card.day === d);
    const kept = problem.activities.flatMap((activity, a) =>
      activity.notOn.includes(d) || left?.shut.has(a) ? [a] : [],
    );
    const look = JSON.stringify([
      day.here,
      day.moments,
      day.emptied ?? null,
      resting,
      fixed,
      kept,
      left?.messy,
    ]);
    byLook.set(look, [...(byLook.get(look) ?? []), d]);
  });
  return [...byLook.values()];
}

/** Each open day by itself. */
export const singleDays = ({ days }: WeekProblem): DayClass[] =>
  days.flatMap((day, d) => (day.open ? [[d]] : []));

/** The most of these days of which no two lie side by side. */
export function mostApart(problem: WeekProblem, days: readonly number[]): number {
  let count = 0;
  let last = -2;
  for (const d of [...days].sort((a, b) => a - b)) {
    if (d === last + 1 && isNextDay(problem, last)) continue;
    count++;
    last = d;
  }
  return count;
}
