import { type Ink, type Mark, centered, dot, line, rect } from './page.js';
import { fitted, widthOf } from './type.js';
import { pipsOf } from '../numbers/index.js';

/** How a digit reads upside down; the others read as no digit. */
const TURNED: Readonly<Record<string, string>> = {
  '0': '0',
  '1': '1',
  '6': '9',
  '8': '8',
  '9': '6',
};

/** Whether a card with this number reads as another number when it lies upside down. */
export function readsTurned(n: number): boolean {
  const turned = [...String(n)].reverse().map((digit) => TURNED[digit]);
  if (turned.includes(undefined) || turned[0] === '0') return false;
  return turned.join('') !== String(n);
}

/** A numeral with its middle at x, y, as large as fits a width. */
export const numeral = (
  x: number,
  y: number,
  most: number,
  width: number,
  n: number,
  ink: Ink = 'black',
): Mark[] => [centered(x, y, fitted(String(n), width, most).size, String(n), ink)];

/**
 * The same on a card that lies any way round: one that reads as another number upside down stands on a
 * line.
 */
export function looseNumeral(x: number, y: number, most: number, width: number, n: number): Mark[] {
  const marks = numeral(x, y, most, width, n);
  if (!readsTurned(n)) return marks;
  const { size } = fitted(String(n), width, most);
  const half = widthOf(String(n), size) / 2;
  const foot = y + size * 0.46;
  return [...marks, line(x - half, foot, x + half, foot, { width: Math.max(0.5, size / 28) })];
}

/** Dots, drawings and tallies beyond this are no picture of a number any more. */
export const MOST_DOTS = 20;

/** Dots in the customary picture to nine, in rows of five beyond. */
export function dots(x: number, y: number, side: number, n: number, ink: Ink = 'blue'): Mark[] {
  if (n <= 9) {
    return pipsOf(n).map(([px, py]) => dot(x + px * side, y + py * side, side * 0.1, ink));
  }
  const step = side / 5.2;
  const rows = Math.ceil(n / 5);
  const top = y + (side - (rows - 1) * step) / 2;
  return Array.from({ length: n }, (_, i) =>
    dot(x + step * (0.6 + (i % 5)), top + step * Math.floor(i / 5), step * 0.38, ink),
  );
}

/** A frame of rows of five with the first n cells filled. */
export function filledFrame(
  x: number,
  y: number,
  cell: number,
  n: number,
  rows = 2,
  ink: Ink = 'blue',
): Mark[] {
  return Array.from({ length: 5 * rows }, (_, i): Mark[] => {
    const [cx, cy] = [x + (i % 5) * cell, y + Math.floor(i / 5) * cell];
    const mark = rect(cx, cy, cell, cell, { width: Math.max(0.4, cell / 40) });
    return i < n ? [mark, dot(cx + cell / 2, cy + cell / 2, cell * 0.36, ink)] : [mark];
  }).flat();
}
