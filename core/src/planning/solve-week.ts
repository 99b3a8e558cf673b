import { annealFrom } from './anneal.js';
import { dayClasses, singleDays } from './classes.js';
import type { Engine } from './engine.js';
import { firstPlan } from './first-plan.js';
import { partsOf } from './parts.js';
import type { Card, WeekProblem } from './problem.js';
import { roomLeft } from './rules.js';
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
/** Small steps for each child and day; how hot each pass begins, and what part of the time it takes. */
const STEPS = 6000;
const HOT = [0.35, 0.25, 0.18, 0.12] as const;
const FOR_PASS = 0.08;
const LEAST_PASS_S = 0.3;
/** Part of the time for better plans; it ends after so many rounds that brought nothing. */
const FOR_WORK = 0.7;
const MOST_BARREN = 3;
/** Part of the time for a bound. */
const FOR_BOUND = 0.5;
/** So many parts in a row that bring nothing end a round. */
const IDLE_PARTS = 40;
/** A week with no more choices than this is solved whole before anything else. */
const FEW_CHOICES = 200;
/** With more kinds of day than this the week without days says no more than its relaxation. */
const FEW_CLASSES = 3;

/** How far a plan may lie from the best, as a part of its worth; null where no bound is known. */
export function gapOf(value: number, bound: number | null): number | null {
  if (bound === null || !Number.isFinite(bound)) return null;
  return Math.max(0, bound - value) / Math.max(1, Math.abs(value));
}

/**
 * Plans a week: a first plan at once; a bound on what any plan can be worth; better plans by many
 * small steps and by solving parts of the week while the rest stands; and what time is left for the whole week
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
  const prove = (within: number): void => {
    const found = solveDays(problem, room, engine, {
      gap,
      seconds: within,
      left,
      start: cards,
      tell: (to) => {
        lower(to);
        report('proof');
      },
    });
    if (found.cards) take(found.cards);
    lower(found.bound);
  };
  const whole = coarse.model.whole.reduce((sum, one) => sum + one, 0);
  const choices = (whole * days.length) / coarse.classes.length;
  if (!isDone() && choices <= FEW_CHOICES) prove(left() * FOR_BOUND);
  const until = end - (1 - FOR_WORK) * left();
  const goOn = (): boolean => now() < until && !isDone();
  const longest = Math.max(LEAST_PASS_S, left() * FOR_PASS);
  const parts = partsOf(problem, engine, { now, until });
  for (let round = 0, barren = 0; barren < MOST_BARREN && goOn(); round++) {
    const before = value;
    const begun = now();
    const spent = (): number => Math.max((now() - begun) / longest, goOn() ? 0 : 1);
    const steps = STEPS * problem.children.length * problem.days.length;
    const hot = HOT[round % HOT.length] ?? 0;
    if (take(annealFrom(problem, cards, { steps, spent, hot, seed: round }, room)))
      report('better');
    for (let idle = 0; idle < IDLE_PARTS && goOn(); idle++) {
      const found = parts.next(cards);
      if (!found || !take(found)) continue;
      idle = 0;
      report('better');
    }
    barren = value > before ? 0 : barren + 1;
  }
  if (!isDone() && isCoarse) {
    const found = engine.solve(coarse.model, { seconds: left() * FOR_BOUND, gap: gap / 2 });
    lower(found.bound + coarse.constant);
    report('proof');
  }
  if (!isDone()) prove(left());
  return report('done');
}
