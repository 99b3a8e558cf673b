import {
  type Faces,
  STANDARD_FACES,
  chanceAbove,
  drawCard,
  facesUpTo,
  numberWord,
} from '../numbers/index.js';
import { pipPieces } from './dominoes.js';
import { type Manipulative, act, choice, step } from './handling.js';
import { type Scene, beside, ground, written } from './scene.js';
import { numberSentence, partsSentence } from './sentences.js';

const SIDE = 3.4;

/** One die showing n (0 to 9). */
export const dieScene = (n: number): Scene => ({
  width: SIDE,
  height: SIDE,
  under: [ground('card', 0, 0, SIDE, SIDE, { id: 'die', moves: true })],
  pieces: pipPieces(n, 0, 0, 'pip', SIDE),
  over: [],
  words: numberWord(n),
});

interface DiceState {
  readonly shown: readonly number[];
  /** The sum is never above this; 18 for standard dice. */
  readonly top: number;
}

const facesOf = ({ shown, top }: DiceState): readonly Faces[] => facesUpTo(top, shown.length);

const TOPS = [3, 5, 6, 8, 10] as const;
const STANDARD = 18;

export const DICE: Manipulative<DiceState> = {
  id: 'dice',
  title: 'Dice',
  start: { shown: [3, 4], top: STANDARD },
  scene: ({ shown }) => beside(shown.map(dieScene), 1, `dice: ${shown.map(numberWord).join(', ')}`),
  sentence: ({ shown }) =>
    shown.length === 1 ? numberSentence(shown[0] ?? 0) : partsSentence(shown),
  about(state) {
    const dice = state.shown.length;
    const faces = facesOf(state)
      .map((one) => one.join(' '))
      .join(' and ');
    const standard = Array.from({ length: dice }, () => STANDARD_FACES);
    const passes = (100 * chanceAbove(state.top, standard)).toFixed(0);
    return state.top >= 6 * dice
      ? 'Standard faces, one to six'
      : `Faces ${faces}: never above ${state.top}. Standard dice pass it ${passes} times in a hundred.`;
  },
  controls: ({ shown, top }) => [
    act('roll', 'Roll'),
    choice('dice', 'dice', String(shown.length), [
      ['1', 'One'],
      ['2', 'Two'],
    ]),
    choice('top', 'sum', String(top), [
      [String(STANDARD), 'Standard faces'],
      ...TOPS.map((one): readonly [string, string] => [String(one), `Up to ${one}`]),
    ]),
  ],
  set(state, control, value, random) {
    if (control === 'roll') return rolled(state, random);
    const next =
      control === 'dice'
        ? { ...state, shown: Array.from({ length: Number(value) }, () => 0) }
        : { ...state, top: Number(value) };
    return rolled(next, random);
  },
  tap: (state, _, random) => rolled(state, random),
};

const rolled = (state: DiceState, random: () => number): DiceState => ({
  ...state,
  shown: facesOf(state).map((faces) => faces[Math.floor(random() * faces.length)] ?? 0),
});

/** A card with one numeral, as it is held up. */
export const cardScene = (text: string, width = 3.6): Scene => ({
  width,
  height: 4.6,
  under: [
    ground('card', 0, 0, width, 4.6, { id: 'card', moves: true }),
    written(width / 2, 2.3, 2.9, text),
  ],
  pieces: [],
  over: [],
  words: `the card ${text}`,
});

/** Cards side by side; `null` is a gap in the row. */
export const cardsScene = (row: readonly (number | null)[]): Scene => {
  const width = 2.6;
  const height = 3.3;
  const x = (i: number): number => i * (width + 0.35);
  return {
    width: Math.max(1, row.length * (width + 0.35) - 0.35),
    height,
    under: row.flatMap((n, i) =>
      n === null
        ? [ground('hole', x(i), 0, width, height, { text: 'gap' })]
        : [
            ground('card', x(i), 0, width, height),
            written(x(i) + width / 2, height / 2, n > 99 ? 1.2 : 1.7, String(n)),
          ],
    ),
    pieces: [],
    over: [],
    words: `cards: ${row.map((n) => (n === null ? 'a gap' : n)).join(', ')}`,
  };
};

interface DrawState {
  readonly low: number;
  readonly high: number;
  readonly drawn: readonly number[];
}

export const NUMBER_DRAW: Manipulative<DrawState> = {
  id: 'draw',
  title: 'Number draw',
  start: { low: 1, high: 10, drawn: [7] },
  scene: ({ drawn }) => cardScene(String(drawn.at(-1) ?? '')),
  sentence: ({ drawn }) => numberSentence(drawn.at(-1) ?? 0),
  about: () => 'None of the last three again',
  controls: ({ low, high }) => [
    act('draw', 'Draw a card'),
    step('low', 'from', low, 0, high),
    step('high', 'to', high, low, 100),
  ],
  set(state, control, value, random) {
    if (control !== 'draw') return { ...state, [control]: Number(value), drawn: [Number(value)] };
    const { low, high, drawn } = state;
    return { ...state, drawn: [...drawn.slice(-9), drawCard(low, high, drawn, random)] };
  },
  tap(state, _, random) {
    const { low, high, drawn } = state;
    return { ...state, drawn: [...drawn.slice(-9), drawCard(low, high, drawn, random)] };
  },
};
