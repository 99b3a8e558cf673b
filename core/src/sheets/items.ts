import * as v from 'valibot';
import type { Activity, Shape, Use } from '../vocabulary/index.js';
import { Day, Id, Slug, Version } from '../vocabulary/index.js';
import { findSheet } from './all-kinds.js';
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

/** A range for a kind of sheet that ends as near to the top as the kind allows. */
export function rangeUpTo(kind: string, top: number): { readonly low: number; high: number } {
  const { ends: { least = 1, most = 100 } = {}, suits } = findSheet(kind) ?? {};
  const high = Math.min(most, Math.max(least, top));
  const low = Math.min(suits?.low ?? 1, high);
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

/** Things that lie in the cells of a mat. */
export const LAID: ReadonlySet<Use> = new Set(['counter', 'loose', 'cube']);

/** What a sheet is called, with its look where it is not the usual one. */
export function sheetTitle(kind: string, look: string): string {
  const found = findSheet(kind);
  const words = found?.looks.slice(1).find(([id]) => id === look)?.[1];
  return [found?.title ?? kind, words].filter((one) => one !== undefined).join(', ');
}

/** A sheet that an activity is done with, for one child or for all who take part. */
export interface Proposed {
  readonly kind: string;
  readonly look: string;
  readonly childId: string | null;
  readonly low: number;
  readonly high: number;
}

/** The kinds of sheet that an activity is done with, each in the look that suits it. */
export const sheetsOf = ({
  sheets,
}: Pick<Activity, 'sheets'>): { readonly kind: string; readonly look: string }[] =>
  sheets.map((one) => {
    const [kind = '', look = findSheet(kind)?.looks[0]?.[0] ?? ''] = one.split('/');
    return { kind, look };
  });

/** What an activity wants on paper: mats for each child, cards and boards once for all. */
export function proposedFor(
  activity: Pick<Activity, 'sheets'>,
  participants: readonly { readonly childId: string; readonly rangeMax: number }[],
): Proposed[] {
  if (participants.length === 0) return [];
  const widest = Math.max(...participants.map((participant) => participant.rangeMax));
  return sheetsOf(activity).flatMap(({ kind, look }): Proposed[] =>
    findSheet(kind)?.each
      ? participants.map(({ childId, rangeMax }) => ({
          kind,
          look,
          childId,
          ...rangeUpTo(kind, rangeMax),
        }))
      : [{ kind, look, childId: null, ...rangeUpTo(kind, widest) }],
  );
}
