import { type Random, seeded } from '../numbers/index.js';
import type { Band } from '../vocabulary/index.js';
import { type Slot, placed } from './board.js';
import { momentsForDay } from './moments.js';
import { type Card, type PlanActivity, type WeekProblem } from './problem.js';
import { type Room, besideDay, roomLeft, takersFor, termsOn } from './rules.js';
import { type Tally, tallyFor } from './tally.js';

/** Worth that a step may lose at first and at the end, where chance is against it one time in e. */
const HOT = 0.35;
const COLD = 0.02;
/** After so many steps that left the week as it was, the temperature and the clock are looked at. */
const STEPS_A_LOOK = 64;
/** Part of the steps that change who takes part, and that put a card on another day. */
const FOR_TAKERS = 0.25;
const FOR_DAYS = 0.35;
/** How much chance shakes the gain of a child when a group is chosen. */
const SHAKE = 0.4;

export interface AnnealOptions {
  readonly steps: number;
  readonly seed?: number;
  /** Part of the time that is used up, 0 to 1; from 1 on it ends. */
  readonly spent?: () => number;
  readonly hot?: number;
}

/**
 * A better plan by many small steps: another activity in a place, a card on another day, another
 * child in a group. A step that loses is taken with a chance that falls as it goes on (simulated
 * annealing; Kirkpatrick, Gelatt and Vecchi 1983, from memory). Every week on the way holds every rule.
 * @param cards the plan to begin with, without what is fixed
 */
export function annealFrom(
  problem: WeekProblem,
  cards: readonly Card[],
  { steps, seed = 1, spent = () => 0, hot = HOT }: AnnealOptions,
  room: Room = roomLeft(problem),
): readonly Card[] {
  const week = weekFor(problem, room, seeded(seed));
  for (const { activity, day, takers } of cards) week.put(activity, day, takers);
  let best = week.tally.worth();
  let kept = week.slots();
  let heat = hot;
  for (let step = 0; step < steps; step++) {
    if (step % STEPS_A_LOOK === 0) {
      const part = Math.max(step / steps, spent());
      if (part >= 1) break;
      heat = hot * (COLD / hot) ** part;
    }
    const before = week.tally.worth();
    const undo = week.step();
    if (!undo) continue;
    const gain = week.tally.worth() - before;
    if (gain < 0 && week.random() >= Math.exp(gain / heat)) undo();
    else if (!week.hasMoments()) undo();
    else if (before + gain > best + 1e-9) {
      best = before + gain;
      kept = week.slots();
    }
  }
  return placed(problem, room, kept) ?? cards;
}

interface Annealing {
  readonly tally: Tally;
  readonly random: Random;
  put(a: number, d: number, takers: readonly number[]): void;
  slots(): Slot[];
  /** Changes something; null where nothing could be. Returns how to take it back. */
  step(): (() => void) | null;
  /** True where the days that the last step changed have a moment for each of their cards. */
  hasMoments(): boolean;
}

/** A week in which single cards and takers can be changed fast. */
function weekFor(problem: WeekProblem, room: Room, random: Random): Annealing {
  const { activities, days, children } = problem;
  const tally = tallyFor(problem, room);
  const open = days.flatMap((day, d) => (day.open ? [d] : []));
  const beside = days.map((_, d) => besideDay(problem, d));
  const able = activities.map((_, a) => days.map((__, d) => takersFor(problem, room, a, d)));
  const most = activities.map((_, a) => days.map((__, d) => termsOn(problem, a, d).most));
  const inBand: Record<Band, number[]> = { woven: [], 'set-out': [], table: [] };
  activities.forEach((activity, a) => {
    if ((able[a] ?? []).some((some) => some.length > 0)) inBand[activity.band].push(a);
  });
  const bands = (['woven', 'set-out', 'table'] as const).filter((band) => inBand[band].length > 0);
  /** Takers of each activity on each day; null where it does not come. */
  const on: (number[] | null)[][] = activities.map(() => days.map(() => null));
  const cardsOn = days.map((): number[] => []);
  const uses = activities.map(() => 0);
  const minutes = days.map(() => 0);
  const atTable = days.map(() => children.map(() => false));
  const tables = children.map(() => 0);
  const stock = [...room.stock];
  const changed = new Set<number>();
  const pick = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)] as T;
  const bandsOf = activities.map((activity) => activity.band);
  const used = activities.map((activity) => activity.uses);
  const bandOf = (a: number): Band => bandsOf[a] as Band;
  const cardsIn = (d: number, band: Band): number[] =>
    (cardsOn[d] ?? []).filter((a) => bandOf(a) === band);

  function put(a: number, d: number, takers: readonly number[]): void {
    const activity = activities[a];
    const row = on[a];
    if (!activity || !row) return;
    row[d] = [...takers];
    cardsOn[d]?.push(a);
    uses[a] = (uses[a] ?? 0) + 1;
    tally.card(a, d, 1);
    for (const { item, base } of activity.uses) stock[item] = (stock[item] ?? 0) - base;
    if (activity.band === 'table') minutes[d] = (minutes[d] ?? 0) + activity.minutes;
    for (const c of takers) join(a, d, c, 1);
  }

  function take(a: number, d: number): number[] {
    const activity = activities[a];
    const row = on[a];
    const takers = row?.[d];
    if (!activity || !row || !takers) return [];
    for (const c of takers) join(a, d, c, -1);
    row[d] = null;
    const here = cardsOn[d] as number[];
    here.splice(here.indexOf(a), 1);
    uses[a] = (uses[a] ?? 0) - 1;
    tally.card(a, d, -1);
    for (const { item, base } of activity.uses) stock[item] = (stock[item] ?? 0) + base;
    if (activity.band === 'table') minutes[d] = (minutes[d] ?? 0) - activity.minutes;
    return takers;
  }

  function join(a: number, d: number, c: number, by: 1 | -1): void {
    tally.taker(a, d, c, by);
    for (const { item, each } of used[a] as PlanActivity['uses']) {
      stock[item] = (stock[item] ?? 0) - by * each;
    }
    if (bandOf(a) !== 'table') return;
    (atTable[d] as boolean[])[c] = by === 1;
    tables[c] = (tables[c] ?? 0) + by;
  }

  /** True where an activity may be added to a day, but for its children and moments. */
  function mayStand(a: number, d: number): boolean {
    const activity = activities[a];
    const left = room.days[d];
    if (!activity || !left || (able[a]?.[d] ?? []).length === 0) return false;
    if ((uses[a] ?? 0) >= (room.uses[a] ?? 0) || on[a]?.[d]) return false;
    if ((beside[d] ?? []).some((one) => on[a]?.[one])) return false;
    if (cardsIn(d, activity.band).length >= left[activity.band]) return false;
    return activity.band !== 'table' || (minutes[d] ?? 0) + activity.minutes <= left.tableMinutes;
  }

  const mayJoin = (a: number, d: number, c: number): boolean =>
    bandOf(a) !== 'table' || (!atTable[d]?.[c] && (tables[c] ?? 0) < (room.tables[c] ?? 0));

  /** How many can take part with what is left of things that are used up. */
  function places(a: number, d: number): number {
    let count = most[a]?.[d] ?? 0;
    for (const { item, base, each } of activities[a]?.uses ?? []) {
      const left = (stock[item] ?? 0) - base;
      if (left < 0) return 0;
      if (each > 0) count = Math.min(count, Math.floor(left / each + 1e-9));
    }
    return count;
  }

  /** Puts an activity on a day with those who have most of it; false where nobody has anything. */
  function offer(a: number, d: number): boolean {
    if (!mayStand(a, d)) return false;
    const count = places(a, d);
    const some = (able[a]?.[d] ?? []).filter((c) => mayJoin(a, d, c));
    if (count === 0 || some.length === 0) return false;
    if (some.length <= count) {
      put(a, d, some);
      return true;
    }
    const found = some.map((c) => ({
      c,
      gain: tally.gain(a, d, c) * (1 + SHAKE * (random() - 0.5)),
    }));
    found.sort((x, y) => y.gain - x.gain);
    put(
      a,
      d,
      found.slice(0, count).map((one) => one.c),
    );
    return true;
  }

  /** Another activity in a place of a day, or one more where there is room. */
  function exchange(): (() => void) | null {
    const d = pick(open);
    const band = pick(bands);
    const here = cardsIn(d, band);
    const left = room.days[d]?.[band] ?? 0;
    const old = here.length > 0 && (here.length >= left || random() < 0.5) ? pick(here) : null;
    const next = pick(inBand[band]);
    if (old === next) return null;
    const takers = old === null ? [] : take(old, d);
    const back = (): void => {
      if (old !== null) put(old, d, takers);
    };
    if (!offer(next, d)) {
      back();
      return null;
    }
    changed.add(d);
    return () => {
      take(next, d);
      back();
    };
  }

  /** A card on another day, in exchange for one of there where there is no room. */
  function shift(): (() => void) | null {
    const [d, e] = [pick(open), pick(open)];
    if (d === e) return null;
    const band = pick(bands);
    const [here, there] = [cardsIn(d, band), cardsIn(e, band)];
    if (here.length === 0) return null;
    const a = pick(here);
    const isFull = there.length >= (room.days[e]?.[band] ?? 0);
    const b = there.length > 0 && (isFull || random() < 0.5) ? pick(there) : null;
    if (a === b) return null;
    const mine = take(a, d);
    const theirs = b === null ? [] : take(b, e);
    const put1 = offer(a, e);
    const put2 = b === null || offer(b, d);
    const back = (): void => {
      if (put1) take(a, e);
      if (b !== null && put2) take(b, d);
      put(a, d, mine);
      if (b !== null) put(b, e, theirs);
    };
    if (!put1 || !put2) {
      back();
      return null;
    }
    changed.add(d);
    changed.add(e);
    return back;
  }

  /** A table card that a child would have to leave to sit at one on this day; null where none. */
  function seatOf(c: number, d: number): { a: number; d: number } | null {
    const seats = (on1: number): { a: number; d: number }[] =>
      (cardsOn[on1] ?? []).flatMap((a) =>
        bandOf(a) === 'table' && on[a]?.[on1]?.includes(c) ? [{ a, d: on1 }] : [],
      );
    if (atTable[d]?.[c]) return seats(d)[0] ?? null;
    return (tables[c] ?? 0) < (room.tables[c] ?? 0) ? null : (pick(open.flatMap(seats)) ?? null);
  }

  /** One child in a group for another, or one more; at the table from another group. */
  function regroup(): (() => void) | null {
    const d = pick(open);
    const here = cardsOn[d] ?? [];
    if (here.length === 0) return null;
    const a = pick(here);
    const takers = on[a]?.[d];
    const c = pick(able[a]?.[d] ?? []);
    if (!takers || c === undefined || takers.includes(c)) return null;
    const seat = bandOf(a) === 'table' ? seatOf(c, d) : null;
    const old = [...takers];
    const left = seat && [...(on[seat.a]?.[seat.d] ?? [])];
    const back = (): void => {
      take(a, d);
      if (seat && on[seat.a]?.[seat.d]) take(seat.a, seat.d);
      put(a, d, old);
      if (seat && left) put(seat.a, seat.d, left);
    };
    if (seat) leave(seat.a, seat.d, c);
    const out = placesLeft(a, d) < 1 ? pick(takers) : undefined;
    if (out !== undefined) leave(a, d, out);
    if (placesLeft(a, d) < 1 || !mayJoin(a, d, c)) {
      back();
      return null;
    }
    enter(a, d, c);
    if (seat) {
      const isAble = out !== undefined && (able[seat.a]?.[seat.d] ?? []).includes(out);
      if (isAble && !on[seat.a]?.[seat.d]?.includes(out) && mayJoin(seat.a, seat.d, out)) {
        enter(seat.a, seat.d, out);
      }
      if ((on[seat.a]?.[seat.d] ?? []).length === 0) take(seat.a, seat.d);
    }
    return back;
  }

  function leave(a: number, d: number, c: number): void {
    const list = on[a]?.[d] as number[];
    list.splice(list.indexOf(c), 1);
    join(a, d, c, -1);
  }

  function enter(a: number, d: number, c: number): void {
    on[a]?.[d]?.push(c);
    join(a, d, c, 1);
  }

  /** Places that are left in a card that stands. */
  function placesLeft(a: number, d: number): number {
    let count = (most[a]?.[d] ?? 0) - (on[a]?.[d]?.length ?? 0);
    for (const { item, each } of activities[a]?.uses ?? []) {
      if (each > 0) count = Math.min(count, Math.floor((stock[item] ?? 0) / each + 1e-9));
    }
    return count;
  }

  return {
    tally,
    random,
    put,
    slots: () =>
      days.flatMap((_, d) =>
        (cardsOn[d] ?? []).map((a) => ({
          activity: a,
          day: d,
          takers: [...(on[a]?.[d] ?? [])].sort((x, y) => x - y),
        })),
      ),
    step() {
      changed.clear();
      if (bands.length === 0) return null;
      const kind = random();
      if (kind < FOR_TAKERS) return regroup();
      return kind < FOR_TAKERS + FOR_DAYS ? shift() : exchange();
    },
    hasMoments: () =>
      [...changed].every((d) => momentsForDay(problem, room, d, cardsOn[d] ?? []) !== null),
  };
}
