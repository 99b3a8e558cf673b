import type { ChildState } from '../evidence/index.js';
import { findSkill, skillsOfStrand } from '../skills/index.js';
import type { Observation } from '../vocabulary/index.js';
import { type Seen, seenOf } from './tallies.js';

/** One way to make a whole: with both parts named, and with the other part hidden. */
export interface BondCell {
  readonly part: number;
  readonly made: Seen;
  readonly hidden: Seen;
}

export interface BondRow {
  readonly whole: number;
  readonly cells: readonly BondCell[];
}

/** The ways to make every whole from 2 to 10, and what was seen of each. */
export function bonds(state: ChildState): BondRow[] {
  return Array.from({ length: 9 }, (_, i) => {
    const whole = i + 2;
    const hide = whole <= 5 ? 'hide-5' : 'hide-10';
    return {
      whole,
      cells: Array.from({ length: whole + 1 }, (_cell, part) => ({
        part,
        made: seenOf(state, [[`bond-${whole}`, `p${part}-${whole - part}`]]),
        hidden: seenOf(state, [[hide, `w${whole}-${part}`]]),
      })),
    };
  });
}

/** Two amounts compared, the larger first. */
export interface ComparedPair {
  readonly larger: number;
  readonly smaller: number;
  readonly things: Seen;
  readonly numerals: Seen;
}

const THINGS = ['more-clear', 'more-5', 'more-10'];
const NUMERALS = ['greater-10', 'sign-10'];

/** All pairs 0 to 10 that can be asked, with what was seen of each. */
export function comparing(state: ChildState): ComparedPair[] {
  const within = (ids: readonly string[], a: number, b: number): Seen =>
    seenOf(
      state,
      ids.flatMap((id) =>
        (findSkill(id)?.items ?? [])
          .filter(({ parts: [x = 0, y = 0] }) => Math.max(x, y) === a && Math.min(x, y) === b)
          .map((item) => [id, item.id] as const),
      ),
    );
  const pairs: ComparedPair[] = [];
  for (let larger = 0; larger <= 10; larger++) {
    for (let smaller = 0; smaller <= larger; smaller++) {
      pairs.push({
        larger,
        smaller,
        things: within(THINGS, larger, smaller),
        numerals: within(NUMERALS, larger, smaller),
      });
    }
  }
  return pairs;
}

/** A number seen in one kind of picture. */
export interface GlanceCell {
  readonly number: number;
  readonly picture: string;
  readonly seen: Seen;
  /** The shortest look after which it was told right, in seconds; null where none was noted. */
  readonly seconds: number | null;
}

/** Number by picture, with the shortest look that was enough. */
export function glancing(state: ChildState, observations: readonly Observation[]): GlanceCell[] {
  const shortest = new Map<string, number>();
  for (const { record, outcome } of observations) {
    if (record.kind !== 'glance' || outcome !== 'own' || record.seconds === null) continue;
    const key = `${record.n}/${record.picture}`;
    shortest.set(key, Math.min(shortest.get(key) ?? Infinity, record.seconds));
  }
  const cells = new Map<string, GlanceCell>();
  for (const skill of skillsOfStrand('glance')) {
    if (skill.id.startsWith('frame')) continue;
    for (const item of skill.items) {
      const picture = item.form ?? 'two groups';
      const key = `${item.number}/${picture}`;
      const seen = seenOf(state, [[skill.id, item.id]]);
      const known = cells.get(key);
      cells.set(key, {
        number: item.number,
        picture,
        seen: known
          ? {
              asked: known.seen.asked + seen.asked,
              own: known.seen.own + seen.own,
              last: seen.last ?? known.seen.last,
            }
          : seen,
        seconds: shortest.get(`${item.number}/${item.form ?? 'parts'}`) ?? null,
      });
    }
  }
  return [...cells.values()].sort((a, b) => a.number - b.number);
}
