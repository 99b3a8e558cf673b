import type { Random } from '../numbers/index.js';
import type { Band } from '../vocabulary/index.js';
import type { Card, WeekProblem } from './problem.js';

/** A part of the week that is planned anew while the rest stands. */
export interface Part {
  /** The week with everything outside the part held fast. */
  readonly problem: WeekProblem;
  readonly kept: readonly Card[];
  readonly free: readonly Card[];
}

const BANDS: readonly Band[] = ['woven', 'set-out', 'table'];
/** Part of the cards that are taken up anew, where chance chooses them: to begin with, and limits. */
export const SHARE = { first: 0.3, least: 0.15, most: 0.6 } as const;

function part(
  problem: WeekProblem,
  cards: readonly Card[],
  isFree: (card: Card) => boolean,
  isOpen: (d: number, band: Band) => boolean,
): Part {
  const kept = cards.filter((card) => !isFree(card));
  return {
    kept,
    free: cards.filter(isFree),
    problem: {
      ...problem,
      fixed: [...problem.fixed, ...kept],
      activities: problem.activities.map((activity) => {
        const shut = problem.days.flatMap((_, d) => (isOpen(d, activity.band) ? [] : [d]));
        return shut.length === 0 ? activity : { ...activity, notOn: [...activity.notOn, ...shut] };
      }),
    },
  };
}

/** What a part is made of: some cards chosen by chance, two days, or one band of all days. */
export type PartKind = 'cards' | 'days' | 'band';

/**
 * A part of the week to plan anew.
 * @param share how many of the cards chance chooses, as a part of all
 */
export function partFor(
  problem: WeekProblem,
  cards: readonly Card[],
  kind: PartKind,
  share: number,
  random: Random,
): Part {
  const pick = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)] as T;
  if (kind === 'days') {
    const open = problem.days.flatMap((day, d) => (day.open ? [d] : []));
    const two = new Set([pick(open), pick(open)]);
    return part(
      problem,
      cards,
      (card) => two.has(card.day),
      (d) => two.has(d),
    );
  }
  if (kind === 'band') {
    const band = pick(BANDS);
    const isIn = (card: Card): boolean => problem.activities[card.activity]?.band === band;
    return part(problem, cards, isIn, (_, one) => one === band);
  }
  const chosen = new Set(cards.filter(() => random() < share));
  return part(
    problem,
    cards,
    (card) => chosen.has(card),
    () => true,
  );
}
