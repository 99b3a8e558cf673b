import { counted, numbered } from '../numbers/index.js';
import { type Manipulative, act, choice, step } from './handling.js';
import { type Scene, ground, piece } from './scene.js';
import { partsSentence } from './sentences.js';

const PITCH = 1.25;

/** What stands in a hole of the rail: nothing, or a peg of one of the two colors. */
export type Hole = 0 | 1 | 2;

/** Holes of a rail with a pegs of the first color, b of the second, `apart` holes between. */
export const holesFor = (a: number, b: number, holes: number, apart = 0): Hole[] =>
  Array.from({ length: holes }, (_, i) =>
    i < a ? 1 : i >= a + apart && i < a + apart + b ? 2 : 0,
  );

/** A rail with a row of holes and pegs in some of them. */
export function railScene(holes: readonly Hole[]): Scene {
  const width = holes.length * PITCH + 0.4;
  const x = (i: number): number => 0.2 + PITCH * (i + 0.5);
  const up = holes.filter((hole) => hole !== 0).length;
  return {
    width,
    height: 2,
    under: [
      ground('rail', 0, 0.3, width, 1.4),
      ...holes.map((_, i) =>
        ground('hole', x(i) - 0.3, 0.7, 0.6, 0.6, { id: `hole-${i}`, moves: true }),
      ),
    ],
    pieces: holes.flatMap((hole, i) =>
      hole === 0
        ? []
        : [piece(`peg-${i}`, x(i), 1, { look: 'peg', color: hole === 1 ? 'a' : 'b' })],
    ),
    over: [],
    words: `${numbered(up, 'peg', 'pegs')} on a rail with ${counted(holes.length, 'hole', 'holes')}`,
  };
}

interface RailState {
  readonly holes: readonly Hole[];
}

const countOf = (holes: readonly Hole[], color: Hole): number =>
  holes.filter((hole) => hole === color).length;

export const RAIL: Manipulative<RailState> = {
  id: 'rail',
  title: 'Peg rail',
  start: { holes: holesFor(6, 3, 10) },
  scene: ({ holes }) => railScene(holes),
  sentence: ({ holes }) => partsSentence([countOf(holes, 1), countOf(holes, 2)]),
  controls: ({ holes }) => {
    const [a, b] = [countOf(holes, 1), countOf(holes, 2)];
    return [
      step('a', 'first amount', a, 0, holes.length - b),
      step('b', 'second amount', b, 0, holes.length - a),
      choice('length', 'holes', String(holes.length), [
        ['10', 'Ten'],
        ['20', 'Twenty'],
      ]),
      act('together', 'Push together'),
      act('apart', 'Pull apart', a + b >= holes.length),
    ];
  },
  set(state, control, value) {
    const { holes } = state;
    const [a, b] = [countOf(holes, 1), countOf(holes, 2)];
    switch (control) {
      case 'a':
        return { holes: holesFor(Number(value), b, holes.length) };
      case 'b':
        return { holes: holesFor(a, Number(value), holes.length) };
      case 'length': {
        const length = Number(value);
        const first = Math.min(a, length);
        return { holes: holesFor(first, Math.min(b, length - first), length) };
      }
      case 'apart':
        return { holes: holesFor(a, b, holes.length, holes.length - a - b) };
      default:
        return { holes: holesFor(a, b, holes.length) };
    }
  },
  /** A hole takes a peg of the first color, then of the second, then none. */
  tap(state, id) {
    const at = Number(id.replace(/^\D+/, ''));
    return { holes: state.holes.with(at, (((state.holes[at] ?? 0) + 1) % 3) as Hole) };
  },
  drop(state, pieceId, placeId) {
    const [from, to] = [pieceId, placeId].map((id) => Number(id.replace(/^\D+/, ''))) as [
      number,
      number,
    ];
    if (state.holes[to] !== 0) return state;
    return { holes: state.holes.with(to, state.holes[from] ?? 1).with(from, 0) };
  },
};
