import type { Random } from '../numbers/index.js';
import type { QuickWeek } from './quick-week.js';

/** How much chance shakes the gain of a child when a group is chosen. */
const SHAKE = 0.4;

/** Groups for new cards of a week, chosen by what the children have of them, shaken a little. */
export function quickGroups(week: QuickWeek, random: Random) {
  const { many, count, tally, flat, placesLeft, mayJoin, seatOn } = week;
  const { able, sizes, tables, mayTable } = flat;
  /** The group that was chosen last, and the seats that its children would leave. */
  const chosen = new Int32Array(count);
  const leaves = new Int32Array(count);
  const gains = new Float64Array(count);
  let size = 0;

  /**
   * Chooses who would take part in a new card: those who have most of it. They are then the first
   * `chosenSize` of `chosen`.
   * @returns what the week would gain; -Infinity where nobody could take part
   */
  function choose(a: number, d: number): number {
    const most = placesLeft(a, d, true);
    size = 0;
    let sum = tally.cardGain(a, d);
    if (most <= 0) return -Infinity;
    for (const c of able[a * many + d] as readonly number[]) {
      if (mayJoin(a, d, c)) chosen[size++] = c;
    }
    if (size === 0) return -Infinity;
    if (size > most) {
      for (let i = 0; i < size; i++) {
        const c = chosen[i] as number;
        gains[c] = tally.gain(a, d, c) * (1 + SHAKE * (random() - 0.5));
      }
      size = bestFirst(chosen, size, gains, most);
    }
    for (let i = 0; i < size; i++) sum += tally.gain(a, d, chosen[i] as number);
    return sum;
  }

  /**
   * The seat that a child would have to leave to sit at a table on a day: the one of that day, or,
   * where the child sits as often as may be, the one of the week that is missed least. As activity
   * times days plus day; -1 where there is no need.
   */
  function seatToLeave(d: number, c: number): number {
    const here = seatOn(d, c);
    if (here >= 0) return here * many + d;
    if ((tables[c] as number) < (mayTable[c] as number)) return -1;
    let best = -1;
    let least = Infinity;
    for (let on = 0; on < many; on++) {
      const a = seatOn(on, c);
      if (a < 0) continue;
      const loss = tally.loss(a, on, c);
      if (loss < least) [best, least] = [a * many + on, loss];
    }
    return best;
  }

  /**
   * Chooses who would take part in a new table card, from other tables too: those who have most of
   * it beside what they leave. The seats that they leave are in `leaves`.
   */
  function chooseFromAll(a: number, d: number): boolean {
    const most = placesLeft(a, d, true);
    size = 0;
    if (most <= 0) return false;
    for (const c of able[a * many + d] as readonly number[]) {
      const seat = seatToLeave(d, c);
      if (seat < 0 && (tables[c] as number) >= (mayTable[c] as number)) continue;
      // Nobody leaves a table empty.
      if (seat >= 0 && (sizes[seat] as number) < 2) continue;
      const lost = seat < 0 ? 0 : tally.loss(Math.floor(seat / many), seat % many, c);
      const gain = tally.gain(a, d, c) * (1 + SHAKE * (random() - 0.5)) - lost;
      if (seat >= 0 && gain < 0) continue;
      leaves[c] = seat;
      gains[c] = gain;
      chosen[size++] = c;
    }
    if (size === 0) return false;
    size = bestFirst(chosen, size, gains, most);
    return true;
  }

  return { choose, chooseFromAll, chosen, leaves, chosenSize: (): number => size };
}

/**
 * Puts those with the highest gains first among some children, no more than may be.
 * @param gains by child
 * @returns how many they are
 */
export function bestFirst(
  some: Int32Array,
  size: number,
  gains: Float64Array,
  most: number,
): number {
  const kept = Math.min(size, most);
  for (let i = 0; i < kept; i++) {
    let top = i;
    for (let j = i + 1; j < size; j++) {
      if ((gains[some[j] as number] as number) > (gains[some[top] as number] as number)) top = j;
    }
    const c = some[top] as number;
    some[top] = some[i] as number;
    some[i] = c;
  }
  return kept;
}
