import { MARGIN_MM, type Mark, type Page } from './page.js';
import { type Box, boxOfText } from './type.js';

/** What is wrong on a page, in words for who makes sheets. */
export interface Fault {
  readonly what: 'outside' | 'words over words' | 'words over a mark' | 'mark over a mark';
  readonly words: string;
}

type Text = Extract<Mark, { kind: 'text' }>;
type P = readonly [x: number, y: number];

/** How far marks may reach over each other before anyone sees it, in millimeters. */
const UNSEEN_MM = 0.25;

const ARC_STEPS = 16;

/** The points of a path, its handles with them: what is drawn lies among them. */
function pointsOf(mark: Extract<Mark, { kind: 'path' }>): P[] {
  const points: P[] = [];
  let [x, y] = [0, 0];
  const placed = (u: number, w: number): P => [mark.x + u * mark.scale, mark.y + w * mark.scale];
  for (const [, command = 'M', rest = ''] of mark.path.matchAll(/([a-zA-Z])([^a-zA-Z]*)/g)) {
    const n = (rest.match(/-?\d*\.?\d+(e-?\d+)?/g) ?? []).map(Number);
    const isOwn = command === command.toLowerCase();
    const at = (u: number, w: number): P => [u + (isOwn ? x : 0), w + (isOwn ? y : 0)];
    const step = { h: 1, v: 1, a: 7, z: 1 }[command.toLowerCase()] ?? 2;
    const many = { c: 6, s: 4, q: 4 }[command.toLowerCase()] ?? step;
    for (let i = 0; i + many <= n.length; i += many) {
      const part = n.slice(i, i + many);
      const ends: P[] =
        command.toLowerCase() === 'h'
          ? [[(part[0] ?? 0) + (isOwn ? x : 0), y]]
          : command.toLowerCase() === 'v'
            ? [[x, (part[0] ?? 0) + (isOwn ? y : 0)]]
            : command.toLowerCase() === 'a'
              ? arcEnds([x, y], part, at(part[5] ?? 0, part[6] ?? 0))
              : Array.from({ length: part.length / 2 }, (_, k) =>
                  at(part[2 * k] ?? 0, part[2 * k + 1] ?? 0),
                );
      points.push(...ends.map(([u, w]) => placed(u, w)));
      [x, y] = ends.at(-1) ?? [x, y];
    }
  }
  return points;
}

/** Points along an arc of an ellipse that is not turned (SVG 2, implementation notes on arcs). */
function arcEnds([x1, y1]: P, part: readonly number[], [x2, y2]: P): P[] {
  const [rx = 1, ry = 1, , isLarge = 0, isSwept = 0] = part;
  const [dx, dy] = [(x1 - x2) / 2 / rx, (y1 - y2) / 2 / ry];
  const apart = dx * dx + dy * dy;
  const grown = Math.max(1, Math.sqrt(apart));
  const root = Math.sqrt(Math.max(0, (grown * grown - apart) / (apart || 1e-12)));
  const side = (isLarge === isSwept ? -1 : 1) * root;
  const [cx, cy] = [side * dy, -side * dx];
  const from = Math.atan2(dy - cy, dx - cx);
  let turn = Math.atan2(-dy - cy, -dx - cx) - from;
  if (isSwept === 1 && turn < 0) turn += 2 * Math.PI;
  if (isSwept === 0 && turn > 0) turn -= 2 * Math.PI;
  return Array.from({ length: ARC_STEPS }, (_, i): P => {
    const at = from + (turn * (i + 1)) / ARC_STEPS;
    return [
      (x1 + x2) / 2 + rx * (cx + grown * Math.cos(at)),
      (y1 + y2) / 2 + ry * (cy + grown * Math.sin(at)),
    ];
  });
}

/** What a mark takes up. */
function boxOf(mark: Mark): Box {
  switch (mark.kind) {
    case 'text':
      return boxOfText(mark);
    case 'line': {
      const [x, y] = [Math.min(mark.x1, mark.x2), Math.min(mark.y1, mark.y2)];
      return { x, y, w: Math.abs(mark.x1 - mark.x2), h: Math.abs(mark.y1 - mark.y2) };
    }
    case 'rect':
      return mark;
    case 'circle':
      return { x: mark.x - mark.r, y: mark.y - mark.r, w: 2 * mark.r, h: 2 * mark.r };
    case 'path': {
      const points = pointsOf(mark);
      const [xs, ys] = [points.map(([x]) => x), points.map(([, y]) => y)];
      const [x, y] = [Math.min(...xs), Math.min(...ys)];
      return { x, y, w: Math.max(...xs) - x, h: Math.max(...ys) - y };
    }
  }
}

const meets = (a: Box, b: Box): boolean =>
  a.x + UNSEEN_MM < b.x + b.w &&
  b.x + UNSEEN_MM < a.x + a.w &&
  a.y + UNSEEN_MM < b.y + b.h &&
  b.y + UNSEEN_MM < a.y + a.h;
const holds = (outer: Box, inner: Box): boolean =>
  inner.x > outer.x - UNSEEN_MM &&
  inner.y > outer.y - UNSEEN_MM &&
  inner.x + inner.w < outer.x + outer.w + UNSEEN_MM &&
  inner.y + inner.h < outer.y + outer.h + UNSEEN_MM;

/** Whether a straight piece crosses a box. */
function crosses([x1, y1]: P, [x2, y2]: P, box: Box): boolean {
  let [from, to] = [0, 1];
  for (const [start, way, low, high] of [
    [x1, x2 - x1, box.x + UNSEEN_MM, box.x + box.w - UNSEEN_MM],
    [y1, y2 - y1, box.y + UNSEEN_MM, box.y + box.h - UNSEEN_MM],
  ] as const) {
    if (Math.abs(way) < 1e-9) {
      if (start < low || start > high) return false;
      continue;
    }
    const [a, b] = [(low - start) / way, (high - start) / way];
    from = Math.max(from, Math.min(a, b));
    to = Math.min(to, Math.max(a, b));
  }
  return from < to;
}

/** Whether the line of a mark, or its fill, runs through words. */
function runsThrough(mark: Exclude<Mark, Text>, words: Box): boolean {
  switch (mark.kind) {
    case 'line':
      return crosses([mark.x1, mark.y1], [mark.x2, mark.y2], words);
    case 'rect':
      return meets(mark, words) && !holds(mark, words);
    case 'circle': {
      const [dx, dy] = [
        Math.max(words.x - mark.x, 0, mark.x - words.x - words.w),
        Math.max(words.y - mark.y, 0, mark.y - words.y - words.h),
      ];
      const nearest = Math.hypot(dx, dy);
      const farthest = Math.hypot(
        Math.max(mark.x - words.x, words.x + words.w - mark.x),
        Math.max(mark.y - words.y, words.y + words.h - mark.y),
      );
      return nearest < mark.r - UNSEEN_MM && farthest > mark.r + UNSEEN_MM;
    }
    case 'path': {
      const points = pointsOf(mark);
      return points.some((to, i) => i > 0 && crosses(points[i - 1] as P, to, words));
    }
  }
}

/** Two dots that run into each other are counted as one. */
const isDot = (mark: Mark): mark is Extract<Mark, { kind: 'circle' }> =>
  mark.kind === 'circle' && mark.fill !== null && mark.fill !== 'paper';

/**
 * What is clipped, written over something else, or run together on a page. Words may lie wholly inside of a
 * box, a ring or a drawing; what crosses them is a fault.
 */
export function faultsOf({ width, height, marks }: Page): Fault[] {
  const faults: Fault[] = [];
  const area = {
    x: MARGIN_MM,
    y: MARGIN_MM,
    w: width - 2 * MARGIN_MM,
    h: height - 2 * MARGIN_MM,
  };
  const texts = marks.flatMap((mark) =>
    mark.kind === 'text' && mark.text !== '' ? [{ mark, box: boxOfText(mark) }] : [],
  );
  for (const mark of marks) {
    if (!holds(area, boxOf(mark))) {
      faults.push({ what: 'outside', words: mark.kind === 'text' ? mark.text : mark.kind });
    }
  }
  texts.forEach(({ mark, box }, i) => {
    for (const other of texts.slice(i + 1)) {
      if (meets(box, other.box)) {
        faults.push({ what: 'words over words', words: `${mark.text} / ${other.mark.text}` });
      }
    }
    // What lies below a filled ring with the words in it is covered by it.
    const cover = marks.findLastIndex(
      (other) => isDot(other) && !runsThrough(other, box) && holds(boxOf(other), box),
    );
    for (const other of marks.slice(cover + 1)) {
      if (other.kind !== 'text' && runsThrough(other, box)) {
        faults.push({ what: 'words over a mark', words: `${mark.text} / ${other.kind}` });
      }
    }
  });
  const dots = marks.filter(isDot);
  dots.forEach((a, i) => {
    for (const b of dots.slice(i + 1)) {
      const apart = Math.hypot(a.x - b.x, a.y - b.y);
      if (apart < a.r + b.r - UNSEEN_MM && apart + Math.min(a.r, b.r) > Math.max(a.r, b.r)) {
        faults.push({
          what: 'mark over a mark',
          words: `dots at ${a.x.toFixed(1)}, ${a.y.toFixed(1)}`,
        });
      }
    }
  });
  return faults;
}
