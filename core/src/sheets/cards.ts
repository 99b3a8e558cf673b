import { dominoSet, layOut, pipsOf } from '../numbers/index.js';
import { type CardFace, cardPages, cellFor } from './layout.js';
import { type Mark, type Sheet, centered, circle, dot, line, text } from './page.js';
import type { SheetKind } from './kind.js';
import { rangeOf } from './range.js';
import type { SheetWish } from './wish.js';

const SMALL = { width: 45, height: 60 } as const;

export const COUNTING_CARDS: SheetKind = {
  id: 'counting-cards',
  title: 'Counting cards',
  about: 'A numeral with as many rings to lay a thing on.',
  asks: ['range', 'material'],
  looks: [],
  make: (wish) => {
    const { low, high, materialMm } = wish;
    const numbers = rangeOf(Math.max(1, low), high);
    const most = Math.max(...numbers);
    if (most > 10) throw new RangeError('rings are drawn to ten: end the range there');
    const cell = cellFor(materialMm);
    const columns = most > 5 ? 2 : 1;
    const size = {
      width: columns * cell + 34,
      height: Math.max(50, Math.ceil(most / columns) * cell + 8),
    };
    const faces = numbers.map((n): CardFace => (x, y) => [
      centered(x + 16, y + size.height / 2, 26, String(n)),
      ...Array.from({ length: n }, (_, i) =>
        circle(
          x + 30 + (i % columns) * cell + cell / 2,
          y + 4 + Math.floor(i / columns) * cell + cell / 2,
          (materialMm + 2) / 2,
          { ink: 'gray' },
        ),
      ),
    ]);
    const title = `Counting cards to ${high}`;
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
  title: 'Dominoes',
  about: 'A whole set to double the end of the range, or blank ones to draw on.',
  asks: ['range'],
  looks: [
    ['pips', 'with dots'],
    ['numeral', 'with numerals'],
    ['blank', 'blank'],
  ],
  make: (wish) => {
    const { high, look } = wish;
    const highest = Math.min(9, high);
    const side = TILE.height;
    const half = (x: number, y: number, n: number): Mark[] =>
      look === 'blank'
        ? []
        : look === 'numeral'
          ? [centered(x + side / 2, y + side / 2, 18, String(n))]
          : pipsOf(n).map(([px, py]) => dot(x + px * side, y + py * side, 2.1));
    const faces = dominoSet(highest).map(([a, b]): CardFace => (x, y) => [
      line(x + side, y + 4, x + side, y + side - 4, { width: 0.5 }),
      ...half(x, y, a),
      ...half(x + side, y, b),
    ]);
    const title = `Dominoes to double ${highest}`;
    return {
      title,
      pages: cardPages(wish, TILE, faces, title),
      notes: [`${faces.length} tiles; thin card or a backing makes them stand.`],
    };
  },
};

export const SCATTER_CARDS: SheetKind = {
  id: 'scatter-cards',
  title: 'Dot cards to glance at',
  about: 'The same amount in a row, in a ring, scattered, on a slant.',
  asks: ['range'],
  looks: [],
  make: (wish) => {
    const { low, high, seed } = wish;
    const numbers = rangeOf(Math.max(1, low), Math.min(10, high));
    const faces = numbers.flatMap((n) =>
      (['row', 'ring', 'scatter', 'slant'] as const).map((layout, i): CardFace => {
        const { spots, width, height } = layOut(n, layout, seed + 31 * n + i);
        const scale = Math.min((SMALL.width - 8) / width, (SMALL.height - 8) / height, 7);
        return (x, y) =>
          spots.map((spot) =>
            dot(
              x + SMALL.width / 2 + (spot.x - width / 2) * scale,
              y + SMALL.height / 2 + (spot.y - height / 2) * scale,
              scale * 0.42,
            ),
          );
      }),
    );
    const title = `Dot cards ${low} to ${high}`;
    return { title, pages: cardPages(wish, SMALL, faces, title), notes: [] };
  },
};

export const BOX_LABELS: SheetKind = {
  id: 'box-labels',
  title: 'Labels for boxes',
  about: 'Labels for the boxes of materials.',
  asks: ['range'],
  looks: [],
  make: (wish) => {
    const { low, high } = wish;
    const size = { width: 60, height: 30 };
    const faces = rangeOf(low, high).map((n): CardFace => (x, y) => [
      text(x + 6, y + 19, 9, 'box', { anchor: 'start', ink: 'gray' }),
      centered(x + 42, y + 15, 20, String(n)),
    ]);
    const title = `Labels ${low} to ${high}`;
    return { title, pages: cardPages(wish, size, faces, title), notes: [] };
  },
};

const LABEL = { width: 90, height: 40 } as const;
const MOST_NAMED = 3;

/** A label for each box of materials: what it is called, and what lies in it. */
export function materialsLabels(
  wish: SheetWish,
  boxes: readonly { readonly name: string; readonly materials: readonly string[] }[],
): Sheet {
  const faces = boxes.map(({ name, materials }): CardFace => (x, y) => [
    text(x + 6, y + 14, Math.min(9, 140 / Math.max(8, name.length)), name, {
      anchor: 'start',
      bold: true,
    }),
    ...materials
      .slice(0, MOST_NAMED)
      .map((material, i) =>
        text(
          x + 6,
          y + 22 + i * 5.6,
          Math.min(4, 150 / Math.max(30, material.length)),
          i === MOST_NAMED - 1 && materials.length > MOST_NAMED
            ? `and ${materials.length - MOST_NAMED + 1} more`
            : material,
          { anchor: 'start', ink: 'gray' },
        ),
      ),
  ]);
  const title = 'Boxes of materials';
  return { title, pages: cardPages(wish, LABEL, faces, title), notes: [] };
}
