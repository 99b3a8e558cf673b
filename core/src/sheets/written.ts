import { digitsOf, strokesOfNumber } from './cues.js';
import { type Ink, type Mark, centered, dot, line } from './page.js';
import { FIELD, type Stroke, strokePath } from './strokes.js';
import type { SheetWish } from './wish.js';

type P = readonly [x: number, y: number];

/** Where a digit stands on the page: its field's upper left, and millimeters in a unit of it. */
export interface Placed {
  readonly x: number;
  readonly y: number;
  readonly scale: number;
}

/** A stroke on the page. */
export const written = (
  stroke: Stroke,
  placed: Placed,
  width: number,
  ink: Ink,
  dash: readonly [number, number] | null = null,
): Mark => ({
  kind: 'path',
  path: strokePath(stroke),
  ...placed,
  width,
  ink,
  fill: null,
  ...(dash ? { dash } : {}),
});

/** The points of a line up to a distance from its beginning; the last of them lies there. */
function upTo(points: readonly P[], far: number): P[] {
  const [first = [0, 0], ...others] = points;
  const found: P[] = [first];
  let left = far;
  for (const [x, y] of others) {
    const [u, w] = found.at(-1) as P;
    const step = Math.hypot(x - u, y - w);
    const part = Math.min(1, left / (step || 1));
    found.push([u + (x - u) * part, w + (y - w) * part]);
    left -= step;
    if (left <= 0) break;
  }
  return found;
}

/** How much of a stroke its arrow goes along, in heights of the digit, and how long its head is. */
const ARROW_PART = 0.38;
const HEAD_PART = 0.08;

/** An arrow along the first part of a stroke. */
function arrow({ points }: Stroke, { x, y, scale }: Placed): Mark[] {
  const head = HEAD_PART * FIELD.height * scale;
  const style = { width: Math.max(0.5, scale * 0.35) };
  const way = upTo(points, ARROW_PART * FIELD.height).map(([px, py]): P => [
    x + px * scale,
    y + py * scale,
  ]);
  const [from, tip] = way.slice(-2) as [P, P];
  const turn = Math.atan2(tip[1] - from[1], tip[0] - from[0]);
  return [
    ...way.slice(1).map((to, i) => line(...(way[i] as P), ...to, style)),
    ...[0.5, -0.5].map((by) =>
      line(...tip, tip[0] - head * Math.cos(turn + by), tip[1] - head * Math.sin(turn + by), style),
    ),
  ];
}

/**
 * A dot where each stroke begins, with its number where there are several. Of two strokes from one place
 * the later dot lies a little way along.
 * @param size radius of a dot without a number, in millimeters
 */
export function startsOf(strokes: readonly Stroke[], placed: Placed, size: number): Mark[] {
  const keys = strokes.map(({ points }) => String(points[0]));
  return strokes.flatMap(({ points }, i) => {
    const isShared = keys.indexOf(keys[i] ?? '') < i;
    const [px, py] = upTo(points, isShared ? (size * 3.2) / placed.scale : 0).at(-1) as P;
    const [x, y] = [placed.x + px * placed.scale, placed.y + py * placed.scale];
    return strokes.length === 1
      ? [dot(x, y, size, 'spruce')]
      : [dot(x, y, size * 1.35, 'spruce'), centered(x, y, size * 2.3, String(i + 1), 'paper')];
  });
}

/** How a number is written, with arrows. @param wide of its line, in millimeters */
export function model(strokes: readonly Stroke[], placed: Placed, wide: number): Mark[] {
  return [
    ...strokes.map((stroke) => written(stroke, placed, wide, 'light')),
    ...strokes.flatMap((stroke) => arrow(stroke, placed)),
    ...startsOf(strokes, placed, Math.max(1.3, placed.scale * 0.8)),
  ];
}

/** How wide the line to trace is, by look, in millimeters. */
const WIDTHS: Readonly<Record<string, number>> = { dotted: 1.1, hollow: 3.6, faded: 2.4 };

/** One to write over, dotted, hollow or faded. */
export function toTrace(strokes: readonly Stroke[], placed: Placed, look: string): Mark[] {
  const isDotted = look !== 'hollow' && look !== 'faded';
  return strokes.flatMap((stroke): Mark[] => {
    const width = WIDTHS[look] ?? WIDTHS['dotted'] ?? 1;
    const ink = look === 'faded' ? 'light' : 'gray';
    const over = written(stroke, placed, width, ink, isDotted ? [0.1, 2.2] : null);
    return look === 'hollow' ? [over, written(stroke, placed, width - 0.9, 'paper')] : [over];
  });
}

/** As wide as a rolled snake of dough, at most, in millimeters. */
const SNAKE_MM = 17;

/** A hollow number to lay or to write, as large as it goes into a box of the page. */
export function hollow(
  number: number,
  { forms }: Pick<SheetWish, 'forms'>,
  box: { readonly x: number; readonly y: number; readonly w: number; readonly h: number },
): Mark[] {
  const fields = digitsOf(number).length * FIELD.width;
  const scale = Math.min((box.w - SNAKE_MM) / fields, (box.h - SNAKE_MM) / FIELD.height);
  const placed = {
    x: box.x + (box.w - fields * scale) / 2,
    y: box.y + (box.h - FIELD.height * scale) / 2,
    scale,
  };
  const wide = Math.min(SNAKE_MM, scale * 2.2);
  const strokes = strokesOfNumber(number, forms);
  return [
    ...strokes.map((stroke) => written(stroke, placed, wide, 'spruce')),
    ...strokes.map((stroke) => written(stroke, placed, wide - 1.8, 'paper')),
    ...startsOf(strokes, placed, 1.8),
  ];
}
