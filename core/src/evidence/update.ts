import type { Skill } from '../skills/index.js';
import type { Outcome } from '../vocabulary/index.js';
import { type Distribution, GRID_POINTS, GRID_STEP, curves, normalized } from './ability.js';

/** One try as evidence: an item, how it went, and whether the child tried alone first. */
export interface Evidence {
  readonly itemId: string | null;
  readonly outcome: Outcome;
  readonly triedFirst: boolean;
}

/** Spread of a child's good and bad days, in ability. */
const DAY_SD = 0.5;
const DAY_RADIUS = 8;
/** Growth and forgetting between days: variance 0.05 a day, for at most 30 days. */
const DRIFT_VARIANCE_A_DAY = 0.05;
const DRIFT_MOST_DAYS = 30;
const DRIFT_RADIUS = 30;

const gaussian = (sd: number, radius: number): number[] =>
  normalized(
    Array.from({ length: 2 * radius + 1 }, (_, i) =>
      Math.exp(-0.5 * (((i - radius) * GRID_STEP) / sd) ** 2),
    ),
  );

const DAY_KERNEL = gaussian(DAY_SD, DAY_RADIUS);

/** True when the try says something: not now never does, nor help that was given at once. */
export function counts(evidence: Evidence): boolean {
  return evidence.outcome !== 'not-now' && (evidence.outcome !== 'help' || evidence.triedFirst);
}

/** Likelihood of one day's tries at every ability, before good and bad days are weighed in. */
function likelihood(skill: Skill, tries: readonly Evidence[]): number[] {
  const product = new Array<number>(GRID_POINTS).fill(1);
  for (const one of tries) {
    if (!counts(one)) continue;
    const curve = one.itemId === null ? curves(skill).mean : curves(skill).items.get(one.itemId);
    if (!curve) continue;
    for (let i = 0; i < GRID_POINTS; i++) {
      const p = curve[i] as number;
      const factor =
        one.outcome === 'own' ? p : one.outcome === 'help' ? Math.sqrt(p * (1 - p)) : 1 - p;
      product[i] = (product[i] as number) * factor;
    }
  }
  return product;
}

/**
 * Belief after a day's tries, all taken together so that their order does not matter.
 * @param dayPrior belief at the start of the day
 */
export function afterDay(
  skill: Skill,
  dayPrior: Distribution,
  tries: readonly Evidence[],
): Distribution {
  if (!tries.some(counts)) return dayPrior;
  const day = likelihood(skill, tries);
  const clamp = (i: number): number => Math.min(GRID_POINTS - 1, Math.max(0, i));
  return normalized(
    dayPrior.map((weight, i) => {
      let mixed = 0;
      for (let d = -DAY_RADIUS; d <= DAY_RADIUS; d++) {
        mixed += (DAY_KERNEL[d + DAY_RADIUS] as number) * (day[clamp(i + d)] as number);
      }
      return weight * mixed;
    }),
  );
}

/** Belief at the start of a day that lies `gapDays` (1 or more) after the last one seen. */
export function afterGap(belief: Distribution, gapDays: number): Distribution {
  const sd = Math.sqrt(DRIFT_VARIANCE_A_DAY * Math.min(DRIFT_MOST_DAYS, gapDays));
  const radius = Math.min(DRIFT_RADIUS, Math.ceil((3 * sd) / GRID_STEP));
  const kernel = gaussian(sd, radius);
  const spread = new Array<number>(GRID_POINTS).fill(0);
  belief.forEach((weight, i) => {
    for (let d = -radius; d <= radius; d++) {
      const to = Math.min(GRID_POINTS - 1, Math.max(0, i + d));
      spread[to] = (spread[to] as number) + weight * (kernel[d + radius] as number);
    }
  });
  return spread;
}
