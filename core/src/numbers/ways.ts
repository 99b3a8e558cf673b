/** n choose k (0 ≤ k ≤ n), exact up to about 50. */
export function choose(n: number, k: number): number {
  let found = 1;
  for (let i = 1; i <= Math.min(k, n - k); i++) found = (found * (n - i + 1)) / i;
  return Math.round(found);
}

/**
 * Ways to make n with up to `parts` parts when order does not count: the parts of each, largest
 * first, zeros left out (partitions of n into at most that many parts).
 */
export function waysInto(n: number, parts: number, most = n): number[][] {
  if (n === 0) return [[]];
  if (parts === 0) return [];
  const ways: number[][] = [];
  for (let first = Math.min(n, most); first >= 1; first--) {
    for (const rest of waysInto(n - first, parts - 1, first)) ways.push([first, ...rest]);
  }
  return ways;
}

/** How many ordered ways there are to make n with `parts` parts, zero allowed: C(n+p-1, p-1). */
export const orderedWays = (n: number, parts: number): number => choose(n + parts - 1, parts - 1);

/** The ordered ways into two parts, listed by moving one across: (n,0), (n-1,1), ... (0,n). */
export const splitsOf = (n: number): (readonly [number, number])[] =>
  Array.from({ length: n + 1 }, (_, b) => [n - b, b] as const);
