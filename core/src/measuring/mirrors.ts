/** A point; y grows downward, the hinge or the line lies at zero. */
export interface Point {
  readonly x: number;
  readonly y: number;
}

/** Into so many equal parts two hinged mirrors part the round; between them no picture is whole. */
export const HINGE_PARTS: readonly number[] = Array.from({ length: 11 }, (_, i) => i + 2);
/** How far they are open then, in degrees. */
export const hingeDegrees = (parts: number): number => 360 / parts;
const SAME = 1e-6;
/** More mirror pictures than this cannot be told apart, and are not drawn. */
const MOST_IMAGES = 40;

/**
 * How many are seen with the thing itself, the mirrors parting the round into so many: as many; one more
 * where their number is odd and the thing stands off the middle (textbook optics).
 */
export const picturesSeen = (parts: number, onMiddle: boolean): number =>
  parts % 2 === 1 && !onMiddle ? parts + 1 : parts;

/** A picture in the mirrors: a point at angle t goes to turn + t, or to turn - t where it is flipped. */
export interface MirrorImage {
  readonly flipped: boolean;
  /** Radians. */
  readonly turn: number;
}

const full = 2 * Math.PI;
const within = (angle: number): number => ((angle % full) + full) % full;

/** Where an image puts a point. */
export function reflected({ flipped, turn }: MirrorImage, { x, y }: Point): Point {
  const r = Math.hypot(x, y);
  const t = Math.atan2(y, x);
  const at = flipped ? turn - t : turn + t;
  return { x: r * Math.cos(at), y: r * Math.sin(at) };
}

/**
 * All pictures of a thing between two mirrors that meet at zero, one along 0 degrees and one along the
 * opening: reflected in the one and the other by turns, until a picture lies behind both.
 * @param opening degrees, more than 0 and at most 180
 * @param at where the thing stands, in degrees between the mirrors
 */
export function mirrorImages(opening: number, at: number): MirrorImage[] {
  const a = (opening * Math.PI) / 180;
  const t = (at * Math.PI) / 180;
  const found: MirrorImage[] = [];
  const seen: number[] = [];
  const isSeen = (angle: number): boolean =>
    seen.some((one) => {
      const apart = Math.abs(within(one - angle));
      return Math.min(apart, full - apart) < SAME;
    });
  for (const first of [0, a]) {
    let image: MirrorImage = { flipped: false, turn: 0 };
    let line = first;
    for (let n = 0; n < MOST_IMAGES; n++) {
      image = { flipped: !image.flipped, turn: 2 * line - image.turn };
      const angle = within(image.flipped ? image.turn - t : image.turn + t);
      if (!isSeen(angle)) {
        seen.push(angle);
        found.push(image);
      }
      // Behind both mirrors nothing is reflected any more.
      if (angle > Math.PI - SAME && angle < Math.PI + a + SAME) break;
      line = line === 0 ? a : 0;
    }
  }
  return found;
}

/** Where the line of a grid lies: up and down, from side to side, or from the upper left corner down. */
export const GRID_LINES = ['upright', 'level', 'slanting'] as const;
export type GridLine = (typeof GRID_LINES)[number];

/** A piece laid on a grid; rows and columns count from 0. */
export interface Laying {
  readonly row: number;
  readonly column: number;
  readonly kind: string;
}
type Place = Pick<Laying, 'row' | 'column'>;

/** The place that lies opposite over the line; itself for a place on a slanting line. @param size of the grid */
export function opposite(line: GridLine, size: number, { row, column }: Place): Place {
  switch (line) {
    case 'upright':
      return { row, column: size - 1 - column };
    case 'level':
      return { row: size - 1 - row, column };
    case 'slanting':
      return { row: column, column: row };
  }
}

export interface BothSides {
  /** Pairs over the line; a piece that lies on it is one by itself. */
  readonly pairs: number;
  /** The first piece without its like across the line, from the top and the left; null for none. */
  readonly lone: Laying | null;
}

/** Whether both sides of a line are the same: how many pairs, and the first lone piece. */
export function bothSides(line: GridLine, size: number, pieces: readonly Laying[]): BothSides {
  const kinds = new Map(pieces.map(({ row, column, kind }) => [`${row}/${column}`, kind]));
  const isPaired = (one: Laying): boolean => {
    const { row, column } = opposite(line, size, one);
    return kinds.get(`${row}/${column}`) === one.kind;
  };
  const paired = pieces.filter(isPaired);
  const onLine = paired.filter((one) => {
    const { row, column } = opposite(line, size, one);
    return row === one.row && column === one.column;
  });
  const [lone = null] = pieces
    .filter((one) => !isPaired(one))
    .sort((p, q) => p.row - q.row || p.column - q.column);
  return { pairs: (paired.length + onLine.length) / 2, lone };
}

/** The whole figure that opens from a half that was cut along a fold at x = 0. */
export function unfolded(half: readonly Point[]): Point[] {
  return [...half, ...[...half].reverse().map(({ x, y }) => ({ x: x === 0 ? 0 : -x, y }))];
}
