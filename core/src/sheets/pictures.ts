import {
  DRAWINGS,
  HALF_FIGURES,
  UNIT_ORDER,
  alikeCards,
  growingRow,
  repeatUnit,
} from '../measuring/index.js';
import { seeded, shuffled } from '../numbers/index.js';
import { drawing } from './drawn.js';
import type { SheetKind } from './kind.js';
import { type CardFace, cardPages, onePage } from './layout.js';
import { type Ink, type Mark, areaOf, circle, dot, line, middle, pageOf, rect } from './page.js';
import type { SheetWish } from './wish.js';

/** Pieces of patterns: a shape and a fill, so that they stay apart in black and white. */
const SHAPES = ['round', 'square', 'triangle', 'drop'] as const;
const FILLS = ['blue', 'straw', 'paper', 'orange'] as const;
interface Token {
  readonly shape: (typeof SHAPES)[number];
  readonly fill: (typeof FILLS)[number];
}

const PATHS: Readonly<Record<string, string>> = {
  triangle: 'M0 -1L1 0.85H-1Z',
  drop: 'M0 -1.05C0.5 -0.4 0.85 0 0.85 0.35A0.8 0.72 0 0 1 -0.85 0.35C-0.85 0 -0.5 -0.4 0 -1.05Z',
};

/** A piece with its middle at x, y. */
function token({ shape, fill }: Token, x: number, y: number, side: number): Mark {
  const r = side * 0.4;
  const style = { width: 0.8, fill, ink: 'black' as Ink };
  if (shape === 'round') return circle(x, y, r, style);
  if (shape === 'square')
    return rect(x - r * 0.9, y - r * 0.9, 1.8 * r, 1.8 * r, { ...style, round: 1 });
  return { kind: 'path', path: PATHS[shape] ?? '', x, y, scale: r, ...style };
}

/** Pieces for the letters of a unit: no two of one shape, no two of one fill. */
function piecesFor(letters: readonly string[], seed: number): ReadonlyMap<string, Token> {
  const [shapes, fills] = [shuffled(SHAPES, seed), shuffled(FILLS, seed * 13 + 5)];
  return new Map(
    [...new Set(letters)].map((letter, i) => [
      letter,
      { shape: shapes[i % 4] as Token['shape'], fill: fills[i % 4] as Token['fill'] },
    ]),
  );
}

const CELL = 20;

/** Strips with a row of pieces, some places open; each strip has pieces of its own. */
function stripCards(
  { count, seed }: Pick<SheetWish, 'count' | 'seed'>,
  rowOf: (strip: number) => { row: readonly string[]; open: ReadonlySet<number> },
): { faces: CardFace[]; backs: CardFace[]; places: number } {
  const strips = Array.from({ length: count }, (_, i) => {
    const { row, open } = rowOf(i);
    return { row, open, pieces: piecesFor(row, seed * 41 + i) };
  });
  const places = Math.max(...strips.map(({ row }) => row.length));
  const drawn =
    (isKey: boolean) =>
    ({ row, open, pieces }: (typeof strips)[number]): CardFace =>
    (x, y) =>
      row.flatMap((one, i): Mark[] => {
        const [left, top] = [x + 4 + i * CELL, y + 4];
        const piece = pieces.get(one);
        return [
          ...(open.has(i)
            ? [rect(left + 0.5, top + 0.5, CELL - 1, CELL - 1, { round: 2, ink: 'spruce' })]
            : []),
          ...(piece && (isKey || !open.has(i))
            ? [token(piece, left + CELL / 2, top + CELL / 2, CELL - 2)]
            : []),
        ];
      });
  return { faces: strips.map(drawn(false)), backs: strips.map(drawn(true)), places };
}

const MOST_PLACES = 12;
const GROWING = 'grows';
const openFrom = (from: number, to: number): ReadonlySet<number> =>
  new Set(Array.from({ length: to - from }, (_, i) => from + i));

export const PATTERN_STRIPS: SheetKind = {
  id: 'pattern-strips',
  group: 'patterns',
  title: 'Pattern strips',
  about: 'A pattern begun and empty places to go on; the key is on the back.',
  asks: ['count', 'seed', 'answers', 'laminate', 'outline'],
  looks: [
    ...UNIT_ORDER.map((unit): [string, string] => [unit, unit]),
    ['ABCD', 'ABCD'],
    [GROWING, 'one that grows'],
  ],
  suits: { count: 6 },
  make: (wish) => {
    const { answers, look } = wish;
    const unit = [...(look || UNIT_ORDER[0])];
    const isGrowing = look === GROWING;
    const row = isGrowing
      ? growingRow(4).slice(0, MOST_PLACES)
      : repeatUnit(unit, Math.max(2 * unit.length, 6) + 4);
    const shown = isGrowing ? 9 : row.length - 4;
    const { faces, backs, places } = stripCards(wish, () => ({
      row,
      open: openFrom(shown, row.length),
    }));
    const title = isGrowing ? 'A pattern that grows' : `Pattern ${unit.join('')}`;
    const size = { width: 8 + places * CELL, height: CELL + 8 };
    return {
      title,
      pages: cardPages(wish, size, faces, title, answers ? backs : []),
      notes: isGrowing
        ? ['Its second part is one longer each time.']
        : ['Two whole units are shown, so that only one thing can come next.'],
    };
  },
};

export const COLOR_ROWS: SheetKind = {
  id: 'color-rows',
  group: 'patterns',
  title: 'Rows to match and to copy',
  about: 'A row of pieces, and empty places below to lay the same, place by place; or two to pair.',
  asks: ['count', 'seed', 'laminate', 'outline'],
  looks: [
    ['copy', 'to copy'],
    ['match', 'pairs to match'],
  ],
  suits: { count: 6 },
  make: (wish) => {
    const { count, seed, look } = wish;
    const letters = ['A', 'B', 'C'];
    const isPair = look === 'match';
    const places = isPair ? 4 : 6;
    const random = seeded(seed);
    const seen = new Set<string>();
    const rowOf = (): string[] => {
      for (let attempt = 0; attempt < 200; attempt++) {
        const row = Array.from(
          { length: places },
          () => letters[Math.floor(random() * 3)] as string,
        );
        const key = row.join('');
        if (new Set(row).size > 1 && !seen.has(key)) {
          seen.add(key);
          return row;
        }
      }
      return letters;
    };
    const rows = Array.from({ length: count }, rowOf);
    const pieces = piecesFor(letters, seed);
    const face =
      (row: readonly string[]): CardFace =>
      (x, y) =>
        row.flatMap((one, i): Mark[] => {
          const left = x + 4 + i * CELL;
          const piece = pieces.get(one);
          return [
            ...(piece ? [token(piece, left + CELL / 2, y + 4 + CELL / 2, CELL - 2)] : []),
            ...(isPair
              ? []
              : [rect(left + 0.5, y + CELL + 8, CELL - 1, CELL - 1, { round: 2, ink: 'spruce' })]),
          ];
        });
    const size = { width: 8 + places * CELL, height: isPair ? CELL + 8 : 2 * CELL + 12 };
    const faces = rows.map(face);
    const title = isPair ? 'Rows in pairs' : 'Rows to copy';
    return {
      title,
      pages: cardPages(wish, size, isPair ? [...faces, ...faces] : faces, title),
      notes: isPair ? [] : ['If it is hard, go place by place with a finger.'],
    };
  },
};

export const COPY_GRIDS: SheetKind = {
  id: 'copy-grids',
  group: 'patterns',
  title: 'Grids to copy',
  about: 'A grid laid with shapes, and an empty one beside it.',
  asks: ['count', 'seed', 'laminate', 'outline'],
  looks: [
    ['2', '2 by 2'],
    ['3', '3 by 3'],
  ],
  make: (wish) => {
    const { count, seed, look } = wish;
    const n = look === '3' ? 3 : 2;
    const random = seeded(seed);
    const cell = 28;
    const side = n * cell;
    const faces = Array.from({ length: count }, (_, k): CardFace => {
      const cells = Array.from({ length: n * n }, () => 'ABC'[Math.floor(random() * 3)] ?? 'A');
      const pieces = piecesFor(['A', 'B', 'C'], seed * 7 + k);
      return (x, y) =>
        [0, 1].flatMap((which) =>
          cells.flatMap((one, i): Mark[] => {
            const [cx, cy] = [
              x + 5 + which * (side + 8) + (i % n) * cell,
              y + 5 + Math.floor(i / n) * cell,
            ];
            const piece = pieces.get(one);
            return [
              rect(cx, cy, cell, cell, { width: 0.8, ink: 'spruce' }),
              ...(which === 0 && piece
                ? [token(piece, cx + cell / 2, cy + cell / 2, cell - 5)]
                : []),
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
    return {
      title: 'Both-sides mat',
      pages: [pageOf(paper, true, marks, { title: 'Both-sides mat', seed })],
      notes: [],
    };
  },
};
