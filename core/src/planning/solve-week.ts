import { dayClasses, singleDays } from './classes.js';
import type { Engine } from './engine.js';
import { firstPlan } from './first-plan.js';
import { seeded } from '../numbers/index.js';
import { type PartKind, SHARE, partFor } from './parts.js';
import type { Card, WeekProblem } from './problem.js';
import { roomLeft } from './rules.js';
import { searchFrom } from './search.js';
import { solveDays } from './solve-days.js';
import { valueOf } from './value.js';
import { weekModel } from './week-model.js';

/** How far the planning of a week is. */
export interface PlanProgress {
  readonly stage: 'first' | 'better' | 'proof' | 'done';
  /** New cards, without those that were fixed. */
  readonly cards: readonly Card[];
  readonly value: number;
  /** No plan is worth more; null where nothing is known yet. */
  readonly bound: number | null;
}

export interface SolveOptions {
  /** Seconds for all of it; 0 gives the first plan alone. */
  readonly seconds: number;
  /** The first plan, where it was made already. */
  readonly first?: readonly Card[];
  /** Relative gap at which a plan is as good as the best. */
  readonly gap?: number;
  /** Seconds of any clock. */
  readonly now: () => number;
  readonly tell?: (progress: PlanProgress) => void;
}

/** A plan whose worth lies within this part of the best is called the best. */
export const GOOD_ENOUGH = 1e-3;
/** Kept back at the end, in seconds. */
const RESERVE = 0.1;
/** Part of the time for planning parts anew; and for the bound, once they bring no more. */
const FOR_PARTS = 0.7;
const FOR_BOUND = 0.5;
/** So many parts chosen by chance in a row that bring nothing end it. */
const IDLE_PARTS = 80;
const PART_SECONDS = 0.6;
const PART_KINDS: readonly PartKind[] = ['days', 'cards', 'band', 'cards', 'cards', 'cards'];
/** A part that takes longer than the one is made smaller, shorter than the other larger. */
const LONG_S = 0.4;
const SHORT_S = 0.12;
const PART_GAP = 1e-4;
const SEARCH_ROUNDS = 300;
/** With more kinds of day than this the week without days says no more than its relaxation. */
const FEW_CLASSES = 3;

/** How far a plan may lie from the best, as a part of its worth; null where no bound is known. */
export function gapOf(value: number, bound: number | null): number | null {
  if (bound === null || !Number.isFinite(bound)) return null;
  return Math.max(0, bound - value) / Math.max(1, Math.abs(value));
}

/**
 * Plans a week: a first plan at once; a bound on what any plan can be worth; better plans by search
 * and by solving parts of the week while the rest stands; and what time is left for the whole week
 * with its days. What it returns is never worse than the first plan, and holds every rule.
 */
export function solveWeek(
  problem: WeekProblem,
  engine: Engine,
  { seconds, now, first, gap = GOOD_ENOUGH, tell }: SolveOptions,
): PlanProgress {
  const end = now() + seconds - RESERVE;
  const left = (): number => end - now();
  const room = roomLeft(problem);
  let cards = first ?? firstPlan(problem, room);
  let value = valueOf(problem, [...problem.fixed, ...cards]);
  let bound: number | null = null;

  const report = (stage: PlanProgress['stage']): PlanProgress => {
    const progress = { stage, cards, value, bound };
    tell?.(progress);
    return progress;
  };
  const take = (found: readonly Card[]): boolean => {
    const worth = valueOf(problem, [...problem.fixed, ...found]);
    if (worth <= value + 1e-9) return false;
    [cards, value] = [found, worth];
    return true;
  };
  const lower = (to: number): void => {
    if (Number.isFinite(to)) bound = Math.min(bound ?? Infinity, to);
  };
  const isDone = (): boolean => left() <= 0 || (gapOf(value, bound) ?? Infinity) <= gap;
  report('first');

  const classes = dayClasses(problem, room);
  if (classes.length === 0) {
    lower(value);
    return report('done');
  }
  const days = singleDays(problem);
  const isCoarse = classes.length < days.length && classes.length <= FEW_CLASSES;
  const coarse = weekModel(problem, room, isCoarse ? classes : days);
  if (left() > 0) {
    const whole = new Uint8Array(coarse.model.whole.length);
    const relaxed = engine.solve({ ...coarse.model, whole }, { seconds: left() * FOR_BOUND, gap });
    lower(relaxed.bound + coarse.constant);
    report('better');
  }
  if (!isDone()) {
    const until = end - (1 - FOR_PARTS) * left();
    const goOn = (): boolean => now() < until;
    take(searchFrom(problem, cards, { rounds: SEARCH_ROUNDS, goOn }, room));
    report('better');
    const random = seeded(cards.length);
    let share: number = SHARE.first;
    const slow = new Set<PartKind>();
    for (let turn = 0, idle = 0; idle < IDLE_PARTS && goOn() && !isDone(); turn++) {
      const wanted = PART_KINDS[turn % PART_KINDS.length] ?? 'cards';
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
      idle++;
      if (!found.cards || !take([...part.kept, ...found.cards])) continue;
      idle = 0;
      report('better');
    }
  }
  if (!isDone() && isCoarse) {
    const found = engine.solve(coarse.model, { seconds: left() * FOR_BOUND, gap: gap / 2 });
    lower(found.bound + coarse.constant);
    report('proof');
  }
  if (!isDone()) {
    const found = solveDays(problem, room, engine, {
      gap,
      seconds: left(),
      left,
      start: cards,
      tell: (to) => {
        lower(to);
        report('proof');
      },
    });
    if (found.cards) take(found.cards);
    lower(found.bound);
  }
  return report('done');
}
