import { capital, numberWord } from '../numbers/index.js';
import { type Manipulative, act, choice, step } from './handling.js';
import { type Ground, type Scene, ground, label, piece, written } from './scene.js';

const CELL = 1.5;

/** A number track of cards from 1 to `top`, a marker standing on one of them (0: before the first). */
export function trackScene(top: number, at: number): Scene {
  const perRow = Math.min(top, 10);
  const rows = Math.ceil(top / perRow);
  const x = (n: number): number => 1.2 + ((n - 1) % perRow) * CELL;
  const y = (n: number): number => 1.1 + Math.floor((n - 1) / perRow) * (CELL + 1.1);
  const under: Ground[] = Array.from({ length: top }, (_, i) => i + 1).flatMap((n) => [
    ground('cell', x(n), y(n), CELL, CELL, { id: `place-${n}`, moves: true }),
    written(x(n) + CELL / 2, y(n) + CELL / 2, 0.8, String(n)),
  ]);
  const here = at === 0 ? [0.6, y(1) - 0.5] : [x(at) + CELL / 2, y(at) - 0.5];
  return {
    width: 1.2 + perRow * CELL + 0.2,
    height: rows * (CELL + 1.1) + 0.2,
    under,
    pieces: [
      piece('marker', here[0] ?? 0, here[1] ?? 0, { look: 'marker', value: 0, w: 0.8, h: 0.8 }),
    ],
    over: [],
    words:
      at === 0 ? 'a number track, the marker before one' : `a number track, the marker on ${at}`,
  };
}

const TICK = 1.1;

/** A number line from 0 with jumps drawn as bows, each a step further. */
export function lineScene(top: number, stops: readonly number[]): Scene {
  const every = top > 20 ? 5 : 1;
  const unit = top > 20 ? (20 * TICK) / top : TICK;
  const y = 3.4;
  const x = (n: number): number => 0.9 + n * unit;
  const ticks = Array.from({ length: Math.floor(top / every) + 1 }, (_, i) => i * every);
  const last = stops.at(-1) ?? 0;
  return {
    width: x(top) + 0.9,
    height: 5,
    under: [
      ground('line', 0.4, y, x(top) + 0.1, 0),
      ...ticks.flatMap((n) => [
        ground('mark', x(n), y - 0.25, 0, 0.5),
        ground('spot', x(n) - unit * every * 0.5, y - 0.5, unit * every, 1.9, {
          id: `place-${n}`,
          moves: true,
          text: String(n),
        }),
        label(x(n), y + 0.85, top > 20 ? 0.75 : 0.7, String(n)),
      ]),
      ...stops.slice(1).map((to, i) => {
        const from = stops[i] ?? 0;
        return ground(
          'stick',
          x(from),
          y,
          x(to) - x(from),
          -Math.min(2.6, 0.8 + Math.abs(to - from) * 0.25),
          {
            text: 'bow',
          },
        );
      }),
    ],
    pieces: [piece('marker', x(last), y - 0.55, { look: 'marker', value: 0, w: 0.7, h: 0.7 })],
    over: [],
    words: `a number line to ${top}, ${stops.join(', then ')}`,
  };
}

interface TrackState {
  readonly top: number;
  readonly stops: readonly number[];
}

const hop = (state: TrackState, to: number): TrackState =>
  to < 0 || to > state.top ? state : { ...state, stops: [...state.stops.slice(-6), to] };

const sentence = ({ stops }: TrackState) => {
  const [from, to] = [stops.at(-2), stops.at(-1) ?? 0];
  if (from === undefined || from === to) {
    return { words: `${capital(numberWord(to))}.`, sum: String(to), partWhole: null };
  }
  const by = Math.abs(to - from);
  return {
    words: `${capital(numberWord(from))}, ${numberWord(by)} ${to > from ? 'on' : 'back'}: ${numberWord(to)}.`,
    sum: `${from} ${to > from ? '+' : '−'} ${by} = ${to}`,
    partWhole: null,
  };
};

const moves = (state: TrackState, control: string, value: number | string): TrackState => {
  const last = state.stops.at(-1) ?? 0;
  switch (control) {
    case 'forward':
      return hop(state, last + 1);
    case 'back':
      return hop(state, last - 1);
    case 'top': {
      const top = Number(value);
      return { top, stops: [Math.min(top, last)] };
    }
    case 'at':
      return { ...state, stops: [Number(value)] };
    default:
      return { ...state, stops: [0] };
  }
};

const controls = (tops: readonly number[]) => (state: TrackState) => {
  const last = state.stops.at(-1) ?? 0;
  return [
    act('back', 'One back', last === 0),
    act('forward', 'One on', last === state.top),
    step('at', 'stands on', last, 0, state.top),
    choice(
      'top',
      'goes to',
      String(state.top),
      tops.map((one) => [String(one), String(one)]),
    ),
    act('again', 'Back to the start'),
  ];
};

const placed = (state: TrackState, id: string): TrackState =>
  id.startsWith('place-') ? hop(state, Number(id.slice('place-'.length))) : state;

export const TRACK: Manipulative<TrackState> = {
  id: 'track',
  title: 'Number track',
  start: { top: 10, stops: [4] },
  scene: ({ top, stops }) => trackScene(top, stops.at(-1) ?? 0),
  sentence,
  controls: controls([5, 10, 20]),
  set: moves,
  tap: placed,
  drop: (state, _, place) => placed(state, place),
};

export const LINE: Manipulative<TrackState> = {
  id: 'line',
  title: 'Number line',
  start: { top: 20, stops: [6, 9] },
  scene: ({ top, stops }) => lineScene(top, stops),
  sentence,
  controls: controls([10, 20, 100]),
  set: moves,
  tap: placed,
  drop: (state, _, place) => placed(state, place),
};
