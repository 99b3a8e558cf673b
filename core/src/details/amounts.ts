import type { ChildState } from '../evidence/index.js';
import { findSkill, skillsOfStrand } from '../skills/index.js';
import type { Observation } from '../vocabulary/index.js';
import { NOT_SEEN, type Seen, addTo, seenOf } from './tallies.js';

/** One way to make a whole: both parts told by the child, and one part told to it. */
export interface BondCell {
  readonly part: number;
  readonly made: Seen;
  readonly hidden: Seen;
}

export interface BondRow {
  readonly whole: number;
  readonly cells: readonly BondCell[];
}

/** The ways to make every whole from 2 to 10, and what was seen of each, first to last. */
export function bonds(observations: readonly Observation[]): BondRow[] {
  const made = new Map<string, Seen>();
  const hidden = new Map<string, Seen>();
  for (const { record, outcome } of observations) {
    if (record.kind !== 'bond' || record.parts.length !== 2 || outcome === 'not-now') continue;
    const map = record.inView.length === 1 ? hidden : made;
    addTo(map, `${record.whole}/${record.parts[0]}`, outcome);
  }
  return Array.from({ length: 9 }, (_, i) => {
    const whole = i + 2;
    return {
      whole,
      cells: Array.from({ length: whole + 1 }, (_cell, part) => ({
        part,
        made: made.get(`${whole}/${part}`) ?? NOT_SEEN,
        hidden: hidden.get(`${whole}/${part}`) ?? NOT_SEEN,
      })),
    };
  });
}

/** Two amounts compared, the larger first. */
export interface ComparedPair {
  readonly larger: number;
  readonly smaller: number;
  readonly materials: Seen;
  readonly numerals: Seen;
}

const MOST = 10;
/** Families that compare numerals instead of things. */
const NUMERALS = ['greater', 'sign'];

/** All pairs 0 to 10 that can be asked, with what was seen of each, first to last. */
export function comparing(observations: readonly Observation[]): ComparedPair[] {
  const materials = new Map<string, Seen>();
  const numerals = new Map<string, Seen>();
  for (const { record, outcome, skillId } of observations) {
    if (record.kind !== 'compare' || outcome === 'not-now' || record.asked === 'difference')
      continue;
    const map = NUMERALS.includes(findSkill(skillId)?.family ?? '') ? numerals : materials;
    const { left, right } = record;
    addTo(map, `${Math.max(left, right)}/${Math.min(left, right)}`, outcome);
  }
  const pairs: ComparedPair[] = [];
  for (let larger = 0; larger <= MOST; larger++) {
    for (let smaller = 0; smaller <= larger; smaller++) {
      pairs.push({
        larger,
        smaller,
        materials: materials.get(`${larger}/${smaller}`) ?? NOT_SEEN,
        numerals: numerals.get(`${larger}/${smaller}`) ?? NOT_SEEN,
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
    if (skill.family === 'frame') continue;
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
