import { numbered, numberWord, plural } from '../numbers/index.js';
import { type Manipulative, act, step } from './handling.js';
import { type Scene, piece } from './scene.js';
import { numberSentence } from './sentences.js';

const HEIGHT = 2.6;
const STROKE = 0.55;
const FIVE = 4 * STROKE + 1.1;

/** n tally marks, every fifth across the four before it. */
export function tallyScene(n: number): Scene {
  const groups = Math.max(1, Math.ceil(n / 5));
  const perRow = 4;
  const rows = Math.ceil(groups / perRow);
  return {
    width: Math.min(groups, perRow) * FIVE + 0.2,
    height: rows * (HEIGHT + 0.8),
    under: [],
    pieces: Array.from({ length: n }, (_, i) => {
      const five = Math.floor(i / 5);
      const x = 0.5 + (five % perRow) * FIVE;
      const y = 0.4 + HEIGHT / 2 + Math.floor(five / perRow) * (HEIGHT + 0.8);
      return i % 5 === 4
        ? piece(`tally-${i}`, x + 1.5 * STROKE, y, {
            look: 'tally-across',
            w: 4 * STROKE + 0.5,
            h: 0.16,
            turn: -28,
            moves: false,
          })
        : piece(`tally-${i}`, x + (i % 5) * STROKE, y, {
            look: 'tally',
            w: 0.16,
            h: HEIGHT,
            moves: false,
          });
    }),
    over: [],
    words: numbered(n, 'tally mark', 'tally marks'),
  };
}

/** ": one five and two". */
function inFives(n: number): string {
  const fives = Math.floor(n / 5);
  const rest = n % 5 === 0 ? '' : ` and ${numberWord(n % 5)}`;
  return `: ${numberWord(fives)} ${plural(fives, 'five', 'fives')}${rest}`;
}

export const TALLY: Manipulative<{ readonly n: number }> = {
  id: 'tally',
  title: 'Tally',
  start: { n: 7 },
  scene: ({ n }) => tallyScene(n),
  sentence: ({ n }) => numberSentence(n, n >= 5 ? inFives(n) : ''),
  controls: ({ n }) => [
    act('more', 'One more', n >= 40),
    step('n', 'marks', n, 0, 40),
    act('empty', 'Wipe it off'),
  ],
  set: ({ n }, control, value) => ({
    n: control === 'more' ? Math.min(40, n + 1) : control === 'n' ? Number(value) : 0,
  }),
  tap: (state) => state,
};
