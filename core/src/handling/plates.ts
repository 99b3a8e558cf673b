import { hashText, layOut, numbered, numberWord } from '../numbers/index.js';
import { type Manipulative, choice, step } from './handling.js';
import { type Scene, ground, piece, written } from './scene.js';
import { partsSentence } from './sentences.js';

const PLATE = 4.6;
const GAP = 0.8;

/** Counters of full size on one plate. */
const MOST_LARGE = 12;
const SMALL = 0.72;

/** Middles of n counters on a round plate: one in the middle, then rings around it. */
function onPlate(n: number): readonly (readonly [number, number])[] {
  if (n === 0) return [];
  if (n <= 5) {
    const radius = n === 1 ? 0 : 0.95;
    return ringOf(n === 5 ? 5 : n, radius);
  }
  const inner = n <= 8 ? 1 : n <= 10 ? 2 : Math.min(5, n - 9);
  if (n <= MOST_LARGE)
    return [...ringOf(inner, inner === 1 ? 0 : 0.62), ...ringOf(n - inner, 1.72)];
  // Many lie smaller, in three rings.
  const middle = Math.min(7, n - 13);
  return [...ringOf(1, 0), ...ringOf(middle, 0.95), ...ringOf(n - 1 - middle, 1.85)];
}

const ringOf = (n: number, radius: number): readonly (readonly [number, number])[] =>
  Array.from({ length: n }, (_, i) => {
    const turn = (i / n) * 2 * Math.PI - Math.PI / 2;
    return [radius * Math.cos(turn), radius * Math.sin(turn)] as const;
  });

/** Plates side by side with counters on them; the second of two in the second color if wished. */
export function platesScene(
  parts: readonly number[],
  twoColors = false,
  hiddenFrom: number | null = null,
): Scene {
  const width = parts.length * PLATE + (parts.length - 1) * GAP;
  const at = (part: number): number => part * (PLATE + GAP);
  return {
    width,
    height: PLATE,
    under: parts.map((_, part) =>
      ground('plate', at(part), 0, PLATE, PLATE, { id: `plate-${part}`, moves: true }),
    ),
    pieces: parts.flatMap((n, part) =>
      onPlate(n).map(([x, y], i) =>
        piece(`counter-${part}-${i}`, at(part) + PLATE / 2 + x, PLATE / 2 + y, {
          color: twoColors && part === 1 ? 'b' : 'a',
          ...(n > MOST_LARGE ? { w: SMALL, h: SMALL } : {}),
          hidden: hiddenFrom !== null && part >= hiddenFrom,
        }),
      ),
    ),
    over: parts.flatMap((_, part) =>
      hiddenFrom !== null && part >= hiddenFrom
        ? [ground('cloth', at(part), 0.2, PLATE, PLATE - 0.4, { id: 'cloth', moves: true })]
        : [],
    ),
    words: parts
      .map((n, part) =>
        hiddenFrom !== null && part >= hiddenFrom
          ? 'a cloth'
          : `${numberWord(n)} on plate ${part + 1}`,
      )
      .join(', '),
  };
}

/** The whole in a circle above, its parts in circles below, with numerals. */
export function partWholeScene(parts: readonly number[], hidden: number | null = null): Scene {
  const whole = parts.reduce((sum, part) => sum + part, 0);
  const circle = 2.2;
  const width = parts.length * circle + (parts.length - 1) * 1.2;
  const top = width / 2 - circle / 2;
  const at = (part: number): number => part * (circle + 1.2);
  return {
    width,
    height: 2 * circle + 1,
    under: [
      ...parts.map((_, part) =>
        ground(
          'line',
          width / 2,
          circle / 2,
          at(part) + circle / 2 - width / 2,
          circle / 2 + 1 + circle / 2,
        ),
      ),
      ground('ring', top, 0, circle, circle),
      written(width / 2, circle / 2, 1.1, String(whole)),
      ...parts.flatMap((n, part) => [
        ground('ring', at(part), circle + 1, circle, circle),
        written(at(part) + circle / 2, circle * 1.5 + 1, 1.1, part === hidden ? '?' : String(n)),
      ]),
    ],
    pieces: [],
    over: [],
    words: `${whole} made of ${parts.join(' and ')}`,
  };
}

/** Like counters loose on the table in one of the layouts. */
export function looseScene(n: number, layout: Parameters<typeof layOut>[1], seed: string): Scene {
  const picture = layOut(n, layout, hashText(seed));
  return {
    width: picture.width,
    height: picture.height,
    under: [],
    pieces: picture.spots.map(({ x, y }, i) => piece(`counter-${i}`, x, y, { moves: false })),
    over: [],
    words: `${numbered(n, 'counter', 'counters')}, ${layout}`,
  };
}

interface PlatesState {
  readonly parts: readonly number[];
  readonly look: 'plates' | 'circles';
  readonly colors: 'one' | 'two';
}

export const PLATES: Manipulative<PlatesState> = {
  id: 'plates',
  title: 'Plates',
  start: { parts: [4, 2], look: 'plates', colors: 'one' },
  scene: ({ parts, look, colors }) =>
    look === 'circles' ? partWholeScene(parts) : platesScene(parts, colors === 'two'),
  sentence: ({ parts }) => partsSentence(parts),
  controls: ({ parts, look, colors }) => [
    ...parts.map((n, part) => step(`part-${part}`, `plate ${part + 1}`, n, 0, 10)),
    choice('plates', 'how many plates', String(parts.length), [
      ['2', 'Two'],
      ['3', 'Three'],
    ]),
    choice('look', 'shown as', look, [
      ['plates', 'Counters'],
      ['circles', 'Numerals'],
    ]),
    choice('colors', 'colors', colors, [
      ['one', 'One color'],
      ['two', 'Two colors'],
    ]),
  ],
  set(state, control, value) {
    if (control.startsWith('part-')) {
      return { ...state, parts: state.parts.with(Number(control.slice(5)), Number(value)) };
    }
    if (control === 'plates') {
      const [a = 0, b = 0, c = 0] = state.parts;
      return { ...state, parts: value === '3' ? [a, b, 0] : [a, Math.min(10, b + c)] };
    }
    return { ...state, [control]: value };
  },
  /** A counter goes to the next plate. */
  tap(state, id) {
    if (!id.startsWith('counter')) return state;
    const part = Number(id.split('-')[1]);
    return moved(state, part, (part + 1) % state.parts.length);
  },
  drop: (state, pieceId, placeId) =>
    moved(state, Number(pieceId.split('-')[1]), Number(placeId.split('-')[1])),
};

function moved(state: PlatesState, from: number, to: number): PlatesState {
  const there = state.parts[to] ?? 0;
  if (from === to || there >= 10) return state;
  const parts = state.parts.with(from, (state.parts[from] ?? 1) - 1).with(to, there + 1);
  return { ...state, parts };
}
