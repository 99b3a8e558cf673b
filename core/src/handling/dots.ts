import { hashText, layOut, numbered, pipsOf } from '../numbers/index.js';
import type { Layout } from '../vocabulary/index.js';
import { type Manipulative, act, choice, step } from './handling.js';
import { type Piece, type Scene, ground, piece } from './scene.js';
import { numberSentence } from './sentences.js';

export type DotPicture = 'dice' | 'line' | 'ring' | 'scatter' | 'slant' | 'heap' | 'pairs';

const LAYOUT_OF: Partial<Record<DotPicture, Layout>> = {
  line: 'row',
  ring: 'ring',
  scatter: 'scatter',
  slant: 'slant',
  heap: 'heap',
};

const DIE = 3.8;
const MOST_PIPS = 9;

/** Spots of n dots in pairs: two columns, the odd one alone at the end. */
export const pairSpots = (n: number): readonly (readonly [number, number])[] =>
  Array.from(
    { length: n },
    (_, i) => [0.6 + Math.floor(i / 2) * 1.3, 0.6 + (i % 2) * 1.3] as const,
  );

function spots(
  n: number,
  picture: DotPicture,
  seed: string,
): readonly (readonly [number, number])[] {
  if (picture === 'pairs') return pairSpots(n);
  if (picture === 'dice') {
    // Beyond nine, the rest beside it: the look of two dice, or of three.
    const dice = Math.max(1, Math.ceil(n / MOST_PIPS));
    const sizes = Array.from({ length: dice }, (_, g) => Math.floor((n + dice - 1 - g) / dice));
    return sizes.flatMap((size, g) =>
      pipsOf(size).map(([x, y]) => [(x + g * 1.15) * DIE, y * DIE] as const),
    );
  }
  return layOut(n, LAYOUT_OF[picture] ?? 'row', hashText(`${seed}/${n}`)).spots.map(
    ({ x, y }) => [x, y] as const,
  );
}

const EMPTY: readonly (readonly [number, number])[] = [];

/** A dot picture for a quick look, on its card. */
export function dotsScene(n: number, picture: DotPicture, seed: string): Scene {
  const found = n === 0 ? EMPTY : spots(n, picture, seed);
  const edge = 0.7;
  const least = (axis: 0 | 1): number => Math.min(...found.map((spot) => spot[axis])) - 0.5;
  const most = (axis: 0 | 1): number => Math.max(...found.map((spot) => spot[axis])) + 0.5;
  const [left, top] = n === 0 ? [0, 0] : [least(0), least(1)];
  const width = (n === 0 ? 2 : most(0) - left) + 2 * edge;
  const height = (n === 0 ? 2 : most(1) - top) + 2 * edge;
  const pieces: Piece[] = found.map(([x, y], i) =>
    piece(`dot-${i}`, x - left + edge, y - top + edge, { moves: false }),
  );
  return {
    width,
    height,
    under: [ground('card', 0, 0, width, height)],
    pieces,
    over: [],
    words: `${numbered(n, 'dot', 'dots')}, ${picture}`,
  };
}

interface DotState {
  readonly n: number;
  readonly picture: DotPicture;
  readonly seed: number;
}

export const DOTS: Manipulative<DotState> = {
  id: 'dots',
  title: 'Dot pictures',
  start: { n: 5, picture: 'dice', seed: 1 },
  scene: ({ n, picture, seed }) => dotsScene(n, picture, String(seed)),
  sentence: ({ n }) => numberSentence(n),
  controls: ({ n, picture }) => [
    step('n', 'dots', n, 0, 20),
    choice('picture', 'picture', picture, [
      ['dice', 'Dice'],
      ['line', 'Line'],
      ['ring', 'Ring'],
      ['scatter', 'Scatter'],
      ['slant', 'Slant'],
      ['heap', 'Heap'],
      ['pairs', 'Pairs'],
    ]),
    act('again', 'Lay anew', picture !== 'scatter' && picture !== 'heap'),
  ],
  set(state, control, value) {
    if (control === 'again') return { ...state, seed: state.seed + 1 };
    if (control === 'n') return { ...state, n: Number(value) };
    return { ...state, picture: value as DotPicture };
  },
  tap: (state) => state,
};
