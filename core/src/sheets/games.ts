import { pipsOf, seeded, shuffled } from '../numbers/index.js';
import type { SheetKind } from './kind.js';
import { type CardFace, cardPages, fitFor, onePage } from './layout.js';
import { LINE_MM, type Mark, areaOf, centered, circle, dot, pageOf, rect, text } from './page.js';
import { numbersFrom } from './range.js';

const BOARD = 3;
const SIDE_MM = 84;
const CELL_MM = (SIDE_MM - 8) / BOARD;
const MOST_ATTEMPTS = 200;

/** Nine cells with their numbers. */
const boardFace =
  (cells: readonly number[], width: number): CardFace =>
  (x, y) =>
    cells.flatMap((n, i): Mark[] => {
      const [cx, cy] = [x + 4 + (i % BOARD) * CELL_MM, y + 4 + Math.floor(i / BOARD) * CELL_MM];
      return [
        rect(cx, cy, CELL_MM, CELL_MM, { width }),
        centered(cx + CELL_MM / 2, cy + CELL_MM / 2, 13, String(n)),
      ];
    });

/**
 * Boards of nine numbers each, no two alike and each as likely to win. The numbers are dealt into
 * rounds of as many as there are boards, and every board takes the same places of each round, one on
 * from the board before: whatever order is called, turning the rounds makes any board of any other.
 * @throws RangeError where the range has too few numbers for so many boards
 */
export function bingoBoards(low: number, high: number, count: number, seed: number): number[][] {
  const numbers = numbersFrom(low, high);
  const places = BOARD * BOARD;
  if (numbers.length <= places) {
    throw new RangeError(`boards of ${places} need a range of at least ${places + 1} numbers`);
  }
  const rounds = Math.floor(numbers.length / count);
  if (rounds * count <= places) {
    throw new RangeError(`this range has fair boards for ${numbers.length} at most`);
  }
  for (let attempt = 0; attempt < MOST_ATTEMPTS; attempt++) {
    const dealt = shuffled(numbers, seed * 7919 + attempt);
    const taken = shuffled(
      Array.from({ length: rounds * count }, (_, i) => i),
      seed * 104_729 + attempt,
    ).slice(0, places);
    const boards = Array.from({ length: count }, (_, board) =>
      taken.map((at) => {
        const round = Math.floor(at / count);
        return dealt[round * count + ((at + board) % count)] as number;
      }),
    );
    const keys = new Set(boards.map((board) => [...board].sort((x, y) => x - y).join()));
    if (keys.size === count) return boards;
  }
  throw new RangeError(`this range has no ${count} different boards`);
}

export const BINGO: SheetKind = {
  id: 'bingo',
  title: 'Bingo boards',
  about: 'Different boards of nine, and a list for who calls.',
  asks: ['range', 'count'],
  looks: [],
  make: (wish) => {
    const { paper, low, high, count, seed } = wish;
    const boards = bingoBoards(low, high, count, seed);
    const faces = boards.map((board) => boardFace(board, LINE_MM));
    const title = `Bingo ${low} to ${high}`;
    const foot = { title, seed };
    const numbers = shuffled([...new Set(boards.flat())], seed);
    const area = areaOf(paper, false);
    const list = numbers.map((n, i) =>
      centered(area.x + 12 + (i % 8) * 22, area.y + 26 + Math.floor(i / 8) * 16, 9, String(n)),
    );
    const caller = pageOf(
      paper,
      false,
      [text(area.x, area.y + 8, 6, 'To call, in this order', { anchor: 'start' }), ...list],
      foot,
    );
    return {
      title,
      pages: [...cardPages(wish, { width: SIDE_MM, height: SIDE_MM }, faces, title), caller],
      notes: ['The last page is for who calls.'],
    };
  },
};

export const CROWD: SheetKind = {
  id: 'crowd',
  title: 'Find it in the crowd',
  about: 'One numeral among many others; the page says how often it is there.',
  asks: ['range', 'answers'],
  looks: [],
  make: ({ paper, low, high, seed, answers }) => {
    const { target, cells } = crowdOf(low, high, seed);
    const area = areaOf(paper, false);
    const cell = area.width / CROWD_COLUMNS;
    const times = cells.filter((n) => n === target).length;
    const marks: Mark[] = [
      text(area.x, area.y + 12, 9, `Find ${target}`, { anchor: 'start' }),
      text(area.x + area.width, area.y + 12, 5, `${times} times`, { anchor: 'end', ink: 'gray' }),
      ...cells.flatMap((n, i): Mark[] => {
        const x = area.x + ((i % CROWD_COLUMNS) + 0.5) * cell;
        const y = area.y + 32 + Math.floor(i / CROWD_COLUMNS) * cell;
        return [
          centered(x, y, 11, String(n)),
          ...(answers && n === target ? [circle(x, y, 8.5, { ink: 'gray' })] : []),
        ];
      }),
    ];
    const title = `Find ${target}`;
    return onePage({ paper, seed }, false, title, marks);
  },
};

const CROWD_COLUMNS = 8;
const CROWD_ROWS = 8;

/** A crowd of numerals with the target in it nine to fourteen times. */
export function crowdOf(
  low: number,
  high: number,
  seed: number,
): { readonly target: number; readonly cells: readonly number[] } {
  if (high - low < 2) throw new RangeError('a crowd needs at least three different numbers');
  const random = seeded(seed);
  const pick = (): number => low + Math.floor(random() * (high - low + 1));
  const target = pick();
  const times = 9 + Math.floor(random() * 6);
  const others = Array.from({ length: CROWD_COLUMNS * CROWD_ROWS - times }, () => {
    let n = pick();
    while (n === target) n = pick();
    return n;
  });
  const all = [...others, ...Array.from({ length: times }, () => target)];
  return { target, cells: shuffled(all, seed + 1) };
}

export const THREE_IN_LINE: SheetKind = {
  id: 'three-in-line',
  title: 'Three in a line',
  about: 'Boards of nine numbers; whoever makes a sum covers it, three in a line wins the round.',
  asks: ['range', 'count'],
  looks: [],
  make: (wish) => {
    const { low, high, count, seed } = wish;
    const numbers = numbersFrom(low, high);
    if (numbers.length < BOARD)
      throw new RangeError('boards need a range of at least three numbers');
    const faces = Array.from({ length: count }, (_, board): CardFace => {
      // Every number comes as often as near as can be.
      const rounds = Math.ceil((BOARD * BOARD) / numbers.length);
      const all = Array.from({ length: rounds }, (__, round) =>
        shuffled(numbers, seed * 97 + board * 13 + round),
      ).flat();
      const cells = shuffled(all.slice(0, BOARD * BOARD), seed * 31 + board);
      return boardFace(cells, 0.6);
    });
    const title = `Three in a line, ${low} to ${high}`;
    return {
      title,
      pages: cardPages(wish, { width: SIDE_MM, height: SIDE_MM }, faces, title),
      notes: [],
    };
  },
};

export const DICE_NET: SheetKind = {
  id: 'dice-net',
  title: 'A die to fold',
  about: 'Six faces in the chosen range, with tabs to glue.',
  asks: ['range', 'side'],
  looks: [
    ['pips', 'with dots'],
    ['numeral', 'with numerals'],
  ],
  make: ({ paper, low, high, materialMm, seed, look }) => {
    const side = Math.max(20, materialMm);
    const { turned, fits } = fitFor(paper, 3 * side + 16, 4 * side + 16);
    if (!fits) throw new RangeError(`a die of ${side} mm does not fit on the paper`);
    const values = Array.from({ length: 6 }, (_, i) => low + (i % Math.max(1, high - low + 1)));
    const area = areaOf(paper, turned);
    const left = area.x + (area.width - 3 * side) / 2;
    const top = area.y + 8;
    // Column, row and value: the least lies across from the greatest, as on any die.
    const places = [
      [1, 0, 0],
      [0, 1, 1],
      [1, 1, 2],
      [2, 1, 4],
      [1, 2, 5],
      [1, 3, 3],
    ] as const;
    const marks = places.flatMap(([c, r, i]): Mark[] => {
      const [x, y] = [left + c * side, top + r * side];
      const n = values[i] ?? 0;
      const face =
        look === 'numeral' || n > 9
          ? [centered(x + side / 2, y + side / 2, side * 0.5, String(n))]
          : pipsOf(n).map(([px, py]) => dot(x + px * side, y + py * side, side * 0.075));
      return [rect(x, y, side, side, { width: 0.4 }), ...face];
    });
    const tab = (x: number, y: number, w: number, h: number): Mark =>
      rect(x, y, w, h, { ink: 'light', width: 0.3 });
    const tabs = [
      tab(left + side + 3, top - 7, side - 6, 7),
      tab(left, top + side - 7, side, 7),
      tab(left + 2 * side, top + side - 7, side, 7),
      tab(left, top + 2 * side, side, 7),
      tab(left + 2 * side, top + 2 * side, side, 7),
      tab(left + side - 7, top + 3 * side, 7, side),
      tab(left + 2 * side, top + 3 * side, 7, side),
    ];
    const title = `Die ${low} to ${high}`;
    return onePage(
      { paper, seed },
      turned,
      title,
      [...tabs, ...marks],
      ['Thin card; score the lines before folding.'],
    );
  },
};
