import {
  type Card,
  HIT_WEIGHTS,
  LIKED,
  MESS_AGAIN,
  STRANDS_A_WEEK,
  STRAND_SHORT,
  type WeekProblem,
  cardWorth,
} from './problem.js';
import { isNextDay } from './rules.js';

/** How often a child meets what is wanted in a week, and which strands that touches. */
export interface ChildWeek {
  /** By index into what the child wants: days on which it is met. */
  readonly hits: readonly number[];
  readonly strands: ReadonlySet<number>;
}

/** What a week of cards holds for one child. */
export function childWeek(
  { children, activities }: WeekProblem,
  cards: readonly Card[],
  child: number,
): ChildWeek {
  const wanted = children[child]?.wanted ?? [];
  const days = wanted.map(() => new Set<number>());
  for (const card of cards) {
    if (!card.takers.includes(child)) continue;
    for (const want of activities[card.activity]?.gains[child]?.wants ?? []) {
      days[want]?.add(card.day);
    }
  }
  const hits = days.map((met) => met.size);
  const strands = new Set(
    wanted.filter((_, want) => (hits[want] ?? 0) > 0).map((want) => want.strand),
  );
  return { hits, strands };
}

/** What `n` days with the same skill count, in parts of its value: 1, 1.6, 1.9. */
export const hitWorth = (n: number): number =>
  HIT_WEIGHTS.slice(0, n).reduce((sum, weight) => sum + weight, 0);

/**
 * What a week is worth: the value of every skill a child meets, less the second and third day; a
 * little for what a child likes; and less for strands that a child does not touch, for setting up,
 * for mess on two days running, and for what was used lately.
 * @param cards all cards of the week, the fixed ones among them
 */
export function valueOf(problem: WeekProblem, cards: readonly Card[]): number {
  const { children, activities, days } = problem;
  let value = 0;
  children.forEach((child, c) => {
    const { hits, strands } = childWeek(problem, cards, c);
    hits.forEach((n, want) => {
      value += (child.wanted[want]?.value ?? 0) * hitWorth(n);
    });
    value -= STRAND_SHORT * Math.max(0, STRANDS_A_WEEK - strands.size);
  });
  const messy = days.map(() => false);
  for (const card of cards) {
    const activity = activities[card.activity];
    if (!activity) continue;
    value += cardWorth(activity);
    value += LIKED * card.takers.filter((c) => activity.gains[c]?.liked).length;
    if (activity.messy) messy[card.day] = true;
  }
  days.forEach((_, d) => {
    if (messy[d] && messy[d + 1] && isNextDay(problem, d)) value -= MESS_AGAIN;
  });
  return value;
}
