import { type Sizes, evaluate } from '../activities/quantity.js';
import type { Activity, Need, Thing, Use } from '../vocabulary/index.js';
import { smallPart } from './small-parts.js';

/** One planned activity as far as things are concerned. */
export interface Planned {
  readonly activity: Activity;
  readonly sizes: Sizes;
}

/** One line of the list of what to lay ready. */
export interface ReadyLine {
  /** Stable for the day, so that a tick stays with its line. */
  readonly key: string;
  readonly use: Use;
  readonly count: number;
  readonly words: string;
  /** The thing of the cupboard that serves; null when the cupboard names none. */
  readonly thing: Thing | null;
  /** False where it is, or may be, a small part that somebody here must not meet. */
  readonly safe: boolean;
  readonly short: number;
  /** What could stand in for those that are missing, safe for everyone who is here. */
  readonly standIn: Thing | null;
  /** Titles of the activities that ask for it. */
  readonly for: readonly string[];
}

/** What the youngest people in the room ask of things. */
export interface Care {
  /** True when a child under three, or one who still mouths things, is here. */
  readonly noSmallParts: boolean;
}

/** True when the thing may lie where these children are. */
export function isSafe(thing: Thing, care: Care): boolean {
  if (thing.hazards.includes('button-cell') || thing.hazards.includes('magnet')) return false;
  return !care.noSmallParts || thing.use !== 'counter' || smallPart(thing.shape) === 'neither';
}

/** How many of a thing serve a need: of two-color needs the two largest colors count. */
function usable(thing: Thing, need: Need): number {
  if (thing.use !== need.use || (need.alike && !thing.alike)) return 0;
  if (thing.colors.length === 0 || need.colors === 'any') return thing.count;
  const byColor = thing.colors.map((color) => color.count).sort((a, b) => b - a);
  if (need.colors === 'one') return byColor[0] ?? 0;
  return byColor.length < 2 ? 0 : 2 * Math.min(byColor[0] as number, byColor[1] as number);
}

interface Sum {
  need: Need;
  count: number;
  titles: string[];
}

/**
 * What a day needs in all: the most wanted at once of each kind, since things are used again, and
 * the sum of what is used up. Compared with the cupboard; what is short stands first, then in the
 * order of the day.
 */
export function layReady(
  planned: readonly Planned[],
  cupboard: readonly Thing[],
  care: Care,
): ReadyLine[] {
  const sums = new Map<string, Sum>();
  for (const { activity, sizes } of planned) {
    for (const need of activity.needs) {
      const key = [need.use, need.words, need.colors].join('/');
      const count = evaluate(need.must, sizes);
      const known = sums.get(key);
      if (count === 0) continue;
      if (!known) sums.set(key, { need, count, titles: [activity.title] });
      else {
        known.count = need.consumable ? known.count + count : Math.max(known.count, count);
        if (!known.titles.includes(activity.title)) known.titles.push(activity.title);
      }
    }
  }
  const lines = [...sums].map(([key, sum]) => readyLine(key, sum, cupboard, care));
  return lines.sort((a, b) => Number(b.short > 0) - Number(a.short > 0));
}

function readyLine(key: string, sum: Sum, cupboard: readonly Thing[], care: Care): ReadyLine {
  const { need, count, titles } = sum;
  const fitting = cupboard
    .map((thing) => ({ thing, has: usable(thing, need) }))
    .filter((one) => one.has > 0)
    .sort(
      (a, b) =>
        Number(isSafe(b.thing, care)) - Number(isSafe(a.thing, care)) ||
        Number(b.has >= count) - Number(a.has >= count) ||
        b.has - a.has,
    );
  const best = fitting[0] ?? null;
  const short = best ? Math.max(0, count - best.has) : 0;
  const other = cupboard.find(
    (thing) =>
      thing !== best?.thing &&
      (thing.use === need.use || STAND_INS[need.use]?.includes(thing.use)) &&
      thing.count >= short &&
      isSafe(thing, care),
  );
  return {
    key,
    use: need.use,
    count,
    words: need.words,
    thing: best?.thing ?? null,
    safe: best ? isSafe(best.thing, care) : !care.noSmallParts || need.use !== 'counter',
    short,
    standIn: short > 0 ? (other ?? null) : null,
    for: titles,
  };
}

/** Uses that can stand in for one another (common practice, no source). */
const STAND_INS: Partial<Record<Use, readonly Use[]>> = {
  bowl: ['basket', 'box', 'cup'],
  basket: ['bowl', 'box'],
  plate: ['bowl', 'cup'],
  cup: ['bowl'],
  cover: ['cloth'],
  cloth: ['cover', 'basket'],
};
