import type { Random } from './seeded.js';
import { choose } from './ways.js';

/** Chance that k of n like counters are in one of two equal rooms: C(n, k) / 2^n. */
export const chanceOfSplit = (n: number, k: number): number => choose(n, k) / 2 ** n;

/** The room of each of n counters after a shake: each room as likely as another. */
export const shaken = (n: number, rooms: number, random: Random): number[] =>
  Array.from({ length: n }, () => Math.min(rooms - 1, Math.floor(random() * rooms)));

/** How many are in each room. */
export const inRooms = (where: readonly number[], rooms: number): number[] =>
  Array.from({ length: rooms }, (_, room) => where.filter((one) => one === room).length);

/**
 * Shakes to expect until every split was seen, from the chances of the splits: the sum over every
 * nonempty set S of splits of (-1)^(|S|+1) / P(S). Exact; for up to about 20 splits.
 */
export function expectedShakes(chances: readonly number[]): number {
  let sum = 0;
  for (let set = 1; set < 1 << chances.length; set++) {
    let chance = 0;
    let size = 0;
    for (let i = 0; i < chances.length; i++) {
      if (set & (1 << i)) {
        chance += chances[i] ?? 0;
        size++;
      }
    }
    sum += (size % 2 === 1 ? 1 : -1) / chance;
  }
  return sum;
}

/** Chances of the ordered splits of n into two rooms, all on the left last. */
export const orderedChances = (n: number): number[] =>
  Array.from({ length: n + 1 }, (_, k) => chanceOfSplit(n, k));

/** Chances of the splits of n when order does not count. */
export const unorderedChances = (n: number): number[] =>
  Array.from({ length: Math.floor(n / 2) + 1 }, (_, k) =>
    k * 2 === n ? chanceOfSplit(n, k) : 2 * chanceOfSplit(n, k),
  );

/** Shakes that are left to chance before what is missing is dealt. */
export const SHAKES_BY_CHANCE = 5;

/** One opening of a tray: how many are in each room, and whether chance or the dealer brought it. */
export interface Opening {
  readonly rooms: readonly number[];
  readonly dealt: boolean;
}

/** All ordered ways of n things in some rooms. */
export function waysInRooms(n: number, rooms: number): number[][] {
  if (rooms === 1) return [[n]];
  return Array.from({ length: n + 1 }, (_, k) => n - k).flatMap((first) =>
    waysInRooms(n - first, rooms - 1).map((rest) => [first, ...rest]),
  );
}

/**
 * The next opening of a tray: chance for the first few shakes, then what chance has not brought is
 * dealt one by one, and once every way was seen chance again.
 * @param before the openings so far, first to last
 */
export function nextOpening(
  n: number,
  rooms: number,
  before: readonly Opening[],
  random: Random,
): Opening {
  const seen = new Set(before.map((one) => one.rooms.join('-')));
  const missing = waysInRooms(n, rooms).filter((way) => !seen.has(way.join('-')));
  if (before.length < SHAKES_BY_CHANCE || missing.length === 0) {
    return { rooms: inRooms(shaken(n, rooms, random), rooms), dealt: false };
  }
  const way = missing[Math.floor(random() * missing.length)] ?? (missing[0] as number[]);
  return { rooms: way, dealt: true };
}

/** Faces of a die, lowest first. */
export type Faces = readonly number[];

export const STANDARD_FACES: Faces = [1, 2, 3, 4, 5, 6];

/** Dice whose sum never passes a top; for two dice the second may be the larger one. */
export function facesUpTo(top: number, dice: number): Faces[] {
  if (top >= 6 * dice) return Array.from({ length: dice }, () => STANDARD_FACES);
  if (dice === 1) return [threeFaces(Math.max(1, top - 2), top)];
  const small = Math.floor((top - 1) / 2);
  return [threeFaces(small - 2, small), threeFaces(top - small - 2, top - small)];
}

/** Six faces with three numbers, each twice: 1 1 2 2 3 3. */
function threeFaces(from: number, to: number): Faces {
  const low = Math.max(0, from);
  const numbers = [low, Math.round((low + to) / 2), to];
  return numbers.flatMap((n) => [n, n]);
}

/** The chance that the faces add up to more than a top. */
export function chanceAbove(top: number, dice: readonly Faces[]): number {
  let sums = new Map([[0, 1]]);
  for (const faces of dice) {
    const next = new Map<number, number>();
    for (const [sum, chance] of sums) {
      for (const face of faces) {
        next.set(sum + face, (next.get(sum + face) ?? 0) + chance / faces.length);
      }
    }
    sums = next;
  }
  return [...sums].reduce((all, [sum, chance]) => (sum > top ? all + chance : all), 0);
}

/** How many of the last cards drawn are kept back. */
const KEPT_BACK = 3;

/** A card from low to high, none of the last three again where there are enough. */
export function drawCard(
  low: number,
  high: number,
  drawn: readonly number[],
  random: Random,
): number {
  const all = Array.from({ length: high - low + 1 }, (_, i) => low + i);
  const back = drawn.slice(-Math.min(KEPT_BACK, all.length - 1));
  const open = all.filter((n) => !back.includes(n));
  return open[Math.floor(random() * open.length)] ?? low;
}
