import type { SheetKind } from './kind.js';
import { type CardFace, cardPages } from './layout.js';
import { dots, looseNumeral } from './numeral.js';
import { type Mark, type Sheet, areaOf, circle, pageOf, text } from './page.js';
import { rangeOf } from './range.js';
import { fitted } from './type.js';
import type { SheetWish } from './wish.js';

export const NUMBER_LABELS: SheetKind = {
  id: 'box-labels',
  group: 'numbers',
  title: 'Number labels',
  about: 'Small numerals to stick on cups, cars, snails and boxes.',
  asks: ['range', 'laminate', 'outline'],
  looks: [],
  make: (wish) => {
    const { low, high } = wish;
    const size = { width: 30, height: 30 };
    const faces = rangeOf(low, high).map(
      (n): CardFace =>
        (x, y) =>
          looseNumeral(x + 15, y + 15, 20, 23, n),
    );
    const title = `Labels ${low} to ${high}`;
    return { title, pages: cardPages(wish, size, faces, title), notes: [] };
  },
};

export const CUP_LINERS: SheetKind = {
  id: 'cup-liners',
  group: 'numbers',
  title: 'Cup liners',
  about: 'Round numerals that lie in the cups of a muffin tin or an egg box.',
  asks: ['range', 'side', 'outline'],
  looks: [
    ['numeral', 'numerals'],
    ['dots', 'dots'],
  ],
  suits: { materialMm: 45 },
  ends: { most: 20 },
  make: ({ paper, low, high, materialMm, seed, look }) => {
    const numbers = rangeOf(low, high, 0, 20);
    const area = areaOf(paper, false);
    const pitch = materialMm + 3;
    const columns = Math.floor(area.width / pitch);
    const rows = Math.floor(area.height / pitch);
    if (columns * rows === 0) throw new RangeError('such a cup is wider than the paper');
    const many = columns * rows;
    const left = area.x + (area.width - columns * pitch) / 2;
    const title = `Cup liners ${low} to ${high}`;
    const pages = Array.from({ length: Math.ceil(numbers.length / many) }, (_, p) =>
      pageOf(
        paper,
        false,
        numbers.slice(p * many, (p + 1) * many).flatMap((n, i): Mark[] => {
          const x = left + ((i % columns) + 0.5) * pitch;
          const y = area.y + (Math.floor(i / columns) + 0.5) * pitch;
          const side = materialMm * 0.68;
          return [
            circle(x, y, materialMm / 2, { ink: 'gray' }),
            ...(look === 'dots'
              ? dots(x - side / 2, y - side / 2, side, n)
              : looseNumeral(x, y, materialMm * 0.6, materialMm * 0.62, n)),
          ];
        }),
        { title, seed },
      ),
    );
    return { title, pages, notes: ['Measure the bottom of a cup: that is the side to choose.'] };
  },
};

const LABEL = { width: 90, height: 40 } as const;
const MOST_NAMED = 3;

/** A label for each box of materials: what it is called, and what lies in it. */
export function materialsLabels(
  wish: SheetWish,
  boxes: readonly { readonly name: string; readonly materials: readonly string[] }[],
): Sheet {
  const wide = LABEL.width - 12;
  const faces = boxes.map(({ name, materials }): CardFace => (x, y) => {
    const head = fitted(name, wide, 9, true);
    return [
      text(x + 6, y + 14, head.size, head.said, { anchor: 'start', bold: true }),
      ...materials.slice(0, MOST_NAMED).map((material, i) => {
        const isLast = i === MOST_NAMED - 1 && materials.length > MOST_NAMED;
        const { size, said } = fitted(
          isLast ? `and ${materials.length - MOST_NAMED + 1} more` : material,
          wide,
          4,
        );
        return text(x + 6, y + 22 + i * 5.6, size, said, { anchor: 'start', ink: 'gray' });
      }),
    ];
  });
  const title = 'Boxes of materials';
  return { title, pages: cardPages(wish, LABEL, faces, title), notes: [] };
}
