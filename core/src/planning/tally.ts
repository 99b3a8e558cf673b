import {
  HIT_WEIGHTS,
  LIKED,
  MESS_AGAIN,
  STRANDS_A_WEEK,
  STRAND_SHORT,
  type WeekProblem,
  cardWorth,
} from './problem.js';
import { type Room, besideDay } from './rules.js';

/** What a week is worth, kept up to date as cards and children come and go. */
export interface Tally {
  worth(): number;
  /** A card comes (1) or goes (-1), without its children. */
  card(a: number, d: number, by: 1 | -1): void;
  /** A child joins a card or leaves it. */
  taker(a: number, d: number, c: number, by: 1 | -1): void;
  /** What the week would gain if a child joined. */
  gain(a: number, d: number, c: number): number;
}

/** A tally that begins with what is fixed; the same measure as `valueOf`, but for a constant. */
export function tallyFor(problem: WeekProblem, room: Room): Tally {
  const { activities, children, days } = problem;
  const worths = activities.map(cardWorth);
  const mess = days.map((_, d): number => (room.days[d]?.messy ? 1 : 0));
  const beside = days.map((_, d) => besideDay(problem, d));
  /** By child and want: cards that meet it on a day, and days with it; by child and strand: wants met. */
  const met = children.map((child) => child.wanted.map(() => new Uint8Array(days.length)));
  const hits = children.map((child) => new Uint8Array(child.wanted.length));
  const wantsMet = children.map(() => new Map<number, number>());
  const touched = children.map(() => 0);
  let worth = 0;

  function meet(c: number, want: number, d: number, by: 1 | -1): void {
    const row = met[c]?.[want];
    const count = hits[c];
    const wanted = children[c]?.wanted[want];
    if (!row || !count || !wanted) return;
    const before = row[d] ?? 0;
    row[d] = before + by;
    if (before !== (by === 1 ? 0 : 1)) return;
    const h = count[want] ?? 0;
    count[want] = h + by;
    const counted = by === 1 ? h : h - 1;
    worth += by * (HIT_WEIGHTS[counted] ?? 0) * wanted.value;
    if (counted === 0) touch(c, wanted.strand, by);
  }

  function touch(c: number, strand: number, by: 1 | -1): void {
    const before = wantsMet[c]?.get(strand) ?? 0;
    wantsMet[c]?.set(strand, before + by);
    if (before !== (by === 1 ? 0 : 1)) return;
    const all = touched[c] ?? 0;
    touched[c] = all + by;
    if (Math.min(all, all + by) < STRANDS_A_WEEK) worth += by * STRAND_SHORT;
  }

  function taker(a: number, d: number, c: number, by: 1 | -1): void {
    const gain = activities[a]?.gains[c];
    if (!gain) return;
    if (gain.liked) worth += by * LIKED;
    for (const want of gain.wants) meet(c, want, d, by);
  }

  room.hits.forEach((some, c) => {
    some.forEach((on, want) => {
      for (const d of on) meet(c, want, d, 1);
    });
  });

  return {
    worth: () => worth,
    card(a, d, by) {
      worth += by * (worths[a] as number);
      if (!activities[a]?.messy) return;
      const before = mess[d] as number;
      mess[d] = before + by;
      if (before !== (by === 1 ? 0 : 1)) return;
      for (const one of beside[d] as readonly number[]) {
        if ((mess[one] as number) > 0) worth -= by * MESS_AGAIN;
      }
    },
    taker,
    gain(a, d, c) {
      const before = worth;
      taker(a, d, c, 1);
      const sum = worth - before;
      taker(a, d, c, -1);
      worth = before;
      return sum;
    },
  };
}
