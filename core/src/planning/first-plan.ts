import { annealFrom } from './anneal.js';
import { type Board, boardFor, placed } from './board.js';
import type { Card, WeekProblem } from './problem.js';
import { type Room, roomLeft } from './rules.js';

/** Small steps from an empty week to a good one, a tenth of a second or two; how hot they begin. */
const STEPS = 8_000;
const HOT = 0.3;

/** Adds the best offer again and again, until nothing brings anything. */
export function fill(board: Board): void {
  for (;;) {
    const best = board.offers().find((offer) => board.fits(offer));
    if (!best) return;
    board.add(best);
  }
}

/**
 * A good plan at once, by some small steps from an empty week.
 * @param seed another one leads to another plan
 */
export function firstPlan(
  problem: WeekProblem,
  room: Room = roomLeft(problem),
  seed = 1,
): readonly Card[] {
  return annealFrom(problem, [], { steps: STEPS, hot: HOT, seed }, room);
}

/** The best card again and again, until nothing brings anything: a plan to compare with. */
export function greedyPlan(problem: WeekProblem, room: Room = roomLeft(problem)): readonly Card[] {
  const board = boardFor(problem, room);
  fill(board);
  return placed(problem, room, board.slots) ?? [];
}
