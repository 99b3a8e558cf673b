import { shuffled } from '../numbers/index.js';
import { type CardFace } from './layout.js';
import { type Mark, rect } from './page.js';
import { numeral } from './numeral.js';
import { numbersFrom } from './range.js';
import { fitted } from './type.js';
import { centered } from './page.js';

const SIDE_MM = 90;
const EDGE_MM = 3;
const MOST_ATTEMPTS = 20_000;

/** A square board with something in each cell. */
export function boardFace(cells: readonly (number | string)[]): CardFace {
  const side = Math.round(Math.sqrt(cells.length));
  const cell = (SIDE_MM - 2 * EDGE_MM) / side;
  return (x, y) =>
    cells.flatMap((one, i): Mark[] => {
      const [cx, cy] = [x + EDGE_MM + (i % side) * cell, y + EDGE_MM + Math.floor(i / side) * cell];
      return [
        rect(cx, cy, cell, cell, { width: 0.9, ink: 'spruce' }),
        ...(typeof one === 'number'
          ? numeral(cx + cell / 2, cy + cell / 2, 17, cell - 6, one)
          : [centered(cx + cell / 2, cy + cell / 2, fitted(one, cell - 5, 11).size, one)]),
      ];
    });
}
export const BOARD_SIZE = { width: SIDE_MM, height: SIDE_MM } as const;

export interface Bingo {
  readonly boards: readonly (readonly number[])[];
  /** An order to call in for each round: no two boards are full at once, and each wins one round. */
  readonly rounds: readonly (readonly number[])[];
}

/** The board that is full first when numbers are called in an order; null where several are at once. */
export function firstFull(
  boards: readonly (readonly number[])[],
  order: readonly number[],
): number | null {
  const at = new Map(order.map((n, i) => [n, i]));
  const full = boards.map((board) => Math.max(...board.map((n) => at.get(n) ?? Infinity)));
  const least = Math.min(...full);
  const winners = full.flatMap((one, i) => (one === least ? [i] : []));
  return winners.length === 1 ? (winners[0] ?? null) : null;
}

/**
 * Different boards, and an order to call in for as many rounds: no round ends in a tie, and each board
 * wins one of them. Nine numbers on a board; four where the range has fewer than ten.
 * @throws RangeError where the range has too few numbers for so many boards
 */
export function bingoBoards(low: number, high: number, count: number, seed: number): Bingo {
  const numbers = numbersFrom(low, high);
  const places = numbers.length >= 10 ? 9 : 4;
  if (numbers.length <= places) throw new RangeError('boards need a range of at least 5 numbers');
  const boards: number[][] = [];
  const known = new Set<string>();
  let attempt = 0;
  while (boards.length < count && attempt < MOST_ATTEMPTS) {
    const board = shuffled(numbers, seed * 7919 + attempt++).slice(0, places);
    const key = [...board].sort((a, b) => a - b).join();
    if (!known.has(key)) boards.push(board);
    known.add(key);
  }
  const rounds = boards.map((_, winner) => {
    while (attempt++ < MOST_ATTEMPTS) {
      const order = shuffled(numbers, seed * 104_729 + attempt);
      if (firstFull(boards, order) === winner) return order;
    }
    return [];
  });
  if (boards.length < count || rounds.some((order) => order.length === 0)) {
    throw new RangeError(`this range has no ${count} boards that can each win: choose fewer`);
  }
  return { boards, rounds };
}
