import { type Mark, type Page, type Paper, type Sheet, areaOf, line, pageOf } from './page.js';
import type { SheetWish } from './wish.js';

/** Room around a thing in its cell: at least so many millimeters, or this part of the thing. */
const ROOM_MM = 4;
const ROOM_PART = 0.2;

/** Side of a cell that a thing lies in, in millimeters: thing + max(4 mm, 20 %). */
export const cellFor = (thingMm: number): number =>
  thingMm + Math.max(ROOM_MM, ROOM_PART * thingMm);

/** Where something of a size lies on paper: upright, turned, or neither. */
export function fitFor(
  paper: Paper,
  width: number,
  height: number,
): { readonly turned: boolean; readonly fits: boolean } {
  const isIn = (turned: boolean): boolean => {
    const area = areaOf(paper, turned);
    return width <= area.width + 1e-9 && height <= area.height + 1e-9;
  };
  if (isIn(false)) return { turned: false, fits: true };
  return { turned: true, fits: isIn(true) };
}

/** A card's drawing, from its own upper left corner. */
export type CardFace = (x: number, y: number) => readonly Mark[];

interface Grid {
  readonly turned: boolean;
  readonly columns: number;
  readonly rows: number;
}

/** The way of the paper on which most cards fit. @throws RangeError where not even one fits */
export function gridFor(paper: Paper, width: number, height: number): Grid {
  const grids = [false, true].map((turned): Grid => {
    const area = areaOf(paper, turned);
    return {
      turned,
      columns: Math.floor((area.width + 1e-9) / width),
      rows: Math.floor((area.height + 1e-9) / height),
    };
  });
  const [upright, across] = grids as [Grid, Grid];
  const best = across.columns * across.rows > upright.columns * upright.rows ? across : upright;
  if (best.columns * best.rows === 0) {
    throw new RangeError(`a card of ${width} x ${height} mm does not fit on the paper`);
  }
  return best;
}

/** Cards side by side with shared cut lines, as many as fit, on as many pages as they need. */
export function cardPages(
  paper: Paper,
  size: { readonly width: number; readonly height: number },
  faces: readonly CardFace[],
  foot: { readonly title: string; readonly seed: number },
): Page[] {
  const { turned, columns, rows } = gridFor(paper, size.width, size.height);
  const area = areaOf(paper, turned);
  const many = columns * rows;
  const left = area.x + (area.width - columns * size.width) / 2;
  const pages: Page[] = [];
  for (let first = 0; first < faces.length; first += many) {
    const some = faces.slice(first, first + many);
    const used = Math.ceil(some.length / columns);
    const wide = Math.min(columns, some.length);
    const marks: Mark[] = some.flatMap((face, i) => [
      ...face(left + (i % columns) * size.width, area.y + Math.floor(i / columns) * size.height),
    ]);
    const cut = { ink: 'gray', width: 0.2 } as const;
    for (let c = 0; c <= wide; c++) {
      const x = left + c * size.width;
      marks.push(line(x, area.y, x, area.y + used * size.height, cut));
    }
    for (let r = 0; r <= used; r++) {
      const y = area.y + r * size.height;
      marks.push(line(left, y, left + wide * size.width, y, cut));
    }
    pages.push(pageOf(paper, turned, marks, foot));
  }
  return pages;
}

/** A sheet of a single page. */
export const onePage = (
  { paper, seed }: Pick<SheetWish, 'paper' | 'seed'>,
  turned: boolean,
  title: string,
  marks: readonly Mark[],
  notes: readonly string[] = [],
): Sheet => ({ title, pages: [pageOf(paper, turned, marks, { title, seed })], notes });
