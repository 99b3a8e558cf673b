import { type Offer, boardFor } from './board.js';
import type { Card, WeekProblem } from './problem.js';
import { roomLeft } from './rules.js';
import { valueOf } from './value.js';

/** What could stand in the place of a card, and how much of the card's gain it brings. */
export interface Other extends Offer {
  /** 1 brings as much. */
  readonly share: number;
}

/**
 * The best cards for the place of another one: the same day and band, with the rest of the week as it
 * stands; best first.
 * @param others all cards of the week but the one whose place it is
 */
export function othersFor(
  problem: WeekProblem,
  card: Card,
  others: readonly Card[],
  most = 3,
): Other[] {
  const rest: WeekProblem = { ...problem, fixed: others };
  const board = boardFor(rest, roomLeft(rest));
  const band = problem.activities[card.activity]?.band;
  const gain = valueOf(problem, [...others, card]) - valueOf(problem, others);
  const found: Other[] = [];
  for (const offer of board.offers()) {
    const activity = problem.activities[offer.activity];
    if (offer.day !== card.day || offer.activity === card.activity || activity?.band !== band)
      continue;
    if (!board.fits(offer)) continue;
    found.push({ ...offer, share: gain > 0 ? offer.gain / gain : 1 });
    if (found.length === most) break;
  }
  return found;
}

const SHARES: readonly (readonly [from: number, words: string])[] = [
  [1.03, 'more'],
  [0.97, 'just as much'],
  [0.85, 'almost as much'],
  [0.7, 'three quarters as much'],
  [0.58, 'two thirds as much'],
  [0.42, 'half as much'],
  [0.28, 'a third as much'],
  [0, 'little beside it'],
];

/** "three quarters as much": a share in words, as nobody measures a week to the second digit. */
export function shareWords(share: number): string {
  return SHARES.find(([from]) => share >= from)?.[1] ?? 'nothing beside it';
}
