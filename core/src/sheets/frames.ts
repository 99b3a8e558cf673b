import { seeded, shuffled } from '../numbers/index.js';
import { drawing } from './drawn.js';
import { type CardFace, cardPages, cellFor, fitFor, onePage } from './layout.js';
import { filledFrame } from './numeral.js';
import { type Mark, type Page, areaOf, centered, dot, line, pageOf, rect, text } from './page.js';
import type { SheetKind } from './kind.js';
import { numbersFrom, rangeOf } from './range.js';
import { fitted, widthOf } from './type.js';
import type { SheetWish } from './wish.js';

const BORDER_MM = 1.4;
const INSIDE_MM = 0.7;
/** A sentence under a frame: three boxes to write in. */
const BOX_MM = 22;
const SENTENCE_MM = BOX_MM + 8;
/** Between what is cut apart, half of it on each side. */
const BETWEEN_MM = 12;
/** Room below a frame that is worth drawing in. */
const DRAW_MM = 40;

/** A frame of cells. @param tall of a cell; as high as wide where nothing is said */
export function frameMarks(
  x: number,
  y: number,
  wide: number,
  columns: number,
  rows: number,
  tall = wide,
): Mark[] {
  const [right, bottom] = [x + columns * wide, y + rows * tall];
  const style = { width: INSIDE_MM };
  return [
    ...numbersFrom(1, columns - 1).map((c) => line(x + c * wide, y, x + c * wide, bottom, style)),
    ...numbersFrom(1, rows - 1).map((r) => line(x, y + r * tall, right, y + r * tall, style)),
    rect(x, y, columns * wide, rows * tall, { width: BORDER_MM, ink: 'spruce' }),
  ];
}

/** A start dot in the first cell: left to right, top row first. */
const startDot = (x: number, y: number, cell: number): Mark =>
  dot(x + cell * 0.12, y + cell * 0.12, 1.2, 'spruce');

/** Room to draw what was laid, with the child's drawing in its corner. */
function drawingRoom(x: number, y: number, w: number, h: number, picture: string): Mark[] {
  const side = Math.min(h - 8, 60);
  return [
    rect(x, y, w, h, { round: 6, ink: 'gray' }),
    ...drawing(picture, x + w - side - 4, y + (h - side) / 2, side),
  ];
}

function framePages(wish: SheetWish, rows: number, title: string): Page[] {
  const { paper, materialMm, seed, look, picture } = wish;
  const cell = cellFor(materialMm);
  const [width, height] = [5 * cell, rows * cell];
  const frames = look === 'two' ? 2 : 1;
  const inside = cell / 2;
  const all = frames * height + (frames - 1) * inside + (look === 'sentence' ? 8 + SENTENCE_MM : 0);
  const { turned, fits } = fitFor(paper, width, all);
  if (!fits) return tiled(wish, rows, frames, title);
  const area = areaOf(paper, turned);
  const x = area.x + (area.width - width) / 2;
  // As many as the page takes, to be cut apart.
  const many = Math.max(1, Math.floor((area.height + BETWEEN_MM) / (all + BETWEEN_MM)));
  const marks: Mark[] = [];
  for (let k = 0; k < many; k++) {
    const top = area.y + k * (all + BETWEEN_MM);
    if (k > 0) {
      const cut = top - BETWEEN_MM / 2;
      marks.push(
        line(area.x, cut, area.x + area.width, cut, { width: 0.2, ink: 'gray', dash: [2, 2] }),
      );
    }
    for (let i = 0; i < frames; i++) {
      const y = top + i * (height + inside);
      marks.push(...frameMarks(x, y, cell, 5, rows), startDot(x, y, cell));
    }
    if (look === 'sentence') marks.push(...sentence(x + width / 2, top + all - BOX_MM));
  }
  const left = area.height - many * all - (many - 1) * BETWEEN_MM - BETWEEN_MM;
  if (left >= DRAW_MM) {
    const y = area.y + area.height - left;
    marks.push(...drawingRoom(area.x, y, area.width, left, picture));
  }
  return [pageOf(paper, turned, marks, { title, seed })];
}

/** Each frame over two sheets, with marks where the halves meet. */
function tiled(wish: SheetWish, rows: number, frames: number, title: string): Page[] {
  const { paper, materialMm, seed } = wish;
  const cell = cellFor(materialMm);
  const across = areaOf(paper, true);
  const perPage = Math.floor(across.width / cell);
  if (perPage < 1 || rows * cell + 8 > across.height) {
    throw new RangeError(`things of ${materialMm} mm are too large for a frame on this paper`);
  }
  const pages: Page[] = [];
  for (let i = 0; i < frames; i++) {
    for (let first = 0; first < 5; first += perPage) {
      const columns = Math.min(perPage, 5 - first);
      const [x, y] = [across.x, across.y + 4];
      const edge = first === 0 ? x + columns * cell : x;
      const joins = [0, rows * cell].map((dy) =>
        line(edge, y + dy - 4, edge, y + dy + 4, { width: 0.25, ink: 'gray' }),
      );
      const marks = [...frameMarks(x, y, cell, columns, rows), ...joins];
      pages.push(
        pageOf(paper, true, first === 0 ? [...marks, startDot(x, y, cell)] : marks, {
          title,
          seed,
        }),
      );
    }
  }
  return pages;
}

/** Three boxes and their signs: _ + _ = _. */
function sentence(middle: number, y: number): Mark[] {
  const gap = 12;
  const left = middle - 1.5 * BOX_MM - gap;
  return [0, 1, 2].flatMap((i): Mark[] => {
    const x = left + i * (BOX_MM + gap);
    const sign = i === 0 ? '+' : i === 1 ? '=' : '';
    return [
      rect(x, y, BOX_MM, BOX_MM, { round: 3, width: 0.8 }),
      ...(sign ? [centered(x + BOX_MM + gap / 2, y + BOX_MM / 2, 11, sign)] : []),
    ];
  });
}

const LOOKS = [
  ['one', 'one frame'],
  ['two', 'two frames'],
  ['sentence', 'with a number sentence'],
] as const;
const SLEEVE = 'Laminate it, or put it into a clear sleeve.';

export const TEN_FRAME: SheetKind = {
  id: 'ten-frame',
  group: 'frames',
  title: 'Ten frame mat',
  about: 'Two rows of five; each cell takes the thing with a little room.',
  asks: ['material'],
  looks: LOOKS,
  each: true,
  make: (wish) => ({
    title: 'Ten frame',
    pages: framePages(wish, 2, 'Ten frame'),
    notes: [SLEEVE],
  }),
};

export const FIVE_FRAME: SheetKind = {
  id: 'five-frame',
  group: 'frames',
  title: 'Five frame mat',
  about: 'One row of five.',
  asks: ['material'],
  looks: LOOKS,
  each: true,
  make: (wish) => ({
    title: 'Five frame',
    pages: framePages(wish, 1, 'Five frame'),
    notes: [SLEEVE],
  }),
};

export const TO_TEN_FRAMES: SheetKind = {
  id: 'to-ten-frames',
  group: 'frames',
  title: 'Frames partly filled',
  about: 'So many are there already: lay or draw the rest to ten, and write how many.',
  asks: ['range', 'seed', 'answers', 'laminate', 'outline'],
  looks: [
    ['mixed', 'mixed'],
    ['order', 'in order'],
  ],
  suits: { low: 1, high: 9 },
  ends: { most: 10 },
  make: (wish) => {
    const { low, high, seed, answers, look } = wish;
    const numbers = rangeOf(low, high, 0, 10);
    const size = { width: 92, height: 66 };
    const faces = (look === 'order' ? numbers : shuffled(numbers, seed)).map(
      (n): CardFace =>
        (x, y) => [
          ...filledFrame(x + 6, y + 5, 16, n),
          centered(x + 24, y + 51, 12, `${n} +`),
          rect(x + 39, y + 43, 16, 16, { round: 2, width: 0.7 }),
          ...(answers ? [centered(x + 47, y + 51, 10, String(10 - n), 'gray')] : []),
          centered(x + 68, y + 51, 12, '= 10'),
        ],
    );
    const title = 'To ten';
    return { title, pages: cardPages(wish, size, faces, title), notes: [] };
  },
};

/** A letter's cell in a name frame, at most, in millimeters. */
const LETTER_MM = 44;
const LEAST_LETTER_MM = 12;

export const NAME_FRAME: SheetKind = {
  id: 'name-frame',
  group: 'frames',
  title: 'Name frame',
  about: 'A letter to a cell, a sentence to finish, and room for a drawing.',
  asks: ['word', 'outline'],
  looks: [
    ['letters', 'with the letters'],
    ['empty', 'empty cells'],
  ],
  each: true,
  make: ({ paper, seed, word, owner, look, picture }) => {
    const said = word || owner;
    const letters = [...said].filter((one) => /\p{L}/u.test(one));
    if (letters.length === 0) throw new RangeError('write the name that it is for');
    const area = areaOf(paper, true);
    const columns =
      letters.length > 5 && letters.length <= 10 ? 5 : Math.min(10, Math.max(5, letters.length));
    const rows = Math.ceil(letters.length / columns);
    const cell = Math.min(LETTER_MM, area.width / columns, (area.height - 74) / rows);
    if (cell < LEAST_LETTER_MM) throw new RangeError('this name is too long for one page');
    const x = area.x + (area.width - columns * cell) / 2;
    const marks: Mark[] = frameMarks(x, area.y, cell, columns, rows);
    if (look !== 'empty') {
      letters.forEach((letter, i) => {
        const [left, top] = [x + (i % columns) * cell, area.y + Math.floor(i / columns) * cell];
        marks.push(centered(left + cell / 2, top + cell / 2, cell * 0.62, letter));
      });
    }
    const top = area.y + rows * cell + 10;
    const room = area.y + area.height - top;
    const wide = area.width * 0.55;
    const before = 'My name has';
    const size = 11;
    const y = top + room / 2;
    const at = area.x + widthOf(before, size) + 4;
    marks.push(
      text(area.x, y, size, before, { anchor: 'start' }),
      rect(at, y - 17, 24, 24, { round: 3, width: 0.8 }),
      text(at + 28, y, size, 'letters.', { anchor: 'start' }),
      rect(area.x + wide, top, area.width - wide, room, { round: 6, ink: 'gray' }),
    );
    const about = 'Draw something that begins with the first one.';
    const fit = fitted(about, area.width - wide - 12, 4.4);
    marks.push(
      text(area.x + wide + 6, top + 8, fit.size, fit.said, { anchor: 'start', ink: 'gray' }),
      ...drawing(picture, area.x + area.width - 40, top + room - 40, 34),
    );
    return onePage({ paper, seed }, true, 'Name frame', marks);
  },
};

export const FRAME_CALLS: SheetKind = {
  id: 'frame-calls',
  group: 'frames',
  title: 'Frames to look at quickly',
  about: 'Filled frames to show for a moment; the number is on the back.',
  asks: ['range', 'seed', 'laminate', 'outline'],
  looks: [
    ['row', 'filled row by row'],
    ['loose', 'anywhere'],
  ],
  suits: { low: 1, high: 10 },
  ends: { most: 10 },
  make: (wish) => {
    const { low, high, seed, look } = wish;
    const numbers = rangeOf(low, high, 0, 10);
    const size = { width: 92, height: 60 };
    const cell = 16;
    const faces = numbers.map((n): CardFace => {
      if (look === 'row') return (x, y) => filledFrame(x + 6, y + 14, cell, n);
      const random = seeded(seed * 31 + n);
      const open = Array.from({ length: 10 }, (_, i) => [random(), i] as const)
        .sort(([a], [b]) => a - b)
        .slice(0, n)
        .map(([, i]) => i);
      return (x, y) => [
        ...filledFrame(x + 6, y + 14, cell, 0),
        ...open.map((i) =>
          dot(
            x + 6 + ((i % 5) + 0.5) * cell,
            y + 14 + (Math.floor(i / 5) + 0.5) * cell,
            cell * 0.36,
            'blue',
          ),
        ),
      ];
    });
    const backs = numbers.map((n): CardFace => (x, y) => {
      const isSplit = n > 5 && look === 'row';
      return [
        centered(x + 46, y + (isSplit ? 22 : 30), 28, String(n)),
        ...(isSplit ? [centered(x + 46, y + 46, 8, `5 and ${n - 5}`, 'gray')] : []),
      ];
    });
    const title = `Quick frames ${low} to ${high}`;
    return { title, pages: cardPages(wish, size, faces, title, backs), notes: [] };
  },
};
