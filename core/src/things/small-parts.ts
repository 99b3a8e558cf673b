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

/** Outside measures from longest to shortest, in mm; null when the shape is not known. */
function measures(shape: Shape): [number, number, number] | null {
  switch (shape.kind) {
    case 'ball':
      return [shape.diameterMm, shape.diameterMm, shape.diameterMm];
    case 'disc':
      return sorted(shape.diameterMm, shape.diameterMm, shape.thicknessMm);
    case 'block':
      return sorted(shape.lengthMm, shape.widthMm, shape.heightMm);
    case 'rod':
      return sorted(shape.lengthMm, shape.diameterMm, shape.diameterMm);
    case 'unknown':
      return null;
  }
}

const sorted = (a: number, b: number, c: number): [number, number, number] =>
  [a, b, c].sort((x, y) => y - x) as [number, number, number];

/**
 * Whether a thing may fit whole inside the test cylinder, any way round, or is a small ball.
 *
 * Errs on the careful side: nothing wider than the cylinder in its middle measure can fit, since no
 * plane cuts the cylinder wider than that in every direction, and nothing longer than the longest
 * line inside can; all else is called a small part, and so is an unknown shape.
 */
export function smallPart(shape: Shape): SmallPart {
  const found = measures(shape);
  if (!found) return 'small-part';
  const [longest, middle] = found;
  if (middle <= CYLINDER_WIDTH_MM && longest <= LONGEST_MM) return 'small-part';
  return shape.kind === 'ball' && shape.diameterMm < SMALL_BALL_MM ? 'small-ball' : 'neither';
}

/** Why a verdict was reached, in a sentence for the cupboard. */
export function smallPartReason(shape: Shape): string {
  const found = measures(shape);
  if (!found) return 'Its measures are not known: treat it as a small part.';
  const [longest, middle] = found;
  const round = (mm: number): string => String(Math.round(mm * 10) / 10);
  switch (smallPart(shape)) {
    case 'small-part':
      return `It may fit whole into the test cylinder (${CYLINDER_WIDTH_MM} mm across, ${CYLINDER_DEPTH_MM} mm deep): not with children under three.`;
    case 'small-ball':
      return `A ball under ${SMALL_BALL_MM} mm is a small ball: not with children under three.`;
    case 'neither':
      return middle > CYLINDER_WIDTH_MM
        ? `${round(middle)} mm is wider than the test cylinder (${CYLINDER_WIDTH_MM} mm).`
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
