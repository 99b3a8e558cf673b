import { type Random, seeded } from '../numbers/index.js';
import { type Board, type Slot, boardFor, placed } from './board.js';
import { worthOf } from './first-plan.js';
import type { Card, WeekProblem } from './problem.js';
import { type Room, roomLeft } from './rules.js';

/** How far below the best a week may be and still be gone on from, as a part of its worth. */
const SLACK = 0.004;
/** How much chance shakes the gain of an offer when a week is filled up again. */
const SHAKE = 0.25;
const FEWEST_OUT = 2;
const MOST_OUT = 6;

export interface SearchOptions {
  /** Rounds of taking some cards out and filling up again. */
  readonly rounds: number;
  readonly seed?: number;
  /** Asked now and then; false ends the search. */
  readonly goOn?: () => boolean;
}

/**
 * A better plan by taking out some cards and filling up again, many times, going on from what is
 * not much worse than the best (record-to-record travel; Dueck 1993, from memory).
 * @param cards the plan to begin with, without what is fixed
 */
export function searchFrom(
  problem: WeekProblem,
  cards: readonly Card[],
  { rounds, seed = 1, goOn = () => true }: SearchOptions,
  room: Room = roomLeft(problem),
): readonly Card[] {
  const random = seeded(seed);
  const board = boardFor(problem, room);
  for (const card of cards) board.add(card);
  const worth = (): number => worthOf(problem, board.slots);
  let best = worth();
  let current = best;
  let kept: readonly Slot[] = [...board.slots];
  for (let round = 0; round < rounds && goOn(); round++) {
    const before = [...board.slots];
    for (const slot of chosenToLeave(board, random)) board.remove(slot);
    fillUp(board, random);
    const now = worth();
    if (now > best + 1e-9) {
      best = now;
      kept = [...board.slots];
    }
    if (now >= Math.max(current, best * (1 - SLACK)) || now >= best * (1 - SLACK * random())) {
      current = now;
    } else {
      restore(board, before);
    }
  }
  return placed(problem, room, kept) ?? cards;
}

function restore(board: Board, before: readonly Slot[]): void {
  const wanted = new Set(before);
  for (const slot of [...board.slots]) if (!wanted.has(slot)) board.remove(slot);
  const there = new Set(board.slots);
  for (const slot of before) if (!there.has(slot)) board.add(slot);
}

/** Some cards: of one day, with one child, or just any. */
function chosenToLeave({ slots }: Board, random: Random): Slot[] {
  if (slots.length === 0) return [];
  const some = slots[Math.floor(random() * slots.length)] as Slot;
  const kind = random();
  const child = some.takers[Math.floor(random() * some.takers.length)] ?? -1;
  const near = slots.filter((slot) =>
    kind < 0.4 ? slot.day === some.day : kind < 0.7 ? slot.takers.includes(child) : true,
  );
  const count = FEWEST_OUT + Math.floor(random() * (MOST_OUT - FEWEST_OUT + 1));
  const out = new Set<Slot>([some]);
  while (out.size < Math.min(count, near.length)) {
    out.add(near[Math.floor(random() * near.length)] as Slot);
  }
  return [...out];
}

/** Adds offers until nothing brings anything, mostly but not always the best one. */
function fillUp(board: Board, random: Random): void {
  for (;;) {
    const shaken = board
      .offers()
      .map((offer) => ({ offer, gain: offer.gain * (1 + SHAKE * (random() - 0.5)) }))
      .sort((x, y) => y.gain - x.gain);
    const next = shaken.find(({ offer }) => board.fits(offer));
    if (!next) return;
    board.add(next.offer);
  }
}
