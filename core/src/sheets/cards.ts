import { dominoSet, layOut, pipsOf } from '../numbers/index.js';
import type { SheetKind } from './kind.js';
import { type CardFace, cardPages, cellFor, gridFor } from './layout.js';
import { looseNumeral } from './numeral.js';
import { type Mark, circle, dot, line } from './page.js';
import { rangeOf } from './range.js';
import type { SheetWish } from './wish.js';

/** What a numeral takes up beside the rings, in millimeters. */
const BESIDE_MM = 36;

/** The card on which so many rings lie best: the most on a page. @throws RangeError where none fits */
function ringCard(
  wish: SheetWish,
  most: number,
): { columns: number; width: number; height: number } {
  const cell = cellFor(wish.materialMm);
  const cards = [1, 2, 3, 4, 5].map((columns) => ({
    columns,
    width: columns * cell + BESIDE_MM,
    height: Math.max(50, Math.ceil(most / columns) * cell + 8),
  }));
  const many = cards.map((card) => {
    try {
      const { columns, rows } = gridFor(wish.paper, card.width, card.height);
      return columns * rows;
    } catch {
      return 0;
    }
  });
  const best = Math.max(...many);
  if (best === 0) {
    throw new RangeError(`${most} things of ${wish.materialMm} mm are too many for one card`);
  }
  return cards[many.indexOf(best)] as (typeof cards)[number];
}

export const COUNTING_CARDS: SheetKind = {
  id: 'counting-cards',
  group: 'numbers',
  title: 'Counting cards',
  about: 'A numeral with as many rings to lay a thing on.',
  asks: ['range', 'material', 'laminate'],
  looks: [],
  ends: { most: 10 },
  make: (wish) => {
    const { low, high, materialMm } = wish;
    const numbers = rangeOf(low, high, 0, 10);
    const { columns, ...size } = ringCard(wish, Math.max(1, ...numbers));
    const cell = cellFor(materialMm);
    const faces = numbers.map((n): CardFace => (x, y) => [
      ...looseNumeral(x + BESIDE_MM / 2, y + size.height / 2, 34, BESIDE_MM - 8, n),
      ...Array.from({ length: n }, (_, i) =>
        circle(
          x + BESIDE_MM - 4 + (i % columns) * cell + cell / 2,
          y +
            (size.height - Math.ceil(n / columns) * cell) / 2 +
            Math.floor(i / columns) * cell +
            cell / 2,
          (materialMm + 2) / 2,
          { width: 0.8, ink: 'spruce' },
        ),
      ),
    ]);
    const title = `Counting cards ${low} to ${high}`;
    return {
      title,
      pages: cardPages(wish, size, faces, title),
      notes: [`${numbers.reduce((sum, n) => sum + n, 0)} things lie on all of them together.`],
    };
  },
};

const TILE = { width: 60, height: 30 } as const;

export const DOMINOES: SheetKind = {
  id: 'dominoes',
  group: 'games',
  title: 'Dominoes',
  about: 'A whole set to double the end of the range, or blank ones to draw on.',
  asks: ['range', 'laminate', 'outline'],
  looks: [
    ['pips', 'with dots'],
    ['numeral', 'with numerals'],
    ['blank', 'blank'],
  ],
  suits: { low: 0, high: 6 },
  ends: { most: 9 },
  make: (wish) => {
    const { low, high, look } = wish;
    rangeOf(low, high, 0, 9);
    const side = TILE.height;
    const half = (x: number, y: number, n: number): Mark[] =>
      look === 'blank'
        ? []
        : look === 'numeral'
          ? looseNumeral(x + side / 2, y + side / 2, 20, side - 8, n)
          : pipsOf(n).map(([px, py]) => dot(x + px * side, y + py * side, 2.7, 'blue'));
    const faces = dominoSet(high)
      .filter(([, b]) => b >= low)
      .map(([a, b]): CardFace => (x, y) => [
        line(x + side, y + 4, x + side, y + side - 4, { width: 0.7 }),
        ...half(x, y, a),
        ...half(x + side, y, b),
      ]);
    const title = low === 0 ? `Dominoes to double ${high}` : `Dominoes ${low} to ${high}`;
    return {
      title,
      pages: cardPages(wish, TILE, faces, title),
      notes: [`${faces.length} tiles; thin card or a backing makes them stand.`],
    };
  },
};

const SMALL = { width: 60, height: 80 } as const;

export const SCATTER_CARDS: SheetKind = {
  id: 'scatter-cards',
  group: 'numbers',
  title: 'Dot cards to glance at',
  about: 'The same amount in a row, in a ring, scattered, on a slant.',
  asks: ['range', 'seed', 'laminate', 'outline'],
  looks: [],
  suits: { high: 5 },
  ends: { most: 10 },
  make: (wish) => {
    const { low, high, seed } = wish;
    const numbers = rangeOf(Math.max(1, low), high, 1, 10);
    const faces = numbers.flatMap((n) =>
      (['row', 'ring', 'scatter', 'slant'] as const).map((layout, i): CardFace => {
        const { spots, width, height } = layOut(n, layout, seed + 31 * n + i);
        const scale = Math.min((SMALL.width - 8) / width, (SMALL.height - 8) / height, 20);
        return (x, y) =>
          spots.map((spot) =>
            dot(
              x + SMALL.width / 2 + (spot.x - width / 2) * scale,
              y + SMALL.height / 2 + (spot.y - height / 2) * scale,
              scale * 0.4,
              'blue',
            ),
          );
      }),
    );
    const title = `Dot cards ${low} to ${high}`;
    return { title, pages: cardPages(wish, SMALL, faces, title), notes: [] };
  },
};
