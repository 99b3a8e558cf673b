import { capital, numbered, numberWord } from '../numbers/index.js';
import { type Manipulative, act, step } from './handling.js';
import { type Piece, type Scene, piece } from './scene.js';

const ONE = 0.62;
const TEN = 10 * ONE;

/** Rods for tens and single cubes for ones, the ones in columns of ten beside the rods. */
export function tensScene(tens: number, ones: number): Scene {
  const pieces: Piece[] = [];
  for (let i = 0; i < tens; i++) {
    pieces.push(
      piece(`ten-${i}`, 0.4 + i * 0.9, TEN / 2 + 0.2, {
        look: 'rod',
        w: ONE,
        h: TEN,
        color: 'a',
        value: 10,
      }),
    );
  }
  const left = tens * 0.9 + (tens > 0 ? 0.7 : 0.4);
  for (let i = 0; i < ones; i++) {
    pieces.push(
      piece(`one-${i}`, left + Math.floor(i / 10) * 0.9, TEN + 0.2 - (i % 10) * 0.66 - ONE / 2, {
        look: 'one',
        w: ONE,
        h: ONE,
        color: 'b',
      }),
    );
  }
  return {
    width: Math.max(3, left + Math.ceil(ones / 10) * 0.9 + 0.2),
    height: TEN + 0.4,
    under: [],
    pieces,
    over: [],
    words: `${numberWord(tens)} tens and ${numberWord(ones)} ones`,
  };
}

interface TensState {
  readonly tens: number;
  readonly ones: number;
}

export const TENS: Manipulative<TensState> = {
  id: 'tens',
  title: 'Tens and ones',
  start: { tens: 2, ones: 4 },
  scene: ({ tens, ones }) => tensScene(tens, ones),
  sentence: ({ tens, ones }) => ({
    words: `${capital(numbered(tens, 'ten', 'tens'))} and ${numbered(ones, 'one', 'ones')}: ${numberWord(10 * tens + ones)}.`,
    sum: `${10 * tens} + ${ones} = ${10 * tens + ones}`,
    partWhole: { whole: 10 * tens + ones, parts: [10 * tens, ones] },
  }),
  controls: ({ tens, ones }) => [
    step('tens', 'tens', tens, 0, 9),
    step('ones', 'ones', ones, 0, 29),
    act('break', 'Break a ten', tens === 0 || ones > 19),
    act('make', 'Make a ten', ones < 10 || tens === 9),
  ],
  set(state, control, value) {
    if (control === 'break') return { tens: state.tens - 1, ones: state.ones + 10 };
    if (control === 'make') return { tens: state.tens + 1, ones: state.ones - 10 };
    return { ...state, [control]: Number(value) };
  },
  /** A rod falls into ten ones where there is room; a one goes away. */
  tap(state, id) {
    if (!id.startsWith('ten')) return { ...state, ones: state.ones - 1 };
    return state.ones > 19 ? state : { tens: state.tens - 1, ones: state.ones + 10 };
  },
};

const COINS = [
  { worth: 10, name: 'tens' },
  { worth: 5, name: 'fives' },
  { worth: 1, name: 'ones' },
] as const;
const COIN_SIZE: Record<number, number> = { 10: 2, 5: 1.65, 1: 1.3 };

/** Play coins of ten, five and one, largest first, up to six in a row. */
export function coinsScene(tens: number, fives: number, ones: number): Scene {
  const counts = [tens, fives, ones];
  const pieces: Piece[] = [];
  let y = 0;
  COINS.forEach(({ worth, name }, i) => {
    const size = COIN_SIZE[worth] ?? 1;
    const n = counts[i] ?? 0;
    for (let j = 0; j < n; j++) {
      pieces.push(
        piece(
          `${name}-${j}`,
          0.1 + size / 2 + (j % 6) * 2.1,
          y + size / 2 + Math.floor(j / 6) * (size + 0.2),
          {
            look: 'coin',
            w: size,
            h: size,
            value: worth,
          },
        ),
      );
    }
    y += Math.ceil(n / 6) * (size + 0.2);
  });
  return {
    width: Math.max(2.2, 2.1 * Math.min(6, Math.max(...counts))),
    height: Math.max(1.4, y),
    under: [],
    pieces,
    over: [],
    words: COINS.map(({ name }, i) => `${numberWord(counts[i] ?? 0)} ${name}`).join(', '),
  };
}

/** Play coins for an amount with as few as there can be. */
export const coinsFor = (amount: number): readonly [number, number, number] => [
  Math.floor(amount / 10),
  Math.floor((amount % 10) / 5),
  amount % 5,
];

interface CoinState {
  readonly tens: number;
  readonly fives: number;
  readonly ones: number;
}

export const COINS_TO_COUNT: Manipulative<CoinState> = {
  id: 'coins',
  title: 'Coins',
  start: { tens: 1, fives: 1, ones: 2 },
  scene: ({ tens, fives, ones }) => coinsScene(tens, fives, ones),
  sentence({ tens, fives, ones }) {
    const worth = 10 * tens + 5 * fives + ones;
    return {
      words: `${capital(numberWord(worth))} in all.`,
      sum: [10 * tens, 5 * fives, ones].filter((n) => n > 0).join(' + ') + ` = ${worth}`,
      partWhole: null,
    };
  },
  controls: ({ tens, fives, ones }) => [
    step('tens', 'tens', tens, 0, 6),
    step('fives', 'fives', fives, 0, 6),
    step('ones', 'ones', ones, 0, 12),
  ],
  set: (state, control, value) => ({ ...state, [control]: Number(value) }),
  tap(state, id) {
    const kind = id.split('-')[0] as keyof CoinState;
    return { ...state, [kind]: state[kind] - 1 };
  },
};
