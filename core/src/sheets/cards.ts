import { dominoSet, layOut, pipsOf, seeded, splitsOf } from '../numbers/index.js';
import { type CardFace, cardPages, cellFor, gridFor } from './layout.js';
import { dots, looseNumeral } from './numeral.js';
import {
  type Mark,
  type Sheet,
  areaOf,
  centered,
  circle,
  dot,
  line,
  pageOf,
  text,
} from './page.js';
import type { SheetKind } from './kind.js';
import { rangeOf } from './range.js';
import { fitted } from './type.js';
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

/** Two amounts of dots one after the other in rows of five: solid blue, and orange rings. */
function twoColors(x: number, y: number, step: number, a: number, b: number): Mark[] {
  return Array.from({ length: a + b }, (_, i): Mark => {
    const [cx, cy] = [x + (i % 5) * step, y + Math.floor(i / 5) * step];
    return i < a
      ? dot(cx, cy, step * 0.38, 'blue')
      : circle(cx, cy, step * 0.33, { width: step * 0.1, ink: 'orange', fill: 'paper' });
  });
}

const WAY = { width: 90, height: 66 } as const;

export const PAIR_DOTS: SheetKind = {
  id: 'bond-dots',
  group: 'numbers',
  title: 'Two-color dot cards',
  about: 'Every way to make a number of two parts, solid and ringed; its sentence on the back.',
  asks: ['range', 'answers', 'laminate'],
  looks: [],
  suits: { low: 1, high: 5 },
  ends: { most: 10 },
  make: (wish) => {
    const { high, answers } = wish;
    const [whole = 1] = rangeOf(high, high, 1, 10);
    const splits = splitsOf(whole);
    const step = 15;
    const faces = splits.map(([a, b]): CardFace => (x, y) => {
      const rows = Math.ceil(whole / 5);
      const wide = (Math.min(5, whole) - 1) * step;
      return twoColors(
        x + (WAY.width - wide) / 2,
        y + (WAY.height - (rows - 1) * step) / 2,
        step,
        a,
        b,
      );
    });
    const backs = splits.map(([a, b]): CardFace => (x, y) => [
      centered(x + WAY.width / 2, y + WAY.height / 2, 15, `${a} + ${b} = ${whole}`),
    ]);
    const title = `Ways to make ${whole}`;
    return {
      title,
      pages: cardPages(wish, WAY, faces, title, answers ? backs : []),
      notes: ['Solid and ringed stay apart in black and white too.'],
    };
  },
};

export const DOUBLES_CARDS: SheetKind = {
  id: 'doubles-cards',
  group: 'numbers',
  title: 'Doubles cards',
  about: 'The same amount on both sides of a line, as in a mirror; its sentence on the back.',
  asks: ['range', 'answers', 'laminate', 'outline'],
  looks: [
    ['dots', 'both sides'],
    ['half', 'one side, for a mirror'],
  ],
  suits: { low: 1, high: 5 },
  ends: { most: 10 },
  make: (wish) => {
    const { low, high, answers, look } = wish;
    const numbers = rangeOf(low, high, 1, 10);
    const size = { width: 90, height: 56 };
    const side = 38;
    const faces = numbers.map((n): CardFace => (x, y) => [
      line(x + 45, y + 5, x + 45, y + 51, { width: 0.8, dash: [2.5, 2], ink: 'spruce' }),
      ...dots(x + 3.5, y + 9, side, n),
      ...(look === 'half'
        ? []
        : dots(x + 3.5, y + 9, side, n, 'orange').map((mark): Mark =>
            mark.kind === 'circle' ? { ...mark, x: 2 * (x + 45) - mark.x } : mark,
          )),
    ]);
    const backs = numbers.map((n): CardFace => (x, y) => [
      centered(x + 45, y + 28, 15, `${n} + ${n} = ${2 * n}`),
    ]);
    const title = `Doubles ${low} to ${high}`;
    return {
      title,
      pages: cardPages(wish, size, faces, title, answers ? backs : []),
      notes: look === 'half' ? ['Use a safety mirror of acrylic.'] : [],
    };
  },
};

export const SUM_CARDS: SheetKind = {
  id: 'sum-cards',
  group: 'numbers',
  title: 'Sum cards',
  about: 'Sums without pictures, each once; what they make is on the back.',
  asks: ['range', 'count', 'seed', 'answers', 'laminate'],
  looks: [
    ['plus', 'plus'],
    ['minus', 'minus'],
    ['both', 'both'],
  ],
  suits: { low: 2, high: 5, count: 12 },
  ends: { least: 2, most: 20 },
  make: (wish) => {
    const { low, high, count, seed, look, answers } = wish;
    const wholes = rangeOf(low, high, 0, 20);
    const all = wholes.flatMap((whole) =>
      splitsOf(whole).flatMap(([a, b]) => [
        ...(look === 'minus' ? [] : [[`${a} + ${b}`, whole] as const]),
        ...(look === 'plus' ? [] : [[`${whole} − ${a}`, b] as const]),
      ]),
    );
    const random = seeded(seed);
    const sums = all
      .map((sum) => [random(), sum] as const)
      .sort(([a], [b]) => a - b)
      .slice(0, count)
      .map(([, sum]) => sum);
    const size = { width: 60, height: 40 };
    const faces = sums.map(([said]): CardFace => (x, y) => [
      centered(x + 30, y + 20, fitted(said, 50, 17).size, said),
    ]);
    const backs = sums.map(
      ([, makes]): CardFace =>
        (x, y) =>
          looseNumeral(x + 30, y + 20, 24, 50, makes),
    );
    const title = `Sums to ${high}`;
    return {
      title,
      pages: cardPages(wish, size, faces, title, answers ? backs : []),
      notes: sums.length < count ? [`There are just ${sums.length} different ones.`] : [],
    };
  },
};

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
