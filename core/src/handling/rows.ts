import { counted } from '../numbers/index.js';
import type { RecordOf } from '../vocabulary/index.js';
import { type Ground, type Piece, type Scene, ground, label, piece } from './scene.js';

const PITCH = 1.5;
const COLORS: Readonly<Record<string, Piece['color']>> = { A: 'a', B: 'b', C: 'c' };

/** A row of pieces by symbol (A, B, C), then as many empty places; wrapped at `columns`. */
export function symbolsScene(row: readonly string[], gaps: number, columns = 12): Scene {
  const n = row.length + gaps;
  const x = (i: number): number => 0.75 + (i % columns) * PITCH;
  const y = (i: number): number => 0.75 + Math.floor(i / columns) * PITCH;
  return {
    width: Math.min(n, columns) * PITCH,
    height: Math.max(1, Math.ceil(n / columns)) * PITCH,
    under: Array.from({ length: gaps }, (_, g) => {
      const i = row.length + g;
      return ground('hole', x(i) - 0.6, y(i) - 0.6, 1.2, 1.2);
    }),
    pieces: row.map((symbol, i) =>
      piece(`symbol-${i}`, x(i), y(i), {
        look: 'symbol',
        w: 1.2,
        h: 1.2,
        color: COLORS[symbol] ?? 'a',
        moves: false,
      }),
    ),
    over: [],
    words: `a row: ${row.join(' ')}${gaps > 0 ? `, then ${gaps} to lay` : ''}`,
  };
}

/** One side of a figure, the line in the middle, and empty places on the other side. */
export function mirrorScene(row: readonly string[]): Scene {
  const side = symbolsScene(row, 0);
  const middle = side.width + 0.5;
  const holes: Ground[] = row.map((_, i) =>
    ground('hole', middle + 0.5 + i * PITCH + 0.15, 0.15, 1.2, 1.2),
  );
  return {
    ...side,
    width: 2 * side.width + 1,
    under: [ground('mark', middle, 0, 0, PITCH), ...holes],
    words: `${side.words}, and the line beside it`,
  };
}

const BLOCK = 1.05;

/** Columns of blocks over one line, their names below. */
export function chartScene(groups: RecordOf<'chart'>['groups']): Scene {
  const most = Math.max(1, ...groups.map((one) => one.count));
  const foot = most * BLOCK + 0.2;
  const wide = 2.4;
  const colors = ['a', 'b', 'c'] as const;
  return {
    width: groups.length * wide,
    height: foot + 1.2,
    under: [
      ground('line', 0, foot, groups.length * wide, 0),
      ...groups.map(({ name }, i) => label((i + 0.5) * wide, foot + 0.65, 0.62, name)),
    ],
    pieces: groups.flatMap(({ count }, i) =>
      Array.from({ length: count }, (_, j) =>
        piece(`block-${i}-${j}`, (i + 0.5) * wide, foot - (j + 0.5) * BLOCK, {
          look: 'one',
          color: colors[i % colors.length] ?? 'a',
          moves: false,
        }),
      ),
    ),
    over: [],
    words: groups.map(({ name, count }) => `${name}: ${count}`).join(', '),
  };
}

/** A thing and equal units laid along it, end to end. */
export function lengthScene(units: number): Scene {
  return {
    width: units + 0.4,
    height: 2.6,
    under: [ground('rail', 0.2, 0.2, units, 0.9)],
    pieces: Array.from({ length: units }, (_, i) =>
      piece(`unit-${i}`, 0.2 + i + 0.5, 1.75, {
        look: 'one',
        color: i % 2 === 0 ? 'a' : 'b',
        moves: false,
      }),
    ),
    over: [],
    words: `a thing ${counted(units, 'unit', 'units')} long`,
  };
}

/** A row with one in it that is asked for by its place; the end to count from is marked. */
export function placesScene(fromEnd: 'left' | 'right'): Scene {
  const n = 5;
  const width = n * PITCH + 1.2;
  const flag = fromEnd === 'left' ? 0.4 : width - 0.4;
  return {
    width,
    height: 1.8,
    under: [ground('mark', flag, 0.2, 0, 1.4)],
    pieces: Array.from({ length: n }, (_, i) =>
      piece(`counter-${i}`, 1.35 + i * PITCH, 0.9, {
        color: i % 2 === 0 ? 'a' : 'b',
        moves: false,
      }),
    ),
    over: [],
    words: `five in a row, counted from the ${fromEnd}`,
  };
}
