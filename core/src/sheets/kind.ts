import type { Sheet } from './page.js';
import type { SheetWish } from './wish.js';

/** What can be chosen for a kind of sheet, besides paper and seed. */
export type Ask = 'range' | 'material' | 'side' | 'count' | 'answers' | 'faces' | 'word' | 'cues';

/** A kind of sheet: what it asks, and how it is made. */
export interface SheetKind {
  readonly id: string;
  readonly title: string;
  readonly about: string;
  readonly asks: readonly Ask[];
  /** The first is the usual one. */
  readonly looks: readonly (readonly [id: string, words: string])[];
  /** @throws RangeError where it cannot be made so: too large, or a range that leaves nothing */
  make(wish: SheetWish): Sheet;
}
