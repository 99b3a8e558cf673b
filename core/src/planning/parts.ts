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
/** Part of the cards that are taken up anew, where chance chooses them. */
const FEW = 0.3;
const MANY = 0.5;

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

/** How many parts there are before chance chooses. */
export function partsInTurn({ days }: WeekProblem): number {
  const open = days.filter((day) => day.open).length;
  return (open * (open - 1)) / 2 + BANDS.length;
}

/**
 * The part of the week to plan anew: first two days at a time and one band of all days in turn, then
 * some cards by chance.
 * @param turn counts up from 0
 */
export function partFor(
  problem: WeekProblem,
  cards: readonly Card[],
  turn: number,
  random: Random,
): Part {
  const open = problem.days.flatMap((day, d) => (day.open ? [d] : []));
  const pairs = open.flatMap((d, i) => open.slice(i + 1).map((e) => [d, e]));
  const pair = pairs[turn];
  if (pair) {
    return part(
      problem,
      cards,
      (card) => pair.includes(card.day),
      (d) => pair.includes(d),
    );
  }
  const band = BANDS[turn - pairs.length];
  if (band) {
    const isIn = (card: Card): boolean => problem.activities[card.activity]?.band === band;
    return part(problem, cards, isIn, (_, one) => one === band);
  }
  const share = FEW + (MANY - FEW) * random();
  const chosen = new Set(cards.filter(() => random() < share));
  return part(
    problem,
    cards,
    (card) => chosen.has(card),
    () => true,
  );
}
