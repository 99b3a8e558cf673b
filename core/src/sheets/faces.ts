import { fingersScene, fingersFor } from '../handling/index.js';
import { numberWord, seeded, splitsOf } from '../numbers/index.js';
import { drawing } from './drawn.js';
import type { SheetKind } from './kind.js';
import { type CardFace, cardPages } from './layout.js';
import { MOST_DOTS, dots, filledFrame, looseNumeral } from './numeral.js';
import { type Mark, centered, line } from './page.js';
import { sceneMarks } from './scene-marks.js';
import { fitted } from './type.js';
import { rangeOf } from './range.js';
import type { Face, SheetWish } from './wish.js';

export const FACE_CARD = { width: 60, height: 80 } as const;
/** Strokes in bundles of five. */
function tally(x: number, y: number, width: number, n: number): Mark[] {
  const step = Math.min(6, width / (n + 1));
  const height = Math.max(16, step * 3);
  const left = x + (width - n * step) / 2;
  return Array.from({ length: n }, (_, i) =>
    i % 5 === 4
      ? line(left + (i - 4) * step - 0.5, y + height * 0.8, left + i * step, y + height * 0.2, {
          width: 1.2,
        })
      : line(left + i * step, y, left + i * step, y + height, { width: 1.2 }),
  );
}

const [WIDE, HIGH] = [FACE_CARD.width, FACE_CARD.height];

/** Each way of showing a number: the most that it can show, and how it is drawn. */
const WAYS: Readonly<
  Record<Face, { readonly most: number; draw(n: number, wish: SheetWish): CardFace }>
> = {
  numeral: {
    most: 100,
    draw: (n) => (x, y) => looseNumeral(x + WIDE / 2, y + HIGH / 2, 62, WIDE - 10, n),
  },
  dots: {
    most: MOST_DOTS,
    draw: (n) => (x, y) => dots(x + 4, y + (HIGH - WIDE) / 2 + 4, WIDE - 8, n),
  },
  tally: {
    most: MOST_DOTS,
    draw: (n) => (x, y) => tally(x + 5, y + HIGH / 2 - 9, WIDE - 10, n),
  },
  fingers: {
    most: 10,
    draw: (n) => (x, y) =>
      sceneMarks(fingersScene(fingersFor(n, 'thumb')), {
        x: x + 2,
        y: y + 4,
        w: WIDE - 4,
        h: HIGH - 8,
      }),
  },
  word: {
    most: 100,
    draw: (n) => (x, y) => {
      const said = numberWord(n);
      const { size } = fitted(said, WIDE - 8, 16);
      return [centered(x + WIDE / 2, y + HIGH / 2, size, said)];
    },
  },
  frame: {
    most: 10,
    draw: (n) => (x, y) => filledFrame(x + 4, y + HIGH / 2 - (WIDE - 8) / 5, (WIDE - 8) / 5, n),
  },
  sum: {
    most: MOST_DOTS,
    draw: (n, { seed }) => {
      const splits = splitsOf(n);
      const [a, b] = splits[Math.floor(seeded(seed * 59 + n)() * splits.length)] ?? [n, 0];
      const said = `${a} + ${b}`;
      const { size } = fitted(said, WIDE - 8, 22);
      return (x, y) => [centered(x + WIDE / 2, y + HIGH / 2, size, said)];
    },
  },
  pictures: {
    most: 10,
    draw:
      (n, { picture }) =>
      (x, y) => {
        const columns = n > 4 ? 3 : Math.min(2, n);
        const side = Math.min(24, (WIDE - 8) / Math.max(1, columns));
        const rows = Math.ceil(n / Math.max(1, columns));
        const top = y + (HIGH - rows * side) / 2;
        return Array.from({ length: n }, (_, i) =>
          drawing(
            picture === '' ? 'snail' : picture,
            x + (WIDE - columns * side) / 2 + (i % columns) * side + 1,
            top + Math.floor(i / columns) * side + 1,
            side - 2,
          ),
        ).flat();
      },
  },
};

/** A number shown in one way, on a card. @throws RangeError beyond what the way is drawn to */
export function faceOf(face: Face, n: number, wish: SheetWish): CardFace {
  const { most, draw } = WAYS[face];
  if (n > most)
    throw new RangeError(`${FACE_WORDS[face]} are drawn to ${most}: end the range there`);
  return draw(n, wish);
}

export const FACE_WORDS: Readonly<Record<Face, string>> = {
  numeral: 'numerals',
  dots: 'dots',
  tally: 'tallies',
  fingers: 'fingers',
  word: 'words',
  frame: 'frames',
  sum: 'sums',
  pictures: 'drawings',
};

export const NUMBER_CARDS: SheetKind = {
  id: 'number-cards',
  group: 'numbers',
  title: 'Number cards',
  about: 'Each number in the ways that are chosen: cards that match, or the two sides of one.',
  asks: ['range', 'faces', 'laminate', 'outline'],
  looks: [],
  suits: { low: 0 },
  make: (wish) => {
    const { low, high, faces, twoSided } = wish;
    const numbers = rangeOf(low, high);
    const cards = (face: Face): CardFace[] => numbers.map((n) => faceOf(face, n, wish));
    const title = `Number cards ${low} to ${high}`;
    const [front, back] = faces;
    if (!twoSided || !front) {
      return {
        title,
        pages: cardPages(wish, FACE_CARD, faces.flatMap(cards), title),
        notes: ['Cut along the gray lines.'],
      };
    }
    if (!back || faces.length > 2) {
      throw new RangeError('two-sided cards take two ways: choose just two');
    }
    const pages = cardPages(wish, FACE_CARD, cards(front), title, cards(back));
    const edge = (pages[0]?.width ?? 0) > (pages[0]?.height ?? 0) ? 'short' : 'long';
    return {
      title,
      pages,
      notes: [`Print on both sides, turned over the ${edge} edge. Cut along the gray lines.`],
    };
  },
};
