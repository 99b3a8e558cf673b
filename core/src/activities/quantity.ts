import type { Quantity } from '../vocabulary/index.js';

/** The values a quantity is worked out from. */
export interface Sizes {
  /** Top of the range of each child, one entry a child. */
  readonly tops: readonly number[];
  readonly groups?: number;
  readonly size?: number;
}

/**
 * Works out a quantity as a whole number of things, rounded up.
 * `n` is the largest top, or a child's own inside `sum`; `k` the number of children.
 */
export function evaluate(quantity: Quantity, sizes: Sizes): number {
  return Math.ceil(value(quantity, sizes, Math.max(0, ...sizes.tops)));
}

function value(quantity: Quantity, sizes: Sizes, n: number): number {
  if (typeof quantity === 'number') return quantity;
  if (quantity === 'n') return n;
  if (quantity === 'k') return sizes.tops.length;
  if (quantity === 'g') return sizes.groups ?? 0;
  if (quantity === 's') return sizes.size ?? 0;
  const all = (list: readonly Quantity[]): number[] => list.map((one) => value(one, sizes, n));
  if ('add' in quantity) return all(quantity.add).reduce((sum, one) => sum + one, 0);
  if ('times' in quantity) return all(quantity.times).reduce((product, one) => product * one, 1);
  if ('half' in quantity) return value(quantity.half, sizes, n) / 2;
  if ('least' in quantity) return Math.min(...all(quantity.least));
  if ('most' in quantity) return Math.max(...all(quantity.most));
  return sizes.tops.reduce((sum, top) => sum + value(quantity.sum, sizes, top), 0);
}
