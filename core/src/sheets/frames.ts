import { cellFor, fitFor, onePage } from './layout.js';
import { type Mark, type Page, areaOf, centered, dot, line, pageOf, rect, text } from './page.js';
import type { SheetKind } from './kind.js';
import type { SheetWish } from './wish.js';

const BORDER_MM = 0.9;
const INSIDE_MM = 0.45;
/** A sentence under a frame: three boxes to write in. */
const BOX_MM = 22;

function frameMarks(x: number, y: number, cell: number, columns: number, rows: number): Mark[] {
  const marks: Mark[] = [];
  for (let c = 1; c < columns; c++) {
    marks.push(line(x + c * cell, y, x + c * cell, y + rows * cell, { width: INSIDE_MM }));
  }
  for (let r = 1; r < rows; r++) {
    marks.push(line(x, y + r * cell, x + columns * cell, y + r * cell, { width: INSIDE_MM }));
  }
  return [...marks, rect(x, y, columns * cell, rows * cell, { width: BORDER_MM })];
}

/** A start dot in the first cell: left to right, top row first. */
const startDot = (x: number, y: number, cell: number): Mark =>
  dot(x + cell * 0.12, y + cell * 0.12, 0.9, 'gray');

function framePages(wish: SheetWish, rows: number, title: string): Page[] {
  const { paper, materialMm, seed, look } = wish;
  const cell = cellFor(materialMm);
  const [width, height] = [5 * cell, rows * cell];
  const frames = look === 'two' ? 2 : 1;
  const between = cell / 2;
  const below = look === 'sentence' ? BOX_MM + 14 : 0;
  const all = frames * height + (frames - 1) * between + below;
  const { turned, fits } = fitFor(paper, width, all);
  const area = areaOf(paper, turned);
  const foot = { title, seed };
  if (fits) {
    const x = area.x + (area.width - width) / 2;
    const marks: Mark[] = [];
    for (let i = 0; i < frames; i++) {
      const y = area.y + i * (height + between);
      marks.push(...frameMarks(x, y, cell, 5, rows), startDot(x, y, cell));
    }
    if (below > 0) marks.push(...sentence(x + width / 2, area.y + height + 10));
    return [pageOf(paper, turned, marks, foot)];
  }
  // Tiled: each frame over two sheets, with marks where the halves meet.
  const across = areaOf(paper, true);
  const perPage = Math.floor(across.width / cell);
  if (perPage < 1 || height > across.height) {
    throw new RangeError(`things of ${materialMm} mm are too large for a frame on this paper`);
  }
  const pages: Page[] = [];
  for (let i = 0; i < frames; i++) {
    for (let first = 0; first < 5; first += perPage) {
      const columns = Math.min(perPage, 5 - first);
      const [x, y] = [across.x, across.y];
      const edge = first === 0 ? x + columns * cell : x;
      const joins = [0, rows * cell].map((dy) =>
        line(edge, y + dy - 4, edge, y + dy + 4, { width: 0.25, ink: 'gray' }),
      );
      const marks = [...frameMarks(x, y, cell, columns, rows), ...joins];
      pages.push(pageOf(paper, true, first === 0 ? [...marks, startDot(x, y, cell)] : marks, foot));
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
      rect(x, y, BOX_MM, BOX_MM, { round: 3 }),
      ...(sign ? [centered(x + BOX_MM + gap / 2, y + BOX_MM / 2, 11, sign)] : []),
    ];
  });
}

const LOOKS = [
  ['one', 'one frame'],
  ['two', 'two frames'],
  ['sentence', 'with a number sentence'],
] as const;

export const TEN_FRAME: SheetKind = {
  id: 'ten-frame',
  title: 'Ten frame mat',
  about: 'Two rows of five; each cell takes the thing with a little room.',
  asks: ['material'],
  looks: LOOKS,
  make: (wish) => ({
    title: 'Ten frame',
    pages: framePages(wish, 2, 'Ten frame'),
    notes: ['Laminate it, or put it into a clear sleeve.'],
  }),
};

export const FIVE_FRAME: SheetKind = {
  id: 'five-frame',
  title: 'Five frame mat',
  about: 'One row of five.',
  asks: ['material'],
  looks: LOOKS,
  make: (wish) => ({
    title: 'Five frame',
    pages: framePages(wish, 1, 'Five frame'),
    notes: ['Laminate it, or put it into a clear sleeve.'],
  }),
};

/** A letter's cell in a name frame, in millimeters. */
const LETTER_MM = 34;

export const NAME_FRAME: SheetKind = {
  id: 'name-frame',
  title: 'Name frame',
  about: 'A frame in rows of five, a letter to a cell, and a box for how many there are.',
  asks: ['word'],
  looks: [
    ['letters', 'with the letters'],
    ['empty', 'empty cells'],
  ],
  make: ({ paper, seed, word, owner, look }) => {
    const letters = [...(word || owner).toUpperCase()].filter((one) => /\p{L}/u.test(one));
    if (letters.length === 0) throw new RangeError('write the name that it is for');
    const area = areaOf(paper, true);
    const rows = Math.ceil(letters.length / 5);
    const cell = Math.min(LETTER_MM, (area.height - 44) / rows);
    const x = area.x + (area.width - 5 * cell) / 2;
    const marks: Mark[] = frameMarks(x, area.y, cell, 5, rows);
    if (look !== 'empty') {
      letters.forEach((letter, i) => {
        const [left, top] = [x + (i % 5) * cell, area.y + Math.floor(i / 5) * cell];
        marks.push(centered(left + cell / 2, top + cell / 2, cell * 0.62, letter));
      });
    }
    const y = area.y + rows * cell + 12;
    const middle = area.x + area.width / 2;
    marks.push(
      text(middle - 6, y + 19, 8, 'How many letters?', { anchor: 'end', ink: 'gray' }),
      rect(middle, y, 28, 28, { round: 3, width: 0.6 }),
    );
    return onePage({ paper, seed }, true, 'Name frame', marks);
  },
};
