import { evaluate } from '../activities/quantity.js';
import type { Activity, Need, Material } from '../vocabulary/index.js';
import { type Care, LARGE_USES, isSafe } from './care.js';
import { needKeptFrom } from './holds.js';
import { standInsFor, usable } from './needs.js';

/** More than any activity asks for: nobody counts what is not on the list. */
const PLENTY = 1000;

/**
 * How many things serve a need here: the best that is safe, or what could stand in for it. What the
 * materials does not list at all may well be in the house and counts as enough; where small parts must
 * stay away, only if it is large by nature, and never where it holds what somebody must not meet.
 */
export function stockFor(
  need: Need,
  materials: readonly Material[],
  care: Care,
  suppose: (need: Need) => boolean = () => true,
): number {
  const fitting = materials.filter((material) => usable(material, need) > 0);
  const safe = fitting
    .filter((material) => isSafe(material, care))
    .map((material) => usable(material, need));
  const others = standInsFor(need, PLENTY, materials, care).map((one) => one.has);
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
  materials: readonly Material[],
  care: Care,
): number {
  const widest = [...tops].sort((a, b) => b - a).slice(0, most);
  return groupWithin(widest, stocksFor(activity, materials, care));
}

/** The same for groups in which all have one range, range by range. */
export function groupLimits(
  activity: Pick<Activity, 'needs'>,
  ranges: readonly number[],
  most: number,
  materials: readonly Material[],
  care: Care,
  suppose: (need: Need) => boolean,
): number[] {
  const stocks = stocksFor(activity, materials, care, suppose);
  return ranges.map((top) =>
    groupWithin(
      Array.from({ length: most }, () => top),
      stocks,
    ),
  );
}

/** How many of something serve some needs of an activity together. */
interface Stock {
  readonly needs: readonly Need[];
  readonly has: number;
}

/**
 * What there is for each need, and for those of one use together, as one thing serves one need at a
 * time. Of what is used up the week counts how much; here it is asked whether any of it is safe.
 */
function stocksFor(
  { needs }: Pick<Activity, 'needs'>,
  materials: readonly Material[],
  care: Care,
  suppose?: (need: Need) => boolean,
): Stock[] {
  const single = needs.map((need): Stock => {
    if (!need.consumable) return { needs: [need], has: stockFor(need, materials, care, suppose) };
    const any = stockFor(need, materials, { ...care, noSmallParts: false }, suppose);
    return { needs: [need], has: any > 0 ? Infinity : 0 };
  });
  const together = [...new Set(needs.map(({ use }) => use))].flatMap((use): Stock[] => {
    const same = single.filter((one) => one.needs[0]?.use === use);
    if (same.length < 2 || same.some(({ has }) => !Number.isFinite(has))) return [];
    const of = same.flatMap((one) => one.needs);
    const counts = materials.map((material) =>
      isSafe(material, care) ? Math.max(...of.map((need) => usable(material, need))) : 0,
    );
    return [{ needs: of, has: counts.reduce((sum, count) => sum + count, 0) }];
  });
  return [...single, ...together];
}

function groupWithin(tops: readonly number[], stocks: readonly Stock[]): number {
  let group = 0;
  while (group < tops.length) {
    const sizes = { tops: tops.slice(0, group + 1) };
    const wanted = ({ needs }: Stock): number =>
      needs.reduce((sum, need) => sum + evaluate(need.must, sizes), 0);
    if (stocks.some((stock) => wanted(stock) > stock.has)) break;
    group++;
  }
  return group;
}

/**
 * True where the household lists what an activity needs, and what is large of it is not even enough for
 * one child: small parts would be on the table. What is not listed is not known to be small.
 * @param top the child's range
 */
export function onlySmall(
  { needs }: Pick<Activity, 'needs'>,
  top: number,
  materials: readonly Material[],
  care: Care,
): boolean {
  return needs.some((need) => {
    const isListed = materials.some((material) => usable(material, need) > 0);
    return isListed && evaluate(need.must, { tops: [top] }) > stockFor(need, materials, care);
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
