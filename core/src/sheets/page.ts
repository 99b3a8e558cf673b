/** Papers that a household may print on, upright, in millimeters (ISO 216; ANSI/ASME Y14.1). */
export const PAPERS = {
  a4: { width: 210, height: 297 },
  letter: { width: 215.9, height: 279.4 },
} as const;
export type Paper = keyof typeof PAPERS;

/** What no common printer reaches. */
export const MARGIN_MM = 10;
/** Strip above the lower margin for the check line. */
export const FOOT_MM = 9;
export const CHECK_LINE_MM = 100;

/** Black, or a gray that still reads in a black and white print; the two counter colors. */
export const INKS = {
  black: '#1e2f33',
  gray: '#7c8b8d',
  light: '#cbd3d2',
  paper: '#ffffff',
  blue: '#2f6db5',
  orange: '#dd7a17',
  /** Frames and heads; dark in gray. */
  spruce: '#17645b',
  /** Fills; light in gray. */
  straw: '#f2d391',
} as const;
export type Ink = keyof typeof INKS;

/** A mark on a page. All in millimeters from the upper left corner. */
export type Mark =
  | {
      readonly kind: 'line';
      readonly x1: number;
      readonly y1: number;
      readonly x2: number;
      readonly y2: number;
      readonly width: number;
      readonly ink: Ink;
      readonly dash?: readonly [number, number];
    }
  | {
      readonly kind: 'rect';
      readonly x: number;
      readonly y: number;
      readonly w: number;
      readonly h: number;
      readonly round: number;
      readonly width: number;
      readonly ink: Ink;
      readonly fill: Ink | null;
    }
  | {
      readonly kind: 'circle';
      readonly x: number;
      readonly y: number;
      readonly r: number;
      /** Width of its line; 0 for none. */
      readonly width: number;
      readonly ink: Ink;
      readonly fill: Ink | null;
    }
  | {
      readonly kind: 'path';
      /** In units of its own, placed with its origin at x, y and scaled. */
      readonly path: string;
      readonly x: number;
      readonly y: number;
      readonly scale: number;
      /** Width of its line in millimeters; 0 for none. */
      readonly width: number;
      readonly ink: Ink;
      readonly fill: Ink | null;
      readonly dash?: readonly [number, number];
    }
  | {
      readonly kind: 'text';
      /** Middle, left or right end of the words; y is the line they stand on. */
      readonly x: number;
      readonly y: number;
      /** Height of the type. */
      readonly size: number;
      readonly text: string;
      readonly anchor: 'start' | 'middle' | 'end';
      readonly ink: Ink;
      readonly bold?: boolean;
      /** Drawn as an outline, to be colored. */
      readonly hollow?: boolean;
    };

/** One side of paper. */
export interface Page {
  readonly width: number;
  readonly height: number;
  readonly marks: readonly Mark[];
}

export interface Sheet {
  readonly title: string;
  readonly pages: readonly Page[];
  /** What to know before printing: laminate, cut, an adult's part. */
  readonly notes: readonly string[];
}

/** The outline of hollow type. */
export const HOLLOW_MM = 0.6;
/** A usual line. */
export const LINE_MM = 0.5;

export const line = (
  x1: number,
  y1: number,
  x2: number,
  y2: number,
  more: Partial<Pick<Extract<Mark, { kind: 'line' }>, 'width' | 'ink' | 'dash'>> = {},
): Mark => ({ kind: 'line', x1, y1, x2, y2, width: LINE_MM, ink: 'black', ...more });

export const rect = (
  x: number,
  y: number,
  w: number,
  h: number,
  more: Partial<Pick<Extract<Mark, { kind: 'rect' }>, 'round' | 'width' | 'ink' | 'fill'>> = {},
): Mark => ({
  kind: 'rect',
  x,
  y,
  w,
  h,
  round: 0,
  width: LINE_MM,
  ink: 'black',
  fill: null,
  ...more,
});

export const circle = (
  x: number,
  y: number,
  r: number,
  more: Partial<Pick<Extract<Mark, { kind: 'circle' }>, 'width' | 'ink' | 'fill'>> = {},
): Mark => ({ kind: 'circle', x, y, r, width: LINE_MM, ink: 'black', fill: null, ...more });

/** A solid dot. */
export const dot = (x: number, y: number, r: number, ink: Ink = 'black'): Mark =>
  circle(x, y, r, { width: 0, ink, fill: ink });

export const text = (
  x: number,
  y: number,
  size: number,
  words: string,
  more: Partial<Pick<Extract<Mark, { kind: 'text' }>, 'anchor' | 'ink' | 'bold' | 'hollow'>> = {},
): Mark => ({ kind: 'text', x, y, size, text: words, anchor: 'middle', ink: 'black', ...more });

/** Part of the type's height from its line to the middle of a digit (measured on Andika). */
const DIGIT_MIDDLE = 0.34;

/** A digit or word with its middle at x, y. */
export const centered = (
  x: number,
  y: number,
  size: number,
  words: string,
  ink: Ink = 'black',
): Mark => text(x, y + size * DIGIT_MIDDLE, size, words, { ink });

/** Of a sheet in which chance has no part. */
export const NO_SEED = -1;

/** A page with its check line and, where there is one, the seed that makes the same one again. */
export function pageOf(
  paper: Paper,
  turned: boolean,
  marks: readonly Mark[],
  foot: { readonly title: string; readonly seed?: number },
): Page {
  const { width, height } = sizeOf(paper, turned);
  const y = height - MARGIN_MM - 2;
  return {
    width,
    height,
    marks: [
      ...marks,
      line(MARGIN_MM, y, MARGIN_MM + CHECK_LINE_MM, y, { width: 0.2 }),
      line(MARGIN_MM, y - 1.5, MARGIN_MM, y + 1.5, { width: 0.2 }),
      line(MARGIN_MM + CHECK_LINE_MM, y - 1.5, MARGIN_MM + CHECK_LINE_MM, y + 1.5, { width: 0.2 }),
      text(MARGIN_MM + 2, y - 1.2, 2.6, 'print at 100 %; this line is 100 mm long', {
        anchor: 'start',
        ink: 'gray',
      }),
      text(
        width - MARGIN_MM,
        y + 0.9,
        2.6,
        foot.seed === undefined || foot.seed === NO_SEED
          ? foot.title
          : `${foot.title} · ${foot.seed}`,
        {
          anchor: 'end',
          ink: 'gray',
        },
      ),
    ],
  };
}

export function sizeOf(paper: Paper, turned: boolean): { width: number; height: number } {
  const { width, height } = PAPERS[paper];
  return turned ? { width: height, height: width } : { width, height };
}

/** What can be printed on: without margins and foot. */
export function areaOf(
  paper: Paper,
  turned: boolean,
): { x: number; y: number; width: number; height: number } {
  const { width, height } = sizeOf(paper, turned);
  return {
    x: MARGIN_MM,
    y: MARGIN_MM,
    width: width - 2 * MARGIN_MM,
    height: height - 2 * MARGIN_MM - FOOT_MM,
  };
}

/** Middle of what can be printed on, upright. */
export function middle(paper: Paper): { x: number; y: number } {
  const area = areaOf(paper, false);
  return { x: area.x + area.width / 2, y: area.y + area.height / 2 };
}
