/** A row of equal units laid along a thing. All in the unit itself: 1 is one unit. */
export interface Laid {
  /** How long the thing is. */
  readonly length: number;
  /** Where each unit begins, counted from the thing's beginning. */
  readonly starts: readonly number[];
}

export interface AlongResult {
  readonly units: number;
  /** What is left of the thing behind the last unit, or what the last unit stands over. */
  readonly rest: number;
  /** Places between unit i and i + 1, from 1, with a gap or an overlap that counts. */
  readonly gaps: readonly number[];
  readonly overlaps: readonly number[];
  /** The first unit does not start where the object starts. */
  readonly startOff: boolean;
  readonly words: string;
}

/** More than this part of a unit is a slip; less is a hand that shakes (common practice, no source). */
export const SLIP_PART = 0.1;

/** What a row of units says, and what is wrong with it. @param unit as "cubes"; left out where empty */
export function readAlong({ length, starts }: Laid, unit = ''): AlongResult {
  const row = [...starts].sort((a, b) => a - b);
  const gaps: number[] = [];
  const overlaps: number[] = [];
  for (let i = 1; i < row.length; i++) {
    const apart = (row[i] as number) - (row[i - 1] as number) - 1;
    if (apart > SLIP_PART + 1e-9) gaps.push(i);
    if (apart < -SLIP_PART - 1e-9) overlaps.push(i);
  }
  const end = (row.at(-1) ?? -1) + 1;
  const rest = row.length === 0 ? length : length - end;
  const startOff = row.length > 0 && Math.abs(row[0] as number) > SLIP_PART + 1e-9;
  return {
    units: row.length,
    rest,
    gaps,
    overlaps,
    startOff,
    words: wordsFor(row.length, rest, unit === '' ? '' : ` ${unit}`),
  };
}

/** "5 cubes", "5 cubes and a bit more", "nearly 5 cubes". */
function wordsFor(units: number, rest: number, unit: string): string {
  if (units === 0) return 'nothing laid yet';
  if (rest >= 1 - SLIP_PART) return `${units}${unit} so far`;
  if (rest > SLIP_PART) return `${units}${unit} and a bit more`;
  return rest < -SLIP_PART ? `nearly ${units}${unit}` : `${units}${unit}`;
}

/** Units without slips, as many as go whole along the thing. */
export function laidWell(length: number): Laid {
  return { length, starts: Array.from({ length: Math.floor(length + SLIP_PART) }, (_, i) => i) };
}

/** What can be laid along, and how long one is in millimeters (common practice, no source). */
export const UNITS = [
  { id: 'cubes', words: 'cubes', mm: 20 },
  { id: 'clips', words: 'paper clips', mm: 32 },
  { id: 'pegs', words: 'pegs', mm: 50 },
  { id: 'hands', words: 'hands', mm: 70 },
  { id: 'feet', words: 'feet', mm: 160 },
  { id: 'steps', words: 'steps', mm: 350 },
] as const;

/** Two lengths in words: how much longer the one is, where both were measured in the same unit. */
export function compareAlong(
  a: { readonly name: string; readonly units: number },
  b: { readonly name: string; readonly units: number },
): string {
  if (a.units === b.units) return `${a.name} and ${b.name} are as long as each other.`;
  const [long, short] = a.units > b.units ? [a, b] : [b, a];
  return `${long.name} is ${long.units - short.units} longer than ${short.name}.`;
}
