import { numberWord } from '../numbers/index.js';
import { pipPieces } from './dominoes.js';
import { type Ground, type Piece, type Scene, ground, piece, written } from './scene.js';

const TUBE = 1.5;
const TUBE_GAP = 1.6;
const COLORS = ['a', 'b', 'c'] as const;

/** A shut box with a tube for each amount, what is in a tube lying one above the other. */
export function tubesScene(amounts: readonly number[], open: boolean): Scene {
  const most = Math.max(4, ...amounts);
  const size = most > 7 ? 7 / most : 1;
  const tall = most * size + 0.4;
  const at = (i: number): number => 0.8 + i * (TUBE + TUBE_GAP);
  const width = 1.6 + amounts.length * TUBE + (amounts.length - 1) * TUBE_GAP;
  return {
    width,
    height: tall + 3,
    under: [
      ground('rail', 0, tall + 0.2, width, 2.6, { id: 'box' }),
      ...amounts.map((_, i) => ground('room', at(i), 0, TUBE, tall)),
    ],
    pieces: amounts.flatMap((n, i) =>
      Array.from({ length: n }, (_, j) =>
        piece(`in-${i}-${j}`, at(i) + TUBE / 2, tall - 0.2 - size * (j + 0.5), {
          color: COLORS[i] ?? 'a',
          w: size,
          h: size,
        }),
      ),
    ),
    over: open ? [] : [ground('cloth', 0.2, tall + 0.4, width - 0.4, 2.2, { text: 'box' })],
    words: `a box with ${numberWord(amounts.length)} tubes: ${amounts.map(numberWord).join(' and ')}`,
  };
}

const CUBE = 0.9;

/** A tower lying on its side, the first amount in the first color, the next in the second. */
export function towerScene(amounts: readonly number[]): Scene {
  const colors = amounts.flatMap((n, i) => Array.from({ length: n }, () => COLORS[i] ?? 'a'));
  return {
    width: Math.max(1, colors.length) * CUBE + 0.4,
    height: CUBE + 0.4,
    under: [],
    pieces: colors.map((color, i) =>
      piece(`cube-${i}`, 0.2 + CUBE * (i + 0.5), 0.2 + CUBE / 2, {
        look: 'one',
        w: CUBE,
        h: CUBE,
        color,
      }),
    ),
    over: [],
    words: `a tower of ${amounts.map(numberWord).join(' and ')}`,
  };
}

const CUP = 1.9;

/** Cups in a row with a numeral on each; those that fell lie below the line. */
export function cupsScene(numbers: readonly number[], fallen: readonly number[]): Scene {
  const under: Ground[] = numbers.flatMap((n, i) => {
    const y = fallen.includes(n) ? 1.6 : 0.1;
    return [
      ground('ring', 0.1 + i * CUP, y, CUP - 0.3, CUP - 0.3),
      written(0.1 + i * CUP + (CUP - 0.3) / 2, y + (CUP - 0.3) / 2, 0.9, String(n)),
    ];
  });
  return {
    width: Math.max(1, numbers.length) * CUP,
    height: CUP + 1.6,
    under,
    pieces: [],
    over: [],
    words:
      fallen.length === 0
        ? `cups with ${numbers.join(', ')}`
        : `cups; fallen: ${fallen.join(' and ')}`,
  };
}

const CARD = 4;
const PER_ROW = 4;

/** A card with solid dots and ring dots, the solid ones first. */
export function twoColorCard(solid: number, rings: number): Scene {
  const n = solid + rings;
  const columns = Math.min(PER_ROW, Math.max(1, Math.ceil(n / 2)));
  const rows = Math.max(1, Math.ceil(n / columns));
  const width = Math.max(CARD, columns * 1.3 + 0.6);
  const pieces: Piece[] = Array.from({ length: n }, (_, i) =>
    piece(
      `dot-${i}`,
      width / 2 + ((i % columns) - (columns - 1) / 2) * 1.3,
      0.3 + 1.3 * (Math.floor(i / columns) + 0.5),
      { color: i < solid ? 'a' : 'b', moves: false },
    ),
  );
  const height = rows * 1.3 + 0.6;
  return {
    width,
    height,
    under: [ground('card', 0, 0, width, height)],
    pieces,
    over: [],
    words: `a card with ${numberWord(solid)} solid dots and ${numberWord(rings)} rings`,
  };
}

/** Counters before a mirror, and as many again in it. */
export function mirroredScene(n: number): Scene {
  const side = Math.max(1, n) * 1.1;
  const row = (from: number, name: string, color: Piece['color']): Piece[] =>
    Array.from({ length: n }, (_, i) =>
      piece(`${name}-${i}`, from + 1.1 * (i + 0.5), 0.8, { color, moves: false }),
    );
  return {
    width: 2 * side + 1,
    height: 1.6,
    under: [ground('mark', side + 0.5, 0, 0, 1.6)],
    pieces: [...row(0, 'real', 'a'), ...row(side + 1, 'seen', 'b')],
    over: [],
    words: `${numberWord(n)} before a mirror`,
  };
}

/** Dominoes and dice drawn with their pips: one picture each, up to nine. */
export const pipCard = (n: number): Scene => ({
  width: CARD,
  height: CARD,
  under: [ground('card', 0, 0, CARD, CARD)],
  pieces: pipPieces(n, 0, 0, 'pip', CARD),
  over: [],
  words: `${numberWord(n)} dots`,
});
