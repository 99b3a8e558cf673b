import { DRAWINGS, HALF_FIGURES, alikeCards } from '../measuring/index.js';
import { shuffled } from '../numbers/index.js';
import { drawing } from './drawn.js';
import type { SheetKind } from './kind.js';
import { type CardFace, cardPages, onePage } from './layout.js';
import { type Mark, areaOf, dot, line, middle, rect } from './page.js';
import { FILLS, SHAPES, token } from './tokens.js';

export const ALIKE_CARDS: SheetKind = {
  id: 'alike-cards',
  group: 'patterns',
  title: 'Find the one that is alike',
  about: 'A drawing, and four to find it among; or their shadows. The key is on the back.',
  asks: ['count', 'seed', 'answers', 'laminate', 'outline'],
  looks: [
    ['picture', 'pictures'],
    ['shadow', 'shadows'],
  ],
  make: (wish) => {
    const { count, seed, answers, look } = wish;
    const size = { width: 184, height: 46 };
    const cards = alikeCards(count, seed);
    const faces = cards.map(({ sought, among }): CardFace => (x, y) => [
      ...drawing(sought.id, x + 5, y + 6, 34),
      line(x + 44, y + 4, x + 44, y + 42, { ink: 'spruce' }),
      ...among.flatMap((one, i): Mark[] =>
        drawing(one.id, x + 49 + i * 34, y + 8, 30, look === 'shadow'),
      ),
    ]);
    // Turned over, the dot lies behind the right one.
    const backs = cards.map(({ sought, among }): CardFace => (x, y) => [
      dot(x + 184 - 64 - among.indexOf(sought) * 34, y + 23, 5, 'spruce'),
    ]);
    const title = look === 'shadow' ? 'Which shadow?' : 'Which is alike?';
    return {
      title,
      pages: cardPages(wish, size, faces, title, answers ? backs : []),
      notes: answers ? ['The dot on the back lies behind the right one.'] : [],
    };
  },
};

export const JOIN_SHAPES: SheetKind = {
  id: 'join-shapes',
  group: 'patterns',
  title: 'Join what belongs together',
  about: 'Pictures at the left, the same or their shadows at the right: a line joins each pair.',
  asks: ['seed', 'answers', 'outline'],
  looks: [
    ['shadow', 'pictures and shadows'],
    ['same', 'the same picture'],
    ['shape', 'shapes and the same shape'],
  ],
  each: true,
  make: ({ paper, seed, look, answers }) => {
    const area = areaOf(paper, false);
    const many = 5;
    const tall = area.height / many;
    const side = Math.min(tall - 8, 46);
    const ids = shuffled(
      look === 'shape' ? SHAPES.map((_, i) => i) : DRAWINGS.map((_, i) => i),
      seed,
    ).slice(0, many);
    const others = shuffled(ids, seed * 17 + 3);
    const put = (id: number, x: number, y: number, isRight: boolean): Mark[] =>
      look === 'shape'
        ? [
            token(
              { shape: SHAPES[id] ?? 'round', fill: isRight ? 'paper' : (FILLS[id] ?? 'blue') },
              x + side / 2,
              y + side / 2,
              side,
            ),
          ]
        : drawing(DRAWINGS[id]?.id ?? '', x, y, side, isRight && look === 'shadow');
    const rows = ids.length;
    const step = area.height / rows;
    const right = area.x + area.width - side - 6;
    const marks = ids.flatMap((id, i): Mark[] => {
      const y = area.y + i * step + (step - side) / 2;
      const to = area.y + (others.indexOf(id) + 0.5) * step;
      return [
        ...put(id, area.x + 6, y, false),
        ...put(others[i] ?? id, right, y, true),
        dot(area.x + side + 16, y + side / 2, 2, 'spruce'),
        dot(right - 10, y + side / 2, 2, 'spruce'),
        ...(answers
          ? [line(area.x + side + 16, y + side / 2, right - 10, to, { ink: 'gray', width: 0.6 })]
          : []),
      ];
    });
    return onePage({ paper, seed }, false, 'Join what belongs together', marks);
  },
};

const SORT_SIZES = [0.62, 1] as const;

export const SORT_CARDS: SheetKind = {
  id: 'sort-cards',
  group: 'patterns',
  title: 'Sorting cards',
  about: 'Shapes in several fills and two sizes: to sort by shape, by color, by size.',
  asks: ['laminate', 'outline'],
  looks: [
    ['all', 'shape, color and size'],
    ['large', 'shape and color'],
  ],
  make: (wish) => {
    const sizes = wish.look === 'large' ? [1] : SORT_SIZES;
    const size = { width: 45, height: 45 };
    const faces = SHAPES.flatMap((shape) =>
      FILLS.slice(0, 3).flatMap((fill) =>
        sizes.map((part): CardFace => (x, y) => [
          token({ shape, fill }, x + 22.5, y + 22.5, 44 * part),
        ]),
      ),
    );
    const title = 'Sorting cards';
    return {
      title,
      pages: cardPages(wish, size, faces, title),
      notes: ['The sorting mat goes with them.'],
    };
  },
};

export const HALF_PICTURES: SheetKind = {
  id: 'half-pictures',
  group: 'patterns',
  title: 'Half pictures',
  about: 'One side of a figure and the line; a mirror on it shows the other.',
  asks: ['answers', 'outline'],
  looks: HALF_FIGURES.map((one): [string, string] => [one.id, one.name]),
  make: ({ paper, seed, look, answers }) => {
    const figure = HALF_FIGURES.find((one) => one.id === look) ?? HALF_FIGURES[0];
    const { x, y } = middle(paper);
    const scale = 19;
    const path = (side: 1 | -1): string =>
      `M${(figure?.half ?? []).map((p) => `${side * p.x} ${p.y - 6}`).join('L')}`;
    const drawn = (side: 1 | -1): Mark => ({
      kind: 'path',
      path: path(side),
      x,
      y,
      scale,
      width: 1.6,
      ink: side === 1 ? 'black' : 'gray',
      fill: side === 1 ? 'straw' : null,
      ...(side === -1 ? { dash: [2, 2] as const } : {}),
    });
    const marks: Mark[] = [
      drawn(1),
      ...(answers ? [drawn(-1)] : []),
      line(x, y - 122, x, y + 122, { width: 0.8, dash: [4, 3], ink: 'spruce' }),
    ];
    const title = `Half of ${figure?.name ?? 'a figure'}`;
    return onePage({ paper, seed }, false, title, marks, ['Use a safety mirror of acrylic.']);
  },
};

/** A line in the middle, and room on both sides; a grid to lay pieces on. */
export const BOTH_SIDES_MAT: SheetKind = {
  id: 'both-sides-mat',
  group: 'patterns',
  title: 'Both-sides mat',
  about: 'A grid with a line through its middle: one lays a side, the other answers across.',
  asks: ['material'],
  looks: [
    ['upright', 'upright line'],
    ['slanting', 'slanting line'],
  ],
  make: ({ paper, seed, materialMm, look }) => {
    const area = areaOf(paper, true);
    const cell = Math.max(12, materialMm * 1.2);
    const rows = Math.min(8, Math.floor(area.height / cell));
    const half = Math.min(5, Math.floor(area.width / 2 / cell));
    const columns = look === 'slanting' ? rows : 2 * half;
    if (rows < 2 || half < 2) {
      throw new RangeError(`things of ${materialMm} mm are too large for this mat`);
    }
    const [w, h] = [columns * cell, rows * cell];
    const [x, y] = [area.x + (area.width - w) / 2, area.y + (area.height - h) / 2];
    const marks: Mark[] = Array.from({ length: rows * columns }, (_, i) =>
      rect(x + (i % columns) * cell, y + Math.floor(i / columns) * cell, cell, cell, {
        ink: 'gray',
      }),
    );
    marks.push(
      look === 'slanting'
        ? line(x, y, x + w, y + h, { width: 1.8, ink: 'spruce' })
        : line(x + w / 2, y, x + w / 2, y + h, { width: 1.8, ink: 'spruce' }),
    );
    return onePage({ paper, seed }, true, 'Both-sides mat', marks);
  },
};
