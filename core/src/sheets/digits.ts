import type { SheetKind } from './kind.js';
import { type Ink, type Mark, areaOf, dot, line, pageOf } from './page.js';
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

const LINE_MM = 34;
/** How wide the line to trace is, by look. */
const WIDTHS: Readonly<Record<string, number>> = { dotted: 0.9, hollow: 3.4, faded: 2 };

export const TRACING: SheetKind = {
  id: 'tracing',
  title: 'Digits to trace',
  about: 'Each digit on its lines: where it begins, which way, then dotted, then alone.',
  asks: ['range'],
  looks: [
    ['dotted', 'dotted'],
    ['hollow', 'hollow'],
    ['faded', 'faded'],
  ],
  make: ({ paper, low, high, seed, look, forms }) => {
    const digits = digitsFrom(low, high);
    const area = areaOf(paper, false);
    const perPage = Math.floor(area.height / LINE_MM);
    const title = 'Digits to trace';
    const scale = 24 / FIELD.height;
    const row = (digit: number, y: number): Mark[] => {
      const strokes = strokesOf(digit, forms);
      const marks: Mark[] = [
        line(area.x, y + 24, area.x + area.width, y + 24, { ink: 'gray', width: 0.25 }),
        line(area.x, y, area.x + area.width, y, { ink: 'light', width: 0.25 }),
      ];
      const many = Math.floor(area.width / 24);
      for (let i = 0; i < many; i++) {
        const x = area.x + 4 + i * 24;
        const isModel = i === 0;
        for (const stroke of strokes) {
          if (i < many - 2) {
            const place = { x, y, scale };
            const width = isModel ? 2 : (WIDTHS[look] ?? WIDTHS['dotted'] ?? 1);
            const isDotted = !isModel && (look === '' || look === 'dotted');
            marks.push(
              written(
                stroke,
                place,
                width,
                isModel ? 'black' : 'light',
                isDotted ? [0.1, 2.2] : null,
              ),
            );
            if (look === 'hollow' && !isModel) marks.push(written(stroke, place, 2.4, 'paper'));
          }
          const [sx, sy] = stroke.points[0] ?? [0, 0];
          if (stroke === strokes[0]) marks.push(dot(x + sx * scale, y + sy * scale, 1.3, 'gray'));
        }
      }
      return marks;
    };
    const pages = Array.from({ length: Math.ceil(digits.length / perPage) }, (_, p) =>
      pageOf(
        paper,
        false,
        digits
          .slice(p * perPage, (p + 1) * perPage)
          .flatMap((digit, i) => row(digit, area.y + 3 + i * LINE_MM)),
        { title, seed },
      ),
    );
    return { title, pages, notes: ['The dot says where to begin.'] };
  },
};

const TITLE_MM = 7;

export const DIGIT_ROADS: SheetKind = {
  id: 'digit-roads',
  title: 'Digit roads',
  about: 'A digit as wide as a toy car, with the dot where the drive begins.',
  asks: ['range', 'side'],
  looks: [],
  make: ({ paper, low, high, thingMm, seed, forms }) => {
    const digits = digitsFrom(low, high);
    const road = thingMm + 6;
    const area = areaOf(paper, false);
    const scale = Math.min(
      (area.width - road) / FIELD.width,
      (area.height - road - TITLE_MM) / FIELD.height,
    );
    if (scale < 3 || road > 60)
      throw new RangeError(`a road for ${thingMm} mm is too wide for this paper`);
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
