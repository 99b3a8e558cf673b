/** A point of a pen, in any unit, growing rightward and downward. */
export type P = readonly [x: number, y: number];

/** What is drawn without lifting. */
export type Line = readonly P[];

/** Points that a whole digit is compared by. */
const POINTS = 48;

/** What a difference in where the pen goes weighs beside one in where it is. */
const TURN_WEIGHT = 0.3;

const SHORTEST_PART = 0.05;

/** A pencil set down again so near where it was lifted goes on with its line. */
const LIFTED_PART = 0.08;

/** A path with where the pen is, and where it goes, at equal steps. */
export interface Path {
  readonly points: readonly P[];
  /** Unit vectors. */
  readonly ahead: readonly P[];
  /** The points of each stroke, and how long all are together, in sides of the square around them. */
  readonly strokes: readonly Line[];
  readonly length: number;
}

export const distance = ([x, y]: P, [u, w]: P): number => Math.hypot(x - u, y - w);

export const lengthOf = (one: Line): number =>
  one.slice(1).reduce((sum, point, i) => sum + distance(point, one[i] as P), 0);

/** Without dots that a resting hand makes. */
export function withoutSlips(drawn: readonly (readonly P[])[]): Line[] {
  const all = drawn.filter((one) => one.length > 1);
  const whole = all.reduce((sum, one) => sum + lengthOf(one), 0);
  return all.filter((one) => lengthOf(one) > whole * SHORTEST_PART);
}

/** Where a pencil was lifted and set down again on the same spot, it is one line: until as many are left. */
export function joined(lines: readonly Line[], many: number): Line[] {
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

/** A path at equal steps, smoothed a little, with where it goes at each. */
export function pathOf(lines: readonly Line[]): Path {
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
export function warped(one: Path, other: Path, most = Infinity): number {
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
