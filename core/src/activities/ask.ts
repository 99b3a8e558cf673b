import type { Item, Skill } from '../skills/index.js';
import type { Layout } from '../vocabulary/index.js';

/** How an item is asked: what to say, what lies there, and which number answers it. */
export interface Asking {
  readonly ask: string;
  readonly lay: string;
  readonly expected?: number;
  readonly from?: number;
  readonly direction?: 'up' | 'down';
  readonly layout?: Layout;
  readonly step?: number;
  /** What it turns on, where that is not the item's own number. */
  readonly number?: number;
}

/** How the items of a family are asked, spoken or shown. */
export type Ask = (item: Item, speaks: boolean, skill: Skill) => Asking;
