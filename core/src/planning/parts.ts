import { type Random, seeded } from '../numbers/index.js';
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

const BANDS: readonly Band[] = ['woven', 'set-out', 'table'];
/** Part of the cards that are taken up anew, where chance chooses them: to begin with, and limits. */
const SHARE = { first: 0.3, least: 0.15, most: 0.6 } as const;

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

/** What a part is made of: some cards chosen by chance, two days, or one band of all days. */
type PartKind = 'cards' | 'days' | 'band';

/**
 * A part of the week to plan anew.
 * @param share how many of the cards chance chooses, as a part of all
 */
function partFor(
  problem: WeekProblem,
  cards: readonly Card[],
  kind: PartKind,
  share: number,
  random: Random,
): Part {
  const pick = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)] as T;
  if (kind === 'days') {
    const open = problem.days.flatMap((day, d) => (day.open ? [d] : []));
    const two = new Set([pick(open), pick(open)]);
    return part(
      problem,
      cards,
      (card) => two.has(card.day),
      (d) => two.has(d),
    );
  }
  if (kind === 'band') {
    const band = pick(BANDS);
    const isIn = (card: Card): boolean => problem.activities[card.activity]?.band === band;
    return part(problem, cards, isIn, (_, one) => one === band);
  }
  const chosen = new Set(cards.filter(() => random() < share));
  return part(
    problem,
    cards,
    (card) => chosen.has(card),
    () => true,
  );
}

const PART_SECONDS = 0.6;
const PART_KINDS: readonly PartKind[] = ['days', 'cards', 'band', 'cards', 'cards', 'cards'];
/** A part that takes longer than the one is made smaller, shorter than the other larger. */
const LONG_S = 0.4;
const SHORT_S = 0.12;
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
  const slow = new Set<PartKind>();
  let share: number = SHARE.first;
  let turn = 0;
  return {
    next(cards) {
      const wanted = PART_KINDS[turn++ % PART_KINDS.length] ?? 'cards';
      const kind = slow.has(wanted) ? 'cards' : wanted;
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
      if (kind !== 'cards' && took > LONG_S) slow.add(kind);
      if (kind === 'cards' && took > LONG_S) share = Math.max(SHARE.least, share * 0.9);
      if (kind === 'cards' && took < SHORT_S) share = Math.min(SHARE.most, share * 1.04);
      return found.cards && [...part.kept, ...found.cards];
    },
  };
}
