import { numbered, numberWord } from '../numbers/index.js';
import { type Manipulative, choice, step } from './handling.js';
import { type Piece, type Scene, ground, piece } from './scene.js';
import { partsSentence } from './sentences.js';

/** The finger that goes up first: children of different homes begin with different ones. */
export type FirstFinger = 'thumb' | 'index' | 'little';

/** Fingers of one hand, thumb to little finger, in the order in which they go up. */
const RISING: Record<FirstFinger, readonly number[]> = {
  thumb: [0, 1, 2, 3, 4],
  index: [1, 2, 3, 4, 0],
  little: [4, 3, 2, 1, 0],
};

/** Which of ten fingers are up for n (0 to 10): the first hand fills before the second. */
export function fingersFor(n: number, first: FirstFinger): boolean[] {
  const up = new Set<number>();
  RISING[first].slice(0, Math.min(5, n)).forEach((finger) => up.add(finger));
  RISING[first].slice(0, Math.max(0, n - 5)).forEach((finger) => up.add(5 + finger));
  return Array.from({ length: 10 }, (_, finger) => up.has(finger));
}

/** Across and down from the middle of a palm, and the turn, thumb to little finger of a right hand. */
const FINGERS: readonly (readonly [x: number, y: number, turn: number, length: number])[] = [
  [-2.05, 0.1, -52, 1.7],
  [-1.2, -2.1, -10, 2.2],
  [-0.35, -2.4, -2, 2.5],
  [0.5, -2.25, 5, 2.3],
  [1.3, -1.75, 14, 1.8],
];
const HAND = 6.2;
const HEIGHT = 7;
const FOLDED = 0.7;

/**
 * One hand or two, each finger up or folded; a folded one is drawn short and not counted.
 * @param up one entry a finger, thumb to little finger of the left hand, then of the right one
 */
export function fingersScene(up: readonly boolean[]): Scene {
  const pieces: Piece[] = [];
  const hands = up.length > 5 ? 2 : 1;
  const under = [0, 1]
    .slice(0, hands)
    .map((hand) => ground('hand', hand * HAND + HAND / 2 - 1.85, HEIGHT - 3.4, 3.7, 3.2));
  up.forEach((isUp, i) => {
    const right = i >= 5;
    const [x, y, turn, length] = FINGERS[i % 5] as (typeof FINGERS)[number];
    // A left hand is a right one turned over: its thumb points to the right.
    const side = right ? 1 : -1;
    const long = isUp ? length : FOLDED;
    const reach = (length - long) / 2;
    const lean = (turn * Math.PI) / 180;
    pieces.push(
      piece(
        `finger-${i}`,
        HAND / 2 + (right ? HAND : 0) + side * (x - reach * Math.sin(lean)),
        HEIGHT - 1.9 + y + reach * Math.cos(lean),
        {
          look: i % 5 === 0 ? 'thumb' : 'finger',
          w: 0.78,
          h: long,
          turn: side * turn,
          hidden: !isUp,
        },
      ),
    );
  });
  const count = up.filter(Boolean).length;
  return {
    width: hands * HAND,
    height: HEIGHT,
    under,
    pieces,
    over: [],
    words: `${numbered(count, 'finger', 'fingers')} up, ${numberWord(up.length - count)} folded`,
  };
}

interface FingerState {
  readonly up: readonly boolean[];
  readonly first: FirstFinger;
}

const countUp = (up: readonly boolean[]): number => up.filter(Boolean).length;

export const FINGERS_UP: Manipulative<FingerState> = {
  id: 'fingers',
  title: 'Fingers',
  start: { up: fingersFor(7, 'thumb'), first: 'thumb' },
  scene: ({ up }) => fingersScene(up),
  sentence: ({ up }) => partsSentence([countUp(up.slice(0, 5)), countUp(up.slice(5))]),
  about: ({ up }) => `${countUp(up)} up and ${10 - countUp(up)} folded down make ten`,
  controls: ({ up, first }) => [
    step('n', 'fingers', countUp(up), 0, 10),
    choice('first', 'begins with', first, [
      ['thumb', 'The thumb'],
      ['index', 'The pointing finger'],
      ['little', 'The little finger'],
    ]),
  ],
  set(state, control, value) {
    const first = control === 'first' ? (value as FirstFinger) : state.first;
    const n = control === 'n' ? Number(value) : countUp(state.up);
    return { up: fingersFor(n, first), first };
  },
  tap(state, id) {
    const at = Number(id.slice('finger-'.length));
    return { ...state, up: state.up.with(at, !state.up[at]) };
  },
};
