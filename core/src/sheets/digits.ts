import { cueOf, digitsOf, strokesOfNumber } from './cues.js';
import type { SheetKind } from './kind.js';
import { type Ink, type Mark, areaOf, line, pageOf, text } from './page.js';
import { rangeOf } from './range.js';
import { FIELD, type Stroke } from './strokes.js';
import { fitted, linesOf } from './type.js';
import { model, startsOf, toTrace, written } from './written.js';

/** From one row of writing to the next, its height, and from one digit to the next, in millimeters. */
const ROW_MM = 38;
const HIGH_MM = 24;
const STEP_MM = 24;
const MODEL_MM = 3.6;

export const MOST_WRITTEN = 20;

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
        if (i === 0) marks.push(...model(strokes, placed, MODEL_MM));
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
