import { digitsOf } from './cues.js';
import { type DigitForms, FIELD, strokesOf } from './strokes.js';
import { isDrawnLike } from './trace-features.js';
import {
  type P,
  type Path,
  distance,
  joined,
  pathOf,
  warped,
  withoutSlips,
} from './trace-paths.js';
import { readablePaths, waysOf, type WayPath } from './trace-ways.js';

/** What is seen first in a traced digit; all but the last can still be read. */
export type TraceSeen =
  'right' | 'reversed' | 'start' | 'order' | 'direction' | 'open' | 'digits' | 'other-shape';

/** Heights of a digit: how far its first point may lie from where it begins, ends from each other. */
const START_PART = 0.32;

const GAP_PART = 0.17;

/** How far a path may differ from the nearest way of writing the digit (tuned on drawn and distorted digits). */
const MOST_APART = 0.24;

/** Another way is believed only where it lies so much nearer than the right one. */
const NEARER = 0.72;

/** Another digit is believed where it lies so much nearer than the one that was asked for. */
const OTHER_NEARER = 0.99;

/** A one with a flag and no base is nearly a seven. */
const OTHER_THAN_ONE = 1.1;

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
  const lines = joined(withoutSlips(drawn), strokesOf(digit, forms).length);
  if (lines.length === 0) return 'other-shape';
  const path = pathOf(lines);
  const [asTaught, ...others] = waysOf(digit, forms) as [WayPath, ...WayPath[]];
  const right = warped(path, asTaught.path);
  let [best, least] = [asTaught, right];
  for (const way of others) {
    const far = warped(path, way.path, least);
    if (far < right * NEARER && far < least) [best, least] = [way, far];
  }
  if (least > MOST_APART || !isDrawnLike(digit, path, asTaught.path)) return 'other-shape';
  if (isAnother(digit, path, least)) return 'other-shape';
  if (best.seen === 'reversed') return 'reversed';
  const [begun, taught] = [path.points[0], asTaught.path.points[0]];
  if (begun && taught && distance(begun, taught) > START_PART) return 'start';
  if (best.seen !== 'right') return best.seen;
  return isOpen(digit, path.points) ? 'open' : 'right';
}

/** What is said first of a number whose digits were seen each alone. */
const FIRST: readonly TraceSeen[] = [
  'other-shape',
  'reversed',
  'start',
  'order',
  'direction',
  'open',
];

/**
 * Looks at a number as it was drawn, each digit by itself: a line belongs to the digit on whose field its
 * middle lies. Where each can be read, the left one comes before the right one.
 * @param drawn strokes on fields side by side, each as wide as that of one digit
 */
export function seenInNumber(
  number: number,
  forms: DigitForms,
  drawn: readonly (readonly P[])[],
): TraceSeen {
  const digits = digitsOf(number);
  if (digits.length === 1) return seenInTrace(number, forms, drawn);
  const lines = withoutSlips(drawn);
  const fieldOf = (line: readonly P[]): number => {
    const xs = line.map(([x]) => x);
    const middle = (Math.min(...xs) + Math.max(...xs)) / 2;
    return Math.min(digits.length - 1, Math.max(0, Math.floor(middle / FIELD.width)));
  };
  const fields = lines.map(fieldOf);
  const seen = digits.map((digit, i) =>
    seenInTrace(
      digit,
      forms,
      lines.filter((_, k) => fields[k] === i),
    ),
  );
  const found = FIRST.find((one) => seen.includes(one));
  if (found !== undefined) return found;
  return fields.some((field, k) => k > 0 && field < (fields[k - 1] as number)) ? 'digits' : 'right';
}

/** True where another digit lies nearer than this one. */
function isAnother(digit: number, path: Path, least: number): boolean {
  for (let other = 0; other <= 9; other++) {
    if (other === digit) continue;
    const near = least * (digit === 1 ? OTHER_THAN_ONE : OTHER_NEARER);
    if (readablePaths(other).some((model) => warped(path, model, near) < near)) return true;
  }
  return false;
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
