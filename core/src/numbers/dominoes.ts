/** One tile: its two halves, the larger first. */
export type Tile = readonly [number, number];

/** Every tile of a set to double `highest`, from the blank one on. */
export function dominoSet(highest: number): Tile[] {
  return Array.from({ length: highest + 1 }, (_, a) =>
    Array.from({ length: a + 1 }, (_half, b): Tile => [a, b]),
  ).flat();
}

/** How many tiles a set to double `highest` has: (d + 1)(d + 2) / 2. */
export const dominoCount = (highest: number): number => ((highest + 1) * (highest + 2)) / 2;

/** How many pips lie on all its tiles: each number lies on d + 2 halves. */
export const dominoPips = (highest: number): number =>
  ((highest * (highest + 1)) / 2) * (highest + 2);

/** Length in mm of a floor track of n cards one step apart, with a start before and a finish after. */
export const trackLengthMm = (n: number, stepMm: number): number => (n + 1) * stepMm;
