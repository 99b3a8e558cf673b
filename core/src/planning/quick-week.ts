import type { Band } from '../vocabulary/index.js';
import type { Slot } from './board.js';
import { momentsRemembered } from './moments.js';
import type { WeekProblem } from './problem.js';
import { type Room, besideDay, takersFor, termsOn } from './rules.js';
import { tallyFor } from './tally.js';

export const BAND_ORDER: readonly Band[] = ['woven', 'set-out', 'table'];
export const TABLE = BAND_ORDER.indexOf('table');

/** A week in which single cards and takers are changed some hundred thousand times a second. */
export type QuickWeek = ReturnType<typeof quickWeek>;

/** A week with nothing but what is fixed. Bands go by their place in `BAND_ORDER`. */
export function quickWeek(problem: WeekProblem, room: Room) {
  const { activities, days, children } = problem;
  const many = days.length;
  const count = children.length;
  const tally = tallyFor(problem, room);
  const beside = days.map((_, d) => besideDay(problem, d));
  const able = activities.flatMap((_, a) => days.map((__, d) => takersFor(problem, room, a, d)));
  const most = Int32Array.from(
    activities.flatMap((_, a) => days.map((__, d) => termsOn(problem, a, d).most)),
  );
  const bands = Uint8Array.from(activities, (one) => BAND_ORDER.indexOf(one.band));
  const lengths = Float64Array.from(activities, (activity) => activity.minutes);
  const uses = activities.map((activity) => activity.uses);
  const isUsing = Uint8Array.from(uses, (some) => (some.length > 0 ? 1 : 0));
  const mayUse = Int32Array.from(room.uses);
  const mayTable = Int32Array.from(room.tables);
  const places = Int32Array.from(
    days.flatMap((_, d) => BAND_ORDER.map((band) => room.days[d]?.[band] ?? 0)),
  );
  const tableMinutes = Float64Array.from(days, (_, d) => room.days[d]?.tableMinutes ?? 0);

  /** By activity and day: how many take part, and who; and the same by child. */
  const sizes = new Int32Array(activities.length * many);
  const takers = new Int32Array(activities.length * many * count);
  const isIn = new Uint8Array(activities.length * many * count);
  const stands = new Uint8Array(activities.length * many);
  /** By day and band. */
  const cards = days.flatMap(() => BAND_ORDER.map((): number[] => []));
  const used = new Int32Array(activities.length);
  const minutes = new Float64Array(many);
  const atTable = new Uint8Array(many * count);
  const tables = new Int32Array(count);
  const stock = [...room.stock];
  const onDay: number[] = [];
  const have = momentsRemembered(problem, room);

  /** Things used up by so many cards and children of an activity; less than none gives them back. */
  function use(a: number, cards: number, children: number): void {
    for (const { item, base, each } of uses[a] ?? []) {
      stock[item] = (stock[item] as number) - cards * base - children * each;
    }
  }

  function enter(a: number, d: number, c: number): void {
    const at = a * many + d;
    const size = sizes[at] as number;
    takers[at * count + size] = c;
    sizes[at] = size + 1;
    isIn[at * count + c] = 1;
    tally.taker(a, d, c, 1);
    if (isUsing[a] === 1) use(a, 0, 1);
    if (bands[a] !== TABLE) return;
    atTable[d * count + c] = 1;
    tables[c] = (tables[c] as number) + 1;
  }

  function leave(a: number, d: number, c: number): void {
    const at = a * many + d;
    const size = (sizes[at] as number) - 1;
    let i = at * count;
    while (takers[i] !== c) i++;
    takers[i] = takers[at * count + size] as number;
    sizes[at] = size;
    isIn[at * count + c] = 0;
    tally.taker(a, d, c, -1);
    if (isUsing[a] === 1) use(a, 0, -1);
    if (bands[a] !== TABLE) return;
    atTable[d * count + c] = 0;
    tables[c] = (tables[c] as number) - 1;
  }

  /** @param group children who take part; the first `size` of them */
  function put(a: number, d: number, group: ArrayLike<number>, size = group.length): void {
    const band = bands[a] as number;
    stands[a * many + d] = 1;
    cards[d * 3 + band]?.push(a);
    used[a] = (used[a] as number) + 1;
    tally.card(a, d, 1);
    if (isUsing[a] === 1) use(a, 1, 0);
    if (band === TABLE) minutes[d] = (minutes[d] as number) + (lengths[a] as number);
    for (let i = 0; i < size; i++) enter(a, d, group[i] as number);
  }

  /** Takes a card away. Its children are copied into `into`; says how many there were. */
  function take(a: number, d: number, into: Int32Array): number {
    const at = a * many + d;
    const band = bands[a] as number;
    const size = sizes[at] as number;
    for (let i = size - 1; i >= 0; i--) {
      const c = takers[at * count + i] as number;
      into[i] = c;
      leave(a, d, c);
    }
    stands[at] = 0;
    const here = cards[d * 3 + band] as number[];
    const i = here.indexOf(a);
    here[i] = here[here.length - 1] as number;
    here.pop();
    used[a] = (used[a] as number) - 1;
    tally.card(a, d, -1);
    if (isUsing[a] === 1) use(a, -1, 0);
    if (band === TABLE) minutes[d] = (minutes[d] as number) - (lengths[a] as number);
    return size;
  }

  /**
   * True where an activity may be added to a day, but for its children and moments.
   * @param instead an activity of the same band that goes from that day; -1 where none does
   */
  function mayStand(a: number, d: number, instead: number): boolean {
    const at = a * many + d;
    const band = bands[a] as number;
    const goes = instead >= 0 ? 1 : 0;
    if (stands[at] === 1 || (able[at]?.length ?? 0) === 0) return false;
    if ((used[a] as number) >= (mayUse[a] as number)) return false;
    for (const one of beside[d] as readonly number[]) {
      if (stands[a * many + one] === 1) return false;
    }
    const here = cards[d * 3 + band] as readonly number[];
    if (here.length - goes >= (places[d * 3 + band] as number)) return false;
    return hasMinutes(a, d, instead);
  }

  /** True where an activity goes into the table minutes of a day, beside others or in place of one. */
  function hasMinutes(a: number, d: number, instead: number): boolean {
    if (bands[a] !== TABLE) return true;
    const freed = instead < 0 ? 0 : (lengths[instead] as number);
    return (minutes[d] as number) - freed + (lengths[a] as number) <= (tableMinutes[d] as number);
  }

  /**
   * True where a card may go from one day to another, but for its children and moments.
   * @param instead an activity of the same band that goes the other way; -1 where none does
   */
  function mayMove(a: number, from: number, to: number, instead: number): boolean {
    const at = a * many + to;
    if (stands[at] === 1 || (able[at]?.length ?? 0) === 0) return false;
    for (const one of beside[to] as readonly number[]) {
      if (one !== from && stands[a * many + one] === 1) return false;
    }
    return hasMinutes(a, to, instead);
  }

  const mayJoin = (a: number, d: number, c: number): boolean =>
    bands[a] !== TABLE ||
    (atTable[d * count + c] === 0 && (tables[c] as number) < (mayTable[c] as number));

  /** How many more can take part, with what is left of things that are used up. */
  function placesLeft(a: number, d: number, isNew: boolean): number {
    const at = a * many + d;
    let left = (most[at] as number) - (sizes[at] as number);
    if (isUsing[a] === 0) return left;
    for (const { item, base, each } of uses[a] ?? []) {
      const there = (stock[item] as number) - (isNew ? base : 0);
      if (there < 0) return 0;
      if (each > 0) left = Math.min(left, Math.floor(there / each + 1e-9));
    }
    return left;
  }

  /** The table card of a child on a day; -1 where there is none. */
  function seatOn(d: number, c: number): number {
    if (atTable[d * count + c] === 0) return -1;
    for (const a of cards[d * 3 + TABLE] as readonly number[]) {
      if (isIn[(a * many + d) * count + c] === 1) return a;
    }
    return -1;
  }

  /** True where each card of a day has a moment; asked for in one order, whatever came first. */
  function hasMoments(d: number): boolean {
    let n = 0;
    for (let band = 0; band < 3; band++) {
      for (const a of cards[d * 3 + band] as readonly number[]) {
        let i = n++;
        for (; i > 0 && (onDay[i - 1] as number) > a; i--) onDay[i] = onDay[i - 1] as number;
        onDay[i] = a;
      }
    }
    onDay.length = n;
    return have(d, onDay);
  }

  return {
    many,
    count,
    tally,
    flat: { able, most, bands, sizes, takers, isIn, atTable, tables, mayTable },
    enter,
    leave,
    put,
    take,
    mayStand,
    mayMove,
    mayJoin,
    placesLeft,
    seatOn,
    hasMoments,
    able: (a: number, d: number): readonly number[] => able[a * many + d] ?? [],
    size: (a: number, d: number): number => sizes[a * many + d] as number,
    taker: (a: number, d: number, i: number): number =>
      takers[(a * many + d) * count + i] as number,
    isIn: (a: number, d: number, c: number): boolean => isIn[(a * many + d) * count + c] === 1,
    bandOf: (a: number): number => bands[a] as number,
    cards: (d: number, band: number): readonly number[] => cards[d * 3 + band] as readonly number[],
    places: (d: number, band: number): number => places[d * 3 + band] as number,
    isFull: (c: number): boolean => (tables[c] as number) >= (mayTable[c] as number),
    slots: (): Slot[] =>
      days.flatMap((_, d) =>
        cards.slice(d * 3, d * 3 + 3).flatMap((some) =>
          some.map((a) => {
            const from = (a * many + d) * count;
            const group = takers.slice(from, from + (sizes[a * many + d] as number));
            return { activity: a, day: d, takers: [...group.sort()] };
          }),
        ),
      ),
  };
}
