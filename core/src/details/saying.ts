import { slipsOf } from '../evidence/index.js';
import { reachOf } from '../numbers/index.js';
import { type Day, type Observation, addDays, dayNumber } from '../vocabulary/index.js';

/** One count from one, as far as it went. */
export interface ReachPoint {
  readonly day: Day;
  readonly language: string;
  /** Last number before the first slip; 0 where the first word was wrong already. */
  readonly reach: number;
  /** The furthest without a slip up to and with this count, in the same language. */
  readonly furthest: number;
  /** The same with one slip forgiven. */
  readonly forgiven: number;
  /** How far was asked. */
  readonly asked: number;
  readonly leftOut: readonly number[];
}

/** A word of the number row that was left out. */
export interface LeftOut {
  readonly n: number;
  readonly times: number;
  readonly last: Day;
}

/** A count back, or on from a number. */
export interface OtherCount {
  readonly day: Day;
  readonly direction: 'up' | 'down';
  readonly from: number;
  readonly reach: number | null;
}

export interface Saying {
  readonly reaches: readonly ReachPoint[];
  readonly leftOut: readonly LeftOut[];
  readonly others: readonly OtherCount[];
}

const furthestWith = (before: readonly ReachPoint[], language: string, reach: number): number =>
  Math.max(reach, ...before.flatMap((one) => (one.language === language ? [one.furthest] : [])));

const MOST_OTHERS = 12;

/** Reach over time, words left out, counts back and on. @param observations oldest first */
export function saying(observations: readonly Observation[]): Saying {
  const reaches: ReachPoint[] = [];
  const others: OtherCount[] = [];
  const left = new Map<number, LeftOut>();
  for (const { record, day, outcome } of observations) {
    if (record.kind !== 'reach' || outcome === 'not-now') continue;
    if (record.stop === null && record.said === null) continue;
    const found = reachOf(record);
    if (record.direction === 'down' || record.from > 1) {
      others.push({ day, direction: record.direction, from: record.from, reach: found.reach });
      continue;
    }
    const leftOut = found.slips.flatMap((slip) => (slip.kind === 'left-out' ? slip.numbers : []));
    for (const n of leftOut) left.set(n, { n, times: (left.get(n)?.times ?? 0) + 1, last: day });
    reaches.push({
      day,
      language: record.language,
      reach: found.reach ?? 0,
      furthest: furthestWith(reaches, record.language, found.reach ?? 0),
      forgiven: found.forgiven ?? 0,
      asked: record.to,
      leftOut,
    });
  }
  return {
    reaches,
    leftOut: [...left.values()].sort((a, b) => b.times - a.times || a.n - b.n),
    others: others.slice(-MOST_OTHERS).reverse(),
  };
}

/** A kind of slip over the weeks. */
export interface SlipKind {
  readonly code: string;
  readonly times: number;
  readonly last: Day;
  readonly skillId: string;
  /** Times in each week, oldest first, as many as `weeks`. */
  readonly byWeek: readonly number[];
}

export interface SlipsOverTime {
  /** Mondays of the weeks shown, oldest first. */
  readonly weeks: readonly Day[];
  readonly kinds: readonly SlipKind[];
}

const MOST_WEEKS = 26;

const mondayOf = (day: Day): Day => addDays(day, -((dayNumber(day) + 3) % 7));

/** Kinds of slip week by week up to today, the most frequent first. */
export function slipsOverTime(observations: readonly Observation[], today: Day): SlipsOverTime {
  const first = observations[0]?.day ?? today;
  const last = mondayOf(today);
  const count = Math.min(
    MOST_WEEKS,
    Math.floor((dayNumber(last) - dayNumber(mondayOf(first))) / 7) + 1,
  );
  const weeks = Array.from({ length: count }, (_, i) => addDays(last, -7 * (count - 1 - i)));
  const place = new Map(weeks.map((week, i) => [week, i]));
  const kinds = new Map<string, { times: number; last: Day; skillId: string; byWeek: number[] }>();
  for (const { record, day, skillId, outcome } of observations) {
    if (outcome === 'not-now') continue;
    const week = place.get(mondayOf(day));
    const slip = slipsOf(record)[0];
    if (week === undefined || !slip) continue;
    const known = kinds.get(slip.code) ?? {
      times: 0,
      last: day,
      skillId,
      byWeek: weeks.map(() => 0),
    };
    known.times += 1;
    known.last = day;
    known.byWeek[week] = (known.byWeek[week] ?? 0) + 1;
    kinds.set(slip.code, known);
  }
  return {
    weeks,
    kinds: [...kinds]
      .map(([code, kind]) => ({ code, ...kind }))
      .sort((a, b) => b.times - a.times || a.code.localeCompare(b.code)),
  };
}
