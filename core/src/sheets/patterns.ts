import { UNIT_ORDER, growingRow, repeatUnit } from '../measuring/index.js';
import { seeded } from '../numbers/index.js';
import type { SheetKind } from './kind.js';
import { type CardFace, cardPages } from './layout.js';
import { type Mark, rect } from './page.js';
import { piecesFor, token } from './tokens.js';
import type { SheetWish } from './wish.js';

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
