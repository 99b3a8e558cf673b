import { capital, numberWord } from '../numbers/index.js';
import { type Manipulative, act, step } from './handling.js';
import { type Ground, type Piece, type Scene, ground, piece } from './scene.js';

const PITCH = 1.08;

/** Two lines of counters, one beginning where the other begins. */
export function twoLinesScene(left: number, right: number): Scene {
  const line = (n: number, y: number, name: string, color: Piece['color']): Piece[] =>
    Array.from({ length: n }, (_, i) =>
      piece(`${name}-${i}`, 0.6 + i * PITCH, y, { color, moves: false }),
    );
  return {
    width: Math.max(left, right, 1) * PITCH + 0.2,
    height: 2.7,
    under: [],
    pieces: [...line(left, 0.65, 'left', 'a'), ...line(right, 2.05, 'right', 'b')],
    over: [],
    words: `a line of ${numberWord(left)} and a line of ${numberWord(right)}`,
  };
}

const HEAP_COLUMNS = 4;

/** Two heaps side by side, each in rows of at most four, with a line between them. */
export function twoHeapsScene(left: number, right: number): Scene {
  const wide = (n: number): number => Math.max(1, Math.min(HEAP_COLUMNS, n)) * PITCH;
  const rows = (n: number): number => Math.max(1, Math.ceil(n / HEAP_COLUMNS));
  const height = Math.max(rows(left), rows(right)) * PITCH + 0.2;
  const line = wide(left) + 0.9;
  const heap = (n: number, from: number, name: string, color: Piece['color']): Piece[] =>
    Array.from({ length: n }, (_, i) =>
      piece(
        `${name}-${i}`,
        from + PITCH * ((i % HEAP_COLUMNS) + 0.5),
        0.1 + PITCH * (Math.floor(i / HEAP_COLUMNS) + 0.5),
        { color, moves: false },
      ),
    );
  return {
    width: line + 0.9 + wide(right),
    height,
    under: [ground('mark', line, 0.1, 0, height - 0.2)],
    pieces: [...heap(left, 0, 'left', 'a'), ...heap(right, line + 0.9, 'right', 'b')],
    over: [],
    words: `${numberWord(left)} on the left, ${numberWord(right)} on the right`,
  };
}

const WIDE = 2.6;

/**
 * Two columns of counters with two sticks between them, from top to top and from foot to foot: the
 * wide side lies at the larger amount, level sticks mean the same.
 */
export function signScene(left: number, right: number): Scene {
  const most = Math.max(left, right, 1);
  const foot = most * PITCH + 0.2;
  const top = (n: number): number => foot - Math.max(n, 0.15) * PITCH;
  const column = (n: number, x: number, name: string, color: Piece['color']): Piece[] =>
    Array.from({ length: n }, (_, i) =>
      piece(`${name}-${i}`, x, foot - (i + 0.5) * PITCH, { color }),
    );
  const from = 1.3;
  const middle = (top(left) + foot) / 2;
  const middleRight = (top(right) + foot) / 2;
  const level = left === right;
  const sticks: Ground[] = level
    ? [
        ground('stick', from, foot - most * PITCH * 0.65, WIDE, 0),
        ground('stick', from, foot - most * PITCH * 0.35, WIDE, 0),
      ]
    : left > right
      ? [
          ground('stick', from, top(left), WIDE, middleRight - top(left)),
          ground('stick', from, foot, WIDE, middleRight - foot),
        ]
      : [
          ground('stick', from, middle, WIDE, top(right) - middle),
          ground('stick', from, middle, WIDE, foot - middle),
        ];
  return {
    width: 2 * from + WIDE,
    height: foot + 0.2,
    under: sticks,
    pieces: [
      ...column(left, 0.6, 'left', 'a'),
      ...column(right, 2 * from + WIDE - 0.6, 'right', 'b'),
    ],
    over: [],
    words: `${numberWord(left)} and ${numberWord(right)}, two sticks between them`,
  };
}

interface SignState {
  readonly left: number;
  readonly right: number;
}

export const SIGNS: Manipulative<SignState> = {
  id: 'signs',
  title: 'Sticks for signs',
  start: { left: 5, right: 3 },
  scene: ({ left, right }) => signScene(left, right),
  sentence({ left, right }) {
    const than =
      left === right ? 'is the same as' : left > right ? 'is more than' : 'is fewer than';
    const sign = left === right ? '=' : left > right ? '>' : '<';
    return {
      words: `${capital(numberWord(left))} ${than} ${numberWord(right)}.`,
      sum: `${left} ${sign} ${right}`,
      partWhole: null,
    };
  },
  about: () => 'The wide side faces more, the narrow side faces fewer',
  controls: ({ left, right }) => [
    step('left', 'left', left, 0, 10),
    step('right', 'right', right, 0, 10),
    act('swap', 'Change sides'),
  ],
  set: (state, control, value) =>
    control === 'swap'
      ? { left: state.right, right: state.left }
      : { ...state, [control]: Number(value) },
  tap(state, id) {
    const side = id.startsWith('left') ? 'left' : 'right';
    return { ...state, [side]: state[side] - 1 };
  },
};
