import type { Quantity } from '../vocabulary/index.js';

/** The values a quantity is worked out from. */
export interface Sizes {
  /** Top of the range of each child, one entry a child. */
  readonly tops: readonly number[];
  readonly groups?: number;
  readonly size?: number;
  /** Highest pip of a domino set. */
  readonly pips?: number;
}

/** Groups of five, three of them, where nobody says otherwise. */
const GROUPS = 3;
const SIZE = 5;
const PIPS = 6;

/** No household has more of anything; what comes out larger is a mistake, and counts as this. */
const MOST_MATERIALS = 1_000_000;

/**
 * Works out a quantity as a whole number of things, rounded up, at most a million.
 * `n` is the largest top, or a child's own inside `sum`; `k` the number of children.
 */
export function evaluate(quantity: Quantity, sizes: Sizes): number {
  return Math.ceil(value(quantity, sizes, Math.max(0, ...sizes.tops)));
}

const value = (quantity: Quantity, sizes: Sizes, n: number): number =>
  Math.min(MOST_MATERIALS, unbounded(quantity, sizes, n));

function unbounded(quantity: Quantity, sizes: Sizes, n: number): number {
  if (typeof quantity === 'number') return quantity;
  if (typeof quantity === 'string') return named(quantity, sizes, n);
  const all = (list: readonly Quantity[]): number[] => list.map((one) => value(one, sizes, n));
  if ('add' in quantity) return all(quantity.add).reduce((sum, one) => sum + one, 0);
  if ('times' in quantity) return all(quantity.times).reduce((product, one) => product * one, 1);
  if ('half' in quantity) return value(quantity.half, sizes, n) / 2;
  if ('least' in quantity) return Math.min(...all(quantity.least));
  if ('most' in quantity) return Math.max(...all(quantity.most));
  if ('upTo' in quantity) {
    const { first, last, count } = terms(quantity, sizes, n);
    return (count * (first + last)) / 2;
  }
  return sizes.tops.reduce((sum, top) => sum + value(quantity.sum, sizes, top), 0);
}

function named(name: 'n' | 'k' | 'g' | 's' | 'd', sizes: Sizes, n: number): number {
  switch (name) {
    case 'n':
      return n;
    case 'k':
      return sizes.tops.length;
    case 'g':
      return sizes.groups ?? GROUPS;
    case 's':
      return sizes.size ?? SIZE;
    case 'd':
      return sizes.pips ?? PIPS;
  }
}

/** The addends of 1 + 2 + ... up to a top, or of every `step`-th number from `from` on. */
function terms(
  { upTo, from = 1, step = 1 }: Extract<Quantity, { upTo: Quantity }>,
  sizes: Sizes,
  n: number,
): { first: number; step: number; last: number; count: number } {
  const top = value(upTo, sizes, n);
  const count = Math.max(0, Math.floor((top - from) / step) + 1);
  const last = count === 0 ? 0 : from + step * (count - 1);
  return { first: count === 0 ? 0 : from, step, last, count };
}

/**
 * The quantity as a sum that can be followed: "1 + 2 + ... + 10 = 55", "3 x 12 = 36", or the bare
 * number where there is nothing to add up.
 */
export function explain(quantity: Quantity, sizes: Sizes): string {
  const words = spell(quantity, sizes, Math.max(0, ...sizes.tops));
  const total = evaluate(quantity, sizes);
  return words === String(total) ? words : `${words} = ${total}`;
}

function row({ first, step, last, count }: ReturnType<typeof terms>): string {
  if (count === 0) return '0';
  if (count > 4) return `${first} + ${first + step} + … + ${last}`;
  return Array.from({ length: count }, (_, i) => first + step * i).join(' + ');
}

function spell(quantity: Quantity, sizes: Sizes, n: number): string {
  if (typeof quantity === 'number' || typeof quantity === 'string') {
    return String(value(quantity, sizes, n));
  }
  if ('add' in quantity) return quantity.add.map((one) => spell(one, sizes, n)).join(' + ');
  if ('times' in quantity) {
    const parts = quantity.times.map((one) => spell(one, sizes, n)).filter((one) => one !== '1');
    return parts.map((one) => (one.includes(' + ') ? `(${one})` : one)).join(' × ') || '1';
  }
  if ('half' in quantity) {
    const inner = spell(quantity.half, sizes, n);
    return `${inner.includes(' ') ? `(${inner})` : inner} ÷ 2`;
  }
  if ('least' in quantity || 'most' in quantity) return String(value(quantity, sizes, n));
  if ('upTo' in quantity) return row(terms(quantity, sizes, n));
  const each = sizes.tops.map((top) => spell(quantity.sum, sizes, top));
  const same = new Set(each).size === 1 && each.length > 1;
  if (!same)
    return each
      .map((one) => (each.length > 1 && one.includes(' + ') ? `(${one})` : one))
      .join(' + ');
  return `${each.length} × ${each[0]?.includes(' ') ? `(${each[0]})` : each[0]}`;
}
