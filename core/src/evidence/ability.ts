import { GUESS_CHANCE, type Item, type Skill } from '../skills/index.js';

/** Ability lies on 61 points from -6 to 6, 0.2 apart. */
export const GRID_POINTS = 61;
export const GRID_STEP = 0.2;
const LOWEST = -6;
/** Even a secure child misses one try in twenty. */
export const CEILING = 0.95;
/** Share of a skill's items on their own from which the child has it. */
export const MASTERY = 0.75;
const PRIOR_MEAN = -0.5;
/** Where all that a skill builds on came quickly, the next one starts a little higher. */
const PRIOR_MEAN_QUICK = 0;
const PRIOR_SD = 1.5;

/** A probability for each point of the grid, summing to 1. */
export type Distribution = readonly number[];

/** Ability at a point of the grid. */
export const abilityAt = (index: number): number => LOWEST + GRID_STEP * index;

const GRID = Array.from({ length: GRID_POINTS }, (_, i) => abilityAt(i));

/** Scales non-negative weights so that they sum to 1. */
export function normalized(weights: readonly number[]): number[] {
  let total = 0;
  for (const weight of weights) total += weight;
  return weights.map((weight) => weight / total);
}

const priorWith = (mean: number): Distribution =>
  normalized(GRID.map((theta) => Math.exp(-0.5 * ((theta - mean) / PRIOR_SD) ** 2)));
const PRIOR = priorWith(PRIOR_MEAN);
const PRIOR_QUICK = priorWith(PRIOR_MEAN_QUICK);

/** What is believed of a child before anything was seen: mean -0.5, or 0 where it came quickly. */
export const priorAbility = (quick = false): Distribution => (quick ? PRIOR_QUICK : PRIOR);

/**
 * Chance that a try on an item is right *on their own* at ability `theta`: guess chance at the bottom,
 * 0.95 at the top, logistic in between (three-parameter item-response curve).
 */
export function chanceOnOwn(theta: number, difficulty: number, guess: number): number {
  return guess + (CEILING - guess) / (1 + Math.exp(difficulty - theta));
}

const curvesByItem = new WeakMap<Item, Map<number, readonly number[]>>();

/** The chances of one item at every point of the grid, computed once for each guess chance. */
export function itemCurve(item: Item, guess: number): readonly number[] {
  let byGuess = curvesByItem.get(item);
  if (!byGuess) curvesByItem.set(item, (byGuess = new Map<number, readonly number[]>()));
  const known = byGuess.get(guess);
  if (known) return known;
  const made = GRID.map((theta) => chanceOnOwn(theta, item.difficulty, guess));
  byGuess.set(guess, made);
  return made;
}

interface Curves {
  readonly items: ReadonlyMap<string, Item>;
  readonly mean: readonly number[];
  /** First point of the grid at which the child has the skill. */
  readonly masteryFrom: number;
}

const curvesOfSkill = new WeakMap<Skill, Curves>();

/** Items of a skill by id and the mean of their curves, computed once a skill. */
export function curves(skill: Skill): Curves {
  const known = curvesOfSkill.get(skill);
  if (known) return known;
  const guess = GUESS_CHANCE[skill.answers];
  const items = new Map(skill.items.map((item) => [item.id, item]));
  const mean = GRID.map(
    (_, i) =>
      skill.items.reduce((sum, item) => sum + (itemCurve(item, guess)[i] as number), 0) /
      skill.items.length,
  );
  const from = mean.findIndex((share) => share >= MASTERY);
  const made = { items, mean, masteryFrom: from < 0 ? GRID_POINTS : from };
  curvesOfSkill.set(skill, made);
  return made;
}

/** Expected value of a function given on the grid. */
export function expected(belief: Distribution, values: readonly number[]): number {
  let sum = 0;
  for (let i = 0; i < GRID_POINTS; i++) sum += (belief[i] as number) * (values[i] as number);
  return sum;
}

/** Mean of M over the belief: the share of the skill's items expected right on their own. */
export function expectedMastery(skill: Skill, belief: Distribution): number {
  return expected(belief, curves(skill).mean);
}

/** The belief that the child gets at least three in four of the skill's items right on their own. */
export function chanceOfMastery(skill: Skill, belief: Distribution): number {
  let sum = 0;
  for (let i = curves(skill).masteryFrom; i < GRID_POINTS; i++) sum += belief[i] as number;
  return sum;
}
