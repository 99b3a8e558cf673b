import { type Random, seeded, shuffledBy } from '../numbers/index.js';
import type { Band } from '../vocabulary/index.js';
import type { Engine } from './engine.js';
import type { Card, WeekProblem } from './problem.js';
import { roomLeft } from './rules.js';
import { solveDays } from './solve-days.js';

/** A part of the week that is planned anew while the rest stands. */
interface Part {
  /** The week with everything outside the part held fast. */
  readonly problem: WeekProblem;
  readonly kept: readonly Card[];
  readonly free: readonly Card[];
}

function part(
  problem: WeekProblem,
  cards: readonly Card[],
  isFree: (card: Card) => boolean,
  isOpen: (d: number, band: Band) => boolean,
): Part {
  const kept = cards.filter((card) => !isFree(card));
  return {
    kept,
    free: cards.filter(isFree),
    problem: {
      ...problem,
      fixed: [...problem.fixed, ...kept],
      activities: problem.activities.map((activity) => {
        const shut = problem.days.flatMap((_, d) => (isOpen(d, activity.band) ? [] : [d]));
        return shut.length === 0 ? activity : { ...activity, notOn: [...activity.notOn, ...shut] };
      }),
    },
  };
}

/**
 * What a part is made of: all but the table, the table of some days, all of two days, or some cards
 * chosen by chance.
 */
type PartKind = 'floor' | 'tables' | 'days' | 'cards';

/**
 * A part of the week to plan anew.
 * @param share how much of the table's days and of the cards, as a part of all
 */
function partFor(
  problem: WeekProblem,
  cards: readonly Card[],
  kind: PartKind,
  share: number,
  random: Random,
): Part {
  const open = problem.days.flatMap((day, d) => (day.open ? [d] : []));
  const some = new Set(kind === 'days' ? shuffledBy(open, random).slice(0, 2) : open);
  if (kind === 'tables') {
    const many = Math.max(1, Math.round(share * open.length));
    for (const d of shuffledBy(open, random).slice(many)) some.delete(d);
  }
  const isOpen = (d: number, band: Band): boolean =>
    some.has(d) && (kind === 'floor' ? band !== 'table' : kind !== 'tables' || band === 'table');
  const chosen = kind === 'cards' ? new Set(cards.filter(() => random() < share)) : null;
  return part(
    problem,
    cards,
    (card) => {
      const band = problem.activities[card.activity]?.band ?? 'woven';
      return isOpen(card.day, band) && (chosen?.has(card) ?? true);
    },
    isOpen,
  );
}

const PART_SECONDS = 1;
const PART_KINDS: readonly PartKind[] = ['floor', 'tables', 'cards', 'tables', 'days', 'cards'];
/** A part that takes longer than the one is made smaller, shorter than the other larger. */
const LONG_S = 0.5;
const SHORT_S = 0.15;
/** How a part grows and shrinks, and how large it may become. */
const SHRINK = 0.8;
const GROW = 1.1;
const SHARES: Readonly<Record<PartKind, readonly [first: number, most: number]>> = {
  floor: [1, 1],
  tables: [0.6, 1],
  days: [1, 1],
  cards: [0.3, 0.6],
};
const LEAST_SHARE = 0.15;
const PART_GAP = 1e-4;

/** Parts of the week solved exactly, one after the other, while the rest stands. */
export interface Parts {
  /** All cards of the week with one part planned anew; null where nothing was found in time. */
  next(cards: readonly Card[]): readonly Card[] | null;
}

/** @param until the second of `now` at which it must end */
export function partsOf(
  problem: WeekProblem,
  engine: Engine,
  { now, until }: { readonly now: () => number; readonly until: number },
): Parts {
  const random = seeded(problem.activities.length);
  const shares = new Map<PartKind, number>();
  let turn = 0;
  return {
    next(cards) {
      const kind = PART_KINDS[turn++ % PART_KINDS.length] ?? 'cards';
      const [first, most] = SHARES[kind];
      const share = shares.get(kind) ?? first;
      const part = partFor(problem, cards, kind, share, random);
      const begun = now();
      const found = solveDays(part.problem, roomLeft(part.problem), engine, {
        gap: PART_GAP,
        seconds: PART_SECONDS,
        left: () => until - now(),
        start: part.free,
      });
      // Parts grow and shrink until one takes as long as it should.
      const took = now() - begun;
      const by = took > LONG_S ? SHRINK : took < SHORT_S ? GROW : 1;
      shares.set(kind, Math.min(most, Math.max(LEAST_SHARE, share * by)));
      return found.cards && [...part.kept, ...found.cards];
    },
  };
}
