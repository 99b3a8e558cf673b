import type { SheetKind } from './kind.js';
import { type Ink, type Mark, areaOf, centered, dot, line, pageOf, rect, text } from './page.js';
import { digitsFrom } from './range.js';
import { FIELD, type Stroke, strokePath, strokesOf } from './strokes.js';

/** Where a digit stands on the page: its field's upper left, and millimeters in a unit of it. */
interface Placed {
  readonly x: number;
  readonly y: number;
  readonly scale: number;
}

const written = (
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

/** From one row of writing to the next, its height, and from one digit to the next, in millimeters. */
const ROW_MM = 36;
const HIGH_MM = 24;
const STEP_MM = 24;
const MODEL_MM = 3.6;
/** How wide the line to trace is, by look. */
const WIDTHS: Readonly<Record<string, number>> = { dotted: 0.9, hollow: 3.4, faded: 2 };
/** How much of a stroke its arrow goes along, in millimeters, and how long its head is. */
const ARROW_MM = 9;
const HEAD_MM = 1.9;
const BESIDE_MM = 4;

/** An arrow along the first part of a stroke, with the stroke's number where there are several. */
function arrow(
  { points }: Stroke,
  { x, y, scale }: Placed,
  number: number | null,
  isShared: boolean,
): Mark[] {
  const marks: Mark[] = [];
  const at = ([px, py]: readonly [number, number]) => ({ x: x + px * scale, y: y + py * scale });
  let gone = 0;
  let [from, tip] = [at(points[0] ?? [0, 0]), at(points[0] ?? [0, 0])];
  const begin = from;
  for (const point of points.slice(1)) {
    if (gone >= ARROW_MM) break;
    const to = at(point);
    const step = Math.hypot(to.x - tip.x, to.y - tip.y);
    const part = Math.min(1, (ARROW_MM - gone) / (step || 1));
    from = tip;
    tip = { x: tip.x + (to.x - tip.x) * part, y: tip.y + (to.y - tip.y) * part };
    marks.push(line(from.x, from.y, tip.x, tip.y, { width: 0.5 }));
    gone += step;
  }
  const turn = Math.atan2(tip.y - from.y, tip.x - from.x);
  const side = (by: number): Mark =>
    line(
      tip.x,
      tip.y,
      tip.x - HEAD_MM * Math.cos(turn + by),
      tip.y - HEAD_MM * Math.sin(turn + by),
      { width: 0.5 },
    );
  marks.push(side(0.5), side(-0.5));
  if (number === null) return [...marks, dot(begin.x, begin.y, 1.3)];
  // Two strokes from one place: the later number stands a little way along.
  const part = isShared ? BESIDE_MM / ARROW_MM : 0;
  const [nx, ny] = [begin.x + (tip.x - begin.x) * part, begin.y + (tip.y - begin.y) * part];
  return [...marks, dot(nx, ny, 1.7), centered(nx, ny, 3, String(number), 'paper')];
}

const startsAt = ({ points }: Stroke): string => String(points[0]);

/** How a digit is written, large, with arrows; for the first place of a row. */
function model(strokes: readonly Stroke[], placed: Placed): Mark[] {
  return [
    ...strokes.map((stroke) => written(stroke, placed, MODEL_MM, 'light')),
    ...strokes.flatMap((stroke, i) => {
      const isShared = strokes.slice(0, i).some((one) => startsAt(one) === startsAt(stroke));
      return arrow(stroke, placed, strokes.length > 1 ? i + 1 : null, isShared);
    }),
  ];
}

/** One to write over, dotted, hollow or faded; its start is marked. */
function toTrace(strokes: readonly Stroke[], placed: Placed, look: string): Mark[] {
  const isDotted = look !== 'hollow' && look !== 'faded';
  return strokes.flatMap((stroke): Mark[] => {
    const width = WIDTHS[look] ?? WIDTHS['dotted'] ?? 1;
    const ink = look === 'faded' ? 'light' : 'gray';
    const over = written(stroke, placed, width, ink, isDotted ? [0.1, 2.2] : null);
    return look === 'hollow' ? [over, written(stroke, placed, 2.8, 'paper')] : [over];
  });
}

function startOf([stroke]: readonly Stroke[], { x, y, scale }: Placed): Mark {
  const [sx, sy] = stroke?.points[0] ?? [0, 0];
  return dot(x + sx * scale, y + sy * scale, 1.3, 'gray');
}

export const TRACING: SheetKind = {
  id: 'tracing',
  title: 'Digits to trace',
  about: 'Each digit on its lines: with arrows, to trace, and alone from its dot.',
  asks: ['range', 'cues'],
  looks: [
    ['dotted', 'dotted'],
    ['hollow', 'hollow'],
    ['faded', 'faded'],
    ['own', 'only the dots'],
  ],
  make: ({ paper, low, high, seed, look, forms, cues }) => {
    const digits = digitsFrom(low, high);
    const area = areaOf(paper, false);
    const perPage = Math.floor(area.height / ROW_MM);
    const title = 'Digits to trace';
    const scale = HIGH_MM / FIELD.height;
    const many = Math.floor((area.width - 6) / STEP_MM);
    const row = (digit: number, y: number): Mark[] => {
      const strokes = strokesOf(digit, forms);
      const right = area.x + area.width;
      const marks: Mark[] = [
        line(area.x, y, right, y, { ink: 'light', width: 0.25 }),
        line(area.x, y + HIGH_MM / 2, right, y + HIGH_MM / 2, {
          ink: 'light',
          width: 0.25,
          dash: [2, 2],
        }),
        line(area.x, y + HIGH_MM, right, y + HIGH_MM, { ink: 'gray', width: 0.25 }),
        // Where the row begins: it is written from left to right.
        line(area.x, y, area.x, y + HIGH_MM, { ink: 'gray', width: 0.9 }),
      ];
      for (let i = 0; i < many; i++) {
        const placed = { x: area.x + 5 + i * STEP_MM, y, scale };
        if (i === 0) marks.push(...model(strokes, placed));
        else {
          const isOwn = look === 'own' || i >= many - 2;
          if (!isOwn) marks.push(...toTrace(strokes, placed, look));
          marks.push(startOf(strokes, placed));
        }
      }
      if (cues !== 'none') {
        const said = strokes.map(({ move, rhyme }) => (cues === 'rhyme' ? rhyme : move)).join(', ');
        const full = `${said}${cues === 'movement' ? ', and stop' : ''}`;
        marks.push(text(area.x, y + HIGH_MM + 6, 4, full, { anchor: 'start', ink: 'gray' }));
      }
      return marks;
    };
    const pages = Array.from({ length: Math.ceil(digits.length / perPage) }, (_, p) =>
      pageOf(
        paper,
        false,
        digits
          .slice(p * perPage, (p + 1) * perPage)
          .flatMap((digit, i) => row(digit, area.y + 3 + i * ROW_MM)),
        { title, seed },
      ),
    );
    return { title, pages, notes: ['The dot says where to begin, the arrow which way.'] };
  },
};

const TITLE_MM = 7;

export const DIGIT_ROADS: SheetKind = {
  id: 'digit-roads',
  title: 'Digit roads',
  about: 'A digit as wide as a toy car, with the dot where the drive begins.',
  asks: ['range', 'side'],
  looks: [],
  make: ({ paper, low, high, materialMm, seed, forms }) => {
    const digits = digitsFrom(low, high);
    const road = materialMm + 6;
    const area = areaOf(paper, false);
    const scale = Math.min(
      (area.width - road) / FIELD.width,
      (area.height - road - TITLE_MM) / FIELD.height,
    );
    if (scale < 3 || road > 60)
      throw new RangeError(`a road for ${materialMm} mm is too wide for this paper`);
    const title = 'Digit roads';
    const pages = digits.map((digit) => {
      const x = area.x + (area.width - FIELD.width * scale) / 2;
      const y = area.y + road / 2;
      const strokes = strokesOf(digit, forms);
      const drawn = (width: number, ink: Ink, dash?: readonly [number, number]): Mark[] =>
        strokes.map((stroke) => written(stroke, { x, y, scale }, width, ink, dash));
      const [sx, sy] = strokes[0]?.points[0] ?? [0, 0];
      return pageOf(
        paper,
        false,
        [
          ...drawn(road, 'gray'),
          ...drawn(road - 1.6, 'light'),
          ...drawn(0.8, 'paper', [6, 5]),
          dot(x + sx * scale, y + sy * scale, 4),
        ],
        { title: `${title} ${digit}`, seed },
      );
    });
    return { title, pages, notes: ['Drive from the dot; where the pencil lifts, the car jumps.'] };
  },
};

/** Side of a frame's cell on a dough mat, in millimeters. */
const DOUGH_CELL_MM = 22;

export const DOUGH_MAT: SheetKind = {
  id: 'dough-mat',
  title: 'Dough mat',
  about: 'A hollow digit to form, a frame to fill, and room to draw as many.',
  asks: ['range'],
  looks: [],
  make: ({ paper, low, high, seed, forms }) => {
    const area = areaOf(paper, true);
    const scale = (area.height - 24) / FIELD.height;
    const title = 'Dough mat';
    const pages = digitsFrom(low, high).map((digit) => {
      const placed = { x: area.x + 10, y: area.y + 12, scale };
      const strokes = strokesOf(digit, forms);
      const x = area.x + area.width - 5 * DOUGH_CELL_MM;
      const frame = Array.from({ length: 10 }, (_, i) =>
        rect(
          x + (i % 5) * DOUGH_CELL_MM,
          area.y + Math.floor(i / 5) * DOUGH_CELL_MM,
          DOUGH_CELL_MM,
          DOUGH_CELL_MM,
          { width: 0.6 },
        ),
      );
      const below = area.y + 2 * DOUGH_CELL_MM + 8;
      return pageOf(
        paper,
        true,
        [
          ...strokes.map((stroke) => written(stroke, placed, 18, 'gray')),
          ...strokes.map((stroke) => written(stroke, placed, 17, 'paper')),
          startOf(strokes, placed),
          ...frame,
          rect(x, below, 5 * DOUGH_CELL_MM, area.y + area.height - below, {
            round: 6,
            ink: 'gray',
          }),
        ],
        { title: `${title} ${digit}`, seed },
      );
    });
    return { title, pages, notes: ['Laminate it, or put it into a clear sleeve.'] };
  },
};
