import { pipsOf, seeded, shuffled } from '../numbers/index.js';
import { BOARD_SIZE, bingoBoards, boardFace } from './bingo.js';
import type { SheetKind } from './kind.js';
import { type CardFace, cardPages, fitFor } from './layout.js';
import { type Mark, areaOf, centered, circle, dot, pageOf, rect, text } from './page.js';
import { numeral } from './numeral.js';
import { rangeOf } from './range.js';
import { fitted, linesOf } from './type.js';
import { onePage } from './layout.js';

/** How a number is called, so that the board asks for it. */
function called(n: number, look: string, random: () => number): string {
  if (look === 'doubles') {
    const half = Math.floor(n / 2);
    return n % 2 === 0 ? `double ${half}` : `double ${half} and 1`;
  }
  if (look === 'parts') {
    const part = Math.floor(random() * (n + 1));
    return `${part} and ${n - part}`;
  }
  return String(n);
}

export const BINGO: SheetKind = {
  id: 'bingo',
  group: 'games',
  title: 'Bingo boards',
  about:
    'Different boards, and an order to call in for each round: nobody ties, each board wins one.',
  asks: ['range', 'count', 'seed', 'laminate'],
  looks: [
    ['numbers', 'numbers are called'],
    ['doubles', 'doubles are called'],
    ['parts', 'two parts are called'],
  ],
  suits: { low: 1, high: 10 },
  ends: { least: 5 },
  make: (wish) => {
    const { paper, low, high, count, seed, look } = wish;
    const { boards, rounds } = bingoBoards(low, high, count, seed);
    const faces = boards.map((board) => boardFace(board));
    const title = `Bingo ${low} to ${high}`;
    const area = areaOf(paper, false);
    const random = seeded(seed);
    const size = 5.2;
    const head = 16;
    let y = area.y + 8;
    const pages = [];
    let marks: Mark[] = [
      text(area.x, y, 6.4, 'To call, from the left', { anchor: 'start', bold: true }),
    ];
    for (const [i, order] of rounds.entries()) {
      const said = order
        .map((n) => called(n, look, random))
        .join(look === 'numbers' ? '   ' : ',   ');
      const lines = linesOf(
        said.replaceAll(' and ', '\u00a0and\u00a0').replaceAll('double ', 'double\u00a0'),
        size,
        area.width - 4,
      );
      const tall = head + lines.length * size * 1.6;
      if (y + tall > area.y + area.height) {
        pages.push(pageOf(paper, false, marks, { title, seed }));
        marks = [];
        y = area.y;
      }
      y += head;
      marks.push(
        text(area.x, y, 5, `Round ${i + 1}`, { anchor: 'start', ink: 'spruce', bold: true }),
      );
      for (const words of lines) {
        y += size * 1.6;
        marks.push(text(area.x, y, size, words, { anchor: 'start' }));
      }
    }
    pages.push(pageOf(paper, false, marks, { title, seed }));
    return {
      title,
      pages: [...cardPages(wish, BOARD_SIZE, faces, title), ...pages],
      notes: ['The last page is for who calls. Deal the boards face down.'],
    };
  },
};

/** Digits that are easily taken for each other (confusions that practitioners name; no source). */
const TAKEN_FOR: Readonly<Record<string, string>> = {
  '0': '689',
  '1': '74',
  '2': '57',
  '3': '85',
  '4': '97',
  '5': '23',
  '6': '905',
  '7': '124',
  '8': '306',
  '9': '640',
};

/** Numbers that are easily taken for this one: a digit like another, or the digits the other way round. */
export function takenFor(n: number): number[] {
  const digits = [...String(n)];
  const alike = digits.flatMap((digit, i) =>
    [...(TAKEN_FOR[digit] ?? '')].map((other) =>
      [...digits.slice(0, i), other, ...digits.slice(i + 1)].join(''),
    ),
  );
  const turned = [...digits].reverse().join('');
  return [...new Set([turned, ...alike])]
    .filter((said) => !(said.length > 1 && said.startsWith('0')))
    .map(Number)
    .filter((one) => one !== n);
}

const CROWD_COLUMNS = { small: 10, medium: 8, large: 6 } as const;

export interface Crowd {
  readonly target: number;
  readonly columns: number;
  readonly cells: readonly number[];
}

/** A crowd of numerals of a range, with the target in it about one time in six. */
export function crowdOf(
  low: number,
  high: number,
  seed: number,
  wished: {
    readonly target: number | null;
    readonly size: keyof typeof CROWD_COLUMNS;
    readonly alike: boolean;
  },
): Crowd {
  const numbers = rangeOf(low, high);
  const random = seeded(seed);
  const target = wished.target ?? (numbers[Math.floor(random() * numbers.length)] as number);
  const others = wished.alike ? takenFor(target) : numbers.filter((n) => n !== target);
  if (others.length < 2) throw new RangeError('a crowd needs at least three different numbers');
  const columns = CROWD_COLUMNS[wished.size];
  const many = columns * columns;
  const times = Math.round(many / 6) - 1 + Math.floor(random() * 3);
  const crowd = Array.from(
    { length: many - times },
    () => others[Math.floor(random() * others.length)] as number,
  );
  return {
    target,
    columns,
    cells: shuffled([...crowd, ...Array.from({ length: times }, () => target)], seed + 1),
  };
}

export const CROWD: SheetKind = {
  id: 'crowd',
  group: 'games',
  title: 'Find it in the crowd',
  about: 'One numeral among many others; the key is on the back.',
  asks: ['range', 'target', 'size', 'alike', 'seed', 'answers'],
  looks: [],
  suits: { low: 0, high: 9 },
  ends: { least: 3 },
  each: true,
  make: (wish) => {
    const { paper, low, high, seed, answers } = wish;
    const { target, columns, cells } = crowdOf(low, high, seed, wish);
    const area = areaOf(paper, false);
    const cell = area.width / columns;
    const tall = (area.height - 44) / columns;
    const title = `Find ${target}`;
    const crowd = (isKey: boolean): Mark[] =>
      cells.flatMap((n, i): Mark[] => {
        const x = area.x + ((i % columns) + 0.5) * cell;
        const y = area.y + 44 + (Math.floor(i / columns) + 0.5) * tall;
        const size = fitted(String(n), cell - 8, Math.min(cell, tall) * 0.62).size;
        return [
          centered(x, y, size, String(n), isKey && n !== target ? 'gray' : 'black'),
          ...(isKey && n === target
            ? [circle(x, y, cell * 0.44, { width: 0.9, ink: 'spruce' })]
            : []),
        ];
      });
    const front: Mark[] = [
      circle(area.x + 20, area.y + 20, 19, { width: 1.4, ink: 'spruce' }),
      centered(area.x + 20, area.y + 20, target < 10 ? 24 : target < 100 ? 20 : 15, String(target)),
      text(area.x + 48, area.y + 24, 10, `Find every ${target}.`, { anchor: 'start' }),
      ...crowd(false),
    ];
    const times = cells.filter((n) => n === target).length;
    const key: Mark[] = [
      text(area.x, area.y + 24, 8, `${target} is there ${times} times.`, { anchor: 'start' }),
      ...crowd(true),
    ];
    return {
      title,
      pages: [
        pageOf(paper, false, front, { title, seed }),
        ...(answers ? [pageOf(paper, false, key, { title: `${title}: the key`, seed })] : []),
      ],
      notes: answers ? ['The second page is the key: print it on the back.'] : [],
    };
  },
};

/** A sum or a comparing to answer before a square is taken. */
function squareOf(n: number, look: string, random: () => number): number | string {
  if (look === 'numbers') return n;
  if (look === 'more') return `${n} + 1`;
  if (look === 'less') return `${n} − 1`;
  const part = Math.floor(random() * (n + 1));
  return `${part} + ${n - part}`;
}

const SQUARES = 9;

export const THREE_IN_LINE: SheetKind = {
  id: 'three-in-line',
  group: 'games',
  title: 'Three in a line',
  about: 'Boards of nine squares; who answers a square takes it, three in a line end the round.',
  asks: ['range', 'count', 'seed', 'laminate'],
  looks: [
    ['sums', 'sums'],
    ['more', 'one more'],
    ['less', 'one less'],
    ['numbers', 'numbers to name'],
  ],
  suits: { low: 2, high: 10 },
  ends: { least: 4 },
  make: (wish) => {
    const { low, high, count, seed, look } = wish;
    const numbers = rangeOf(look === 'less' ? Math.max(1, low) : low, high);
    if (numbers.length < 3) throw new RangeError('boards need a range of at least three numbers');
    const random = seeded(seed);
    const faces = Array.from({ length: count }, (_, board): CardFace => {
      // Every number comes as often as near as can be.
      const rounds = Math.ceil(SQUARES / numbers.length);
      const all = Array.from({ length: rounds }, (__, round) =>
        shuffled(numbers, seed * 97 + board * 13 + round),
      ).flat();
      const cells = shuffled(all.slice(0, SQUARES), seed * 31 + board);
      return boardFace(cells.map((n) => squareOf(n, look, random)));
    });
    const title = `Three in a line, ${low} to ${high}`;
    return { title, pages: cardPages(wish, BOARD_SIZE, faces, title), notes: [] };
  },
};

const FACES_OF_A_DIE = 6;

export const DICE_NET: SheetKind = {
  id: 'dice-net',
  group: 'games',
  title: 'A die to fold',
  about: 'Six faces in the chosen range, with tabs to glue.',
  asks: ['range', 'side'],
  looks: [
    ['pips', 'with dots'],
    ['numeral', 'with numerals'],
  ],
  suits: { low: 1, high: 6, materialMm: 46 },
  ends: { most: 6 },
  make: ({ paper, low, high, materialMm, seed, look }) => {
    const side = Math.max(20, materialMm);
    const numbers = rangeOf(low, high);
    if (numbers.length > FACES_OF_A_DIE) {
      throw new RangeError('a die has six faces: choose at most six numbers');
    }
    const { turned, fits } = fitFor(paper, 3 * side + 16, 4 * side + 16);
    if (!fits) throw new RangeError(`a die of ${side} mm does not fit on the paper`);
    const values = Array.from(
      { length: FACES_OF_A_DIE },
      (_, i) => numbers[i % numbers.length] ?? 0,
    );
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
          ? numeral(x + side / 2, y + side / 2, side * 0.6, side - 8, n)
          : pipsOf(n).map(([px, py]) => dot(x + px * side, y + py * side, side * 0.1, 'blue'));
      return [rect(x, y, side, side, { width: 0.8 }), ...face];
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
    return onePage(
      { paper, seed },
      turned,
      `Die ${low} to ${high}`,
      [...tabs, ...marks],
      ['Thin card; score the lines before folding.'],
    );
  },
};
