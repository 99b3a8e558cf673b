import { evaluate } from '../activities/quantity.js';
import type { Activity, Need, Thing, Use } from '../vocabulary/index.js';
import { type Care, LARGE_USES, isSafe } from './care.js';
import { PRINTED, needKeptFrom } from './holds.js';
import { standInsFor, usable } from './needs.js';

/** More than any activity asks for: nobody counts what is not on the list. */
const PLENTY = 1000;

/** In every house, listed or not (common practice, no source). */
const ORDINARY: readonly Use[] = ['paper', 'pen'];

/** The same for every activity that needs it, in whatever number. */
export const needKey = ({ use, words, colors }: Pick<Need, 'use' | 'words' | 'colors'>): string =>
  [use, words, colors].join('/');

/**
 * Says what may be supposed to be in the house although the cupboard does not list it: ordinary things,
 * what can be printed for the activity, what was ticked as lying ready; and everything, as long as
 * nothing is listed at all.
 * @param had what was ticked, by `needKey`
 */
export const isInTheHouse =
  (
    { sheets }: Pick<Activity, 'sheets'>,
    cupboard: readonly Thing[],
    had: ReadonlySet<string>,
  ): ((need: Need) => boolean) =>
  (need) =>
    cupboard.length === 0 ||
    ORDINARY.includes(need.use) ||
    need.faces === 'blank' ||
    (sheets.length > 0 && PRINTED.includes(need.use)) ||
    had.has(needKey(need));

/**
 * How many things serve a need here: the best that is safe, or what could stand in for it. What the
 * cupboard does not list at all may well be in the house and counts as enough; where small parts must
 * stay away, only if it is large by nature, and never where it holds what somebody must not meet.
 */
export function stockFor(
  need: Need,
  cupboard: readonly Thing[],
  care: Care,
  suppose: (need: Need) => boolean = () => true,
): number {
  const fitting = cupboard.filter((thing) => usable(thing, need) > 0);
  const safe = fitting.filter((thing) => isSafe(thing, care)).map((thing) => usable(thing, need));
  const others = standInsFor(need, PLENTY, cupboard, care).map((one) => one.has);
  const isUnlisted = fitting.length === 0;
  const isKept = (care.allergies ?? []).some((one) => needKeptFrom(need, one) !== null);
  const isLarge = !care.noSmallParts || LARGE_USES.includes(need.use);
  if (isUnlisted && !isKept && isLarge && suppose(need)) {
    return Infinity;
  }
  return Math.max(0, ...safe, ...others);
}

/**
 * How many children can do an activity at once with what is there: the largest group for which every
 * need that is not used up is met, even where those with the widest ranges are in it.
 * @param tops the range of each child who may be in it
 * @param most the largest group that the activity takes
 */
export function groupLimit(
  activity: Pick<Activity, 'needs'>,
  tops: readonly number[],
  most: number,
  cupboard: readonly Thing[],
  care: Care,
): number {
  const widest = [...tops].sort((a, b) => b - a).slice(0, most);
  return groupWithin(activity, widest, stocksFor(activity, cupboard, care));
}

/** The same for groups in which all have one range, range by range. */
export function groupLimits(
  activity: Pick<Activity, 'needs'>,
  ranges: readonly number[],
  most: number,
  cupboard: readonly Thing[],
  care: Care,
  suppose: (need: Need) => boolean,
): number[] {
  const stocks = stocksFor(activity, cupboard, care, suppose);
  return ranges.map((top) =>
    groupWithin(
      activity,
      Array.from({ length: most }, () => top),
      stocks,
    ),
  );
}

/** Of what is used up the week counts how much; here it is asked whether any of it is safe. */
const stocksFor = (
  { needs }: Pick<Activity, 'needs'>,
  cupboard: readonly Thing[],
  care: Care,
  suppose?: (need: Need) => boolean,
): number[] =>
  needs.map((need) => {
    if (!need.consumable) return stockFor(need, cupboard, care, suppose);
    return stockFor(need, cupboard, { ...care, noSmallParts: false }, suppose) > 0 ? Infinity : 0;
  });

function groupWithin(
  { needs }: Pick<Activity, 'needs'>,
  tops: readonly number[],
  stocks: readonly number[],
): number {
  let group = 0;
  while (group < tops.length) {
    const sizes = { tops: tops.slice(0, group + 1) };
    if (needs.some((need, i) => evaluate(need.must, sizes) > (stocks[i] as number))) break;
    group++;
  }
  return group;
}

/**
 * True where the cupboard lists what an activity needs, and what is large of it is not even enough for
 * one child: small parts would be on the table. What is not listed is not known to be small.
 * @param top the child's range
 */
export function onlySmall(
  { needs }: Pick<Activity, 'needs'>,
  top: number,
  cupboard: readonly Thing[],
  care: Care,
): boolean {
  return needs.some((need) => {
    const isListed = cupboard.some((thing) => usable(thing, need) > 0);
    return isListed && evaluate(need.must, { tops: [top] }) > stockFor(need, cupboard, care);
  });
}

/** What an activity uses up of one thing: never less than base + each · children. */
export function useOf(
  need: Need,
  tops: readonly number[],
  most: number,
): { base: number; each: number } {
  const widest = [...tops].sort((a, b) => b - a);
  const counts = Array.from({ length: Math.min(most, widest.length) }, (_, i) =>
    evaluate(need.must, { tops: widest.slice(0, i + 1) }),
  );
  const steps = counts.slice(1).map((count, i) => count - (counts[i] as number));
  const each = Math.max(0, ...steps);
  const base = Math.max(0, ...counts.map((count, i) => count - each * (i + 1)));
  return { base, each };
}
