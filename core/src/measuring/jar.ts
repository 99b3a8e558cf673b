import { plural } from '../numbers/index.js';
import type { Shape } from '../vocabulary/index.js';

/** Inside of a jar, in millimeters; or its volume, measured with water, in milliliters. */
export type Jar =
  | { readonly kind: 'cylinder'; readonly diameterMm: number; readonly heightMm: number }
  | {
      readonly kind: 'box';
      readonly lengthMm: number;
      readonly widthMm: number;
      readonly heightMm: number;
    }
  | { readonly kind: 'water'; readonly ml: number };

const MM3_A_ML = 1000;
/** Part of the space that loose balls fill (Scott 1960, Nature 188; from memory). */
export const LOOSE_BALLS = 0.6;
/** Shaken in a large vessel (Scott and Kilgour 1969: 0.6366; from memory). */
export const SHAKEN_BALLS = 0.6366;
/** Lentil shapes, shaken (Donev and others 2004; from memory). */
export const LENTILS = 0.685;
/** A jar holds less along its wall, for things a quarter to a third as wide (common practice). */
export const WALL = 0.9;
/** Nobody crosses out more than a hundred chart. */
export const MOST_IN_JAR = 100;
const MOST_COUNTED_FIRST = 20;

/** @returns milliliters */
export function volumeMl(jar: Jar): number {
  switch (jar.kind) {
    case 'cylinder':
      return (Math.PI * (jar.diameterMm / 2) ** 2 * jar.heightMm) / MM3_A_ML;
    case 'box':
      return (jar.lengthMm * jar.widthMm * jar.heightMm) / MM3_A_ML;
    case 'water':
      return jar.ml;
  }
}

/** Volume of one thing in milliliters; null where its shape is not known. */
export function materialMl(shape: Shape): number | null {
  switch (shape.kind) {
    case 'ball':
      return (Math.PI * shape.diameterMm ** 3) / 6 / MM3_A_ML;
    case 'disc':
      return (Math.PI * (shape.diameterMm / 2) ** 2 * shape.thicknessMm) / MM3_A_ML;
    case 'block':
      return (shape.lengthMm * shape.widthMm * shape.heightMm) / MM3_A_ML;
    case 'rod':
      return (Math.PI * (shape.diameterMm / 2) ** 2 * shape.lengthMm) / MM3_A_ML;
    case 'unknown':
      return null;
  }
}

/** Part of the space that loose things of a shape fill; other shapes as balls, for want of better. */
export const fillOf = (shape: Shape): number => (shape.kind === 'disc' ? LENTILS : LOOSE_BALLS);

export interface Span {
  readonly low: number;
  readonly high: number;
}

/** How many go in, as a span: from what a small jar loses along its wall to the whole estimate. */
export function estimateCount(ml: number, oneMl: number, fill: number): Span {
  const most = (fill * ml) / oneMl;
  return { low: Math.round(most * WALL), high: Math.round(most) };
}

/** How high to fill for a number of things, in milliliters, as a span. */
export function fillFor(target: number, oneMl: number, fill: number): Span {
  const least = (target * oneMl) / fill;
  return { low: Math.round(least), high: Math.round(least / WALL) };
}

/** From a small cup that was counted: how many the jar holds. Better than any formula. */
export function byTrial(cupMl: number, inCup: number, jarMl: number): number {
  return Math.round((inCup * jarMl) / cupMl);
}

/**
 * How many to put in for these guessers: a number that the one who counts least far can still say.
 * @param tops how far each guesser counts
 */
export function targetFor(tops: readonly number[]): number {
  const least = Math.min(MOST_IN_JAR, ...tops);
  if (least <= MOST_COUNTED_FIRST) return Math.max(6, Math.round(least * 0.8));
  return Math.floor(least / 10) * 10;
}

export type RangeVerdict = 'inside' | 'below' | 'above';

/** Where the number of things lies beside what was kept on the chart. */
export function rangeVerdict(low: number, high: number, actual: number): RangeVerdict {
  if (actual < low) return 'below';
  return actual > high ? 'above' : 'inside';
}

/** What somebody guesses: what is left of the chart, or one number, or both. */
export interface JarGuess {
  /** null while nothing was ruled out. */
  readonly range: { readonly low: number; readonly high: number } | null;
  /** null for no single number. */
  readonly number: number | null;
}

/** A single guess is sensible within a quarter of what was counted, or two (common practice, no source). */
const SENSIBLE_PART = 0.25;
const SENSIBLE = 2;
export const isSensible = (guess: number, actual: number): boolean =>
  Math.abs(guess - actual) <= Math.max(SENSIBLE, SENSIBLE_PART * actual);

/** How far a guess lies from what was counted: its number, else the middle of its range; null for none. */
export function farOff({ range, number }: JarGuess, actual: number): number | null {
  if (number !== null) return Math.abs(number - actual);
  return range && Math.abs((range.low + range.high) / 2 - actual);
}

/** Who lies nearest, all of them where several do; empty where fewer than two have guessed. */
export function nearestOf<K>(guesses: readonly (readonly [K, JarGuess])[], actual: number): K[] {
  const far = guesses.flatMap(([key, guess]) => {
    const off = farOff(guess, actual);
    return off === null ? [] : [{ key, off }];
  });
  if (far.length < 2) return [];
  const least = Math.min(...far.map(({ off }) => off));
  return far.filter(({ off }) => off === least).map(({ key }) => key);
}

/** A tap on a number of the chart: it is ruled out with all beyond it; what was ruled out comes back. */
export function ruledOut(
  { low, high }: { readonly low: number; readonly high: number },
  end: 'low' | 'high',
  n: number,
): { readonly low: number; readonly high: number } {
  if (end === 'low') {
    const next = n < low ? n : n + 1;
    return next <= high ? { low: next, high } : { low, high };
  }
  const next = n > high ? n : n - 1;
  return next >= low ? { low, high: next } : { low, high };
}

/** What a guess came to: "64 is inside, and the range was 12 numbers wide. The guess of 60 was 4 too low." */
export function guessWords({ range, number }: JarGuess, actual: number): string {
  const said = range ? [rangeWords(range.low, range.high, actual)] : [];
  if (number !== null) {
    const by = Math.abs(number - actual);
    said.push(
      by === 0
        ? `The guess was just ${number}.`
        : `The guess of ${number} was ${by} too ${number < actual ? 'low' : 'high'}.`,
    );
  }
  return said.length === 0 ? 'No guess was made.' : said.join(' ');
}

/** "Inside, 21 numbers wide." */
export function rangeWords(low: number, high: number, actual: number): string {
  const verdict = rangeVerdict(low, high, actual);
  const width = high - low + 1;
  const wide = `${width} ${plural(width, 'number', 'numbers')} wide`;
  if (verdict === 'inside') return `${actual} is inside, and the range was ${wide}.`;
  const off = verdict === 'below' ? low - actual : actual - high;
  return `${actual} is ${verdict} the range, by ${off}; it was ${wide}.`;
}

/** How far off a range was: its middle beside what came, as a part of that; below zero for too low. */
export const leaning = (low: number, high: number, actual: number): number =>
  actual === 0 ? 0 : ((low + high) / 2 - actual) / actual;

/** What helps next, from ranges over weeks; null where there is nothing to say yet. */
export function jarHint(
  ranges: readonly { readonly low: number; readonly high: number; readonly actual: number }[],
): string | null {
  const two = ranges.slice(-2);
  if (two.length < 2) return null;
  const sides = two.map(({ low, high, actual }) => rangeVerdict(low, high, actual));
  if (sides.every((side) => side === 'above')) {
    return 'Too low again: start from the bottom layer. How many lie there, and how many layers?';
  }
  if (sides.every((side) => side === 'below')) {
    return 'Too high again: count out ten beside the jar, and look how much of it they would fill.';
  }
  const narrow = two.every(({ low, high, actual }) => high - low < Math.max(4, actual / 4));
  if (sides.every((side) => side === 'inside')) {
    return narrow
      ? 'Inside and narrow twice: a jar with more in it.'
      : 'Inside again: could some more be crossed out?';
  }
  return null;
}

/** Recounted in groups. */
export function grouped(n: number, by: number): { readonly groups: number; readonly left: number } {
  return { groups: Math.floor(n / by), left: n % by };
}
