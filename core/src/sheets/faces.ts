import { fingersScene, fingersFor } from '../handling/index.js';
import { numberWord, pipsOf, seeded, splitsOf } from '../numbers/index.js';
import { drawing } from './drawn.js';
import type { SheetKind } from './kind.js';
import { type CardFace, cardPages } from './layout.js';
import { type Mark, centered, dot, line, rect } from './page.js';
import { rangeOf } from './range.js';
import type { Face, SheetWish } from './wish.js';

const CARD = { width: 60, height: 80 } as const;
/** Dots, drawings and tallies beyond this are no picture of a number any more. */
export const MOST_DOTS = 20;

/** Dots in the customary picture to nine, in rows of five beyond. */
export function dots(x: number, y: number, side: number, n: number): Mark[] {
  if (n <= 9) {
    return pipsOf(n).map(([px, py]) => dot(x + px * side, y + py * side, side * 0.075));
  }
  const step = side / 5.4;
  const rows = Math.ceil(n / 5);
  const top = y + (side - (rows - 1) * step) / 2;
  return Array.from({ length: n }, (_, i) =>
    dot(
      x + step * (0.7 + (i % 5)),
      top + step * Math.floor(i / 5),
      Math.min(step * 0.34, side * 0.06),
    ),
  );
}

/** Strokes in bundles of five. */
function tally(x: number, y: number, width: number, n: number): Mark[] {
  const step = Math.min(4.5, width / (n + 1));
  const height = step * 3;
  const left = x + (width - n * step) / 2;
  return Array.from({ length: n }, (_, i) =>
    i % 5 === 4
      ? line(left + (i - 4) * step - 0.5, y + height * 0.8, left + i * step, y + height * 0.2, {
          width: 0.9,
        })
      : line(left + i * step, y, left + i * step, y + height, { width: 0.9 }),
  );
}

/** A small ten frame with n filled. */
function frame(x: number, y: number, width: number, n: number): Mark[] {
  const cell = width / 5;
  return Array.from({ length: 10 }, (_, i): Mark[] => {
    const [cx, cy] = [x + (i % 5) * cell, y + Math.floor(i / 5) * cell];
    const mark = rect(cx, cy, cell, cell);
    return i < n ? [mark, dot(cx + cell / 2, cy + cell / 2, cell * 0.34)] : [mark];
  }).flat();
}

/** Two hands with as many fingers up, the first hand full before the second begins. */
function fingers(x: number, y: number, width: number, n: number): Mark[] {
  const scene = fingersScene(fingersFor(n, 'thumb'));
  const scale = width / scene.width;
  const hands = scene.under.map((hand) =>
    rect(x + hand.x * scale, y + hand.y * scale, hand.w * scale, hand.h * scale, {
      round: scale * 0.8,
      fill: 'light',
      width: 0.3,
    }),
  );
  return [
    ...hands,
    ...scene.pieces.map((one): Mark => {
      const turn = (one.turn * Math.PI) / 180;
      const [across, along] = [one.w / 2, Math.max(0, (one.h - one.w) / 2)];
      const at = (dx: number, dy: number): string =>
        [
          one.x + dx * Math.cos(turn) - dy * Math.sin(turn),
          one.y + dx * Math.sin(turn) + dy * Math.cos(turn),
        ]
          .map((value) => value.toFixed(3))
          .join(' ');
      const half = `A${across} ${across} 0 0 1 `;
      return {
        kind: 'path',
        path: `M${at(-across, -along)}${half}${at(across, -along)}L${at(across, along)}${half}${at(-across, along)}Z`,
        x,
        y,
        scale,
        width: 0.3,
        ink: 'black',
        fill: one.hidden ? 'light' : 'paper',
      };
    }),
  ];
}

const [WIDE, HIGH] = [CARD.width, CARD.height];

/** Each way of showing a number: the most that it can show, and how it is drawn. */
const WAYS: Readonly<
  Record<Face, { readonly most: number; draw(n: number, wish: SheetWish): CardFace }>
> = {
  numeral: {
    most: 100,
    draw: (n) => (x, y) => [centered(x + WIDE / 2, y + HIGH / 2, n < 10 ? 46 : 36, String(n))],
  },
  dots: {
    most: MOST_DOTS,
    draw: (n) => (x, y) => dots(x + 6, y + (HIGH - WIDE) / 2 + 6, WIDE - 12, n),
  },
  tally: {
    most: MOST_DOTS,
    draw: (n) => (x, y) => tally(x + 5, y + HIGH / 2 - 7, WIDE - 10, n),
  },
  fingers: {
    most: 10,
    draw: (n) => (x, y) => fingers(x + 3, y + HIGH / 2 - 15, WIDE - 6, n),
  },
  word: {
    most: 100,
    draw: (n) => (x, y) => {
      const said = numberWord(n);
      return [centered(x + WIDE / 2, y + HIGH / 2, said.length > 9 ? 8 : 11, said)];
    },
  },
  frame: { most: 10, draw: (n) => (x, y) => frame(x + 5, y + HIGH / 2 - 10, WIDE - 10, n) },
  sum: {
    most: MOST_DOTS,
    draw: (n, { seed }) => {
      const splits = splitsOf(n);
      const [a, b] = splits[Math.floor(seeded(seed * 59 + n)() * splits.length)] ?? [n, 0];
      return (x, y) => [centered(x + WIDE / 2, y + HIGH / 2, 16, `${a} + ${b}`)];
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
  title: 'Number cards',
  about: 'Each number in the ways that are chosen: cards that match, or the two sides of one.',
  asks: ['range', 'faces'],
  looks: [],
  make: (wish) => {
    const { low, high, faces, twoSided } = wish;
    const numbers = rangeOf(low, high);
    for (const face of faces) {
      const { most } = WAYS[face];
      if (high > most) {
        throw new RangeError(`${FACE_WORDS[face]} are drawn to ${most}: end the range there`);
      }
    }
    const cards = (face: Face): CardFace[] => numbers.map((n) => WAYS[face].draw(n, wish));
    const title = `Number cards ${low} to ${high}`;
    const [front, back] = faces;
    if (!twoSided || !front) {
      return {
        title,
        pages: cardPages(wish, CARD, faces.flatMap(cards), title),
        notes: ['Cut along the gray lines.'],
      };
    }
    if (!back || faces.length > 2) {
      throw new RangeError('two-sided cards take two ways: choose just two');
    }
    const pages = cardPages(wish, CARD, cards(front), title, cards(back));
    const edge = (pages[0]?.width ?? 0) > (pages[0]?.height ?? 0) ? 'short' : 'long';
    return {
      title,
      pages,
      notes: [`Print on both sides, turned over the ${edge} edge. Cut along the gray lines.`],
    };
  },
};
