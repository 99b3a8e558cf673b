import type { Outcome } from '../vocabulary/index.js';
import { CEILING } from './ability.js';

/** One strand as the first look sees it: guess chances of its skills in order, and the level. */
export interface LookStrand {
  readonly guesses: readonly number[];
  /** About how many of the skills are known, 0 to all of them. */
  readonly level: number;
}

/** One try on the skill at `index` of a strand. */
export interface PlaceTry {
  readonly index: number;
  readonly outcome: Outcome;
  readonly guess: number;
}

/** Belief about the place of each strand: for k = 0 to n, that the first k skills are known. */
export type Places = readonly (readonly number[])[];

/**
 * Chance of *on their own*, above guessing, on the skill counted j from the place k: from four or more
 * below (known long since) to four or more beyond.
 */
const BY_DISTANCE = [0.93, 0.92, 0.92, 0.88, 0.42, 0.38, 0.27, 0.2, 0.12];
const FARTHEST = 4;
const SHIFT_STEPS = Array.from({ length: 13 }, (_, i) => i - 6);
const SHIFT_SPREAD = 2.4;
/** Spread of an educator's shift throughout, and of single pegs, in skills. */
const SHIFT_SD = 1.2;
const PEG_SD = 2;

/** Chance that a try on skill `index` is on their own when the first `place` skills are known. */
export function chanceAt(index: number, place: number, guess: number): number {
  const distance = Math.min(FARTHEST, Math.max(-FARTHEST, index - place));
  return guess + (CEILING - guess) * (BY_DISTANCE[distance + FARTHEST] as number);
}

/** Likelihood of a try at a place; not now says nothing. */
function likelihood(one: PlaceTry, place: number): number {
  const p = chanceAt(one.index, place, one.guess);
  switch (one.outcome) {
    case 'own':
      return p;
    case 'help':
    case 'not-yet':
      return 1 - p;
    case 'not-now':
      return 1;
  }
}

/** How far past the ends of a strand an age is spread, in skills. */
const PAST_THE_ENDS = 12;

/**
 * Prior of the place in one strand, given a shift. Pegs: flat beyond the end at which a level lies. An
 * age alone: what lies before the first skill or after the last counts for none or all of them.
 */
function prior(strand: LookStrand, shift: number, sd: number, byAge: boolean): number[] {
  const { level, guesses } = strand;
  const n = guesses.length;
  const middle = level + shift;
  if (byAge) {
    const weights = new Array<number>(n + 1).fill(0);
    let total = 0;
    for (let k = -PAST_THE_ENDS; k <= n + PAST_THE_ENDS; k++) {
      const weight = Math.exp(-0.5 * ((k - middle) / sd) ** 2);
      const at = Math.min(n, Math.max(0, k));
      weights[at] = (weights[at] ?? 0) + weight;
      total += weight;
    }
    return weights.map((one) => one / total);
  }
  const weights = Array.from({ length: n + 1 }, (_, k) => {
    const beyond = (level === 0 && k < middle) || (level === n && k > middle);
    return beyond ? 1 : Math.exp(-0.5 * ((k - middle) / sd) ** 2);
  });
  const total = weights.reduce((sum, one) => sum + one, 0);
  return weights.map((one) => one / total);
}

/**
 * Where a child is in every strand, from pegs and tries. One shift across all strands stands for
 * an educator who sees the child higher or lower throughout.
 * @param tries of each strand, in the order of `strands`
 * @param byAge true where no educator set the pegs: both spreads are then doubled
 */
export function places(
  strands: readonly LookStrand[],
  tries: readonly (readonly PlaceTry[])[],
  byAge: boolean,
): Places {
  const wide = byAge ? 2 : 1;
  const likelihoods = strands.map((strand, s) =>
    Array.from({ length: strand.guesses.length + 1 }, (_, k) =>
      (tries[s] ?? []).reduce((product, one) => product * likelihood(one, k), 1),
    ),
  );
  const byShift = SHIFT_STEPS.map((step) => {
    const shift = (step * SHIFT_SD * wide) / SHIFT_SPREAD;
    let weight = Math.exp(-0.5 * (step / SHIFT_SPREAD) ** 2);
    const beliefs = strands.map((strand, s) => {
      const joint = prior(strand, shift, PEG_SD * wide, byAge).map(
        (one, k) => one * (likelihoods[s]?.[k] ?? 1),
      );
      const total = joint.reduce((sum, one) => sum + one, 0);
      weight *= total;
      return joint.map((one) => one / total);
    });
    return { weight, beliefs };
  });
  const total = byShift.reduce((sum, one) => sum + one.weight, 0);
  return strands.map((strand, s) =>
    Array.from({ length: strand.guesses.length + 1 }, (_, k) =>
      byShift.reduce((sum, one) => sum + (one.weight / total) * (one.beliefs[s]?.[k] ?? 0), 0),
    ),
  );
}

/** Belief that at least the first `count` skills are known. */
export function atLeast(place: readonly number[], count: number): number {
  let sum = 0;
  for (let k = count; k < place.length; k++) sum += place[k] as number;
  return sum;
}

const entropy = (p: number): number =>
  p <= 0 || p >= 1 ? 0 : -p * Math.log(p) - (1 - p) * Math.log(1 - p);

/** Chance that a try would be on their own, and how much it would tell (in nats). */
export function outlook(
  place: readonly number[],
  index: number,
  guess: number,
): { chance: number; tells: number } {
  let chance = 0;
  let left = 0;
  place.forEach((weight, k) => {
    const p = chanceAt(index, k, guess);
    chance += weight * p;
    left += weight * entropy(p);
  });
  return { chance, tells: entropy(chance) - left };
}
