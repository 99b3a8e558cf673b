import { type Child, type Day, type Shape, ageOn } from '../vocabulary/index.js';

/** Inner width of the published test cylinder, in mm (16 CFR 1501.4, EN 71-1; from memory). */
export const CYLINDER_WIDTH_MM = 31.7;
/** Its greatest depth, where the slanting bottom is lowest, in mm (same source). */
export const CYLINDER_DEPTH_MM = 57.1;
/** A ball under this is a small ball, in mm (16 CFR 1500.18(a)(17); from memory). */
export const SMALL_BALL_MM = 44.4;

export type SmallPart = 'small-part' | 'small-ball' | 'neither';

/** Longest straight line inside the cylinder, corner to corner. */
const LONGEST_MM = Math.hypot(CYLINDER_WIDTH_MM, CYLINDER_DEPTH_MM);

/**
 * The narrowest opening, in mm, that a shape passes through one way or another, and its longest
 * measure; null when the shape is not known. A block goes in with its smallest face first, and needs
 * the diagonal of that face: a cube of 25.4 mm needs 35.9 mm.
 */
function measures(shape: Shape): { across: number; longest: number } | null {
  switch (shape.kind) {
    case 'ball':
      return { across: shape.diameterMm, longest: shape.diameterMm };
    case 'disc':
      return {
        across: shape.diameterMm,
        longest: Math.max(shape.diameterMm, shape.thicknessMm),
      };
    case 'block': {
      const [longest = 0, middle = 0, least = 0] = [
        shape.lengthMm,
        shape.widthMm,
        shape.heightMm,
      ].sort((x, y) => y - x);
      return { across: Math.hypot(middle, least), longest };
    }
    case 'rod':
      return {
        across: shape.diameterMm,
        longest: Math.max(shape.lengthMm, shape.diameterMm),
      };
    case 'unknown':
      return null;
  }
}

/**
 * Whether a thing may fit whole inside the test cylinder, or is a small ball.
 *
 * Errs on the careful side: what passes the opening and is no longer than the longest line inside is
 * called a small part, although it might still stand out; and so is an unknown shape.
 */
export function smallPart(shape: Shape): SmallPart {
  const found = measures(shape);
  if (!found) return 'small-part';
  if (found.across <= CYLINDER_WIDTH_MM && found.longest <= LONGEST_MM) return 'small-part';
  return shape.kind === 'ball' && shape.diameterMm < SMALL_BALL_MM ? 'small-ball' : 'neither';
}

/** Why a verdict was reached, in a sentence for the household. */
export function smallPartReason(shape: Shape): string {
  const found = measures(shape);
  if (!found) return 'Its measures are not known: treat it as a small part.';
  const { across, longest } = found;
  const round = (mm: number): string => String(Math.round(mm * 10) / 10);
  switch (smallPart(shape)) {
    case 'small-part':
      return `It may fit whole into the test cylinder (${CYLINDER_WIDTH_MM} mm across, ${CYLINDER_DEPTH_MM} mm deep): not with children under three.`;
    case 'small-ball':
      return `A ball under ${SMALL_BALL_MM} mm is a small ball: not with children under three.`;
    case 'neither':
      return across > CYLINDER_WIDTH_MM
        ? `${round(across)} mm across, wider than the test cylinder (${CYLINDER_WIDTH_MM} mm).`
        : `${round(longest)} mm is longer than the test cylinder can hold.`;
  }
}

/** Years; under this age a child is never near small parts. */
const SMALL_PARTS_FROM = 3;

/** True for a child under three, and for one who still mouths things. */
export function mustNotMeetSmallParts(
  child: Pick<Child, 'birthDate' | 'cautions'>,
  day: Day,
): boolean {
  return child.cautions.mouths || ageOn(child.birthDate, day).years < SMALL_PARTS_FROM;
}
