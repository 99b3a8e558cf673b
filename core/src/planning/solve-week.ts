import { annealFrom } from './anneal.js';
import { type Learnt, branch } from './branch.js';
import { type DayClass, dayClasses, singleDays } from './classes.js';
import type { Engine } from './engine.js';
import { firstPlan } from './first-plan.js';
import type { Card, WeekProblem } from './problem.js';
import { type Room, mayCome, roomLeft, takersFor } from './rules.js';
import { cardsOf, solveDays } from './solve-days.js';
import { valueOf } from './value.js';
import { type WeekModel, weekModel } from './week-model.js';

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
/** How hot a pass of small steps begins from a first plan, and from a good one. */
const HOT = 0.35;
const MILD = 0.28;
const WARM = 0.22;
/** What part of the time a pass takes. */
const PASS = 0.04;
const LEAST_PASS_S = 0.15;
/** Part of the time that one thread alone gives to better plans. */
const FOR_SEARCH = 0.4;
/** A week with no more choices than this is solved whole before anything else. */
const FEW_CHOICES = 200;
/** Part of the time that is left for the days of a week whose alike days were not told apart. */
const FOR_DAYS = 0.3;

/** How far a plan may lie from the best, as a part of its worth; null where no bound is known. */
export function gapOf(value: number, bound: number | null): number | null {
  if (bound === null || !Number.isFinite(bound)) return null;
  return Math.max(0, bound - value) / Math.max(1, Math.abs(value));
}

/** A week being planned: the best plan so far and what is known of any other. */
interface Planning {
  readonly problem: WeekProblem;
  readonly room: Room;
  readonly now: () => number;
  /** Relative gap at which a plan is as good as the best. */
  readonly gap: number;
  readonly left: () => number;
  readonly cards: () => readonly Card[];
  /** Takes a plan if it is better. */
  take(found: readonly Card[], stage: PlanProgress['stage']): void;
  lower(to: number): void;
  isDone(): boolean;
  isLow(bound: number): boolean;
  report(stage: PlanProgress['stage']): PlanProgress;
}

function begin(
  problem: WeekProblem,
  { seconds, now, first, gap = GOOD_ENOUGH, tell }: SolveOptions,
): Planning {
  const end = now() + seconds - RESERVE;
  const room = roomLeft(problem);
  let cards = first ?? firstPlan(problem, room);
  let value = valueOf(problem, [...problem.fixed, ...cards]);
  let bound: number | null = null;
  const left = (): number => end - now();
  const report = (stage: PlanProgress['stage']): PlanProgress => {
    const progress = { stage, cards, value, bound };
    tell?.(progress);
    return progress;
  };
  report('first');
  return {
    problem,
    room,
    now,
    gap,
    left,
    report,
    cards: () => cards,
    take(found, stage) {
      const worth = valueOf(problem, [...problem.fixed, ...found]);
      if (worth <= value + 1e-9) return;
      [cards, value] = [found, worth];
      report(stage);
    },
    lower(to) {
      if (!Number.isFinite(to) || to >= (bound ?? Infinity)) return;
      bound = to;
      report('proof');
    },
    isDone: () => left() <= 0 || (gapOf(value, bound) ?? Infinity) <= gap,
    isLow: (to) => (gapOf(value, to) ?? Infinity) <= gap,
  };
}

/**
 * Plans a week in one thread: a first plan at once, then better ones, then the proof. What it
 * returns is never worse than the first plan, and holds every rule.
 */
export function solveWeek(
  problem: WeekProblem,
  engine: Engine,
  options: SolveOptions,
): PlanProgress {
  const planning = begin(problem, options);
  const { left, isDone } = planning;
  proveFew(planning, engine);
  const until = left() * (1 - FOR_SEARCH);
  if (!isDone()) search(planning, () => left() - until);
  if (!isDone()) prove(planning, engine);
  return planning.report('done');
}

/** The half of the planning that looks for better plans, where another thread looks for the proof. */
export function searchWeek(problem: WeekProblem, options: SolveOptions): PlanProgress {
  const planning = begin(problem, options);
  if (dayClasses(problem, planning.room).length > 0) search(planning, planning.left);
  return planning.report('done');
}

/** The other half: how much any plan can be worth, and plans that turn up on the way. */
export function boundWeek(
  problem: WeekProblem,
  engine: Engine,
  options: SolveOptions,
): PlanProgress {
  const planning = begin(problem, options);
  proveFew(planning, engine);
  if (!planning.isDone()) prove(planning, engine);
  return planning.report('done');
}

/**
 * Passes of small steps. What is woven in and set out hardly changes its days in a pass, and decides
 * what is good at the tables: so, after the first plan, each round begins with another one, and goes
 * on from the best of all, a little warm.
 */
function search(planning: Planning, left: () => number): void {
  const { problem, room, now, cards } = planning;
  const longest = Math.max(LEAST_PASS_S, PASS * left());
  const goOn = (): boolean => left() > 0 && !planning.isDone();
  let seed = 0;
  const pass = (from: readonly Card[], hot: number): readonly Card[] => {
    const at = now();
    const spent = (): number => (goOn() ? (now() - at) / longest : 1);
    return annealFrom(problem, from, { steps: Infinity, spent, hot, seed: seed++ }, room);
  };
  const better = (from: readonly Card[], ...heats: readonly number[]): void =>
    planning.take(heats.reduce(pass, from), 'better');
  better(cards(), HOT);
  better(cards(), WARM);
  while (goOn()) {
    better(firstPlan(problem, room, seed++), HOT, WARM);
    better(cards(), MILD);
    better(cards(), WARM);
  }
}

/** How much there is to choose: activities on days, each by itself and with each of its children. */
const choicesOf = (problem: WeekProblem, room: Room): number =>
  problem.days.reduce(
    (sum, _, d) =>
      problem.activities.reduce((all, __, a) => {
        const able = mayCome(problem, room, a, d) ? takersFor(problem, room, a, d).length : 0;
        return able > 0 ? all + 1 + able : all;
      }, sum),
    0,
  );

/** A small week, or one with nothing to choose, whole and exactly. */
function proveFew(planning: Planning, engine: Engine): void {
  const { problem, room, left } = planning;
  if (dayClasses(problem, room).length === 0) {
    planning.lower(valueOf(problem, [...problem.fixed, ...planning.cards()]));
    return;
  }
  if (choicesOf(problem, room) > FEW_CHOICES || left() <= 0) return;
  const found = solveDays(problem, room, engine, {
    gap: planning.gap,
    seconds: left() / 2,
    left,
    start: planning.cards(),
    tell: (to) => planning.lower(to),
  });
  if (found.cards) planning.take(found.cards, 'proof');
  planning.lower(found.bound);
}

/** With more kinds of day than this, a week without its days is no easier to look through. */
const FEW_KINDS = 2;

/**
 * Lowers the bound: first without telling alike days apart, which is far less to look through; once
 * a week of that kind cannot be told to be too good, with its days.
 */
function prove(planning: Planning, engine: Engine): void {
  const { problem, room, left, isLow } = planning;
  const alike = dayClasses(problem, room);
  const days = singleDays(problem);
  const learnt: Learnt = new Map();
  const lowering = { learnt, left, isLow, tell: planning.lower };
  if (alike.length <= FEW_KINDS && alike.length < days.length) {
    const coarse = weekModel(problem, room, alike);
    const complete = (values: ArrayLike<number>): void => {
      const near = within(problem, coarse, alike, values);
      const full = weekModel(near, room, days);
      const until = left() * (1 - FOR_DAYS);
      branch(near, engine, full, alike, {
        learnt: new Map(learnt),
        left: () => left() - until,
        isLow: (bound) => bound <= valueOf(problem, [...problem.fixed, ...planning.cards()]),
        tell: () => undefined,
        found: (whole) => {
          const cards = cardsOf(near, room, full, whole);
          if (cards) planning.take(cards, 'better');
        },
      });
    };
    branch(problem, engine, coarse, alike, { ...lowering, found: complete });
  }
  if (planning.isDone()) return;
  const full = weekModel(problem, room, days);
  const found = (values: ArrayLike<number>): void => {
    const cards = cardsOf(problem, room, full, values);
    if (cards) planning.take(cards, 'proof');
  };
  // Where no two days are alike, a dive ends too far from the best.
  const dive = alike.length < days.length;
  branch(problem, engine, full, alike, { ...lowering, found, dive });
}

/** The week with no more activities on alike days than a solution without single days gives them. */
function within(
  problem: WeekProblem,
  { choices }: WeekModel,
  alike: readonly DayClass[],
  values: ArrayLike<number>,
): WeekProblem {
  const given = problem.activities.map((): number[] => []);
  for (const { activity, at, column } of choices) {
    if ((values[column] ?? 0) > 0.5) given[activity]?.push(...(alike[at] ?? []));
  }
  return {
    ...problem,
    activities: problem.activities.map((activity, a) => ({
      ...activity,
      notOn: problem.days.flatMap((_, d) =>
        activity.notOn.includes(d) || !given[a]?.includes(d) ? [d] : [],
      ),
    })),
  };
}
