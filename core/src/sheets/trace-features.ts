import { type Line, type P, type Path, distance, lengthOf } from './trace-paths.js';

/** A corner turns more than this within two steps of so many points; a bend turns less, and more than that. */
const CORNER_DEGREES = 75;

const BEND_DEGREES = 12;

const CORNER_STEP = 4;

const TOOTH_DEGREES = 60;

const TOOTH_STEP = 3;

/** Corners a digit may have, drawn in one line or with a pointed turn; and whether it bends at all. */
const CORNERS: readonly number[] = [1, 1, 1, 2, 2, 2, 1, 1, 2, 2];

const BENDS: readonly boolean[] = [true, false, true, true, false, true, true, false, true, true];

const LEAST_BENT = 0.2;

/** Its line is at most so many times as long as the digit's, and at least so much of it. */
const LONGEST = 1.5;

const LONGEST_ONE = 1.25;

const SHORTEST = 0.6;

/** A one leans no more than this from upright. */
const MOST_LEAN_DEGREES = 32;
/** The flag of a one rises to its top by so much at least. */
const LEAST_RISE_DEGREES = 22;

/** A loop is closed where the line comes back so near to where it began. */
const LOOP_PART = 0.34;

/** Whether a path has the length, the corners and the bends of a digit: a zigzag and a line have not. */
export function isDrawnLike(digit: number, path: Path, model: Path): boolean {
  const longer = path.length / model.length;
  if (longer > (digit === 1 ? LONGEST_ONE : LONGEST) || longer < SHORTEST) return false;
  const corners = path.strokes.reduce((sum, points) => sum + cornersOf(points, CORNER_STEP), 0);
  if (corners > (CORNERS[digit] ?? 0)) return false;
  if (digit === 1) {
    // The teeth of a zigzag may be narrow.
    const teeth = path.strokes.reduce((sum, points) => sum + cornersOf(points, TOOTH_STEP), 0);
    return teeth <= (CORNERS[1] ?? 1) && isUpright(path.strokes) && path.strokes.every(isFlagged);
  }
  if (digit === 5 && path.strokes.length === 1 && closesAtFirst(path.points)) return false;
  return !BENDS[digit] || bentPart(path.strokes) >= LEAST_BENT;
}

/** How much a stroke turns at a point, in degrees, between a step before it and one behind it. */
function turnAt(points: Line, i: number, step: number): number {
  const [before, here, after] = [points[i - step], points[i], points[i + step]];
  if (!before || !here || !after) return 0;
  const from = Math.atan2(here[1] - before[1], here[0] - before[0]);
  const to = Math.atan2(after[1] - here[1], after[0] - here[0]);
  const turn = Math.abs(((to - from) * 180) / Math.PI);
  return Math.min(turn, 360 - turn);
}

/** How often a stroke turns sharply. */
function cornersOf(points: Line, step: number): number {
  const turns = points.map((_, i) => turnAt(points, i, step));
  const most = step === TOOTH_STEP ? TOOTH_DEGREES : CORNER_DEGREES;
  return turns.filter(
    (turn, i) =>
      turn >= most &&
      turns.slice(Math.max(0, i - step), i).every((one) => one < turn) &&
      turns.slice(i + 1, i + step + 1).every((one) => one <= turn),
  ).length;
}

/** Which part of all strokes bends, away from corners. */
function bentPart(strokes: readonly Line[]): number {
  const bent = strokes.map((points) => {
    const turns = points.map((_, i) => turnAt(points, i, CORNER_STEP));
    return turns.filter((turn, i) => {
      const near = turns.slice(Math.max(0, i - CORNER_STEP), i + CORNER_STEP + 1);
      return turn > BEND_DEGREES && Math.max(...near) < CORNER_DEGREES;
    }).length;
  });
  const all = strokes.reduce((sum, points) => sum + points.length, 0);
  return bent.reduce((sum, one) => sum + one, 0) / all;
}

/** A line that comes back to where it began and goes on is a nine, or a six from its end. */
const closesAtFirst = (points: readonly P[]): boolean =>
  points
    .slice(Math.floor(points.length * 0.4), Math.ceil(points.length * 0.85))
    .some((point) => distance(point, points[0] as P) < LOOP_PART);

/** Whether a line with a corner rises to it, as a flag does: the bar of a seven goes across. */
function isFlagged(points: Line): boolean {
  const turns = points.map((_, i) => turnAt(points, i, TOOTH_STEP));
  const sharpest = turns.indexOf(Math.max(...turns));
  const [first, corner] = [points[0], points[sharpest]];
  if (!first || !corner || (turns[sharpest] ?? 0) < TOOTH_DEGREES) return true;
  const rise = Math.atan2(first[1] - corner[1], Math.abs(corner[0] - first[0]));
  return (rise * 180) / Math.PI >= LEAST_RISE_DEGREES;
}

function isUpright(strokes: readonly Line[]): boolean {
  const [longest] = [...strokes].sort((a, b) => lengthOf(b) - lengthOf(a));
  const ys = longest?.map(([, y]) => y) ?? [];
  const top = longest?.[ys.indexOf(Math.min(...ys))];
  const bottom = longest?.[ys.indexOf(Math.max(...ys))];
  if (!top || !bottom) return false;
  const lean = Math.atan2(Math.abs(bottom[0] - top[0]), bottom[1] - top[1]);
  return (lean * 180) / Math.PI <= MOST_LEAN_DEGREES;
}
