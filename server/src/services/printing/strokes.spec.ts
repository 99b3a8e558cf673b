import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { type DigitForms, strokesOf } from '@gumo/core/sheets';
import { type Font, create } from 'fontkit';

type P = readonly [x: number, y: number];
const [COLUMNS, ROWS] = [20, 28];
const file = createRequire(import.meta.url).resolve(
  '@fontsource/andika/files/andika-latin-400-normal.woff',
);
const font = create(readFileSync(file)) as Font;

/** Points in a box of COLUMNS by ROWS; a narrow digit keeps its shape, in the middle. */
function boxed(points: readonly P[]): P[] {
  const [xs, ys] = [points.map(([x]) => x), points.map(([, y]) => y)];
  const [left, right, top, bottom] = [
    Math.min(...xs),
    Math.max(...xs),
    Math.min(...ys),
    Math.max(...ys),
  ];
  const scale = ROWS / (bottom - top);
  const across = Math.min(COLUMNS, (right - left) * scale);
  const squeeze = across / Math.max(1e-9, right - left);
  return points.map(([x, y]): P => [
    (COLUMNS - across) / 2 + (x - left) * squeeze,
    (y - top) * scale,
  ]);
}

/** The outlines of a digit of the font that children read. */
function outlines(digit: number): P[][] {
  const [found] = font.layout(String(digit)).glyphs;
  const lines: P[][] = [];
  for (const { command, args } of found!.path.commands) {
    const last = lines.at(-1);
    const end: P = [args.at(-2) ?? 0, -(args.at(-1) ?? 0)];
    if (command === 'moveTo') lines.push([end]);
    else if (command === 'quadraticCurveTo' || command === 'bezierCurveTo') {
      // Half-way along its handles is near enough for squares as coarse as these.
      last?.push([args[0]!, -args[1]!].map((v, i) => (v + end[i]!) / 2) as unknown as P, end);
    } else if (command === 'lineTo') last?.push(end);
  }
  return lines;
}

/** One value a square, blurred a little, so that a line may lie beside another. */
type Picture = readonly number[];
const BLUR = 2;

function picture(isInked: (x: number, y: number) => boolean): Picture {
  const ink = (c: number, r: number): number => (isInked(c + 0.5, r + 0.5) ? 1 : 0);
  return Array.from({ length: COLUMNS * ROWS }, (_, i) => {
    let sum = 0;
    for (let dx = -BLUR; dx <= BLUR; dx++) {
      for (let dy = -BLUR; dy <= BLUR; dy++) {
        sum += ink((i % COLUMNS) + dx, Math.floor(i / COLUMNS) + dy) / (1 + dx * dx + dy * dy);
      }
    }
    return sum;
  });
}

/** A digit of the font: what lies inside an odd number of its outlines. */
function printed(digit: number): Picture {
  const lines = outlines(digit);
  const flat = boxed(lines.flat());
  let at = 0;
  const rings = lines.map((line) => flat.slice(at, (at += line.length)));
  return picture(
    (x, y) =>
      rings.reduce(
        (crossed, ring) =>
          crossed +
          ring.filter(([x1, y1], i) => {
            const [x2, y2] = ring[(i + 1) % ring.length]!;
            return y1 > y !== y2 > y && x < x1 + ((y - y1) * (x2 - x1)) / (y2 - y1);
          }).length,
        0,
      ) %
        2 ===
      1,
  );
}

const PEN = 1.6;

/** Strokes as a pen of the font's width draws them. */
function drawnWith(strokes: readonly (readonly P[])[], flip = 1): Picture {
  const flat = boxed(strokes.flat().map(([x, y]): P => [flip * x, y]));
  let at = 0;
  // The pen is as wide as the lines of the font, so its middle stays that far inside.
  const inside = ([x, y]: P): P => [
    PEN + (x / COLUMNS) * (COLUMNS - 2 * PEN),
    PEN + (y / ROWS) * (ROWS - 2 * PEN),
  ];
  const lines = strokes.map((stroke) => flat.slice(at, (at += stroke.length)).map(inside));
  const near = (x: number, y: number, [x1, y1]: P, [x2, y2]: P): boolean => {
    const long = (x2 - x1) ** 2 + (y2 - y1) ** 2 || 1e-9;
    const t = Math.max(0, Math.min(1, ((x - x1) * (x2 - x1) + (y - y1) * (y2 - y1)) / long));
    return Math.hypot(x - x1 - t * (x2 - x1), y - y1 - t * (y2 - y1)) < PEN;
  };
  return picture((x, y) =>
    lines.some((line) => line.slice(1).some((to, i) => near(x, y, line[i]!, to))),
  );
}

/** Pearson's correlation of two pictures. */
function alike(one: Picture, other: Picture): number {
  const mean = (all: Picture): number => all.reduce((sum, v) => sum + v, 0) / all.length;
  const [m, n] = [mean(one), mean(other)];
  let [both, first, second] = [0, 0, 0];
  one.forEach((v, i) => {
    const [a, b] = [v - m, other[i]! - n];
    both += a * b;
    first += a * a;
    second += b * b;
  });
  return both / Math.sqrt(first * second);
}

const TEMPLATES = Array.from({ length: 10 }, (_, digit) => printed(digit));

/** The digit of the font that a picture is most like. */
function readAs(drawn: Picture): number {
  const found = TEMPLATES.map((template) => alike(drawn, template));
  return found.indexOf(Math.max(...found));
}

// Templates: the digits of Andika (SIL International, Open Font License), a typeface for beginners.
describe('strokes of the digits, drawn', () => {
  it('read as that digit beside the digits of a font, in every form', () => {
    for (const one of ['plain', 'flagged'] as const) {
      for (const four of ['open', 'closed'] as const) {
        for (const nine of ['straight', 'curved'] as const) {
          const forms: DigitForms = { one, four, nine };
          for (let digit = 0; digit <= 9; digit++) {
            const strokes = strokesOf(digit, forms).map((stroke) => stroke.points);
            // No such typeface has an open four: its tops are joined before it is read.
            const tops: P[][] =
              digit === 4 && four === 'open' ? [strokes.map((points) => points[0]!)] : [];
            const drawn = drawnWith([...strokes, ...tops]);
            expect(readAs(drawn)).withContext(JSON.stringify({ digit, forms })).toBe(digit);
          }
        }
      }
    }
  });

  it('turned round, are no longer read as that digit where it matters', () => {
    const forms: DigitForms = { one: 'flagged', four: 'open', nine: 'straight' };
    const turned = [2, 3, 5, 6, 7, 9].map((digit) =>
      readAs(
        drawnWith(
          strokesOf(digit, forms).map((stroke) => stroke.points),
          -1,
        ),
      ),
    );
    expect(turned.filter((read, i) => read !== [2, 3, 5, 6, 7, 9][i]).length).toBeGreaterThan(4);
  });
});
