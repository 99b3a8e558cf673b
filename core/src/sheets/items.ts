import * as v from 'valibot';
import type { Shape } from '../vocabulary/index.js';
import { Day, Id, Slug, Version } from '../vocabulary/index.js';
import { sheetIdsFor } from './for-activities.js';
import { SheetWish } from './wish.js';

/** A sheet that is kept to be printed, alone or with others. */
export const PrintItem = v.object({
  id: Id,
  kind: Slug,
  /** Whom it is for; null for anyone. */
  childId: v.nullable(Id),
  wish: SheetWish,
  addedOn: Day,
  version: Version,
});
export type PrintItem = v.InferOutput<typeof PrintItem>;

/** What a kind is opened with where the usual range does not suit it. */
const SUITS: Readonly<Record<string, Partial<SheetWish>>> = {
  'number-cards': { low: 0 },
  bingo: { high: 20 },
  dominoes: { low: 0, high: 6 },
  'dice-net': { low: 1, high: 6, materialMm: 40 },
  tracing: { low: 0, high: 9 },
  'digit-roads': { low: 0, high: 9, materialMm: 30 },
  'dough-mat': { low: 0, high: 9 },
  'pair-cards': { low: 1, high: 10 },
  'part-whole-cards': { low: 3, high: 5, count: 6 },
  'bond-dots': { low: 1, high: 5 },
  'coin-cards': { low: 6, high: 20 },
  'chart-grid': { count: 5, high: 10 },
  'number-line': { low: 0, high: 20 },
  'step-strips': { high: 20 },
};

/** What a kind of sheet is first made for. */
export const suitedTo = (kind: string): Partial<SheetWish> => SUITS[kind] ?? {};

/** The most that a range may end at, for kinds that draw no further. */
const MOST_HIGH: Readonly<Record<string, number>> = {
  'counting-cards': 10,
  'press-count': 10,
  'clip-cards': 20,
  'pair-cards': 20,
  'part-whole-cards': 20,
  'bond-dots': 10,
  'scatter-cards': 10,
  'coin-cards': 50,
  tracing: 9,
  'digit-roads': 9,
  'dough-mat': 9,
  dominoes: 9,
};
/** And the least, for kinds that need some room. */
const LEAST_HIGH: Readonly<Record<string, number>> = {
  bingo: 20,
  'three-in-line': 4,
  crowd: 5,
  'step-strips': 20,
  'coin-cards': 10,
  'number-line': 5,
};
/** Sheets that each child has one of. */
const OF_ONE_CHILD: ReadonlySet<string> = new Set([
  'ten-frame',
  'five-frame',
  'name-frame',
  'part-whole',
  'press-count',
  'tracing',
  'dough-mat',
  'hundred-chart',
]);

/** A range for a kind of sheet that ends as near to the top as the kind allows. */
export function rangeUpTo(kind: string, top: number): { readonly low: number; high: number } {
  const high = Math.min(MOST_HIGH[kind] ?? 100, Math.max(LEAST_HIGH[kind] ?? 1, top));
  const low = Math.min(suitedTo(kind).low ?? 1, high);
  return { low, high };
}

/** How wide a thing lies in its cell, in millimeters; null where that is not known. */
export function acrossOf(shape: Shape): number | null {
  switch (shape.kind) {
    case 'ball':
    case 'disc':
      return shape.diameterMm;
    case 'block':
      return Math.max(shape.lengthMm, shape.widthMm);
    default:
      return null;
  }
}

/** A sheet that an activity is done with, for one child or for all who take part. */
export interface Proposed {
  readonly kind: string;
  readonly childId: string | null;
  readonly low: number;
  readonly high: number;
}

/** What an activity wants on paper: mats for each child, cards and boards once for all. */
export function proposedFor(
  activityId: string,
  participants: readonly { readonly childId: string; readonly rangeMax: number }[],
): Proposed[] {
  if (participants.length === 0) return [];
  return sheetIdsFor(activityId).flatMap((kind): Proposed[] => {
    if (OF_ONE_CHILD.has(kind)) {
      return participants.map(({ childId, rangeMax }) => ({
        kind,
        childId,
        ...rangeUpTo(kind, rangeMax),
      }));
    }
    const top = Math.max(...participants.map((participant) => participant.rangeMax));
    return [{ kind, childId: null, ...rangeUpTo(kind, top) }];
  });
}
