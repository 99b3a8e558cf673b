import { dominoSet, numberWord, pipsOf } from '../numbers/index.js';
import { type Manipulative, act, choice, step } from './handling.js';
import { type Piece, type Scene, ground, piece } from './scene.js';
import { partsSentence } from './sentences.js';

const HALF = 3.4;
const PIP = 0.62;

/** Pips of one half, its upper left at x, y; named by `prefix`. */
export const pipPieces = (n: number, x: number, y: number, prefix: string, side = HALF): Piece[] =>
  pipsOf(n).map(([px, py], i) =>
    piece(`${prefix}-${i}`, x + px * side, y + py * side, {
      look: 'pip',
      w: (PIP * side) / HALF,
      h: (PIP * side) / HALF,
      moves: false,
    }),
  );

/** A domino lying on its side; halves 0 to 9. */
export function dominoScene(a: number, b: number): Scene {
  return {
    width: 2 * HALF,
    height: HALF,
    under: [
      ground('card', 0, 0, 2 * HALF, HALF),
      ground('line', HALF, 0.4, 0, HALF - 0.8),
      ground('spot', 0, 0, HALF, HALF, { id: 'half-0', moves: true, text: 'first half' }),
      ground('spot', HALF, 0, HALF, HALF, { id: 'half-1', moves: true, text: 'second half' }),
    ],
    pieces: [...pipPieces(a, 0, 0, 'a'), ...pipPieces(b, HALF, 0, 'b')],
    over: [],
    words: `a domino, ${numberWord(a)} and ${numberWord(b)}`,
  };
}

interface DominoState {
  readonly halves: readonly [number, number];
  readonly highest: number;
}

export const DOMINO: Manipulative<DominoState> = {
  id: 'domino',
  title: 'Dominoes',
  start: { halves: [4, 2], highest: 6 },
  scene: ({ halves }) => dominoScene(...halves),
  sentence: ({ halves }) => partsSentence(halves),
  controls: ({ halves, highest }) => [
    act('draw', 'Draw one'),
    step('a', 'first half', halves[0], 0, highest),
    step('b', 'second half', halves[1], 0, highest),
    act('turn', 'Turn it round'),
    choice('highest', 'set to double', String(highest), [
      ['6', 'Six'],
      ['9', 'Nine'],
    ]),
  ],
  set(state, control, value, random) {
    const [a, b] = state.halves;
    switch (control) {
      case 'draw': {
        const tiles = dominoSet(state.highest);
        const tile = tiles[Math.floor(random() * tiles.length)] ?? [0, 0];
        return { ...state, halves: [tile[0], tile[1]] };
      }
      case 'turn':
        return { ...state, halves: [b, a] };
      case 'highest': {
        const highest = Number(value);
        return { highest, halves: [Math.min(a, highest), Math.min(b, highest)] };
      }
      default:
        return { ...state, halves: control === 'a' ? [Number(value), b] : [a, Number(value)] };
    }
  },
  /** A half has one pip more, and none after the highest. */
  tap(state, id) {
    const [a, b] = state.halves;
    const up = (n: number): number => (n + 1) % (state.highest + 1);
    return { ...state, halves: id === 'half-0' ? [up(a), b] : [a, up(b)] };
  },
};
