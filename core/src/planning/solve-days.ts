import { type Slot, boardFor, placed } from './board.js';
import { singleDays } from './classes.js';
import type { Engine } from './engine.js';
import { fill } from './first-plan.js';
import type { Term } from './linear-model.js';
import { momentsForDay } from './moments.js';
import type { Card, WeekProblem } from './problem.js';
import type { Room } from './rules.js';
import { valueOf } from './value.js';
import { type NotTogether, type WeekModel, weekModel } from './week-model.js';

/** Days that turned out to have no moment for a card are told to the solver so many times. */
const MOST_REPAIRS = 8;

export interface DaysOptions {
  readonly gap: number;
  readonly seconds: number;
  /** Seconds that are left of all. */
  readonly left: () => number;
  readonly start: readonly Card[];
  readonly tell?: (bound: number) => void;
}

/** The model with its days; solved again where a day has no moment for all that it was given. */
export function solveDays(
  problem: WeekProblem,
  room: Room,
  engine: Engine,
  { gap, seconds, left, start, tell }: DaysOptions,
): { cards: readonly Card[] | null; bound: number } {
  const notTogether: NotTogether[] = [];
  let bound = Infinity;
  for (let round = 0; round < MOST_REPAIRS; round++) {
    const full = weekModel(problem, room, singleDays(problem), notTogether);
    const found = engine.solve(full.model, {
      seconds: Math.min(seconds, left()),
      gap,
      start: columnsOf(full, start),
      ...(tell ? { tell: (_: number, to: number) => tell(to + full.constant) } : {}),
    });
    bound = Math.min(bound, found.bound + full.constant);
    if (!found.values) return { cards: null, bound };
    const slots = slotsOf(full, found.values);
    const crowded = crowdedDay(problem, room, slots);
    if (crowded === null) return { cards: tidied(problem, room, slots), bound };
    if (left() <= 0) return { cards: tidied(problem, room, slots), bound };
    notTogether.push(crowded);
  }
  return { cards: null, bound };
}

/** The cards that a solution names; null where a day has no moment for all that it was given. */
export function cardsOf(
  problem: WeekProblem,
  room: Room,
  full: WeekModel,
  values: ArrayLike<number>,
): readonly Card[] | null {
  const slots = slotsOf(full, values);
  return crowdedDay(problem, room, slots) === null ? tidied(problem, room, slots) : null;
}

/** The slots that a solution names. */
function slotsOf({ choices, classes }: WeekModel, values: ArrayLike<number>): Slot[] {
  const isOn = (column: number): boolean => (values[column] ?? 0) > 0.5;
  return choices.flatMap((choice): Slot[] => {
    if (!isOn(choice.column)) return [];
    const takers = choice.takers
      ? choice.able.filter((c) => isOn(choice.takers?.get(c) ?? -1))
      : [...choice.able];
    const day = classes[choice.at]?.[0] ?? 0;
    return takers.length > 0 ? [{ activity: choice.activity, day, takers }] : [];
  });
}

/** The whole columns that stand for these cards. */
function columnsOf({ choices, classes }: WeekModel, cards: readonly Card[]): Term[] {
  return choices.flatMap((choice): Term[] => {
    const day = classes[choice.at]?.[0];
    const card = cards.find((one) => one.activity === choice.activity && one.day === day);
    const takers = [...(choice.takers ?? [])].map(([c, column]): Term => [
      column,
      card?.takers.includes(c) ? 1 : 0,
    ]);
    return [[choice.column, card ? 1 : 0], ...takers];
  });
}

function crowdedDay(problem: WeekProblem, room: Room, slots: readonly Slot[]): NotTogether | null {
  for (let d = 0; d < problem.days.length; d++) {
    const here = slots.filter((slot) => slot.day === d).map((slot) => slot.activity);
    if (momentsForDay(problem, room, d, here) !== null) continue;
    // As few of them as already have no room, so that more is ruled out at once.
    let few = here;
    for (const one of here) {
      const fewer = few.filter((other) => other !== one);
      if (momentsForDay(problem, room, d, fewer) === null) few = fewer;
    }
    return { days: [d], activities: few };
  }
  return null;
}

/** Cards in their moments, filled up where something fits, and without takers for whom it is idle. */
function tidied(problem: WeekProblem, room: Room, slots: readonly Slot[]): readonly Card[] {
  const board = boardFor(problem, room);
  for (const slot of slots) if (board.fits(slot)) board.add(slot);
  fill(board);
  let cards = placed(problem, room, board.slots) ?? [];
  for (const card of cards) {
    const slim = withoutIdle(problem, card, cards);
    cards = cards.map((one) => (one === card ? slim : one));
  }
  return cards;
}

/** A card without children who have nothing from it that the rest of the week does not give. */
function withoutIdle(problem: WeekProblem, card: Card, cards: readonly Card[]): Card {
  const others = [...problem.fixed, ...cards.filter((one) => one !== card)];
  let slim = card;
  for (const c of card.takers) {
    const fewer = { ...slim, takers: slim.takers.filter((one) => one !== c) };
    if (fewer.takers.length === 0) break;
    if (valueOf(problem, [...others, fewer]) >= valueOf(problem, [...others, slim]) - 1e-9) {
      slim = fewer;
    }
  }
  return slim;
}
