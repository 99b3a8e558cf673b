import { numberWord } from '../numbers/index.js';
import { cueOf, digitsOf, strokesOfNumber } from './cues.js';
import type { SheetKind } from './kind.js';
import { cellFor } from './layout.js';
import { frameMarks } from './frames.js';
import { type Ink, type Mark, areaOf, centered, dot, line, pageOf, rect, text } from './page.js';
import { rangeOf } from './range.js';
import { FIELD, type Stroke, strokePath } from './strokes.js';
import { fitted, linesOf } from './type.js';
import type { SheetWish } from './wish.js';

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
const ROW_MM = 38;
const HIGH_MM = 24;
const STEP_MM = 24;
const MODEL_MM = 3.6;
/** How wide the line to trace is, by look. */
const WIDTHS: Readonly<Record<string, number>> = { dotted: 1.1, hollow: 3.6, faded: 2.4 };
/** How much of a stroke its arrow goes along, in heights of the digit, and how long its head is. */
const ARROW_PART = 0.38;
const HEAD_PART = 0.08;

/** The dot where a stroke begins, with its number where there are several. */
function startDot(begin: readonly [number, number], number: number | null, size: number): Mark[] {
  const [x, y] = begin;
  return number === null
    ? [dot(x, y, size, 'spruce')]
    : [dot(x, y, size * 1.35, 'spruce'), centered(x, y, size * 2.3, String(number), 'paper')];
}

/** An arrow along the first part of a stroke. */
function arrow({ points }: Stroke, { x, y, scale }: Placed): Mark[] {
  const long = ARROW_PART * FIELD.height * scale;
  const head = HEAD_PART * FIELD.height * scale;
  const width = Math.max(0.5, scale * 0.35);
  const marks: Mark[] = [];
  const at = ([px, py]: readonly [number, number]) => ({ x: x + px * scale, y: y + py * scale });
  let gone = 0;
  let [from, tip] = [at(points[0] ?? [0, 0]), at(points[0] ?? [0, 0])];
  for (const point of points.slice(1)) {
    if (gone >= long) break;
    const to = at(point);
    const step = Math.hypot(to.x - tip.x, to.y - tip.y);
    const part = Math.min(1, (long - gone) / (step || 1));
    from = tip;
    tip = { x: tip.x + (to.x - tip.x) * part, y: tip.y + (to.y - tip.y) * part };
    marks.push(line(from.x, from.y, tip.x, tip.y, { width }));
    gone += step;
  }
  const turn = Math.atan2(tip.y - from.y, tip.x - from.x);
  const side = (by: number): Mark =>
    line(tip.x, tip.y, tip.x - head * Math.cos(turn + by), tip.y - head * Math.sin(turn + by), {
      width,
    });
  return [...marks, side(0.5), side(-0.5)];
}

/** Where each stroke begins; of two from one place the later one lies a little way along. */
function startsOf(strokes: readonly Stroke[], placed: Placed, size: number): Mark[] {
  const keys = strokes.map(({ points }) => String(points[0]));
  return strokes.flatMap(({ points }, i) => {
    const isShared = keys.indexOf(keys[i] ?? '') < i;
    const far = isShared
      ? Math.max(
          1,
          points.findIndex(
            ([px, py]) =>
              Math.hypot(px - (points[0]?.[0] ?? 0), py - (points[0]?.[1] ?? 0)) * placed.scale >
              size * 3,
          ),
        )
      : 0;
    const [first = [0, 0], second = first] = points;
    const long = Math.hypot(second[0] - first[0], second[1] - first[1]) * placed.scale || 1;
    // A straight stroke has no point on its way: the place is reckoned.
    const part = Math.min(1, (size * 3.2) / long);
    const [px, py] =
      isShared && far === 1
        ? [first[0] + (second[0] - first[0]) * part, first[1] + (second[1] - first[1]) * part]
        : (points[far] ?? first);
    return startDot(
      [placed.x + px * placed.scale, placed.y + py * placed.scale],
      strokes.length > 1 ? i + 1 : null,
      size,
    );
  });
}

/** How a number is written, with arrows. */
function model(strokes: readonly Stroke[], placed: Placed, wide = MODEL_MM): Mark[] {
  return [
    ...strokes.map((stroke) => written(stroke, placed, wide, 'light')),
    ...strokes.flatMap((stroke) => arrow(stroke, placed)),
    ...startsOf(strokes, placed, Math.max(1.3, placed.scale * 0.8)),
  ];
}

/** One to write over, dotted, hollow or faded. */
function toTrace(strokes: readonly Stroke[], placed: Placed, look: string): Mark[] {
  const isDotted = look !== 'hollow' && look !== 'faded';
  return strokes.flatMap((stroke): Mark[] => {
    const width = WIDTHS[look] ?? WIDTHS['dotted'] ?? 1;
    const ink = look === 'faded' ? 'light' : 'gray';
    const over = written(stroke, placed, width, ink, isDotted ? [0.1, 2.2] : null);
    return look === 'hollow' ? [over, written(stroke, placed, width - 0.9, 'paper')] : [over];
  });
}

const MOST_WRITTEN = 20;

/** Lines to write on. */
const writingLines = (x: number, right: number, y: number, high: number): Mark[] => [
  line(x, y, right, y, { ink: 'light', width: 0.35 }),
  line(x, y + high / 2, right, y + high / 2, { ink: 'light', width: 0.35, dash: [2, 2] }),
  line(x, y + high, right, y + high, { ink: 'gray', width: 0.5 }),
];

export const TRACING: SheetKind = {
  id: 'tracing',
  group: 'writing',
  title: 'Numbers to trace',
  about: 'Each number on its lines: with arrows, to trace, and alone from its dots.',
  asks: ['range', 'cues'],
  looks: [
    ['dotted', 'dotted'],
    ['hollow', 'hollow'],
    ['faded', 'faded'],
    ['own', 'only the dots'],
  ],
  suits: { low: 0, high: 9 },
  ends: { most: MOST_WRITTEN },
  each: true,
  make: ({ paper, low, high, seed, look, forms, cues, says }) => {
    const numbers = rangeOf(low, high, 0, MOST_WRITTEN);
    const area = areaOf(paper, false);
    const perPage = Math.floor(area.height / ROW_MM);
    // The rows fill the page.
    const pitch = area.height / Math.min(perPage, Math.max(4, numbers.length));
    const title = 'Numbers to trace';
    const scale = HIGH_MM / FIELD.height;
    const row = (number: number, y: number): Mark[] => {
      const strokes = strokesOfNumber(number, forms);
      const right = area.x + area.width;
      const step = digitsOf(number).length > 1 ? STEP_MM * 1.55 : STEP_MM;
      const many = Math.floor((area.width - 6) / step);
      const marks: Mark[] = [
        ...writingLines(area.x, right, y, HIGH_MM),
        // Where the row begins: it is written from left to right.
        line(area.x, y, area.x, y + HIGH_MM, { ink: 'spruce', width: 1.2 }),
      ];
      for (let i = 0; i < many; i++) {
        const placed = { x: area.x + 5 + i * step, y, scale };
        if (i === 0) marks.push(...model(strokes, placed));
        else {
          const isOwn = look === 'own' || i >= many - 2;
          if (!isOwn) marks.push(...toTrace(strokes, placed, look));
          marks.push(...startsOf(strokes, placed, 1.2));
        }
      }
      const said = cueOf(number, forms, cues, says);
      if (said !== '') {
        const fit = fitted(said, area.width, 4.6);
        marks.push(text(area.x, y + HIGH_MM + 7, fit.size, fit.said, { anchor: 'start' }));
      }
      return marks;
    };
    const pages = Array.from({ length: Math.ceil(numbers.length / perPage) }, (_, p) =>
      pageOf(
        paper,
        false,
        numbers
          .slice(p * perPage, (p + 1) * perPage)
          .flatMap((number, i) => row(number, area.y + 2 + i * pitch)),
        { title, seed },
      ),
    );
    return { title, pages, notes: ['The dot says where to begin, the arrow which way.'] };
  },
};

export const DIGIT_POSTER: SheetKind = {
  id: 'digit-poster',
  group: 'writing',
  title: 'All ten digits',
  about:
    'Every digit with its dot, its arrows and its words, on one page for the wall or for home.',
  asks: ['cues'],
  looks: [],
  make: ({ paper, seed, forms, cues, says }) => {
    const area = areaOf(paper, true);
    const [wide, tall] = [area.width / 5, area.height / 2];
    const words = cues === 'none' ? 0 : 22;
    const scale = Math.min((wide - 12) / FIELD.width, (tall - words - 8) / FIELD.height);
    const marks = Array.from({ length: 10 }, (_, digit): Mark[] => {
      const x = area.x + (digit % 5) * wide;
      const y = area.y + Math.floor(digit / 5) * tall;
      const placed = {
        x: x + (wide - FIELD.width * scale) / 2,
        y: y + 3,
        scale,
      };
      const said = cueOf(digit, forms, cues, says);
      return [
        ...(digit % 5 > 0 ? [line(x, y + 4, x, y + tall - 4, { ink: 'light' })] : []),
        ...model(strokesOfNumber(digit, forms), placed, scale * 1.5),
        ...linesOf(said, 3.9, wide - 8).map((one, i) =>
          text(x + wide / 2, y + FIELD.height * scale + 11 + i * 5.2, 3.9, one),
        ),
      ];
    }).flat();
    return {
      title: 'All ten digits',
      pages: [pageOf(paper, true, marks, { title: 'All ten digits', seed })],
      notes: [],
    };
  },
};

const SIGNS: readonly (readonly [string, readonly Stroke[]])[] = [
  ['plus', [sign([1.5, 8], [8.5, 8]), sign([5, 4.5], [5, 11.5])]],
  ['minus', [sign([1.5, 8], [8.5, 8])]],
  ['equals', [sign([1.5, 6], [8.5, 6]), sign([1.5, 10], [8.5, 10])]],
];

function sign(...points: (readonly [number, number])[]): Stroke {
  return { points, move: 'across', rhyme: '' };
}

const TITLE_MM = 7;
const ROOM_OF_ROAD_MM = 6;
const WIDEST_ROAD_MM = 60;

export const DIGIT_ROADS: SheetKind = {
  id: 'digit-roads',
  group: 'writing',
  title: 'Digit roads',
  about: 'A digit as wide as a toy car, with the dot where the drive begins; or the signs.',
  asks: ['range', 'side'],
  looks: [
    ['digits', 'digits'],
    ['signs', 'plus, minus, equals'],
  ],
  suits: { low: 0, high: 9, materialMm: 30 },
  ends: { most: 9 },
  make: ({ paper, low, high, materialMm, seed, forms, look }) => {
    const road = materialMm + ROOM_OF_ROAD_MM;
    const area = areaOf(paper, false);
    const scale = Math.min(
      (area.width - road) / FIELD.width,
      (area.height - road - TITLE_MM) / FIELD.height,
    );
    if (scale < 3 || road > WIDEST_ROAD_MM)
      throw new RangeError(`a road for ${materialMm} mm is too wide for this paper`);
    const title = 'Digit roads';
    const roads: readonly (readonly [string, readonly Stroke[]])[] =
      look === 'signs'
        ? SIGNS
        : rangeOf(low, high, 0, 9).map((digit) => [String(digit), strokesOfNumber(digit, forms)]);
    const pages = roads.map(([name, strokes]) => {
      const placed = {
        x: area.x + (area.width - FIELD.width * scale) / 2,
        y: area.y + road / 2,
        scale,
      };
      const drawn = (width: number, ink: Ink, dash?: readonly [number, number]): Mark[] =>
        strokes.map((stroke) => written(stroke, placed, width, ink, dash));
      return pageOf(
        paper,
        false,
        [
          ...drawn(road, 'gray'),
          ...drawn(road - 2, 'light'),
          ...drawn(1.2, 'paper', [7, 6]),
          ...startsOf(strokes, placed, 4),
        ],
        { title: `${title} ${name}`, seed },
      );
    });
    return { title, pages, notes: ['Drive from the dot; where the pencil lifts, the car jumps.'] };
  },
};

/** A number to roll from dough or write, as wide as a rolled snake. */
const SNAKE_MM = 17;

/** A hollow number in a box of the page, as large as it goes in. */
function hollow(
  number: number,
  wish: SheetWish,
  box: { x: number; y: number; w: number; h: number },
): Mark[] {
  const fields = digitsOf(number).length * FIELD.width;
  const scale = Math.min((box.w - SNAKE_MM) / fields, (box.h - SNAKE_MM) / FIELD.height);
  const placed = {
    x: box.x + (box.w - fields * scale) / 2,
    y: box.y + (box.h - FIELD.height * scale) / 2,
    scale,
  };
  const wide = Math.min(SNAKE_MM, scale * 2.2);
  const strokes = strokesOfNumber(number, wish.forms);
  return [
    ...strokes.map((stroke) => written(stroke, placed, wide, 'spruce')),
    ...strokes.map((stroke) => written(stroke, placed, wide - 1.8, 'paper')),
    ...startsOf(strokes, placed, 1.8),
  ];
}

export const DOUGH_MAT: SheetKind = {
  id: 'dough-mat',
  group: 'writing',
  title: 'Dough mat',
  about: 'A hollow digit to form, a frame to fill, and room to draw as many.',
  asks: ['range', 'material'],
  looks: [],
  suits: { low: 0, high: 9 },
  ends: { most: 9 },
  each: true,
  make: (wish) => {
    const { paper, low, high, seed, materialMm } = wish;
    const area = areaOf(paper, true);
    const cell = cellFor(materialMm);
    const beside = area.width - 5 * cell - 10;
    if (beside < 42 || 2 * cell + 40 > area.height) {
      throw new RangeError(`a frame for things of ${materialMm} mm leaves no room for the digit`);
    }
    const title = 'Dough mat';
    const pages = rangeOf(low, high, 0, 9).map((digit) => {
      const x = area.x + area.width - 5 * cell;
      const below = area.y + 2 * cell + 8;
      const room = area.y + area.height - below;
      return pageOf(
        paper,
        true,
        [
          ...hollow(digit, wish, { x: area.x, y: area.y, w: beside, h: area.height }),
          ...frameMarks(x, area.y, cell, 5, 2),
          rect(x, below, 5 * cell, room, { round: 6, ink: 'gray' }),
          text(x + 6, below + 8, 4.4, `Draw ${numberWord(digit)}.`, {
            anchor: 'start',
            ink: 'gray',
          }),
        ],
        { title: `${title} ${digit}`, seed },
      );
    });
    return { title, pages, notes: ['Laminate it, or put it into a clear sleeve.'] };
  },
};

export const TRACE_BUILD_DRAW: SheetKind = {
  id: 'trace-build-draw',
  group: 'writing',
  title: 'Trace, build, draw',
  about: 'A number to trace, its word, a frame to build it on, and room to draw as many.',
  asks: ['range', 'material'],
  looks: [],
  suits: { low: 1, high: 10, materialMm: 18 },
  ends: { most: MOST_WRITTEN },
  each: true,
  make: (wish) => {
    const { paper, low, high, seed, materialMm } = wish;
    const area = areaOf(paper, true);
    const cell = cellFor(materialMm);
    const frames = high > 10 ? 2 : 1;
    const built = frames * 2 * cell + (frames - 1) * 6;
    const beside = area.width - 5 * cell - 10;
    if (beside < 70 || built > area.height) {
      throw new RangeError(`frames for things of ${materialMm} mm do not fit on this paper`);
    }
    const title = `Trace, build, draw ${low} to ${high}`;
    const pages = rangeOf(low, high, 0, MOST_WRITTEN).map((n) => {
      const x = area.x + area.width - 5 * cell;
      const left = area.height - built - 8;
      const isBelow = left >= 40;
      const traced = {
        x: area.x,
        y: area.y,
        w: beside,
        h: isBelow ? area.height - 24 : area.height / 2,
      };
      const word = numberWord(n);
      const wordAt = traced.y + traced.h + 16;
      return pageOf(
        paper,
        true,
        [
          ...hollow(n, wish, traced),
          text(area.x + beside / 2, wordAt, fitted(word, beside - 8, 16).size, word),
          ...Array.from({ length: frames }, (_, i) =>
            frameMarks(x, area.y + i * (2 * cell + 6), cell, 5, 2),
          ).flat(),
          isBelow
            ? rect(x, area.y + built + 8, 5 * cell, left, { round: 6, ink: 'gray' })
            : rect(area.x, wordAt + 8, beside, area.y + area.height - wordAt - 8, {
                round: 6,
                ink: 'gray',
              }),
        ],
        { title: `Trace, build, draw ${n}`, seed },
      );
    });
    return { title, pages, notes: ['Laminate it, or put it into a clear sleeve.'] };
  },
};
