import {
  type Mark,
  type Page,
  type Paper,
  type Sheet,
  areaOf,
  line,
  pageOf,
  rect,
} from './page.js';
import type { SheetWish } from './wish.js';

/** Room around a thing in its cell: at least so many millimeters, or this part of the thing. */
const ROOM_MM = 4;
const ROOM_PART = 0.2;

/** Side of a cell that a thing lies in, in millimeters: thing + max(4 mm, 20 %). */
export const cellFor = (materialMm: number): number =>
  materialMm + Math.max(ROOM_MM, ROOM_PART * materialMm);

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

/** Film that stays around a laminated card, in millimeters. */
const FILM_MM = 3;
const CUT = { ink: 'gray', width: 0.2 } as const;
const FILM_CUT = { ink: 'light', width: 0.2, dash: [2, 2] } as const;

export interface CardSize {
  readonly width: number;
  readonly height: number;
}
type CardWish = Pick<SheetWish, 'paper' | 'seed' | 'laminate'>;

/**
 * Cards side by side, as many as fit, on as many pages as they need. Neighbors share a cut line; where
 * they are to be laminated each has its own, and 3 mm of film around it. With backs, each page is
 * followed by the one that is printed behind it, its columns the other way round.
 * @throws RangeError where not even one card fits
 */
export function cardPages(
  { paper, seed, laminate }: CardWish,
  size: CardSize,
  faces: readonly CardFace[],
  title: string,
  backs: readonly CardFace[] = [],
): Page[] {
  const film = laminate ? FILM_MM : 0;
  const pitch = { width: size.width + 2 * film, height: size.height + 2 * film };
  const grid = gridFor(paper, pitch.width, pitch.height);
  const many = grid.columns * grid.rows;
  const foot = { title, seed };
  const pages: Page[] = [];
  for (let first = 0; first < faces.length; first += many) {
    const placed = (some: readonly CardFace[], isBack: boolean): Mark[] =>
      some.flatMap((face, i) => [...face(...cornerOf(paper, grid, pitch, film, i, isBack))]);
    const some = faces.slice(first, first + many);
    const marks = [...placed(some, false), ...cutsOf(paper, grid, size, film, some.length)];
    pages.push(pageOf(paper, grid.turned, marks, foot));
    if (backs.length > 0) {
      pages.push(pageOf(paper, grid.turned, placed(backs.slice(first, first + many), true), foot));
    }
  }
  return pages;
}

/** Upper left corner of the i-th card. */
function cornerOf(
  paper: Paper,
  { turned, columns }: Grid,
  pitch: CardSize,
  film: number,
  i: number,
  isBack: boolean,
): [x: number, y: number] {
  const area = areaOf(paper, turned);
  const column = isBack ? columns - 1 - (i % columns) : i % columns;
  const left = area.x + (area.width - columns * pitch.width) / 2;
  return [
    left + column * pitch.width + film,
    area.y + Math.floor(i / columns) * pitch.height + film,
  ];
}

/** Where to cut: the paper, and with film around it the film as well. */
function cutsOf(paper: Paper, grid: Grid, size: CardSize, film: number, cards: number): Mark[] {
  const pitch = { width: size.width + 2 * film, height: size.height + 2 * film };
  const [x, y] = cornerOf(paper, grid, pitch, 0, 0, false);
  const down = Math.ceil(cards / grid.columns);
  const across = Math.min(grid.columns, cards);
  const style = film > 0 ? FILM_CUT : CUT;
  const marks: Mark[] = [];
  for (let c = 0; c <= across; c++) {
    const at = x + c * pitch.width;
    marks.push(line(at, y, at, y + down * pitch.height, style));
  }
  for (let r = 0; r <= down; r++) {
    const at = y + r * pitch.height;
    marks.push(line(x, at, x + across * pitch.width, at, style));
  }
  if (film === 0) return marks;
  const own = Array.from({ length: cards }, (_, i): Mark => {
    const [left, top] = cornerOf(paper, grid, pitch, film, i, false);
    return rect(left, top, size.width, size.height, CUT);
  });
  return [...marks, ...own];
}

/** A sheet of a single page. */
export const onePage = (
  { paper, seed }: Pick<SheetWish, 'paper' | 'seed'>,
  turned: boolean,
  title: string,
  marks: readonly Mark[],
  notes: readonly string[] = [],
): Sheet => ({ title, pages: [pageOf(paper, turned, marks, { title, seed })], notes });
