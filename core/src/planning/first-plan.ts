import { type Board, type Slot, boardFor, placed } from './board.js';
import type { Card, WeekProblem } from './problem.js';
import { type Room, roomLeft } from './rules.js';
import { valueOf } from './value.js';

/** Rounds of taking one card out and filling up again. */
const MOST_ROUNDS = 6;

/** Adds the best offer again and again, until nothing brings anything. */
export function fill(board: Board): void {
  for (;;) {
    const best = board.offers().find((offer) => board.fits(offer));
    if (!best) return;
    board.add(best);
  }
}

/** What a week of slots is worth beside what is fixed; moments do not matter for it. */
export const worthOf = (problem: WeekProblem, slots: readonly Slot[]): number =>
  valueOf(problem, [...problem.fixed, ...slots.map((slot) => ({ ...slot, moment: 0 }))]);

/** Takes each card out in turn and fills up again; keeps what is better. True where something was. */
function improve(problem: WeekProblem, board: Board): boolean {
  let better = false;
  let best = worthOf(problem, board.slots);
  for (const slot of [...board.slots]) {
    if (!board.slots.includes(slot)) continue;
    const before = [...board.slots];
    board.remove(slot);
    const without = new Set(board.slots);
    fill(board);
    const now = worthOf(problem, board.slots);
    if (now > best + 1e-9) {
      best = now;
      better = true;
      continue;
    }
    for (const added of board.slots.filter((one) => !without.has(one))) board.remove(added);
    for (const one of before) if (!without.has(one)) board.add(one);
  }
  return better;
}

/**
 * A good plan at once: the best card again and again, then cards taken out in turn and the week
 * filled up again. What is fixed is not among the cards that come back.
 */
export function firstPlan(problem: WeekProblem, room: Room = roomLeft(problem)): readonly Card[] {
  const board = boardFor(problem, room);
  fill(board);
  for (let round = 0; round < MOST_ROUNDS && improve(problem, board); round++);
  return placed(problem, room, board.slots) ?? [];
}

/** The greedy plan alone, to compare with. */
export function greedyPlan(problem: WeekProblem): readonly Card[] {
  const room = roomLeft(problem);
  const board = boardFor(problem, room);
  fill(board);
  return placed(problem, room, board.slots) ?? [];
}
