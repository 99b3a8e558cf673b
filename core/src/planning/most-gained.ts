import { bestFirst } from './quick-groups.js';
import { type QuickWeek, TABLE } from './quick-week.js';

/**
 * What small steps of a week gain at most, reckoned without making them: of a hundred steps that may
 * be made hardly one is, and making one and taking it back costs several times as much.
 */
export function mostGainedIn({ many, count, tally, flat }: QuickWeek) {
  const { able, most, bands, sizes, takers, isIn, atTable, tables, mayTable } = flat;
  const some = new Int32Array(count);
  const gains = new Float64Array(count);

  /** What its children have of a card. */
  function lossOf(a: number, d: number): number {
    const at = a * many + d;
    let sum = 0;
    for (let i = 0; i < (sizes[at] as number); i++) {
      sum += tally.loss(a, d, takers[at * count + i] as number);
    }
    return sum;
  }

  /**
   * What children have of a new card at most.
   * @param old the activity that goes from that day; -1 where none does
   * @param from the day from which the card comes; -1 where it is new
   * @param isFromAll also those who would have to leave another table
   */
  function mostOf(a: number, d: number, old: number, from: number, isFromAll: boolean): number {
    const seats = most[a * many + d] as number;
    const isOld = (old * many + d) * count;
    const isMine = (a * many + from) * count;
    const isTable = bands[a] === TABLE && !isFromAll;
    let size = 0;
    for (const c of able[a * many + d] as readonly number[]) {
      const goes = old >= 0 && isIn[isOld + c] === 1;
      const comes = from >= 0 && isIn[isMine + c] === 1;
      if (isTable) {
        if (!goes && atTable[d * count + c] === 1) continue;
        const seated = (tables[c] as number) - (goes ? 1 : 0) - (comes ? 1 : 0);
        if (seated >= (mayTable[c] as number)) continue;
      }
      gains[c] = tally.gain(a, d, c, goes ? old : -1, d, comes ? a : -1, from);
      some[size++] = c;
    }
    if (size > seats) size = bestFirst(some, size, gains, seats);
    let sum = 0;
    for (let i = 0; i < size; i++) sum += Math.max(0, gains[some[i] as number] as number);
    return sum;
  }

  /**
   * No exchange on a day gains more, whoever takes part.
   * @param old the activity that goes; -1 where none does
   */
  function byExchange(a: number, d: number, old: number, isFromAll: boolean): number {
    const sum = tally.plain(a) + mostOf(a, d, old, -1, isFromAll);
    return old < 0 ? sum : sum - tally.plain(old) + tally.mess(old) - lossOf(old, d);
  }

  /**
   * No card that goes from day `d` to day `e` gains more, whoever takes part.
   * @param b the activity that goes the other way; -1 where none does
   */
  function byMove(a: number, d: number, e: number, b: number): number {
    const sum = tally.mess(a) - lossOf(a, d) + mostOf(a, e, b, d, false);
    return b < 0 ? sum : sum + tally.mess(b) - lossOf(b, e) + mostOf(b, d, a, e, false);
  }

  /**
   * No child who joins a card gains more.
   * @param seat the table card that the child leaves, as activity times days plus day; -1 where none
   * @param out the child who goes in exchange, to that seat where that may be; -1 where none does
   */
  function byJoining(a: number, d: number, c: number, seat: number, out: number): number {
    const lost = out < 0 ? 0 : tally.loss(a, d, out);
    if (seat < 0) return tally.gain(a, d, c) - lost;
    const [from, on] = [Math.floor(seat / many), seat % many];
    let sum = tally.gain(a, d, c, from, on) - tally.loss(from, on, c) - lost;
    if (out >= 0) sum += Math.max(0, tally.gain(from, on, out, a, d));
    // A table that is left empty is no more.
    if (sizes[seat] === 1) sum += Math.max(0, tally.mess(from) - tally.plain(from));
    return sum;
  }

  return { byExchange, byMove, byJoining };
}
