import { numbered, numberWord } from '../numbers/index.js';
import { type Manipulative, choice, step } from './handling.js';
import { type Scene, ground, piece } from './scene.js';
import { partsSentence } from './sentences.js';

const SLIDE = 2.2;

/** n beads on a string, the first `left` of them slid to the left. */
export function beadScene(n: number, left: number, twoColors: boolean): Scene {
  const width = n * 1.04 + SLIDE + 0.6;
  const y = 0.9;
  return {
    width,
    height: 1.8,
    under: [
      ground('string', 0, y, width, 0),
      ground('mark', 0.3 + left * 1.04 + SLIDE / 2, 0.25, 0, 1.3),
    ],
    pieces: Array.from({ length: n }, (_, i) =>
      piece(`bead-${i}`, 0.8 + i * 1.04 + (i < left ? 0 : SLIDE), y, {
        look: 'bead',
        color: twoColors && i >= 5 && i % 10 >= 5 ? 'b' : 'a',
      }),
    ),
    over: [],
    words: `${numbered(left, 'bead', 'beads')} on the left, ${numberWord(n - left)} on the right`,
  };
}

interface BeadState {
  readonly n: number;
  readonly left: number;
  readonly colors: 'one' | 'two';
}

export const BEADS: Manipulative<BeadState> = {
  id: 'beads',
  title: 'Beads',
  start: { n: 10, left: 6, colors: 'two' },
  scene: ({ n, left, colors }) => beadScene(n, left, colors === 'two'),
  sentence: ({ n, left }) => partsSentence([left, n - left]),
  controls: ({ n, left, colors }) => [
    step('n', 'beads', n, 0, 20),
    step('left', 'on the left', left, 0, n),
    choice('colors', 'colors', colors, [
      ['one', 'One color'],
      ['two', 'By fives'],
    ]),
  ],
  set(state, control, value) {
    if (control === 'n') {
      return { ...state, n: Number(value), left: Math.min(state.left, Number(value)) };
    }
    return { ...state, [control]: control === 'left' ? Number(value) : value };
  },
  /** A bead slides to the other side, and takes along what is in its way. */
  tap(state, id) {
    const bead = Number(id.slice('bead-'.length));
    return { ...state, left: bead < state.left ? bead : bead + 1 };
  },
};
