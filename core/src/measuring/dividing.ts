import { type MassUnit, scaleStep, toGrams, weightWords } from './units.js';

export type Side = 'lighter' | 'same' | 'heavier';

/** A thing on the scale. */
export interface Weighed {
  readonly name: string;
  readonly grams: number;
}

/** The roundest first: of two that divide as evenly, the earlier is offered. */
const ROUND: Record<MassUnit, readonly number[]> = {
  g: [100, 200, 500, 50, 250, 150, 300, 400, 20, 750, 350, 450, 600, 800, 1000, 1500, 2000],
  kg: [1, 0.5, 2, 0.25, 0.1, 0.2, 1.5, 0.75, 0.3, 0.4, 3, 5],
  oz: [8, 4, 16, 2, 12, 6, 10, 1, 3, 5, 20, 24, 32],
  lb: [1, 0.5, 2, 0.25, 1.5, 0.75, 3, 5],
};
/** Nearer than this part of the dividing weight, or so many scale steps, is too near to tell. */
const NEAR_PART = 0.05;
const NEAR_STEPS = 2;

/** The round weights that a dividing weight is chosen from, in grams. */
export const roundWeights = (unit: MassUnit): number[] =>
  ROUND[unit].map((value) => toGrams(value, unit));

/**
 * On which side of the dividing weight a thing falls; within half a step of the scale it is the same.
 * @param grams the thing; @param divider the dividing weight; both in grams
 */
export function sideOf(grams: number, divider: number, unit: MassUnit): Side {
  const half = scaleStep(unit) / 2;
  if (Math.abs(grams - divider) <= half) return 'same';
  return grams < divider ? 'lighter' : 'heavier';
}

/** A dividing weight with what it does, and why it is offered. */
export interface Divider {
  readonly grams: number;
  readonly lighter: number;
  readonly heavier: number;
  readonly reason: string;
}

/** True where every thing is far enough from the dividing weight to be told apart. */
export function isClear(materials: readonly Weighed[], divider: number, unit: MassUnit): boolean {
  const near = Math.max(NEAR_PART * divider, NEAR_STEPS * scaleStep(unit));
  return materials.every(({ grams }) => Math.abs(grams - divider) >= near);
}

/**
 * The round weight that splits the things most evenly, with none of them too near to tell; null where
 * none leaves a thing on either side.
 */
export function suggestDivider(materials: readonly Weighed[], unit: MassUnit): Divider | null {
  let best: Divider | null = null;
  for (const grams of roundWeights(unit)) {
    const lighter = materials.filter((one) => one.grams < grams).length;
    const heavier = materials.length - lighter;
    if (lighter === 0 || heavier === 0 || !isClear(materials, grams, unit)) continue;
    const apart = Math.abs(lighter - heavier);
    if (best && Math.abs(best.lighter - best.heavier) <= apart) continue;
    const even = apart <= 1 ? 'as evenly as can be' : 'best of the round weights';
    best = {
      grams,
      lighter,
      heavier,
      reason: `${weightWords(grams, unit)} splits them ${even}: ${lighter} lighter, ${heavier} heavier, and none so near that the scale could not tell.`,
    };
  }
  return best;
}

/** What can be said once all are weighed. */
export interface WeighedOrder {
  /** Lightest first. */
  readonly order: readonly Weighed[];
  /** The two whose weights lie nearest to each other; null for fewer than two things. */
  readonly nearest: readonly [Weighed, Weighed] | null;
}

export function orderOf(materials: readonly Weighed[]): WeighedOrder {
  const order = [...materials].sort((a, b) => a.grams - b.grams);
  let nearest: [Weighed, Weighed] | null = null;
  for (let i = 1; i < order.length; i++) {
    const [a, b] = [order[i - 1] as Weighed, order[i] as Weighed];
    if (!nearest || b.grams - a.grams < nearest[1].grams - nearest[0].grams) nearest = [a, b];
  }
  return { order, nearest };
}

/** True where the prediction did not come true. */
export const isSurprise = (predicted: Side | null, found: Side): boolean =>
  predicted !== null && predicted !== found;
