import { type Manipulative, act, choice } from './handling.js';
import { type Ground, type Scene, ground, written } from './scene.js';

const RADIUS = 3.6;
const SPOT = 1.1;
const MIDDLE = RADIUS + SPOT;
const DIGITS = 10;
/** Counting far enough, the ones come round to where they began. */
const MOST_STEPS = DIGITS;

/** The ones that counting in steps passes, from 0 until it comes back to it: by 4 it is 0 4 8 2 6 0. */
export function onesOf(by: number, steps = MOST_STEPS): number[] {
  const passed = [0];
  for (let i = 1; i <= steps; i++) {
    passed.push((i * by) % DIGITS);
    if (passed.at(-1) === 0) break;
  }
  return passed;
}

const at = (digit: number): { x: number; y: number } => {
  const turn = (digit / DIGITS) * 2 * Math.PI - Math.PI / 2;
  return { x: MIDDLE + RADIUS * Math.cos(turn), y: MIDDLE + RADIUS * Math.sin(turn) };
};

/** Ten ones in a ring, with a thread from each one to the next that counting in steps passes. */
export function ringOfOnesScene(passed: readonly number[]): Scene {
  const threads = passed.slice(1).map((digit, i): Ground => {
    const [from, to] = [at(passed[i] ?? 0), at(digit)];
    return ground('string', from.x, from.y, to.x - from.x, to.y - from.y);
  });
  const spots = Array.from({ length: DIGITS }, (_, digit): Ground[] => {
    const { x, y } = at(digit);
    const half = SPOT / 2;
    return [
      ground('card', x - half, y - half, SPOT, SPOT, {
        id: `one-${digit}`,
        moves: true,
        text: passed.includes(digit) ? 'passed' : '',
      }),
      written(x, y, 0.6, String(digit)),
    ];
  });
  return {
    width: 2 * MIDDLE,
    height: 2 * MIDDLE,
    under: [...threads, ...spots.flat()],
    pieces: [],
    over: [],
    words: `a ring of the ones 0 to 9; the thread runs ${passed.join(', ')}`,
  };
}

interface RingState {
  readonly by: number;
  readonly steps: number;
}

export const RING_OF_ONES: Manipulative<RingState> = {
  id: 'ones',
  title: 'Ring of ones',
  start: { by: 2, steps: MOST_STEPS },
  scene: ({ by, steps }) => ringOfOnesScene(onesOf(by, steps)),
  sentence: ({ by, steps }) => {
    const said = Array.from({ length: onesOf(by, steps).length - 1 }, (_, i) => (i + 1) * by);
    return {
      words:
        said.length === 0
          ? 'Where does the thread go first?'
          : `In steps of ${by}: ${said.join(', ')}. The ones: ${onesOf(by, steps).slice(1).join(', ')}.`,
      sum: '',
      partWhole: null,
    };
  },
  controls: ({ by, steps }) => [
    choice(
      'by',
      'steps of',
      String(by),
      [1, 2, 3, 4, 5, 6, 7, 8, 9].map((n): readonly [string, string] => [String(n), String(n)]),
    ),
    act('one', 'One step more', steps >= MOST_STEPS || onesOf(by, steps).length - 1 < steps),
    act('whole', 'All the way round'),
    act('clear', 'From the beginning'),
  ],
  set(state, control, value) {
    switch (control) {
      case 'by':
        return { ...state, by: Number(value) };
      case 'one':
        return { ...state, steps: Math.min(MOST_STEPS, state.steps + 1) };
      case 'whole':
        return { ...state, steps: MOST_STEPS };
      default:
        return { ...state, steps: 0 };
    }
  },
  /** The right next one takes the thread on; another is left alone. */
  tap(state, id) {
    const next = ((state.steps + 1) * state.by) % DIGITS;
    return id === `one-${next}` && state.steps < MOST_STEPS
      ? { ...state, steps: state.steps + 1 }
      : state;
  },
};
