import { type Manipulative, act, choice } from './handling.js';
import { type Scene, ground, written } from './scene.js';

const CELL = 1.1;

/** A hundred chart in ten rows; covered numbers are not read, marked ones stand out. */
export function hundredScene(
  first: 0 | 1,
  marked: ReadonlySet<number>,
  covered: ReadonlySet<number>,
): Scene {
  const x = (n: number): number => ((n - first) % 10) * CELL;
  const y = (n: number): number => Math.floor((n - first) / 10) * CELL;
  const numbers = Array.from({ length: 100 }, (_, i) => first + i);
  return {
    width: 10 * CELL,
    height: 10 * CELL,
    under: numbers.flatMap((n) => [
      ground('cell', x(n), y(n), CELL, CELL, {
        id: `n-${n}`,
        moves: true,
        text: covered.has(n) ? 'covered' : marked.has(n) ? 'marked' : '',
      }),
      ...(covered.has(n) ? [] : [written(x(n) + CELL / 2, y(n) + CELL / 2, 0.52, String(n))]),
    ]),
    pieces: [],
    over: [],
    words: `a hundred chart from ${first}; ${covered.size} covered, ${marked.size} marked`,
  };
}

interface HundredState {
  readonly first: 0 | 1;
  readonly by: number;
  readonly mode: 'cover' | 'mark';
  readonly covered: readonly number[];
  readonly marked: readonly number[];
}

const EVERY = [2, 5, 10];

const multiples = (by: number): number[] =>
  by === 0 ? [] : Array.from({ length: Math.floor(100 / by) }, (_, i) => by * (i + 1));

const flipped = (list: readonly number[], n: number): number[] =>
  list.includes(n) ? list.filter((one) => one !== n) : [...list, n];

const all = (first: number): number[] => Array.from({ length: 100 }, (_, i) => first + i);

export const HUNDRED: Manipulative<HundredState> = {
  id: 'hundred',
  title: 'Hundred chart',
  start: { first: 1, by: 0, mode: 'cover', covered: [], marked: [] },
  scene: ({ first, covered, marked }) => hundredScene(first, new Set(marked), new Set(covered)),
  sentence: ({ by, covered, marked }) => ({
    words:
      by > 0
        ? `In steps of ${by}: ${multiples(by).slice(0, 5).join(', ')} …`
        : covered.length > 0
          ? `${covered.length} covered. Which are they?`
          : marked.length > 0
            ? `Marked: ${[...marked]
                .sort((a, b) => a - b)
                .slice(0, 12)
                .join(', ')}.`
            : 'One to a hundred.',
    sum: '',
    partWhole: null,
  }),
  controls: ({ first, by, mode }) => [
    choice('mode', 'a tap', mode, [
      ['cover', 'Covers'],
      ['mark', 'Marks'],
    ]),
    choice('by', 'steps of', String(by), [
      ['0', 'None'],
      ...EVERY.map((one): readonly [string, string] => [String(one), String(one)]),
    ]),
    choice('first', 'begins at', String(first), [
      ['1', 'One'],
      ['0', 'Zero'],
    ]),
    act('gaps', 'Cover ten by chance'),
    act('clear', 'Clear'),
  ],
  set(state, control, value, random) {
    switch (control) {
      case 'mode':
        return { ...state, mode: value as HundredState['mode'] };
      case 'by':
        return { ...state, by: Number(value), marked: multiples(Number(value)) };
      case 'first':
        return { ...state, first: value === '0' ? 0 : 1, covered: [] };
      case 'gaps': {
        const open = all(state.first);
        const covered: number[] = [];
        while (covered.length < 10) {
          covered.push(...open.splice(Math.floor(random() * open.length), 1));
        }
        return { ...state, covered };
      }
      default:
        return { ...state, by: 0, covered: [], marked: [] };
    }
  },
  tap(state, id) {
    const n = Number(id.slice(2));
    if (Number.isNaN(n)) return state;
    return state.mode === 'cover'
      ? { ...state, covered: flipped(state.covered, n) }
      : { ...state, by: 0, marked: flipped(state.marked, n) };
  },
};
