import type { ChildState } from '../evidence/index.js';
import type { Observation } from '../vocabulary/index.js';
import { type Seen, itemsFor, seenOf } from './tallies.js';

/** What a child does with one numeral, 0 to 20. */
export interface NumeralRow {
  readonly n: number;
  readonly named: Seen;
  readonly matched: Seen;
  readonly ordered: Seen;
  readonly missing: Seen;
  readonly written: Seen;
  /** Numerals it was taken for, the most frequent first. */
  readonly takenFor: readonly { readonly n: number; readonly times: number }[];
}

const HIGHEST = 20;
/** Once is a slip of the tongue: two namings on two days make a habit. */
const DAYS_NEEDED = 2;
const NAMED = ['name-5', 'name-10', 'name-20'];
const MATCHED = ['match-5', 'match-10', 'match-20'];
const ORDERED = ['order-5', 'order-10', 'order-20'];
const MISSING = ['gap-10', 'gap-20'];
const WRITTEN = ['write-first', 'write-slant', 'write-turns', 'write-20'];

/** Every numeral from 0 to 20 with what was seen of it and what it was taken for. */
export function numerals(state: ChildState, observations: readonly Observation[]): NumeralRow[] {
  const taken = new Map<number, Map<number, { times: number; days: Set<string> }>>();
  for (const { record, day } of observations) {
    if (record.kind !== 'numeral' || record.answer === null) continue;
    // Who brings seven things of ten miscounts; only who names a numeral takes it for another.
    const named = record.way === 'spoken' || record.way === 'pointed';
    if (!named || record.answer === record.shown) continue;
    const row = taken.get(record.shown) ?? new Map<number, { times: number; days: Set<string> }>();
    const { times, days } = row.get(record.answer) ?? { times: 0, days: new Set<string>() };
    row.set(record.answer, { times: times + 1, days: days.add(day) });
    taken.set(record.shown, row);
  }
  return Array.from({ length: HIGHEST + 1 }, (_, n) => ({
    n,
    named: seenOf(state, itemsFor(NAMED, n)),
    matched: seenOf(state, itemsFor(MATCHED, n)),
    ordered: seenOf(state, itemsFor(ORDERED, n)),
    missing: seenOf(state, itemsFor(MISSING, n)),
    written: seenOf(state, itemsFor(WRITTEN, n)),
    takenFor: [...(taken.get(n) ?? [])]
      .filter(([, { days }]) => days.size >= DAYS_NEEDED)
      .map(([other, { times }]) => ({ n: other, times }))
      .sort((a, b) => b.times - a.times || a.n - b.n),
  }));
}

/** One digit as it is written, 0 to 9 and then 10 to 20. */
export interface WritingRow {
  readonly digit: number;
  readonly seen: Seen;
  readonly reversed: number;
  readonly startedLow: number;
  /** The last few, newest first: on which support, and how it went. */
  readonly lately: readonly {
    readonly day: string;
    readonly support: string;
    readonly outcome: Observation['outcome'];
  }[];
}

const LATELY = 3;

/** Digit by digit: how it is written, and what goes another way. */
export function writing(state: ChildState, observations: readonly Observation[]): WritingRow[] {
  const drawn = observations.flatMap((one) =>
    one.record.kind === 'draw' ? [{ ...one, record: one.record }] : [],
  );
  return Array.from({ length: HIGHEST + 1 }, (_, digit) => {
    const own = drawn.filter((one) => one.record.figure === String(digit));
    return {
      digit,
      seen: seenOf(state, itemsFor(WRITTEN, digit)),
      reversed: own.filter((one) => one.record.reversed === true).length,
      startedLow: own.filter((one) => one.record.startRight === false).length,
      lately: own
        .slice(-LATELY)
        .reverse()
        .map(({ day, record, outcome }) => ({ day, support: record.support, outcome })),
    };
  });
}
