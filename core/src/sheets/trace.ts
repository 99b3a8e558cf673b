import { type DigitForms, type Stroke, strokesOf } from './strokes.js';

type P = readonly [x: number, y: number];
type Line = readonly P[];

/** What is seen first in a traced digit; all but the last can still be read. */
export type TraceSeen =
  'right' | 'reversed' | 'start' | 'order' | 'direction' | 'open' | 'other-shape';

/** Points that a whole digit is compared by. */
const POINTS = 56;
/** Heights of a digit: how far its first point may lie from where it begins, ends from each other. */
const START_PART = 0.32;
const GAP_PART = 0.17;
/** Mean distance to the nearest way of writing it, beyond which it is no such digit, in heights. */
const SHAPE_PART = 0.19;
/** Another way is believed only where it lies so much nearer than the right one. */
const NEARER = 0.72;
const SHORTEST_PART = 0.05;

/**
 * Looks at a digit as it was drawn, stroke by stroke: whether it is turned round as a whole, where it
 * began, order and direction of its strokes, and whether it closes, in this order (common practice,
 * no source). A shaky line is not a wrong one.
 * @param drawn strokes as they were drawn, in any unit, growing rightward and downward
 */
export function seenInTrace(
  digit: number,
  forms: DigitForms,
  drawn: readonly (readonly P[])[],
): TraceSeen {
  const lines = withoutSlips(drawn);
  if (lines.length === 0) return 'other-shape';
  const strokes = strokesOf(digit, forms).map(({ points }: Stroke): Line => points);
  const path = sampled(squared(lines));
  const apart = (way: Way): number => warped(path, sampled(squared(way.lines)));
  const [asTaught, ...others] = waysFor(digit, forms, strokes) as [Way, ...Way[]];
  const right = apart(asTaught);
  let [best, least] = [asTaught, right];
  for (const way of others) {
    const far = apart(way);
    if (far < right * NEARER && far < least) [best, least] = [way, far];
  }
  if (least > SHAPE_PART) return 'other-shape';
  if (best.seen === 'reversed') return 'reversed';
  const [begun, taught] = [squared(lines)[0]?.[0], squared(strokes)[0]?.[0]];
  if (begun && taught && distance(begun, taught) > START_PART) return 'start';
  if (best.seen !== 'right') return best.seen;
  return isOpen(digit, path) ? 'open' : 'right';
}

interface Way {
  readonly seen: 'right' | 'reversed' | 'start' | 'order' | 'direction';
  readonly lines: readonly Line[];
}

const backward = (one: Line): Line => [...one].reverse();
const mirrored = (lines: readonly Line[]): Line[] =>
  lines.map((one) => one.map(([x, y]): P => [-x, y]));

/** Ways in which children write a digit, the one that is taught first. */
function waysFor(digit: number, forms: DigitForms, strokes: readonly Line[]): Way[] {
  const [one, two] = strokes as [Line, Line?];
  const ways: Way[] = [{ seen: 'right', lines: strokes }];
  if (two) {
    ways.push({ seen: 'order', lines: [two, one] }, { seen: 'order', lines: [two, backward(one)] });
    ways.push({ seen: 'order', lines: [backward(two), one] });
    ways.push({ seen: 'direction', lines: [backward(one), two] });
    ways.push({ seen: 'direction', lines: [one, backward(two)] });
    ways.push({ seen: 'direction', lines: [backward(one), backward(two)] });
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

const distance = ([x, y]: P, [u, w]: P): number => Math.hypot(x - u, y - w);
const lengthOf = (one: Line): number =>
  one.slice(1).reduce((sum, point, i) => sum + distance(point, one[i] as P), 0);

/** Without dots that a resting hand makes. */
function withoutSlips(drawn: readonly (readonly P[])[]): Line[] {
  const all = drawn.filter((one) => one.length > 1);
  const whole = all.reduce((sum, one) => sum + lengthOf(one), 0);
  return all.filter((one) => lengthOf(one) > whole * SHORTEST_PART);
}

/** The same lines around 0, 0 with their longer side 1. */
function squared(lines: readonly Line[]): Line[] {
  const xs = lines.flatMap((one) => one.map(([x]) => x));
  const ys = lines.flatMap((one) => one.map(([, y]) => y));
  const [left, right] = [Math.min(...xs), Math.max(...xs)];
  const [top, bottom] = [Math.min(...ys), Math.max(...ys)];
  const side = Math.max(right - left, bottom - top) || 1;
  return lines.map((one) =>
    one.map(([x, y]): P => [(x - (left + right) / 2) / side, (y - (top + bottom) / 2) / side]),
  );
}

/** Points at equal steps along all lines, one line after the other. */
function sampled(lines: readonly Line[]): P[] {
  const whole = lines.reduce((sum, one) => sum + lengthOf(one), 0) || 1;
  const points: P[] = [];
  for (const one of lines) {
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
  }
  return points;
}

/** Mean distance of two paths where each may linger: dynamic time warping. */
function warped(one: readonly P[], other: readonly P[]): number {
  let before: number[] = [];
  for (const point of one) {
    const now: number[] = [];
    other.forEach((beside, j) => {
      const from = [before[j], before[j - 1], now[j - 1]].filter((cost) => cost !== undefined);
      now.push(distance(point, beside) + (from.length > 0 ? Math.min(...from) : 0));
    });
    before = now;
  }
  return (before.at(-1) as number) / Math.max(one.length, other.length);
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
