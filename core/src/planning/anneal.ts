import { seeded } from '../numbers/index.js';
import { type Slot, placed } from './board.js';
import { mostGainedIn } from './most-gained.js';
import type { Card, WeekProblem } from './problem.js';
import { quickGroups } from './quick-groups.js';
import { BAND_ORDER, TABLE, quickWeek } from './quick-week.js';
import { type Room, roomLeft } from './rules.js';

/** Worth that a step may lose at first and later, where chance is against it one time in e. */
const HOT = 0.35;
const COOL = 0.1;
/** From this part of the time on it cools down wholly. */
const LAST = 0.9;
const COLD = 0.01;
/** After so many steps the temperature and the clock are looked at. */
const STEPS_A_LOOK = 256;
/** Part of the steps that change who takes part, and that put a card on another day. */
const FOR_TAKERS = 0.4;
const FOR_DAYS = 0.35;
/** Part of the steps that are at the tables: what is woven in and set out is soon the best beside them. */
const FOR_TABLES = 0.7;
/** Part of the new table cards that take children from other tables. */
const FROM_ALL = 0.5;

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
  const random = seeded(seed);
  const week = quickWeek(problem, room);
  const { tally } = week;
  const groups = quickGroups(week, random);
  const most = mostGainedIn(week);
  const many = problem.days.length;
  for (const { activity, day, takers } of cards) week.put(activity, day, takers);
  const open = problem.days.flatMap((day, d) => (day.open ? [d] : []));
  const inBand = BAND_ORDER.map((band) =>
    problem.activities.flatMap((activity, a) =>
      activity.band === band && open.some((d) => week.able(a, d).length > 0) ? [a] : [],
    ),
  );
  const bands = [0, 1, 2].filter((band) => (inBand[band] ?? []).length > 0);
  if (bands.length === 0) return cards;
  const tables = bands.filter((band) => band === TABLE);
  const others = bands.filter((band) => band !== TABLE);
  const pick = (list: ArrayLike<number>): number =>
    list[Math.floor(random() * list.length)] as number;
  const pickBand = (): number =>
    pick(others.length === 0 || (tables.length > 0 && random() < FOR_TABLES) ? tables : others);
  const [mine, theirs] = [0, 1].map(() => new Int32Array(problem.children.length)) as [
    Int32Array,
    Int32Array,
  ];

  let heat = hot;
  let best = tally.worth();
  let kept: readonly Slot[] = week.slots();
  /** What the step in hand may lose. */
  let bar = 0;
  const isTaken = (gain: number): boolean => gain >= bar;

  /** Another activity in a place of a day, or one more where there is room. */
  function exchange(): void {
    const d = pick(open);
    const band = pickBand();
    const here = week.cards(d, band);
    const isFull = here.length >= week.places(d, band);
    const old = here.length > 0 && (isFull || random() < 0.5) ? pick(here) : -1;
    const next = pick(inBand[band] ?? []);
    if (old === next || !week.mayStand(next, d, old)) return;
    const isFromAll = band === TABLE && random() < FROM_ALL;
    if (!isTaken(most.byExchange(next, d, old, isFromAll))) return;
    const before = tally.worth();
    const size = old < 0 ? 0 : week.take(old, d, mine);
    if (isFromAll) {
      if (!seatFromAll(next, d, before) && old >= 0) week.put(old, d, mine, size);
      return;
    }
    const gain = groups.choose(next, d) + tally.worth() - before;
    if (isTaken(gain)) {
      week.put(next, d, groups.chosen, groups.chosenSize());
      if (week.hasMoments(d)) return;
      week.take(next, d, theirs);
    }
    if (old >= 0) week.put(old, d, mine, size);
  }

  /** A new table card with children from other tables too; false where it was not taken. */
  function seatFromAll(next: number, d: number, before: number): boolean {
    if (!groups.chooseFromAll(next, d)) return false;
    const size = groups.chosenSize();
    let left = 0;
    let isWhole = true;
    for (; left < size && isWhole; left++) {
      const c = groups.chosen[left] as number;
      const seat = groups.leaves[c] as number;
      if (seat < 0) continue;
      // Others may have left that table in the meantime.
      isWhole = week.size(Math.floor(seat / many), seat % many) > 1;
      if (isWhole) week.leave(Math.floor(seat / many), seat % many, c);
      else left--;
    }
    if (isWhole) {
      week.put(next, d, groups.chosen, size);
      if (isTaken(tally.worth() - before) && week.hasMoments(d)) return true;
      week.take(next, d, theirs);
    }
    for (let i = 0; i < left; i++) {
      const c = groups.chosen[i] as number;
      const seat = groups.leaves[c] as number;
      if (seat >= 0) week.enter(Math.floor(seat / many), seat % many, c);
    }
    return false;
  }

  /** A card on another day, in exchange for one of there where there is no room. */
  function shift(): void {
    const [d, e] = [pick(open), pick(open)];
    if (d === e) return;
    const band = pickBand();
    const here = week.cards(d, band);
    if (here.length === 0) return;
    const a = pick(here);
    const there = week.cards(e, band);
    const isFull = there.length >= week.places(e, band);
    const b = there.length > 0 && (isFull || random() < 0.5) ? pick(there) : -1;
    if (a === b || !week.mayMove(a, d, e, b) || (b >= 0 && !week.mayMove(b, e, d, a))) return;
    if (!isTaken(most.byMove(a, d, e, b))) return;
    const before = tally.worth();
    const size = week.take(a, d, mine);
    const other = b < 0 ? 0 : week.take(b, e, theirs);
    let gain = groups.choose(a, e);
    const isPut = gain > -Infinity;
    if (isPut) {
      week.put(a, e, groups.chosen, groups.chosenSize());
      gain = (b < 0 ? 0 : groups.choose(b, d)) + tally.worth() - before;
    }
    if (gain > -Infinity && isTaken(gain)) {
      if (b >= 0) week.put(b, d, groups.chosen, groups.chosenSize());
      if (week.hasMoments(d) && week.hasMoments(e)) return;
      if (b >= 0) week.take(b, d, groups.chosen);
    }
    if (isPut) week.take(a, e, groups.chosen);
    if (b >= 0) week.put(b, e, theirs, other);
    week.put(a, d, mine, size);
  }

  /** The table card that a child would have to leave to sit at one on this day; -1 where none. */
  function seatOf(c: number, d: number): number {
    const here = week.seatOn(d, c);
    if (here >= 0) return here * many + d;
    if (!week.isFull(c)) return -1;
    let seat = -1;
    let seen = 0;
    for (const on of open) {
      const a = week.seatOn(on, c);
      if (a >= 0 && random() * ++seen < 1) seat = a * many + on;
    }
    return seat;
  }

  /** One child in a group for another, or one more; at the table from another group. */
  function regroup(): void {
    const d = pick(open);
    const band = pickBand();
    const here = week.cards(d, band);
    if (here.length === 0) return;
    const a = pick(here);
    const able = week.able(a, d);
    if (able.length === 0) return;
    const c = pick(able);
    if (week.isIn(a, d, c)) return;
    const seat = band === TABLE ? seatOf(c, d) : -1;
    const out =
      week.placesLeft(a, d, false) < 1
        ? week.taker(a, d, Math.floor(random() * week.size(a, d)))
        : -1;
    if (!isTaken(most.byJoining(a, d, c, seat, out))) return;
    const before = tally.worth();
    const seatA = Math.floor(seat / many);
    const seatD = seat % many;
    if (seat >= 0) week.leave(seatA, seatD, c);
    if (out >= 0) week.leave(a, d, out);
    let isBack = false;
    let isGone = false;
    if (week.placesLeft(a, d, false) >= 1 && week.mayJoin(a, d, c)) {
      week.enter(a, d, c);
      if (seat >= 0) {
        isBack =
          out >= 0 &&
          week.able(seatA, seatD).includes(out) &&
          !week.isIn(seatA, seatD, out) &&
          week.mayJoin(seatA, seatD, out);
        if (isBack) week.enter(seatA, seatD, out);
        isGone = week.size(seatA, seatD) === 0;
        if (isGone) week.take(seatA, seatD, mine);
      }
      if (isTaken(tally.worth() - before)) return;
      if (isGone) week.put(seatA, seatD, mine, 0);
      if (isBack) week.leave(seatA, seatD, out);
      week.leave(a, d, c);
    }
    if (out >= 0) week.enter(a, d, out);
    if (seat >= 0) week.enter(seatA, seatD, c);
  }

  for (let step = 0; step < steps; step++) {
    if (step % STEPS_A_LOOK === 0) {
      const part = Math.max(step / steps, spent());
      if (part >= 1) break;
      heat =
        part < LAST
          ? hot * (COOL / hot) ** (part / LAST)
          : COOL * (COLD / COOL) ** ((part - LAST) / (1 - LAST));
    }
    bar = heat * Math.log(random());
    const kind = random();
    if (kind < FOR_TAKERS) regroup();
    else if (kind < FOR_TAKERS + FOR_DAYS) shift();
    else exchange();
    if (tally.worth() <= best + 1e-9) continue;
    best = tally.worth();
    kept = week.slots();
  }
  return placed(problem, room, kept) ?? cards;
}
