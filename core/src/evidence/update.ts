import { GUESS_CHANCE, type Skill } from '../skills/index.js';
import type { Outcome } from '../vocabulary/index.js';
import {
  type Distribution,
  GRID_POINTS,
  GRID_STEP,
  curves,
  itemCurve,
  normalized,
} from './ability.js';

/** One try as evidence: an item, and how it went. */
export interface Evidence {
  readonly itemId: string | null;
  readonly outcome: Outcome;
  /** Chance of a lucky guess for this way of answering; null takes the skill's own. */
  readonly guess: number | null;
}

/** Spread of a child's good and bad days, in ability. */
const DAY_SD = 0.5;
const DAY_RADIUS = 8;
/** Growth and forgetting between days, as variance a day, for at most 30 days: less once secure. */
const DRIFT_VARIANCE_A_DAY = { open: 0.09, secure: 0.02 } as const;
const DRIFT_MOST_DAYS = 30;
const DRIFT_RADIUS = 30;
const TINY = 1e-100;

const gaussian = (sd: number, radius: number): number[] =>
  normalized(
    Array.from({ length: 2 * radius + 1 }, (_, i) =>
      Math.exp(-0.5 * (((i - radius) * GRID_STEP) / sd) ** 2),
    ),
  );

const DAY_KERNEL = gaussian(DAY_SD, DAY_RADIUS);
const driftKernels = (varianceADay: number): number[][] =>
  Array.from({ length: DRIFT_MOST_DAYS }, (_, i) => {
    const sd = Math.sqrt(varianceADay * (i + 1));
    return gaussian(sd, Math.min(DRIFT_RADIUS, Math.ceil((3 * sd) / GRID_STEP)));
  });
const DRIFT_KERNELS = {
  open: driftKernels(DRIFT_VARIANCE_A_DAY.open),
  secure: driftKernels(DRIFT_VARIANCE_A_DAY.secure),
};

/** True when the try says something; one that was not for today never does. */
export const counts = ({ outcome }: Pick<Evidence, 'outcome'>): boolean => outcome !== 'not-now';

/** Likelihood of nothing seen yet: 1 at every ability. */
export const nothingSeen = (): number[] => new Array<number>(GRID_POINTS).fill(1);

const factorsByCurve = new WeakMap<
  readonly number[],
  Partial<Record<Outcome, readonly number[]>>
>();

/**
 * Likelihood of an outcome at every ability: P where the child did it alone; help, early or late,
 * says the same as not yet: 1-P.
 */
function factorsOf(curve: readonly number[], outcome: Outcome): readonly number[] {
  let known = factorsByCurve.get(curve);
  if (!known) factorsByCurve.set(curve, (known = {}));
  return (known[outcome] ??= curve.map((p) => (outcome === 'own' ? p : 1 - p)));
}

/** Multiplies the likelihood of a day by that of one more try, in place. */
export function weighIn(skill: Skill, likelihood: number[], one: Evidence): void {
  if (!counts(one)) return;
  const { items, mean } = curves(skill);
  const item = one.itemId === null ? undefined : items.get(one.itemId);
  if (one.itemId !== null && !item) return;
  const curve = item ? itemCurve(item, one.guess ?? GUESS_CHANCE[skill.answers]) : mean;
  const factors = factorsOf(curve, one.outcome);
  let most = 0;
  for (let i = 0; i < GRID_POINTS; i++) {
    const product = (likelihood[i] as number) * (factors[i] as number);
    likelihood[i] = product;
    if (product > most) most = product;
  }
  // Only proportions matter; hundreds of tries on one day would otherwise run down to zero.
  if (most < TINY)
    for (let i = 0; i < GRID_POINTS; i++) likelihood[i] = (likelihood[i] as number) / TINY;
}

// The likelihood with its ends repeated, so that the inner loop needs no clamping.
const padded = new Float64Array(GRID_POINTS + 2 * DAY_RADIUS);

/**
 * Belief after a day whose tries have the given likelihood, all taken together so that their order
 * does not matter; a child has good and bad days, so neighboring abilities share it.
 * @param dayPrior belief at the start of the day
 */
export function posterior(dayPrior: Distribution, likelihood: readonly number[]): Distribution {
  for (let i = 0; i < padded.length; i++) {
    padded[i] = likelihood[Math.min(GRID_POINTS - 1, Math.max(0, i - DAY_RADIUS))] as number;
  }
  const belief = new Array<number>(GRID_POINTS);
  let total = 0;
  for (let i = 0; i < GRID_POINTS; i++) {
    let mixed = 0;
    for (let d = 0; d <= 2 * DAY_RADIUS; d++) {
      mixed += (DAY_KERNEL[d] as number) * (padded[i + d] as number);
    }
    const weight = (dayPrior[i] as number) * mixed;
    belief[i] = weight;
    total += weight;
  }
  for (let i = 0; i < GRID_POINTS; i++) belief[i] = (belief[i] as number) / total;
  return belief;
}

/** Belief after a day's tries. */
export function afterDay(
  skill: Skill,
  dayPrior: Distribution,
  tries: readonly Evidence[],
): Distribution {
  if (!tries.some(counts)) return dayPrior;
  const likelihood = nothingSeen();
  for (const one of tries) weighIn(skill, likelihood, one);
  return posterior(dayPrior, likelihood);
}

const drifted = new Float64Array(GRID_POINTS + 2 * DRIFT_RADIUS);

/**
 * Belief at the start of a day that lies `gapDays` (1 or more) after the last one seen.
 * @param secure whether the skill was secure meanwhile: what is secure drifts less
 */
export function afterGap(belief: Distribution, gapDays: number, secure: boolean): Distribution {
  const kernels = DRIFT_KERNELS[secure ? 'secure' : 'open'];
  const kernel = kernels[Math.min(DRIFT_MOST_DAYS, gapDays) - 1] as number[];
  const radius = (kernel.length - 1) / 2;
  const last = GRID_POINTS - 1;
  drifted.fill(0);
  for (let i = 0; i < GRID_POINTS; i++) {
    const weight = belief[i] as number;
    for (let d = 0; d < kernel.length; d++) {
      drifted[i + d] = (drifted[i + d] as number) + weight * (kernel[d] as number);
    }
  }
  // Mass past an end stays on the end point.
  for (let i = 0; i < radius; i++) {
    drifted[radius] = (drifted[radius] as number) + (drifted[i] as number);
    const above = radius + last + 1 + i;
    drifted[radius + last] = (drifted[radius + last] as number) + (drifted[above] as number);
  }
  const spread = new Array<number>(GRID_POINTS);
  for (let i = 0; i < GRID_POINTS; i++) spread[i] = drifted[radius + i] as number;
  return spread;
}
