import type { Sheet } from './page.js';
import type { SheetWish } from './wish.js';

/** What can be chosen for a kind of sheet, besides paper, owner and the small drawing at its foot. */
export type Ask =
  | 'range'
  | 'material'
  | 'side'
  | 'count'
  | 'answers'
  | 'faces'
  | 'word'
  | 'cues'
  | 'target'
  | 'size'
  | 'alike'
  | 'activity'
  /** Chance has a part in it: another variation is another sheet. */
  | 'seed'
  /** Cards that are cut out, with film around each. */
  | 'laminate'
  /** What is filled can be left white, for children to color. */
  | 'outline';

/** The groups in which sheets are offered. */
export const SHEET_GROUPS = [
  ['numbers', 'Numbers'],
  ['frames', 'Frames and mats'],
  ['writing', 'Writing'],
  ['games', 'Games'],
  ['measuring', 'Measuring and graphs'],
  ['patterns', 'Patterns and symmetry'],
  ['home', 'Day and family'],
] as const;
export type SheetGroup = (typeof SHEET_GROUPS)[number][0];

/** A kind of sheet: what it asks, and how it is made. */
export interface SheetKind {
  readonly id: string;
  readonly group: SheetGroup;
  readonly title: string;
  readonly about: string;
  readonly asks: readonly Ask[];
  /** The first is the usual one. */
  readonly looks: readonly (readonly [id: string, words: string])[];
  /** What it is opened with where the usual wish does not suit it. */
  readonly suits?: Partial<SheetWish>;
  /** Where a range may end: what it needs at least, and what it is drawn to. */
  readonly ends?: { readonly least?: number; readonly most?: number };
  /** Each child has one of its own. */
  readonly each?: true;
  /** @throws RangeError where it cannot be made so: too large, or a range that leaves nothing */
  make(wish: SheetWish): Sheet;
}
