import { branch } from './branch.js';
import { dayClasses, singleDays } from './classes.js';
import type { Engine } from './engine.js';
import type { Card, WeekProblem } from './problem.js';
import type { Room } from './rules.js';
import { cardsOf } from './solve-days.js';
import { valueOf } from './value.js';
import { weekModel } from './week-model.js';

/** What a plan must be worth more to be better. */
const NO_BETTER = 1e-6;

/**
 * The best plan with no card on a day on which none of some plans has it, whoever takes part: good
 * plans are good in different places, and there is far less to choose from than in the week (merging
 * of solutions; Blum, Pinacho, Lopez-Ibanez and Lozano 2016, from memory).
 * @param plans the best first
 * @param seconds at most
 * @returns null where none is better than the best of them, or time ran out
 */
export function merged(
  problem: WeekProblem,
  room: Room,
  engine: Engine,
  plans: readonly (readonly Card[])[],
  { seconds, left }: { readonly seconds: number; readonly left: () => number },
): readonly Card[] | null {
  const alike = dayClasses(problem, room);
  const held = problem.days.map(() => new Set<number>());
  for (const plan of plans) {
    const days = asBefore(problem.days.length, alike, held, plan);
    for (const { activity, day } of plan) held[days[day] as number]?.add(activity);
  }
  const few: Room = {
    ...room,
    days: room.days.map((day, d) => ({
      ...day,
      shut: new Set(
        problem.activities.flatMap((_, a) => (day.shut.has(a) || !held[d]?.has(a) ? [a] : [])),
      ),
    })),
  };
  const best = valueOf(problem, [...problem.fixed, ...(plans[0] ?? [])]);
  const end = left() - seconds;
  const full = weekModel(problem, few, singleDays(problem));
  let found: readonly Card[] | null = null;
  branch(problem, engine, full, alike, {
    learnt: new Map(),
    left: () => left() - Math.max(0, end),
    isLow: (bound) => bound <= best + NO_BETTER,
    tell: () => undefined,
    found: (values) => (found = cardsOf(problem, few, full, values)),
  });
  return found;
}

/**
 * For each day of a plan the day that it stands for: of alike days, which can be exchanged, each
 * the one that holds most of its cards already.
 */
function asBefore(
  many: number,
  alike: readonly (readonly number[])[],
  held: readonly ReadonlySet<number>[],
  plan: readonly Card[],
): number[] {
  const days = Array.from({ length: many }, (_, d) => d);
  for (const some of alike) {
    const free = new Set(some);
    for (const from of some) {
      const cards = plan.filter((card) => card.day === from);
      const shared = (d: number): number =>
        cards.filter(({ activity }) => held[d]?.has(activity)).length;
      const to = [...free].reduce((best, d) => (shared(d) > shared(best) ? d : best));
      days[from] = to;
      free.delete(to);
    }
  }
  return days;
}
