/** Units in the order in which children master them. */
export const UNIT_ORDER = ['AB', 'AAB', 'ABB', 'ABC', 'AABB', 'ABAC'] as const;

/** The smallest piece that, said again and again, makes the row; the row itself where none does. */
export function smallestUnit(row: readonly string[]): readonly string[] {
  for (let size = 1; size < row.length; size++) {
    if (row.every((one, i) => one === row[i % size])) return row.slice(0, size);
  }
  return row;
}

/** A row of so many places that repeats the unit from its beginning. */
export function repeatUnit(unit: readonly string[], places: number): string[] {
  if (unit.length === 0) return [];
  return Array.from({ length: places }, (_, i) => unit[i % unit.length] as string);
}

/** A pattern is asked for only after two whole units are in view, so that one answer is right. */
export const mayAsk = (unit: readonly string[], shown: number): boolean =>
  unit.length > 0 && shown >= 2 * unit.length;

/** The row with another thing in one place, counted from 1. */
export function withMistake(
  row: readonly string[],
  place: number,
  among: readonly string[],
): string[] {
  const right = row[place - 1];
  const other = among.find((one) => one !== right) ?? '?';
  return row.map((one, i) => (i === place - 1 ? other : one));
}

/** The shape of a unit in letters: red, red, blue is AAB. */
export function lettersOf(unit: readonly string[]): string {
  const seen: string[] = [];
  return unit
    .map((one) => {
      if (!seen.includes(one)) seen.push(one);
      return String.fromCharCode(65 + seen.indexOf(one));
    })
    .join('');
}

/** How hard a unit is, from 0; units that are not in the order come after those that are. */
export function hardness(unit: readonly string[]): number {
  const at = (UNIT_ORDER as readonly string[]).indexOf(lettersOf(unit));
  return at < 0 ? UNIT_ORDER.length + unit.length : at;
}

/** The first place, counted from one, where an answer differs from what was right; null for none. */
export function firstWrongPlace(
  answer: readonly string[],
  right: readonly string[],
): number | null {
  const at = right.findIndex((one, i) => answer[i] !== one);
  return at < 0 ? null : at + 1;
}
