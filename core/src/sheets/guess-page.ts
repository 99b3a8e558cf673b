import type { GuessSeen } from '../details/guesses.js';
import {
  type Mark,
  type Paper,
  type Sheet,
  areaOf,
  dot,
  line,
  pageOf,
  rect,
  text,
} from './page.js';

/** So many stand on a page; the latest are taken. */
export const MOST_GUESSES = 10;
const PICTURE_MM = 16;
const NUMERAL_MM = 9;
const LEAST_HEIGHT_MM = 2;

/** A jar, a row of things, a die, steps: where the number was guessed, around 0, 0, as high as 1. */
function pictureOf(at: GuessSeen['at'], x: number, y: number): Mark[] {
  const r = PICTURE_MM / 2;
  switch (at) {
    case 'jar':
      return [
        rect(x - r * 0.6, y - r * 0.6, r * 1.2, r * 1.5, { round: 3, width: 0.8 }),
        rect(x - r * 0.45, y - r, r * 0.9, r * 0.35, { round: 1, width: 0.8, fill: 'light' }),
        ...[-0.3, 0, 0.3].map((dx) => dot(x + dx * r, y + r * 0.6, r * 0.13)),
      ];
    case 'line':
      return [-0.75, -0.25, 0.25, 0.75].map((dx) => dot(x + dx * r, y, r * 0.2));
    case 'dice':
      return [
        rect(x - r * 0.75, y - r * 0.75, r * 1.5, r * 1.5, { round: 3, width: 0.8 }),
        ...[-0.35, 0.35].flatMap((dx) =>
          [-0.35, 0.35].map((dy) => dot(x + dx * r, y + dy * r, r * 0.14)),
        ),
        dot(x, y, r * 0.14),
      ];
    case 'walk':
      return [0, 1, 2].map((n) =>
        rect(
          x + (n - 1) * r * 0.6 - r * 0.15,
          y + (n % 2 === 0 ? -0.55 : 0.05) * r,
          r * 0.3,
          r * 0.6,
          {
            round: r * 0.15,
            width: 0,
            fill: 'gray',
          },
        ),
      );
  }
}

/**
 * A drawing without words, for the child to read: each time the guess as an open column, a range as an
 * open box, and beside it what was counted as a full one; older to newer, each with a picture of where.
 * @param guesses oldest first
 */
export function guessPage(paper: Paper, title: string, guesses: readonly GuessSeen[]): Sheet {
  const area = areaOf(paper, true);
  const shown = guesses.slice(-MOST_GUESSES);
  const pitch = area.width / Math.max(4, shown.length);
  const wide = Math.min(16, pitch * 0.34);
  const base = area.y + area.height - PICTURE_MM - 8;
  const top = area.y + NUMERAL_MM * 1.6;
  const most = Math.max(1, ...shown.map(({ high, actual }) => Math.max(high, actual)));
  const up = (n: number): number =>
    Math.max(n === 0 ? 0 : LEAST_HEIGHT_MM, ((base - top) * n) / most);
  const marks = shown.flatMap(({ at, low, high, actual }, i): Mark[] => {
    const x = area.x + (i + 0.5) * pitch;
    const size = Math.min(NUMERAL_MM, pitch * 0.3);
    const left = x - wide / 2 - 1;
    const from = low === high ? 0 : up(low);
    const numeral = (n: number, at: number, y: number): Mark =>
      text(at, base - y - 2, size, String(n), { bold: true });
    return [
      rect(left - wide / 2, base - up(high), wide, Math.max(0.1, up(high) - from), { width: 0.9 }),
      numeral(high, left, up(high)),
      ...(low === high
        ? []
        : [text(left, base - from + size * 1.05, size * 0.8, String(low), { bold: true })]),
      rect(x + 1, base - up(actual), wide, Math.max(0.1, up(actual)), { width: 0, fill: 'spruce' }),
      numeral(actual, x + 1 + wide / 2, up(actual)),
      ...pictureOf(at, x, base + 6 + PICTURE_MM / 2),
    ];
  });
  marks.push(line(area.x, base, area.x + area.width, base, { width: 0.8 }));
  return { title, pages: [pageOf(paper, true, marks, { title })], notes: [] };
}
