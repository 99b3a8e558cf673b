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
  /** What the week would gain by a card, without its children. */
  cardGain(a: number, d: number): number;
  /** What a card is worth without its children and without mess on the days beside. */
  plain(a: number): number;
  /** What mess on the days beside can take of that, at most. */
  mess(a: number): number;
  /**
   * What the week would gain if a child joined. With cards that the child leaves before (`x` on day
   * `dx`, `y` on another), no less than what the week gains after that, but for what they take with
   * them; -1 where there are none.
   */
  gain(a: number, d: number, c: number, x?: number, dx?: number, y?: number, dy?: number): number;
  /** What the week would lose if a child left, but for strands. */
  loss(a: number, d: number, c: number): number;
}

/** Weights of a further day with the same skill, by the days there are already. */
const LEVELS = HIT_WEIGHTS.length + 1;

/**
 * A tally that begins with what is fixed; the same measure as `valueOf`, but for a constant. All
 * that is counted lies in flat lists, as it is asked for some hundred thousand times a second.
 */
export function tallyFor(problem: WeekProblem, room: Room): Tally {
  const { activities, children, days } = problem;
  const many = days.length;
  const worths = Float64Array.from(activities, cardWorth);
  const messy = Uint8Array.from(activities, (activity) => (activity.messy ? 1 : 0));
  const mess = Uint8Array.from(days, (_, d) => (room.days[d]?.messy ? 1 : 0));
  const beside = days.map((_, d) => besideDay(problem, d));

  // Wants of all children in one list, each with what one more day is worth and with its strand.
  const wanted = children.flatMap((child) => child.wanted);
  const from = children.map((_, c) =>
    children.slice(0, c).reduce((sum, child) => sum + child.wanted.length, 0),
  );
  const levels = Float64Array.from({ length: wanted.length * LEVELS }, (_, i) => {
    const value = wanted[Math.floor(i / LEVELS)]?.value ?? 0;
    return value * (HIT_WEIGHTS[i % LEVELS] ?? 0);
  });
  const ids = children.map((child) => [...new Set(child.wanted.map((want) => want.strand))]);
  const strandFrom = ids.map((_, c) => ids.slice(0, c).reduce((sum, one) => sum + one.length, 0));
  const strands = Int32Array.from(
    children.flatMap((child, c) =>
      child.wanted.map((want) => (strandFrom[c] ?? 0) + (ids[c] ?? []).indexOf(want.strand)),
    ),
  );
  // Wants that an activity serves, one child after the other.
  const starts = new Int32Array(activities.length * children.length + 1);
  const served: number[] = [];
  const liked = new Float64Array(activities.length * children.length);
  activities.forEach((activity, a) => {
    children.forEach((_, c) => {
      const at = a * children.length + c;
      for (const want of activity.gains[c]?.wants ?? []) served.push((from[c] ?? 0) + want);
      starts[at + 1] = served.length;
      liked[at] = activity.gains[c]?.liked ? LIKED : 0;
    });
  });
  const wants = Int32Array.from(served);
  const wantCount = wanted.length;
  const serves = new Uint8Array(activities.length * wantCount);
  activities.forEach((activity, a) => {
    activity.gains.forEach((gain, c) => {
      for (const want of gain?.wants ?? []) serves[a * wantCount + (from[c] ?? 0) + want] = 1;
    });
  });

  /** Cards that meet a want on a day, days with it, wants met of a strand, strands of a child. */
  const met = new Uint8Array(wanted.length * many);
  const hits = new Uint8Array(wanted.length);
  const inStrand = new Uint8Array(ids.reduce((sum, one) => sum + one.length, 0));
  const touched = new Uint8Array(children.length);
  let worth = 0;

  function meet(c: number, w: number, d: number): void {
    const at = w * many + d;
    const before = met[at] as number;
    met[at] = before + 1;
    if (before > 0) return;
    const h = hits[w] as number;
    hits[w] = h + 1;
    worth += levels[w * LEVELS + Math.min(h, LEVELS - 1)] as number;
    if (h > 0) return;
    const strand = strands[w] as number;
    const here = inStrand[strand] as number;
    inStrand[strand] = here + 1;
    if (here > 0) return;
    const all = touched[c] as number;
    touched[c] = all + 1;
    if (all < STRANDS_A_WEEK) worth += STRAND_SHORT;
  }

  function miss(c: number, w: number, d: number): void {
    const at = w * many + d;
    const after = (met[at] as number) - 1;
    met[at] = after;
    if (after > 0) return;
    const h = (hits[w] as number) - 1;
    hits[w] = h;
    worth -= levels[w * LEVELS + Math.min(h, LEVELS - 1)] as number;
    if (h > 0) return;
    const strand = strands[w] as number;
    const here = (inStrand[strand] as number) - 1;
    inStrand[strand] = here;
    if (here > 0) return;
    const all = (touched[c] as number) - 1;
    touched[c] = all;
    if (all < STRANDS_A_WEEK) worth -= STRAND_SHORT;
  }

  room.hits.forEach((some, c) => {
    some.forEach((on, want) => {
      for (const d of on) meet(c, (from[c] ?? 0) + want, d);
    });
  });

  /** Days beside one that hold mess, where one more messy card makes it mess on two days running. */
  const again = (a: number, d: number): number => {
    if (messy[a] === 0 || (mess[d] as number) > 0) return 0;
    let count = 0;
    for (const one of beside[d] as readonly number[]) if ((mess[one] as number) > 0) count++;
    return MESS_AGAIN * count;
  };

  function gain(a: number, d: number, c: number, x = -1, dx = 0, y = -1, dy = 0): number {
    const at = a * children.length + c;
    let sum = liked[at] as number;
    const begin = starts[at] as number;
    const end = starts[at + 1] as number;
    for (let i = begin; i < end; i++) {
      const w = wants[i] as number;
      let here = met[w * many + d] as number;
      let h = hits[w] as number;
      if (x >= 0 && serves[x * wantCount + w] === 1) {
        if (dx === d) here--;
        if (met[w * many + dx] === 1) h--;
      }
      if (y >= 0 && serves[y * wantCount + w] === 1) {
        if (dy === d) here--;
        if (met[w * many + dy] === 1) h--;
      }
      if (here <= 0) sum += levels[w * LEVELS + Math.min(h, LEVELS - 1)] as number;
    }
    const short = STRANDS_A_WEEK - (touched[c] as number);
    return short > 0 ? sum + STRAND_SHORT * Math.min(short, fresh(begin, end)) : sum;
  }

  /** Strands among some wants that nothing of the week touches. */
  function fresh(begin: number, end: number): number {
    let count = 0;
    for (let i = begin; i < end; i++) {
      const strand = strands[wants[i] as number] as number;
      if ((inStrand[strand] as number) > 0) continue;
      let isFirst = true;
      for (let j = begin; j < i; j++) if (strands[wants[j] as number] === strand) isFirst = false;
      if (isFirst) count++;
    }
    return count;
  }

  return {
    worth: () => worth,
    plain: (a) => worths[a] as number,
    mess: (a) => (messy[a] === 1 ? 2 * MESS_AGAIN : 0),
    cardGain: (a, d) => (worths[a] as number) - again(a, d),
    card(a, d, by) {
      if (by === -1 && messy[a] === 1) mess[d] = (mess[d] as number) - 1;
      worth += by * ((worths[a] as number) - again(a, d));
      if (by === 1 && messy[a] === 1) mess[d] = (mess[d] as number) + 1;
    },
    taker(a, d, c, by) {
      const at = a * children.length + c;
      worth += by * (liked[at] as number);
      const end = starts[at + 1] as number;
      const begin = starts[at] as number;
      if (by === 1) for (let i = begin; i < end; i++) meet(c, wants[i] as number, d);
      else for (let i = begin; i < end; i++) miss(c, wants[i] as number, d);
    },
    loss(a, d, c) {
      const at = a * children.length + c;
      let sum = liked[at] as number;
      const end = starts[at + 1] as number;
      for (let i = starts[at] as number; i < end; i++) {
        const w = wants[i] as number;
        if ((met[w * many + d] as number) > 1) continue;
        sum += levels[w * LEVELS + Math.min((hits[w] as number) - 1, LEVELS - 1)] as number;
      }
      return sum;
    },
    gain,
  };
}
