import { type DigitForms, type Stroke, strokesOf } from './strokes.js';

type P = readonly [x: number, y: number];
type Line = readonly P[];

/** What is seen first in a traced digit; all but the last can still be read. */
export type TraceSeen =
  'right' | 'reversed' | 'start' | 'order' | 'direction' | 'open' | 'other-shape';

/** Points that a whole digit is compared by. */
const POINTS = 48;
/** Heights of a digit: how far its first point may lie from where it begins, ends from each other. */
const START_PART = 0.32;
const GAP_PART = 0.17;
/** How far a path may differ from the nearest way of writing the digit (tuned on drawn and distorted digits). */
const MOST_APART = 0.24;
/** What a difference in where the pen goes weighs beside one in where it is. */
const TURN_WEIGHT = 0.3;
/** Another way is believed only where it lies so much nearer than the right one. */
const NEARER = 0.72;
/** Another digit is believed where it lies so much nearer than the one that was asked for. */
const OTHER_NEARER = 0.99;
/** A one with a flag and no base is nearly a seven. */
const OTHER_THAN_ONE = 1.1;
const SHORTEST_PART = 0.05;
/** A pencil set down again so near where it was lifted goes on with its line. */
const LIFTED_PART = 0.08;
/** A loop is closed where the line comes back so near to where it began. */
const LOOP_PART = 0.34;
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

/** A path with where the pen is, and where it goes, at equal steps. */
interface Path {
  readonly points: readonly P[];
  /** Unit vectors. */
  readonly ahead: readonly P[];
  /** The points of each stroke, and how long all are together, in sides of the square around them. */
  readonly strokes: readonly Line[];
  readonly length: number;
}

interface Way {
  readonly seen: 'right' | 'reversed' | 'start' | 'order' | 'direction';
  readonly lines: readonly Line[];
}

/**
 * Looks at a digit as it was drawn, stroke by stroke: whether it is this one and no other, turned round as
 * a whole, where it began, order and direction of its strokes, and whether it closes, in this order
 * (common practice, no source). A shaky line is not a wrong one.
 * @param drawn strokes as they were drawn, in any unit, growing rightward and downward
 */
export function seenInTrace(
  digit: number,
  forms: DigitForms,
  drawn: readonly (readonly P[])[],
): TraceSeen {
  const strokes = strokesOf(digit, forms).map(({ points }: Stroke): Line => points);
  const lines = joined(withoutSlips(drawn), strokes.length);
  if (lines.length === 0) return 'other-shape';
  const path = pathOf(lines);
  const [asTaught, ...others] = waysFor(digit, forms, strokes) as [Way, ...Way[]];
  const right = apart(path, asTaught);
  let [best, least] = [asTaught, right];
  for (const way of others) {
    const far = apart(path, way);
    if (far < right * NEARER && far < least) [best, least] = [way, far];
  }
  if (least > MOST_APART || !isDrawnLike(digit, path, pathOf(strokes))) return 'other-shape';
  if (isAnother(digit, path, least)) return 'other-shape';
  if (best.seen === 'reversed') return 'reversed';
  const [begun, taught] = [squared(lines)[0]?.[0], squared(strokes)[0]?.[0]];
  if (begun && taught && distance(begun, taught) > START_PART) return 'start';
  if (best.seen !== 'right') return best.seen;
  return isOpen(digit, path.points) ? 'open' : 'right';
}

const backward = (one: Line): Line => [...one].reverse();
const mirrored = (lines: readonly Line[]): Line[] =>
  lines.map((one) => one.map(([x, y]): P => [-x, y]));

/** Ways in which children write a digit, the one that is taught first. */
function waysFor(digit: number, forms: DigitForms, strokes: readonly Line[]): Way[] {
  const [one, two, three] = strokes as [Line, Line?, Line?];
  const ways: Way[] = [{ seen: 'right', lines: strokes }];
  if (two && three) return [...ways, ...flaggedWays(one, two, three)];
  if (two) {
    ways.push({ seen: 'order', lines: [two, one] }, { seen: 'order', lines: [two, backward(one)] });
    ways.push({ seen: 'order', lines: [backward(two), one] });
    ways.push({ seen: 'direction', lines: [backward(one), two] });
    ways.push({ seen: 'direction', lines: [one, backward(two)] });
    ways.push({ seen: 'direction', lines: [backward(one), backward(two)] });
    ways.push({ seen: 'order', lines: [backward(two), backward(one)] });
  } else ways.push({ seen: 'direction', lines: [backward(one)] });
  const isRound = digit === 0 || digit === 8;
  if (isRound) {
    for (const part of [0.25, 0.5, 0.75]) {
      const at = Math.floor(one.length * part);
      const shifted = [...one.slice(at), ...one.slice(0, at + 1)];
      ways.push({ seen: 'start', lines: [shifted] }, { seen: 'start', lines: [backward(shifted)] });
    }
  }
  if (digit === 8) ways.push({ seen: 'direction', lines: mirrored(strokes) });
  const looksTheSame = isRound || (digit === 1 && forms.one === 'plain');
  if (looksTheSame) return ways;
  return [...ways, ...ways.map(({ lines }): Way => ({ seen: 'reversed', lines: mirrored(lines) }))];
}

/** Ways of a one with its flag and its base: often the flag is drawn up and the stem down in one line. */
function flaggedWays(stem: Line, flag: Line, base: Line): Way[] {
  const upAndDown = [...backward(flag), ...stem];
  const ways: Way[] = [
    { seen: 'right', lines: [upAndDown, base] },
    { seen: 'right', lines: [upAndDown] },
    { seen: 'right', lines: [stem] },
    { seen: 'order', lines: [flag, stem, base] },
    { seen: 'order', lines: [base, flag, stem] },
    { seen: 'order', lines: [base, stem, flag] },
    { seen: 'order', lines: [base, upAndDown] },
    { seen: 'direction', lines: [backward(stem), flag, base] },
    { seen: 'direction', lines: [stem, flag, backward(base)] },
    { seen: 'direction', lines: [upAndDown, backward(base)] },
    { seen: 'order', lines: [backward(base), backward(flag), backward(stem)] },
  ];
  const turned = ways
    .filter(({ lines }) => lines[0] !== stem || lines.length > 1)
    .map(({ lines }): Way => ({ seen: 'reversed', lines: mirrored(lines) }));
  return [...ways, ...turned];
}

const distance = ([x, y]: P, [u, w]: P): number => Math.hypot(x - u, y - w);
const lengthOf = (one: Line): number =>
  one.slice(1).reduce((sum, point, i) => sum + distance(point, one[i] as P), 0);

/** Without dots that a resting hand makes. */
function withoutSlips(drawn: readonly (readonly P[])[]): Line[] {
  const all = drawn.filter((one) => one.length > 1);
  const whole = all.reduce((sum, one) => sum + lengthOf(one), 0);
  return all.filter((one) => lengthOf(one) > whole * SHORTEST_PART);
}

/** Where a pencil was lifted and set down again on the same spot, it is one line: until as many are left. */
function joined(lines: readonly Line[], many: number): Line[] {
  const [left, ...rest] = lines;
  const all = left ? [left] : [];
  const side = sideOf(lines);
  let open = lines.length - many;
  for (const next of rest) {
    const before = all.at(-1) as Line;
    const gap = distance(before.at(-1) as P, next[0] as P) / side;
    if (open > 0 && gap < LIFTED_PART) {
      all[all.length - 1] = [...before, ...next.slice(1)];
      open--;
    } else all.push(next);
  }
  return all;
}

/** The longer side of the rectangle around all lines. */
function sideOf(lines: readonly Line[]): number {
  const reach = (k: 0 | 1): number => {
    const all = lines.flatMap((one) => one.map((point) => point[k]));
    return Math.max(...all) - Math.min(...all);
  };
  return Math.max(reach(0), reach(1)) || 1;
}

/** The same lines around 0, 0 with their longer side 1. */
function squared(lines: readonly Line[]): Line[] {
  const xs = lines.flatMap((one) => one.map(([x]) => x));
  const ys = lines.flatMap((one) => one.map(([, y]) => y));
  const [left, right] = [Math.min(...xs), Math.max(...xs)];
  const [top, bottom] = [Math.min(...ys), Math.max(...ys)];
  const side = sideOf(lines);
  return lines.map((one) =>
    one.map(([x, y]): P => [(x - (left + right) / 2) / side, (y - (top + bottom) / 2) / side]),
  );
}

/** How far a path lies from a way of writing. */
const apart = (path: Path, { lines }: Way): number => warped(path, pathOf(lines));

/** Every form of every digit, in every way in which it can be read. */
const ALL_FORMS: readonly DigitForms[] = [
  { one: 'plain', four: 'open', nine: 'straight' },
  { one: 'flagged', four: 'closed', nine: 'curved' },
  { one: 'flagged', four: 'closed', nine: 'slanted' },
];
/** Digits that are written in more than one form. */
const FORMED: readonly number[] = [1, 4, 9];
let models: readonly (readonly Path[])[] | null = null;
/** The paths of each digit, made once. */
const modelsOf = (digit: number): readonly Path[] => {
  models ??= Array.from({ length: 10 }, (_, one) =>
    (FORMED.includes(one) ? ALL_FORMS : ALL_FORMS.slice(0, 1)).flatMap((forms) => {
      const strokes = strokesOf(one, forms).map(({ points }): Line => points);
      return waysFor(one, forms, strokes)
        .filter(({ seen }) => seen !== 'reversed')
        .map(({ lines }) => pathOf(lines));
    }),
  );
  return models[digit] ?? [];
};

/** How much a stroke turns at a point, in degrees, between a step before it and one behind it. */
function turnAt(points: Line, i: number, step: number): number {
  const [before, here, after] = [points[i - step], points[i], points[i + step]];
  if (!before || !here || !after) return 0;
  const from = Math.atan2(here[1] - before[1], here[0] - before[0]);
  const to = Math.atan2(after[1] - here[1], after[0] - here[0]);
  const turn = Math.abs(((to - from) * 180) / Math.PI);
  return Math.min(turn, 360 - turn);
}

/** Whether a path has the length, the corners and the bends of a digit: a zigzag and a line have not. */
function isDrawnLike(digit: number, path: Path, model: Path): boolean {
  const longer = path.length / model.length;
  if (longer > (digit === 1 ? LONGEST_ONE : LONGEST) || longer < SHORTEST) return false;
  const corners = path.strokes.reduce((sum, points) => sum + cornersOf(points, CORNER_STEP), 0);
  if (corners > (CORNERS[digit] ?? 0)) return false;
  if (digit === 1) {
    // The teeth of a zigzag may be narrow.
    const teeth = path.strokes.reduce((sum, points) => sum + cornersOf(points, TOOTH_STEP), 0);
    return teeth <= (CORNERS[1] ?? 1) && isUpright(path.strokes);
  }
  if (digit === 5 && path.strokes.length === 1 && closesAtFirst(path.points)) return false;
  return !BENDS[digit] || bentPart(path.strokes) >= LEAST_BENT;
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

function isUpright(strokes: readonly Line[]): boolean {
  const [longest] = [...strokes].sort((a, b) => lengthOf(b) - lengthOf(a));
  const ys = longest?.map(([, y]) => y) ?? [];
  const top = longest?.[ys.indexOf(Math.min(...ys))];
  const bottom = longest?.[ys.indexOf(Math.max(...ys))];
  if (!top || !bottom) return false;
  const lean = Math.atan2(Math.abs(bottom[0] - top[0]), bottom[1] - top[1]);
  return (lean * 180) / Math.PI <= MOST_LEAN_DEGREES;
}

/** True where another digit lies nearer than this one. */
function isAnother(digit: number, path: Path, least: number): boolean {
  for (let other = 0; other <= 9; other++) {
    if (other === digit) continue;
    const near = least * (digit === 1 ? OTHER_THAN_ONE : OTHER_NEARER);
    if (modelsOf(other).some((model) => warped(path, model, near) < near)) return true;
  }
  return false;
}

/** A path at equal steps, smoothed a little, with where it goes at each. */
function pathOf(lines: readonly Line[]): Path {
  const parts = sampled(squared(lines)).map(smoothed);
  return {
    strokes: parts,
    length: parts.reduce((sum, one) => sum + lengthOf(one), 0),
    points: parts.flat(),
    ahead: parts.flatMap((points) =>
      points.map((_, i): P => {
        const [from, to] = [points[i - 1] ?? points[i], points[i + 1] ?? points[i]] as [P, P];
        const length = distance(from, to) || 1;
        return [(to[0] - from[0]) / length, (to[1] - from[1]) / length];
      }),
    ),
  };
}

/** A trembling hand is not a turning one. */
const smoothed = (points: readonly P[]): P[] =>
  points.map((p, i): P => {
    const near = points.slice(Math.max(0, i - 1), i + 2);
    const middle = (k: 0 | 1): number => near.reduce((sum, one) => sum + one[k], 0) / near.length;
    return i === 0 || i === points.length - 1 ? p : [middle(0), middle(1)];
  });

/** Points at equal steps along all lines, line by line. */
function sampled(lines: readonly Line[]): P[][] {
  const whole = lines.reduce((sum, one) => sum + lengthOf(one), 0) || 1;
  return lines.map((one) => {
    const points: P[] = [];
    const length = lengthOf(one);
    const many = Math.max(2, Math.round((length / whole) * POINTS));
    let [at, gone] = [0, 0];
    for (let i = 0; i < many; i++) {
      const wanted = (length * i) / (many - 1);
      for (;;) {
        const step = distance(one[at] as P, one[at + 1] as P);
        if (at >= one.length - 2 || gone + step >= wanted) break;
        gone += step;
        at++;
      }
      const [[x, y], [u, w]] = [one[at] as P, one[at + 1] as P];
      const step = distance([x, y], [u, w]);
      const part = step > 0 ? Math.min(1, (wanted - gone) / step) : 0;
      points.push([x + (u - x) * part, y + (w - y) * part]);
    }
    return points;
  });
}

/** Mean difference of two paths where each may linger: dynamic time warping. */
function warped(one: Path, other: Path, most = Infinity): number {
  const many = other.points.length;
  const long = Math.max(one.points.length, many);
  let before = new Float64Array(many).fill(Infinity);
  for (const [i, point] of one.points.entries()) {
    const now = new Float64Array(many);
    const [ax, ay] = one.ahead[i] as P;
    for (let j = 0; j < many; j++) {
      const [bx, by] = other.ahead[j] as P;
      const turn = (1 - ax * bx - ay * by) / 2;
      const cost = distance(point, other.points[j] as P) + TURN_WEIGHT * turn;
      const from =
        i === 0 && j === 0
          ? 0
          : Math.min(before[j] as number, before[j - 1] ?? Infinity, now[j - 1] ?? Infinity);
      now[j] = cost + from;
    }
    before = now;
    // However it goes on, it is farther away than is asked for.
    if (Math.min(...now) > most * long) return Infinity;
  }
  return (before[many - 1] as number) / long;
}

/** Whether a loop that should close does not. */
function isOpen(digit: number, path: readonly P[]): boolean {
  const part = (from: number, to: number): P[] =>
    path.slice(Math.floor(path.length * from), Math.ceil(path.length * to));
  const nearest = (point: P, others: readonly P[]): number =>
    Math.min(...others.map((one) => distance(point, one)));
  const [first, last] = [path[0] as P, path.at(-1) as P];
  if (digit === 0 || digit === 8) return distance(first, last) > GAP_PART;
  if (digit === 6) return nearest(last, part(0.15, 0.75)) > GAP_PART;
  if (digit === 9) return nearest(first, part(0.4, 0.85)) > GAP_PART;
  return false;
}
