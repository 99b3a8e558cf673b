import { GUESS_CHANCE, type Item, type Skill } from '../skills/index.js';

/** Ability lies on 61 points from -6 to 6, 0.2 apart. */
export const GRID_POINTS = 61;
export const GRID_STEP = 0.2;
const LOWEST = -6;
/** Even a secure child misses one try in twenty. */
const CEILING = 0.95;
const PRIOR_MEAN = -0.5;
const PRIOR_SD = 1.5;

/** A probability for each point of the grid, summing to 1. */
export type Distribution = readonly number[];

/** Ability at a point of the grid. */
export const abilityAt = (index: number): number => LOWEST + GRID_STEP * index;

const GRID = Array.from({ length: GRID_POINTS }, (_, i) => abilityAt(i));

/** Scales non-negative weights so that they sum to 1. */
export function normalized(weights: readonly number[]): number[] {
  const total = weights.reduce((sum, weight) => sum + weight, 0);
  return weights.map((weight) => weight / total);
}

/** What is believed of a child before anything was seen: mean -0.5 (or as given), SD 1.5. */
export function priorAbility(mean = PRIOR_MEAN): Distribution {
  return normalized(GRID.map((theta) => Math.exp(-0.5 * ((theta - mean) / PRIOR_SD) ** 2)));
}

/**
 * Chance that a try on an item is right *on own* at ability `theta`: guess chance at the bottom,
 * 0.95 at the top, logistic in between (three-parameter item-response curve).
 */
export function chanceOnOwn(theta: number, difficulty: number, guess: number): number {
  return guess + (CEILING - guess) / (1 + Math.exp(difficulty - theta));
}

/** The chances of one item at every point of the grid. */
export function itemCurve(item: Item, guess: number): number[] {
  return GRID.map((theta) => chanceOnOwn(theta, item.difficulty, guess));
}

interface Curves {
  readonly items: ReadonlyMap<string, readonly number[]>;
  readonly mean: readonly number[];
}

const curvesOfSkill = new WeakMap<Skill, Curves>();

/** Curves of every item of a skill and their mean, computed once a skill. */
export function curves(skill: Skill): Curves {
  const known = curvesOfSkill.get(skill);
  if (known) return known;
  const guess = GUESS_CHANCE[skill.answers];
  const items = new Map(skill.items.map((item) => [item.id, itemCurve(item, guess)]));
  const mean = GRID.map(
    (_, i) =>
      [...items.values()].reduce((sum, curve) => sum + (curve[i] as number), 0) /
      skill.items.length,
  );
  const made = { items, mean };
  curvesOfSkill.set(skill, made);
  return made;
}

/** Expected value of a function given on the grid. */
export function expected(belief: Distribution, values: readonly number[]): number {
  return belief.reduce((sum, weight, i) => sum + weight * (values[i] as number), 0);
}

/** Mean of M over the belief: the share of the skill's items expected right on own. */
export function expectedMastery(skill: Skill, belief: Distribution): number {
  return expected(belief, curves(skill).mean);
}

/** The belief that the child gets at least three in four of the skill's items right on own. */
export function chanceOfMastery(skill: Skill, belief: Distribution): number {
  const { mean } = curves(skill);
  return belief.reduce((sum, weight, i) => sum + ((mean[i] as number) >= 0.75 ? weight : 0), 0);
}
