import { momentsForDay } from './moments.js';
import {
  type Card,
  HIT_WEIGHTS,
  LIKED,
  MESS_AGAIN,
  STRANDS_A_WEEK,
  STRAND_SHORT,
  type WeekProblem,
  cardWorth,
} from './problem.js';
import { type Room, besideDay, takersFor, termsOn } from './rules.js';

/** An activity on a day with some children, before it has a moment. */
export interface Slot {
  readonly activity: number;
  readonly day: number;
  readonly takers: readonly number[];
}

/** A card that could be added, and what the week gains by it. */
export interface Offer extends Slot {
  readonly gain: number;
}

/** A week in the making: what could be added to it, and what that would bring. */
export interface Board {
  readonly slots: readonly Slot[];
  /** The best group for an activity on a day; null where it may not come or brings nothing. */
  offer(activity: number, day: number): Offer | null;
  /** All offers, best first. */
  offers(): Offer[];
  add(slot: Slot): void;
  remove(slot: Slot): void;
  /** True where the day still has a moment for each activity with this one added. */
  fits(slot: Slot): boolean;
}

/** A week in which only what is fixed stands, with the room that it leaves. */
export function boardFor(problem: WeekProblem, room: Room): Board {
  const { children, activities, days } = problem;
  const slots: Slot[] = [];
  /** By child and want and day: slots and fixed cards that meet it. */
  const met = children.map((child) => child.wanted.map(() => new Int16Array(days.length)));
  const hits = children.map((child) => new Int16Array(child.wanted.length));
  const strands = children.map(() => new Map<number, number>());
  const tables = children.map(() => new Int16Array(days.length));
  const tablesUsed = new Int16Array(children.length);
  const bandUsed = days.map(() => ({ woven: 0, 'set-out': 0, table: 0 }));
  const tableMinutes = new Float64Array(days.length);
  const uses = new Int16Array(activities.length);
  const stock = [...room.stock];
  const takersOf = activities.map((_, a) => days.map((__, d) => takersFor(problem, room, a, d)));
  const mess = days.map((_, d): number => (room.days[d]?.messy ? 1 : 0));
  const beside = days.map((_, d) => besideDay(problem, d));
  room.hits.forEach((wants, c) => {
    wants.forEach((on, want) => {
      for (const d of on) meet(c, want, d, 1);
    });
  });

  function meet(c: number, want: number, d: number, by: 1 | -1): void {
    const row = met[c]?.[want];
    const count = hits[c];
    if (!row || !count) return;
    const before = row[d] ?? 0;
    row[d] = before + by;
    const changed = by === 1 ? before === 0 : before === 1;
    if (!changed) return;
    count[want] = (count[want] ?? 0) + by;
    const strand = children[c]?.wanted[want]?.strand ?? -1;
    strands[c]?.set(strand, (strands[c]?.get(strand) ?? 0) + by);
  }

  function touched(c: number): number {
    let count = 0;
    for (const n of strands[c]?.values() ?? []) if (n > 0) count++;
    return count;
  }

  function gainOf(a: number, d: number, c: number): number {
    const gain = activities[a]?.gains[c];
    const wanted = children[c]?.wanted;
    if (!gain || !wanted) return 0;
    let sum = gain.liked ? LIKED : 0;
    let fresh: Set<number> | null = null;
    for (const want of gain.wants) {
      if ((met[c]?.[want]?.[d] ?? 0) > 0) continue;
      const before = hits[c]?.[want] ?? 0;
      sum += (wanted[want]?.value ?? 0) * (HIT_WEIGHTS[before] ?? 0);
      const strand = wanted[want]?.strand ?? -1;
      if ((strands[c]?.get(strand) ?? 0) === 0) (fresh ??= new Set()).add(strand);
    }
    if (fresh === null) return sum;
    const short = Math.max(0, STRANDS_A_WEEK - touched(c));
    return sum + STRAND_SHORT * Math.min(short, fresh.size);
  }

  const stands = (a: number, d: number): boolean =>
    slots.some((slot) => slot.activity === a && slot.day === d);

  function shut(a: number, d: number): boolean {
    const activity = activities[a];
    const left = room.days[d];
    if (!activity || !left) return true;
    const used = bandUsed[d]?.[activity.band] ?? 0;
    if (used >= left[activity.band] || (uses[a] ?? 0) >= (room.uses[a] ?? 0)) return true;
    if (
      activity.band === 'table' &&
      (tableMinutes[d] ?? 0) + activity.minutes > left.tableMinutes
    ) {
      return true;
    }
    return (uses[a] ?? 0) > 0 && (stands(a, d) || (beside[d] ?? []).some((one) => stands(a, one)));
  }

  function mostOf(a: number, d: number): number {
    let { most } = termsOn(problem, a, d);
    for (const { item, base, each } of activities[a]?.uses ?? []) {
      const left = (stock[item] ?? 0) - base;
      if (left < 0) return 0;
      if (each > 0) most = Math.min(most, Math.floor(left / each + 1e-9));
    }
    return most;
  }

  function offer(a: number, d: number): Offer | null {
    const activity = activities[a];
    const able = takersOf[a]?.[d] ?? [];
    if (!activity || able.length === 0 || shut(a, d)) return null;
    const most = mostOf(a, d);
    if (most === 0) return null;
    const isTable = activity.band === 'table';
    const found: { c: number; gain: number }[] = [];
    let spare: number | null = null;
    for (const c of able) {
      if (isTable && ((tables[c]?.[d] ?? 0) > 0 || (tablesUsed[c] ?? 0) >= (room.tables[c] ?? 0))) {
        continue;
      }
      const gain = gainOf(a, d, c);
      if (gain > 0) found.push({ c, gain });
      else spare ??= c;
    }
    // Once more for practice, where the activity itself is worth something.
    if (found.length === 0 && spare !== null) found.push({ c: spare, gain: 0 });
    if (found.length === 0) return null;
    found.sort((x, y) => y.gain - x.gain || x.c - y.c);
    const chosen = found.slice(0, most);
    const again =
      activity.messy && mess[d] === 0
        ? (beside[d] ?? []).filter((one) => (mess[one] ?? 0) > 0).length * MESS_AGAIN
        : 0;
    const gain = chosen.reduce((sum, one) => sum + one.gain, cardWorth(activity)) - again;
    return gain > 1e-9
      ? { activity: a, day: d, takers: chosen.map((one) => one.c).sort((x, y) => x - y), gain }
      : null;
  }

  function change(slot: Slot, by: 1 | -1): void {
    const { activity: a, day: d, takers } = slot;
    const activity = activities[a];
    const band = bandUsed[d];
    if (!activity || !band) return;
    uses[a] = (uses[a] ?? 0) + by;
    band[activity.band] += by;
    if (activity.messy) mess[d] = (mess[d] ?? 0) + by;
    for (const { item, base, each } of activity.uses) {
      stock[item] = (stock[item] ?? 0) - by * (base + each * takers.length);
    }
    if (activity.band === 'table') tableMinutes[d] = (tableMinutes[d] ?? 0) + by * activity.minutes;
    for (const c of takers) {
      const row = tables[c];
      if (activity.band === 'table' && row) {
        row[d] = (row[d] ?? 0) + by;
        tablesUsed[c] = (tablesUsed[c] ?? 0) + by;
      }
      for (const want of activity.gains[c]?.wants ?? []) meet(c, want, d, by);
    }
  }

  return {
    slots,
    offer,
    offers: () =>
      activities
        .flatMap((_, a) => days.flatMap((__, d) => offer(a, d) ?? []))
        .sort((x, y) => y.gain - x.gain || x.day - y.day || x.activity - y.activity),
    add(slot) {
      slots.push(slot);
      change(slot, 1);
    },
    remove(slot) {
      slots.splice(slots.indexOf(slot), 1);
      change(slot, -1);
    },
    fits: ({ activity, day }) =>
      momentsForDay(problem, room, day, [
        ...slots.filter((slot) => slot.day === day).map((slot) => slot.activity),
        activity,
      ]) !== null,
  };
}

/** The slots as cards, each in a moment; null where a day has no room for all of them. */
export function placed(
  problem: WeekProblem,
  room: Room,
  slots: readonly Slot[],
): readonly Card[] | null {
  const cards: Card[] = [];
  for (let d = 0; d < problem.days.length; d++) {
    const here = slots.filter((slot) => slot.day === d);
    const early = new Set(
      here
        .filter(
          ({ activity, takers }) =>
            problem.activities[activity]?.band === 'table' &&
            takers.some((c) => problem.children[c]?.earlier),
        )
        .map((slot) => slot.activity),
    );
    const moments = momentsForDay(
      problem,
      room,
      d,
      here.map((slot) => slot.activity),
      early,
    );
    if (moments === null) return null;
    here.forEach((slot, i) => cards.push({ ...slot, moment: moments[i] ?? 0 }));
  }
  return cards.sort((x, y) => x.day - y.day || x.moment - y.moment || x.activity - y.activity);
}
