/** A point; y grows downward, the hinge or the line lies at zero. */
export interface Point {
  readonly x: number;
  readonly y: number;
}

/** Degrees at which two hinged mirrors show whole pictures: 360 over 2 to 12. */
export const HINGE_ANGLES: readonly number[] = Array.from({ length: 11 }, (_, i) => 360 / (i + 2));
const SNAP_DEGREES = 3;
const SAME = 1e-6;
/** More mirror pictures than this cannot be told apart, and are not drawn. */
const MOST_IMAGES = 40;

/** The nearest angle with whole pictures, where one is near; else the angle itself. */
export function snapHinge(degrees: number): number {
  const near = HINGE_ANGLES.find((one) => Math.abs(one - degrees) <= SNAP_DEGREES);
  return near ?? degrees;
}

/** m where 360 / angle is the whole number m; null between. */
export function wholePictures(degrees: number): number | null {
  const m = Math.round(360 / degrees);
  return Math.abs(360 / m - degrees) < SAME ? m : null;
}

/**
 * Pictures in the mirrors for a hinge with m whole parts: m - 1; m where m is odd and the thing stands
 * off the middle (textbook optics).
 */
export const seenInMirrors = (m: number, onMiddle: boolean): number =>
  m % 2 === 1 && !onMiddle ? m : m - 1;

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

/** A piece laid on one side of a line that runs up and down; `step` counts away from it, from 1. */
export interface Laying {
  readonly side: 'left' | 'right';
  readonly row: number;
  readonly step: number;
  readonly kind: string;
}

export interface BothSides {
  readonly pairs: number;
  /** The first piece without its like across the line, from the top and from the line; null for none. */
  readonly lone: Laying | null;
}

/** Whether both sides of a line are the same: how many pairs, and the first lone piece. */
export function bothSides(pieces: readonly Laying[]): BothSides {
  const keyOf = ({ row, step, kind }: Laying): string => `${row}/${step}/${kind}`;
  const on = (side: Laying['side']): Set<string> =>
    new Set(pieces.filter((one) => one.side === side).map(keyOf));
  const [left, right] = [on('left'), on('right')];
  const alone = pieces.filter((one) => !(one.side === 'left' ? right : left).has(keyOf(one)));
  const [lone = null] = [...alone].sort((p, q) => p.row - q.row || p.step - q.step);
  return { pairs: [...left].filter((one) => right.has(one)).length, lone };
}

/** The whole figure that opens from a half that was cut along a fold at x = 0. */
export function unfolded(half: readonly Point[]): Point[] {
  return [...half, ...[...half].reverse().map(({ x, y }) => ({ x: x === 0 ? 0 : -x, y }))];
}
