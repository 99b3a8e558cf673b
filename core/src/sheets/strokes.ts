/** A point on a field 10 wide and 16 high. */
type P = readonly [x: number, y: number];

/** One stroke of a digit: drawn without lifting, from its first point to its last. */
export interface Stroke {
  readonly points: readonly P[];
  /** What is said while it is drawn, in words of movement. */
  readonly move: string;
  /** And in a rhyme. */
  readonly rhyme: string;
}

export interface DigitForms {
  readonly one: 'plain' | 'flagged';
  readonly four: 'open' | 'closed';
  readonly nine: 'straight' | 'slanted' | 'curved';
}

export const FIELD = { width: 10, height: 16 } as const;

/** So many degrees between two points of a curve: smooth on a page as on a screen. */
const FINE_DEGREES = 3;
const CURVE_STEPS = 24;

/** Points along a curve from one point to another, pulled by two others (cubic Bézier). */
function curve(from: P, pull: P, pullTo: P, to: P): P[] {
  return Array.from({ length: CURVE_STEPS + 1 }, (_, i): P => {
    const t = i / CURVE_STEPS;
    const u = 1 - t;
    const on = (k: 0 | 1): number =>
      round(
        u ** 3 * from[k] + 3 * u * u * t * pull[k] + 3 * u * t * t * pullTo[k] + t ** 3 * to[k],
      );
    return [on(0), on(1)];
  });
}

/** Points along a part of an ellipse, angles in degrees, 0 to the right, growing downward. */
function arc(cx: number, cy: number, rx: number, ry: number, from: number, to: number): P[] {
  const steps = Math.max(4, Math.ceil(Math.abs(to - from) / FINE_DEGREES));
  return Array.from({ length: steps + 1 }, (_, i): P => {
    const t = ((from + ((to - from) * i) / steps) * Math.PI) / 180;
    return [round(cx + rx * Math.cos(t)), round(cy + ry * Math.sin(t))];
  });
}

const round = (n: number): number => Math.round(n * 100) / 100;

const stroke = (move: string, rhyme: string, ...points: P[]): Stroke => ({ points, move, rhyme });

const NINES: Readonly<
  Record<
    DigitForms['nine'],
    { readonly move: string; readonly rhyme: string; readonly leg: readonly P[] }
  >
> = {
  straight: {
    move: 'round, close, down',
    rhyme: 'A ball and a line, and that is nine',
    leg: [
      [8.2, 3.6],
      [8.2, 15],
    ],
  },
  slanted: {
    move: 'round, close, slant down',
    rhyme: 'A ball and a slope, and down the rope',
    leg: [
      [8.2, 3.6],
      [5.4, 15],
    ],
  },
  curved: {
    move: 'round, close, down with a hook',
    rhyme: 'A ball and a hook, look in the book',
    leg: [
      ...curve([8.2, 3.6], [8.4, 7], [8.6, 9.4], [8, 11.6]),
      ...curve([8, 11.6], [7.2, 15], [4.2, 15.6], [2.4, 14]),
    ],
  },
};

/**
 * How each digit is written: all begin at the top, top to bottom and left to right (common practice,
 * no source). The cues are Gumo's own.
 */
export function strokesOf(digit: number, forms: DigitForms): readonly Stroke[] {
  switch (digit) {
    case 0:
      return [
        stroke(
          'over, down, round and up',
          'All the way round, and home again',
          ...arc(5, 8, 4, 7, -90, -450),
        ),
      ];
    case 1:
      return forms.one === 'plain'
        ? [stroke('down', 'Straight as a stick, and quick', [5, 1], [5, 15])]
        : [
            stroke('down', 'Straight down from the top', [5, 1], [5, 15]),
            stroke('flag', 'back to the top, a flag in the wind', [5, 1], [2.4, 4]),
            stroke('base', 'and a floor to stand on', [2.4, 15], [7.6, 15]),
          ];
    case 2:
      return [
        stroke(
          'over, slant, across',
          'Over the hill, down the slide, along the ground so wide',
          ...arc(5, 5, 3.8, 4, -160, 0),
          ...curve([8.8, 5], [8.8, 8.6], [4.4, 11.4], [1.2, 15]),
          [8.8, 15],
        ),
      ];
    case 3:
      return [
        stroke(
          'round to the middle, round again',
          'Round the tree, round the tree, that is how you make a three',
          ...arc(4.8, 4.6, 3.4, 3.6, -140, 90),
          ...arc(4.8, 11.6, 3.8, 3.4, -90, 140),
        ),
      ];
    case 4:
      return forms.four === 'open'
        ? [
            stroke('down, across', 'Down and over, some more', [2.6, 1], [1.6, 10.4], [8.8, 10.4]),
            stroke('down through', 'and down once more: four', [6.6, 4.2], [6.6, 15]),
          ]
        : [
            stroke(
              'slant, across',
              'Down the slide and along the floor',
              [6.4, 1],
              [1.4, 10],
              [8.8, 10],
            ),
            stroke('down through', 'and straight on down: four', [6.4, 1], [6.4, 15]),
          ];
    case 5:
      return [
        stroke(
          'down, round',
          'Down and around goes the belly',
          [2.6, 1],
          [2.2, 7],
          ...arc(4.6, 10.6, 4, 4.4, -125, 140),
        ),
        stroke('back to the top, across', 'and a cap on top of the jelly', [2.6, 1], [8.2, 1]),
      ];
    case 6:
      return [
        stroke(
          'curve down, round, close',
          'Down I go and curl up so',
          ...curve([7.4, 1], [3.8, 3], [1.4, 6.6], [1.4, 11]),
          ...arc(5, 11, 3.6, 4, 180, -180),
        ),
      ];
    case 7:
      return [
        stroke('across, slant', 'Along the sky and down, good-bye', [1.4, 1], [8.6, 1], [3.8, 15]),
      ];
    case 8:
      return [
        stroke(
          'an S, then back up',
          'Make an S and do not wait, climb back up and close the gate',
          ...arc(5, 4.6, 3.2, 3.6, -50, -270),
          ...arc(5, 11.6, 3.8, 3.4, -90, 270 - 90 - 90),
          ...arc(5, 11.6, 3.8, 3.4, 90, 270),
          ...arc(5, 4.6, 3.2, 3.6, 90, -50),
        ),
      ];
    case 9:
      return [
        stroke(
          NINES[forms.nine].move,
          NINES[forms.nine].rhyme,
          ...arc(4.8, 5, 3.6, 4, -20, -380),
          ...NINES[forms.nine].leg,
        ),
      ];
    default:
      throw new RangeError(`a digit is 0 to 9, not ${digit}`);
  }
}

/** The stroke as a path on its field. */
export const strokePath = ({ points }: Pick<Stroke, 'points'>): string =>
  `M${points.map(([x, y]) => `${x} ${y}`).join('L')}`;
