import {
  anotherWay,
  capital,
  FILL_ORDER,
  filled,
  FRAME_COLUMNS,
  numbered,
  numberWord,
} from '../numbers/index.js';
import { type Manipulative, type Sentence, act, choice, step } from './handling.js';
import { type Ground, type Piece, type Scene, ground, piece } from './scene.js';
import { numberSentence, partsSentence } from './sentences.js';

/** What lies in a cell: nothing, or a counter of one of the two colors. */
export type Cell = 0 | 1 | 2;

/** A cell is as wide as the counter and a fifth. */
const CELL = 1.36;
const BETWEEN = 0.7;
const EDGE = 0.08;

export type Fill = 'row' | 'pairs';

/** The cells of a frame with n counters (0 to its size), the first `first` of them of the first color. */
export function cellsFor(n: number, size: number, fill: Fill, first = n): Cell[] {
  const cells: Cell[] = [];
  for (let i = 0; i < size; i += 10) {
    const here = Math.max(0, Math.min(10, n - i));
    const order: readonly number[] = size === 5 ? FILL_ORDER.row.slice(0, 5) : FILL_ORDER[fill];
    const rank = new Map(order.map((cell, at) => [cell, at]));
    filled(here, order)
      .slice(0, Math.min(10, size - i))
      .forEach((full, cell) => cells.push(full ? (i + (rank.get(cell) ?? 0) < first ? 1 : 2) : 0));
  }
  return cells;
}

/** A five frame (5 cells), a ten frame (10) or two of them (20), one below the other. */
export function frameScene(cells: readonly Cell[], words?: string): Scene {
  const under: Ground[] = [];
  const pieces: Piece[] = [];
  cells.forEach((cell, i) => {
    const row = Math.floor(i / FRAME_COLUMNS);
    const x = EDGE + (i % FRAME_COLUMNS) * CELL;
    const y = EDGE + row * CELL + Math.floor(row / 2) * BETWEEN;
    under.push(ground('cell', x, y, CELL, CELL, { id: `cell-${i}`, moves: true }));
    if (cell !== 0) {
      pieces.push(
        piece(`counter-${i}`, x + CELL / 2, y + CELL / 2, { color: cell === 1 ? 'a' : 'b' }),
      );
    }
  });
  const rows = Math.ceil(cells.length / FRAME_COLUMNS);
  return {
    width: FRAME_COLUMNS * CELL + 2 * EDGE,
    height: rows * CELL + (rows > 2 ? BETWEEN : 0) + 2 * EDGE,
    under,
    pieces,
    over: [],
    words:
      words ?? `${numbered(pieces.length, 'counter', 'counters')} on a frame of ${cells.length}`,
  };
}

interface FrameState {
  readonly cells: readonly Cell[];
  readonly fill: Fill | 'free';
  readonly color: 'a' | 'b';
}

const SIZES = { five: 5, ten: 10, two: 20 } as const;

const sizeName = (cells: readonly Cell[]): keyof typeof SIZES =>
  cells.length === 5 ? 'five' : cells.length === 10 ? 'ten' : 'two';

const inAll = (cells: readonly Cell[]): number => cells.filter((cell) => cell !== 0).length;

function withCount(state: FrameState, n: number): FrameState {
  if (state.fill !== 'free') {
    const first = Math.min(n, state.cells.filter((cell) => cell === 1).length);
    const kept = state.color === 'a' && !state.cells.includes(2) ? n : first;
    return { ...state, cells: cellsFor(n, state.cells.length, state.fill, kept) };
  }
  const cells = [...state.cells];
  while (inAll(cells) < n) cells[cells.indexOf(0)] = state.color === 'a' ? 1 : 2;
  while (inAll(cells) > n) cells[cells.findLastIndex((cell) => cell !== 0)] = 0;
  return { ...state, cells };
}

function sentence({ cells }: FrameState): Sentence {
  const [a, b] = [1, 2].map((color) => cells.filter((cell) => cell === color).length) as [
    number,
    number,
  ];
  if (b > 0) return partsSentence([a, b]);
  const n = a;
  if (cells.length === 10 && n < 10) {
    return {
      ...partsSentence([n, 10 - n]),
      words: `${capital(numberWord(n))}, and ${numberWord(10 - n)} more make ten.`,
    };
  }
  if (n > 10) return partsSentence([10, n - 10]);
  return numberSentence(n);
}

export const FRAME: Manipulative<FrameState> = {
  id: 'frame',
  title: 'Frame',
  start: { cells: cellsFor(7, 10, 'row'), fill: 'row', color: 'a' },
  scene: ({ cells }) => frameScene(cells),
  sentence,
  controls: ({ cells, fill, color }) => [
    step('n', 'how many', inAll(cells), 0, cells.length),
    choice('size', 'frame', sizeName(cells), [
      ['five', 'Five'],
      ['ten', 'Ten'],
      ['two', 'Two tens'],
    ]),
    choice('fill', 'fill', fill, [
      ['row', 'Row by row'],
      ['pairs', 'In pairs'],
      ['free', 'Free'],
    ]),
    choice('color', 'next counter', color, [
      ['a', 'Blue'],
      ['b', 'Orange'],
    ]),
    act('another', 'Another way', cells.length !== 10),
    act('empty', 'Empty it'),
  ],
  set(state, control, value) {
    switch (control) {
      case 'n':
        return withCount(state, Number(value));
      case 'size': {
        const size = SIZES[value as keyof typeof SIZES];
        const n = Math.min(size, inAll(state.cells));
        const fill = state.fill === 'free' ? 'row' : state.fill;
        return { ...state, cells: cellsFor(n, size, fill) };
      }
      case 'fill': {
        if (value === 'free') return { ...state, fill: 'free' };
        const fill = value as Fill;
        return { ...state, fill, cells: cellsFor(inAll(state.cells), state.cells.length, fill) };
      }
      case 'color':
        return { ...state, color: value as 'a' | 'b' };
      case 'another': {
        const cells = anotherWay(state.cells.map((cell) => cell !== 0));
        return { ...state, fill: 'free', cells: cells.map((full): Cell => (full ? 1 : 0)) };
      }
      default:
        return { ...state, cells: state.cells.map((): Cell => 0) };
    }
  },
  tap(state, id) {
    const at = Number(id.replace(/^\D+/, ''));
    const cell: Cell = state.cells[at] ? 0 : state.color === 'a' ? 1 : 2;
    return { ...state, fill: 'free', cells: state.cells.with(at, cell) };
  },
  drop(state, pieceId, placeId) {
    const [from, to] = [pieceId, placeId].map((id) => Number(id.replace(/^\D+/, ''))) as [
      number,
      number,
    ];
    if (state.cells[to] !== 0) return state;
    const cells = state.cells.with(to, state.cells[from] ?? 1).with(from, 0);
    return { ...state, fill: 'free', cells };
  },
};
