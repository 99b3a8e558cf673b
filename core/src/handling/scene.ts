/** What a piece looks like; one counts as one, a rod as ten, a coin as its value. */
export type PieceLook =
  | 'counter'
  | 'pip'
  | 'bead'
  | 'peg'
  | 'finger'
  | 'thumb'
  | 'rod'
  | 'one'
  | 'tally'
  | 'tally-across'
  | 'marker'
  | 'coin'
  | 'symbol';

/**
 * A thing that is counted. Lengths are in counter diameters from the upper left of the scene; x and
 * y are the middle of the piece.
 */
export interface Piece {
  readonly id: string;
  readonly look: PieceLook;
  readonly x: number;
  readonly y: number;
  readonly w: number;
  readonly h: number;
  /** Turned clockwise, in degrees. */
  readonly turn: number;
  /** `a` blue and solid, `b` orange with a ring, `c` a third one for patterns. */
  readonly color: 'a' | 'b' | 'c';
  readonly value: number;
  /** Lies there and cannot be seen: under a cloth, behind a lid, folded down. */
  readonly hidden: boolean;
  /** Can be moved or changed by hand. */
  readonly moves: boolean;
}

export type GroundLook =
  | 'cell'
  | 'plate'
  | 'ring'
  | 'room'
  | 'card'
  | 'hand'
  | 'rail'
  | 'hole'
  | 'string'
  | 'line'
  | 'stick'
  | 'mark'
  | 'cloth'
  | 'number'
  | 'label'
  | 'spot';

/** What pieces lie on, hide under or are read from; not counted. */
export interface Ground {
  readonly id: string | null;
  readonly look: GroundLook;
  /** Upper left, or where a line begins. */
  readonly x: number;
  readonly y: number;
  /** Size, or where a line ends from where it begins. */
  readonly w: number;
  readonly h: number;
  readonly text: string;
  /** Can be tapped, or takes a piece that is dropped on it. */
  readonly moves: boolean;
}

/** A drawing of manipulatives. */
export interface Scene {
  readonly width: number;
  readonly height: number;
  readonly under: readonly Ground[];
  readonly pieces: readonly Piece[];
  /** What lies on top: a cloth, a lid. */
  readonly over: readonly Ground[];
  /** The scene in a few words, for those who do not see it. */
  readonly words: string;
}

/** A piece with nothing special about it; a counter unless told otherwise. */
export const piece = (id: string, x: number, y: number, more: Partial<Piece> = {}): Piece => ({
  id,
  look: 'counter',
  x,
  y,
  w: 1,
  h: 1,
  turn: 0,
  color: 'a',
  value: 1,
  hidden: false,
  moves: true,
  ...more,
});

export const ground = (
  look: GroundLook,
  x: number,
  y: number,
  w: number,
  h: number,
  more: Partial<Ground> = {},
): Ground => ({ id: null, look, x, y, w, h, text: '', moves: false, ...more });

/** A numeral or word with its middle at x, y; `size` is the height of the letters. */
export const written = (x: number, y: number, size: number, text: string): Ground =>
  ground('number', x, y, size, size, { text });

/** The same, written on the table itself instead of on a card. */
export const label = (x: number, y: number, size: number, text: string): Ground =>
  ground('label', x, y, size, size, { text });

/** Moves a scene within a larger one; ids get a prefix so that they stay apart. */
export function shifted(scene: Scene, dx: number, dy: number, prefix = ''): Scene {
  const move = <T extends { readonly x: number; readonly y: number }>(one: T): T => ({
    ...one,
    x: one.x + dx,
    y: one.y + dy,
  });
  const named = (one: Ground): Ground => ({ ...one, id: one.id === null ? null : prefix + one.id });
  return {
    ...scene,
    under: scene.under.map(move).map(named),
    over: scene.over.map(move).map(named),
    pieces: scene.pieces.map(move).map((one) => ({ ...one, id: prefix + one.id })),
  };
}

/** Scenes side by side, `gap` apart, their middles on one line. */
export function beside(scenes: readonly Scene[], gap: number, words: string): Scene {
  const height = Math.max(1, ...scenes.map((one) => one.height));
  let x = 0;
  const placed = scenes.map((one, i) => {
    const moved = shifted(one, x, (height - one.height) / 2, `${i}:`);
    x += one.width + gap;
    return moved;
  });
  return {
    width: Math.max(1, x - gap),
    height,
    under: placed.flatMap((one) => one.under),
    pieces: placed.flatMap((one) => one.pieces),
    over: placed.flatMap((one) => one.over),
    words,
  };
}

/** How much the pieces in view are worth together: what a count of them comes to. */
export const countOf = (scene: Scene): number =>
  scene.pieces.reduce((sum, one) => (one.hidden ? sum : sum + one.value), 0);
