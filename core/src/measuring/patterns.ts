import { shuffled } from '../numbers/index.js';

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

/** A row whose part grows by one each time: A B, A B B, A B B B. @param steps how often, from 1 */
export const growingRow = (steps: number): string[] =>
  Array.from({ length: steps }, (_, i) => [
    'A',
    ...Array.from({ length: i + 1 }, () => 'B'),
  ]).flat();

/** What may be wrong in a row: a piece of it lies where another belongs, one twice, or one is left out. */
export const MISTAKES = ['another', 'twice', 'left-out'] as const;
export type Mistake = (typeof MISTAKES)[number];

/** A row with a mistake. */
export interface Mistaken {
  readonly row: readonly string[];
  /** Places, counted from 1, that are right to point to: a run of pieces alike cannot be told apart. */
  readonly places: readonly number[];
  /** What was wrong, said once it is found. */
  readonly words: string;
}

/** The places of the run of pieces alike around a place, counted from 1. */
function runAt(row: readonly string[], place: number): number[] {
  let [from, to] = [place, place];
  while (from > 1 && row[from - 2] === row[place - 1]) from--;
  while (to < row.length && row[to] === row[place - 1]) to++;
  return Array.from({ length: to - from + 1 }, (_, i) => from + i);
}

/**
 * The row with a mistake made of its own pieces.
 * @param place counted from 1: the first piece stays, so that the row can be said from its beginning
 * @throws RangeError where the place is not behind the first piece, or the row has pieces of one kind only
 */
export function withMistake(row: readonly string[], place: number, mistake: Mistake): Mistaken {
  const right = row[place - 1];
  const other = [...row.slice(place), ...row].find((one) => one !== right);
  if (place < 2 || right === undefined || other === undefined) {
    throw new RangeError(`no mistake can be made at place ${place}`);
  }
  if (mistake === 'another') {
    const wrong = row.map((one, i) => (i === place - 1 ? other : one));
    return { row: wrong, places: [place], words: 'Another one belongs there.' };
  }
  if (mistake === 'twice') {
    const wrong = [...row.slice(0, place), right, ...row.slice(place)];
    return { row: wrong, places: runAt(wrong, place), words: 'One was laid twice.' };
  }
  const wrong = row.filter((_, i) => i !== place - 1);
  // Where pieces alike stood side by side, it is the run that is short; else the two that met.
  const alike = [place - 1, place].filter((at) => wrong[at - 1] === right);
  const places = alike.length > 0 ? alike.flatMap((at) => runAt(wrong, at)) : [place - 1, place];
  return {
    row: wrong,
    places: [...new Set(places)].filter((at) => at <= wrong.length).sort((a, b) => a - b),
    words: 'One was left out.',
  };
}

/** How a row goes on wrongly: what lies at the first wrong place. @returns '' where nothing is wrong */
export function wrongWords(
  shown: readonly string[],
  placed: readonly string[],
  right: readonly string[],
): string {
  const place = firstWrongPlace(placed, right);
  if (place === null) return '';
  const before = place === 1 ? shown.at(-1) : placed[place - 2];
  const which = ORDINALS[place - 1] ?? `number ${place}`;
  return placed[place - 1] === before
    ? `Say the row aloud together: the ${which} one is the one before, laid again.`
    : `Say the row aloud together: the ${which} one is another.`;
}
const ORDINALS = ['first', 'second', 'third', 'fourth', 'fifth', 'sixth'];

/** Three rows as long that differ from a row, each in another place, of the same pieces. */
export function rowsLike(
  row: readonly string[],
  pieces: readonly string[],
  seed: number,
): string[][] {
  const places = shuffled(
    row.map((_, i) => i),
    seed,
  ).slice(0, 3);
  return places.map((at) =>
    row.map((one, i) => {
      const others = pieces.filter((piece) => piece !== one);
      return i === at ? (others[(Math.abs(seed) + at) % others.length] ?? one) : one;
    }),
  );
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
