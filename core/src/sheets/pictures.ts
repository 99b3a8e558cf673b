import { HALF_FIGURES, UNIT_ORDER, alikeCards, repeatUnit } from '../measuring/index.js';
import { seeded } from '../numbers/index.js';
import { drawing } from './drawn.js';
import type { SheetKind } from './kind.js';
import { type CardFace, cardPages, onePage } from './layout.js';
import { type Mark, circle, line, middle, rect } from './page.js';

/** A shape of its own for each symbol, so that it reads in black and white. */
function token(symbol: string, x: number, y: number, side: number): Mark {
  const r = side * 0.4;
  switch (symbol) {
    case 'A':
      return circle(x, y, r, { fill: 'black', width: 0 });
    case 'B':
      return rect(x - r, y - r, 2 * r, 2 * r, { width: 0.8 });
    case 'C':
      return {
        kind: 'path',
        path: 'M0 -1L1 0.9H-1Z',
        x,
        y,
        scale: r,
        width: 0.5,
        ink: 'black',
        fill: 'light',
      };
    default:
      return circle(x, y, r, { width: 0.8, fill: 'gray' });
  }
}

export const PATTERN_STRIPS: SheetKind = {
  id: 'pattern-strips',
  title: 'Pattern strips',
  about: 'A pattern begun; empty places to go on.',
  asks: ['count', 'answers'],
  looks: UNIT_ORDER.map((unit): [string, string] => [unit, unit]),
  make: (wish) => {
    const { count, answers, look } = wish;
    const unit = [...(look || UNIT_ORDER[0])];
    const shown = Math.max(2 * unit.length, 6);
    const places = shown + 3;
    const cell = 18;
    const row = repeatUnit(unit, places);
    const face: CardFace = (x, y) =>
      row.flatMap((one, i): Mark[] => [
        rect(x + 4 + i * cell, y + 4, cell - 2, cell - 2, {
          round: 2,
          ink: i < shown ? 'light' : 'gray',
        }),
        ...(i < shown || answers
          ? [token(one, x + 4 + i * cell + (cell - 2) / 2, y + 4 + (cell - 2) / 2, cell - 4)]
          : []),
      ]);
    const title = `Pattern ${unit.join('')}`;
    const size = { width: 8 + places * cell, height: cell + 6 };
    return {
      title,
      pages: cardPages(
        wish,
        size,
        Array.from({ length: count }, () => face),
        title,
      ),
      notes: ['Two whole units are shown, so that only one thing can come next.'],
    };
  },
};

export const COPY_GRIDS: SheetKind = {
  id: 'copy-grids',
  title: 'Grids to copy',
  about: 'A grid laid with shapes, and an empty one beside it.',
  asks: ['count'],
  looks: [
    ['2', '2 by 2'],
    ['3', '3 by 3'],
  ],
  make: (wish) => {
    const { count, seed, look } = wish;
    const n = look === '3' ? 3 : 2;
    const random = seeded(seed);
    const cell = 26;
    const side = n * cell;
    const faces = Array.from({ length: count }, (): CardFace => {
      const cells = Array.from({ length: n * n }, () => 'ABC'[Math.floor(random() * 3)] ?? 'A');
      return (x, y) =>
        [0, 1].flatMap((which) =>
          cells.flatMap((one, i): Mark[] => {
            const [cx, cy] = [
              x + 5 + which * (side + 8) + (i % n) * cell,
              y + 5 + Math.floor(i / n) * cell,
            ];
            return [
              rect(cx, cy, cell, cell),
              ...(which === 0 ? [token(one, cx + cell / 2, cy + cell / 2, cell - 6)] : []),
            ];
          }),
        );
    });
    const title = `Grids of ${n} by ${n}`;
    const size = { width: 2 * side + 18, height: side + 10 };
    return { title, pages: cardPages(wish, size, faces, title), notes: [] };
  },
};

export const ALIKE_CARDS: SheetKind = {
  id: 'alike-cards',
  title: 'Find the one that is alike',
  about: 'A drawing, and four to find it among; or their shadows.',
  asks: ['count', 'answers'],
  looks: [
    ['picture', 'pictures'],
    ['shadow', 'shadows'],
  ],
  make: (wish) => {
    const { count, seed, answers, look } = wish;
    const size = { width: 180, height: 44 };
    const faces = alikeCards(count, seed).map(({ sought, among }): CardFace => (x, y) => {
      return [
        ...drawing(sought.id, x + 5, y + 6, 32),
        line(x + 42, y + 4, x + 42, y + 40, { ink: 'light' }),
        ...among.flatMap((one, i): Mark[] => [
          ...drawing(one.id, x + 47 + i * 33, y + 8, 28, look === 'shadow'),
          ...(answers && one === sought
            ? [circle(x + 61 + i * 33, y + 22, 19, { ink: 'gray' })]
            : []),
        ]),
      ];
    });
    const title = look === 'shadow' ? 'Which shadow?' : 'Which is alike?';
    return { title, pages: cardPages(wish, size, faces, title), notes: [] };
  },
};

export const HALF_PICTURES: SheetKind = {
  id: 'half-pictures',
  title: 'Half pictures',
  about: 'One side of a figure and the line; a mirror on it shows the other.',
  asks: ['answers'],
  looks: HALF_FIGURES.map((one): [string, string] => [one.id, one.name]),
  make: ({ paper, seed, look, answers }) => {
    const figure = HALF_FIGURES.find((one) => one.id === look) ?? HALF_FIGURES[0];
    const { x, y } = middle(paper);
    const scale = 15;
    const path = (side: 1 | -1): string =>
      `M${(figure?.half ?? []).map((p) => `${side * p.x} ${p.y - 6}`).join('L')}`;
    const drawn = (side: 1 | -1, ink: 'black' | 'gray'): Mark => ({
      kind: 'path',
      path: path(side),
      x,
      y,
      scale,
      width: 1.1,
      ink,
      fill: null,
      ...(side === -1 ? { dash: [2, 2] as const } : {}),
    });
    const marks: Mark[] = [
      line(x, y - 100, x, y + 100, { width: 0.5, dash: [4, 3], ink: 'gray' }),
      drawn(1, 'black'),
      ...(answers ? [drawn(-1, 'gray')] : []),
    ];
    const title = `Half of ${figure?.name ?? 'a figure'}`;
    return onePage({ paper, seed }, false, title, marks, ['Use a safety mirror of acrylic.']);
  },
};
