import type { Direction, RecordOf } from '../vocabulary/index.js';

/** A slip in saying number words in order. */
export type ReachSlip =
  | { readonly kind: 'left-out'; readonly numbers: readonly number[] }
  | { readonly kind: 'swapped'; readonly numbers: readonly number[] }
  | { readonly kind: 'said-twice'; readonly numbers: readonly number[] }
  | { readonly kind: 'foreign'; readonly numbers: readonly number[] }
  | { readonly kind: 'stall'; readonly numbers: readonly number[] }
  | { readonly kind: 'from-one'; readonly numbers: readonly number[] };

export interface Reach {
  /** The last number before the first slip; null when the first word was wrong already. */
  readonly reach: number | null;
  /** The last number before the second slip. */
  readonly forgiven: number | null;
  readonly slips: readonly ReachSlip[];
}

type Step = 'match' | 'left-out' | 'swapped' | 'said-twice' | 'foreign';
/** On equal edits and equal kinds the earlier one wins. */
const PREFERENCE: readonly Step[] = ['match', 'left-out', 'swapped', 'said-twice', 'foreign'];

/** How many words said, and how many numbers of the row, each step takes. */
const WORDS_OF: Record<Step, number> = {
  match: 1,
  'left-out': 0,
  swapped: 2,
  'said-twice': 1,
  foreign: 1,
};
const NUMBERS_OF: Record<Step, number> = {
  match: 1,
  'left-out': 1,
  swapped: 2,
  'said-twice': 0,
  foreign: 0,
};

interface Path {
  readonly edits: number;
  readonly kinds: ReadonlySet<Step>;
  readonly steps: readonly Step[];
}

/**
 * Aligns the words a child said with the true row and says how far it went and what slipped.
 *
 * The reading with the fewest edits wins; ties go to fewer kinds of slip, then left out before
 * swapped before said twice before foreign. A number ending in 9 (19 or more) followed by a number
 * of any other decade than the next is always a decade stall, and ends the reading.
 *
 * @param said the numbers in the order in which they were said
 * @param from the number asked to start from; starting one further on, or at 0 before 1, is right
 * @param direction `down` counts back
 */
export function alignReach(said: readonly number[], from: number, direction: Direction): Reach {
  const sign = direction === 'up' ? 1 : -1;
  if (said.length === 0) return { reach: null, forgiven: null, slips: [] };
  const first = said[0] as number;
  if (from > 1 && direction === 'up' && first === 1) {
    return { reach: null, forgiven: null, slips: [{ kind: 'from-one', numbers: [1] }] };
  }
  const start = startOf(first, from, direction);
  const stallAt = direction === 'up' ? stallIndex(said) : -1;
  const words = stallAt < 0 ? said : said.slice(0, stallAt + 1);
  const path = pathOf(words, start, sign);
  return readPath(path, words, start, sign, stallAt < 0 ? null : (said[stallAt] as number));
}

const NO_KINDS: ReadonlySet<Step> = new Set();
const allMatches: (readonly Step[])[] = [];
const matches = (count: number): readonly Step[] =>
  (allMatches[count] ??= new Array<Step>(count).fill('match'));

/**
 * The best path: as far as the words run true they match, which no better path can deny; only what
 * follows the last true word but two is looked at in every way.
 */
function pathOf(said: readonly number[], start: number, sign: 1 | -1): Path {
  let same = 0;
  while (same < said.length && said[same] === start + sign * same) same++;
  if (same === said.length) return { edits: 0, kinds: NO_KINDS, steps: matches(same) };
  const kept = Math.max(0, same - 2);
  const rest = shortestPath(said.slice(kept), start + sign * kept, sign);
  return { ...rest, steps: [...matches(kept), ...rest.steps] };
}

function startOf(first: number, from: number, direction: Direction): number {
  if (direction === 'up' && from === 1 && first === 0) return 0;
  const next = direction === 'up' ? from + 1 : from - 1;
  return from !== 1 && first === next ? next : from;
}

/** Index of the 9 at which the decade change failed, or -1. */
function stallIndex(said: readonly number[]): number {
  return said.findIndex((word, i) => {
    const next = said[i + 1];
    if (word % 10 !== 9 || word < 19 || next === undefined) return false;
    return next !== word && Math.floor(next / 10) !== Math.floor(word / 10) + 1;
  });
}

/** Least-edit path over (words said, numbers of the row); the row may end where the words end. */
function shortestPath(said: readonly number[], start: number, sign: 1 | -1): Path {
  const rowLength = said.length + 12;
  const row = (j: number): number => start + sign * j;
  const table: (Path | undefined)[][] = Array.from({ length: said.length + 1 }, () => []);
  const offer = (i: number, j: number, from: Path, step: Step): void => {
    if (j > rowLength) return;
    const path: Path = {
      edits: from.edits + (step === 'match' ? 0 : 1),
      kinds: step === 'match' ? from.kinds : new Set([...from.kinds, step]),
      steps: [...from.steps, step],
    };
    const column = table[i] as (Path | undefined)[];
    const known = column[j];
    if (!known || isBetter(path, known)) column[j] = path;
  };
  (table[0] as Path[])[0] = { edits: 0, kinds: new Set(), steps: [] };
  for (let i = 0; i <= said.length; i++) {
    for (let j = 0; j <= rowLength; j++) {
      const path = table[i]?.[j];
      if (!path) continue;
      if (i === said.length) continue;
      const word = said[i] as number;
      if (word === row(j)) offer(i + 1, j + 1, path, 'match');
      offer(i, j + 1, path, 'left-out');
      if (word === row(j + 1) && said[i + 1] === row(j)) offer(i + 2, j + 2, path, 'swapped');
      if (i > 0 && word === said[i - 1]) offer(i + 1, j, path, 'said-twice');
      offer(i + 1, j, path, 'foreign');
    }
  }
  const ends = (table[said.length] as (Path | undefined)[]).filter((path) => path !== undefined);
  return ends.reduce((best, path) => (isBetter(path, best) ? path : best));
}

function isBetter(a: Path, b: Path): boolean {
  if (a.edits !== b.edits) return a.edits < b.edits;
  if (a.kinds.size !== b.kinds.size) return a.kinds.size < b.kinds.size;
  const rank = (path: Path): number =>
    Math.max(0, ...[...path.kinds].map((kind) => PREFERENCE.indexOf(kind)));
  return rank(a) < rank(b);
}

function readPath(
  path: Path,
  said: readonly number[],
  start: number,
  sign: 1 | -1,
  stall: number | null,
): Reach {
  const slips: ReachSlip[] = [];
  const marks: number[] = [];
  let i = 0;
  let j = 0;
  const row = (): number => start + sign * j;
  const slip = (kind: ReachSlip['kind'], numbers: number[]): void => {
    slips.push({ kind, numbers });
    marks.push(row() - sign);
  };
  for (const step of path.steps) {
    const word = said[i] as number;
    if (step === 'left-out') slip('left-out', [row()]);
    else if (step === 'said-twice' || step === 'foreign') slip(step, [word]);
    else if (step === 'swapped') {
      slip(
        'swapped',
        [row(), row() + sign].sort((x, y) => x - y),
      );
    }
    i += WORDS_OF[step];
    j += NUMBERS_OF[step];
  }
  const last = row() - sign;
  if (stall !== null) {
    slips.push({ kind: 'stall', numbers: [stall] });
    marks.push(last);
  }
  const valid = (n: number): number | null => (sign * (n - start) < 0 ? null : n);
  return { reach: valid(marks[0] ?? last), forgiven: valid(marks[1] ?? last), slips };
}

/**
 * The words of a record: as heard, or rebuilt from what was tapped (the stop, and which were left
 * out, said twice or swapped). Empty when nothing was noted.
 */
export function wordsSaid(record: RecordOf<'reach'>): number[] {
  if (record.said) return [...record.said];
  if (record.stop === null) return [];
  const sign = (record.direction === 'up' ? 1 : -1) * (record.step ?? 1);
  const words: number[] = [];
  for (let n = record.from; sign * (record.stop - n) >= 0; n += sign) {
    if (record.leftOut.includes(n)) continue;
    words.push(n);
    if (record.repeated.includes(n)) words.push(n);
  }
  for (const [a, b] of record.swapped) {
    const [at, to] = [words.indexOf(a), words.indexOf(b)];
    if (at >= 0 && to >= 0) [words[at], words[to]] = [b, a];
  }
  return words;
}

/**
 * The reach of a record. A stop at a 9 (19 or more) short of the number asked for is a decade
 * stall too: the next word did not come. Counting in steps is read by its places: 5, 10, 15 are the
 * first, second and third.
 */
export function reachOf(record: RecordOf<'reach'>): Reach {
  const step = record.step ?? 1;
  if (step > 1) return inSteps(record, step);
  const found = alignReach(wordsSaid(record), record.from, record.direction);
  const stop = record.stop ?? record.said?.at(-1) ?? null;
  const stalled =
    record.direction === 'up' &&
    stop !== null &&
    stop >= 19 &&
    stop % 10 === 9 &&
    stop < record.to &&
    !found.slips.some((slip) => slip.kind === 'stall');
  return stalled
    ? { ...found, slips: [...found.slips, { kind: 'stall', numbers: [stop] }] }
    : found;
}

/** A place in steps is not a number word: it stalls at no nine, and starts where it was asked to. */
function inSteps(record: RecordOf<'reach'>, step: number): Reach {
  const places = wordsSaid(record).map((n) => n / step);
  const sign = record.direction === 'up' ? 1 : -1;
  if (places.length === 0) return { reach: null, forgiven: null, slips: [] };
  const start = record.from / step;
  const found = readPath(pathOf(places, start, sign), places, start, sign, null);
  const back = (n: number | null): number | null => (n === null ? null : n * step);
  return {
    reach: back(found.reach),
    forgiven: back(found.forgiven),
    slips: found.slips.map((slip) => ({ ...slip, numbers: slip.numbers.map((n) => n * step) })),
  };
}
