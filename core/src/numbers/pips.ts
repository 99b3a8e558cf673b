/** Middle of a pip in a square of side 1, from its upper left. */
export type Pip = readonly [x: number, y: number];

const LOW = 0.22;
const MID = 0.5;
const HIGH = 0.78;

const TOP: readonly Pip[] = [
  [LOW, LOW],
  [MID, LOW],
  [HIGH, LOW],
];
const MIDDLE: readonly Pip[] = TOP.map(([x]) => [x, MID]);
const BOTTOM: readonly Pip[] = TOP.map(([x]) => [x, HIGH]);
const row = (line: readonly Pip[], ...places: number[]): Pip[] =>
  places.map((place) => line[place] as Pip);

/** The customary pictures of dice and dominoes, zero to nine. */
const PATTERNS: readonly (readonly Pip[])[] = [
  [],
  row(MIDDLE, 1),
  [...row(TOP, 0), ...row(BOTTOM, 2)],
  [...row(TOP, 0), ...row(MIDDLE, 1), ...row(BOTTOM, 2)],
  [...row(TOP, 0, 2), ...row(BOTTOM, 0, 2)],
  [...row(TOP, 0, 2), ...row(MIDDLE, 1), ...row(BOTTOM, 0, 2)],
  [...row(TOP, 0, 2), ...row(MIDDLE, 0, 2), ...row(BOTTOM, 0, 2)],
  [...row(TOP, 0, 2), ...row(MIDDLE, 0, 1, 2), ...row(BOTTOM, 0, 2)],
  [...row(TOP, 0, 1, 2), ...row(MIDDLE, 0, 2), ...row(BOTTOM, 0, 1, 2)],
  [...TOP, ...MIDDLE, ...BOTTOM],
];

/** Pips of a die or of half a domino. @throws RangeError outside 0 to 9 */
export function pipsOf(n: number): readonly Pip[] {
  const found = PATTERNS[n];
  if (!found) throw new RangeError(`pips are drawn for 0 to 9, not ${n}`);
  return found;
}
