import { mirrorScene, symbolsScene } from '../handling/index.js';
import { repeatUnit } from '../measuring/index.js';
import { hashText, numberWord, seeded, shuffled } from '../numbers/index.js';
import { SKILLS } from '../skills/index.js';
import type { Item } from '../skills/index.js';
import type { RecordOf } from '../vocabulary/index.js';
import {
  type Cell,
  type Draft,
  type Game,
  type RoundModule,
  choose,
  draw,
  isOver,
  only,
} from './game.js';
import { plain } from './round-words.js';

/** Symbols of a pattern; on screen and in print each has its own color and its own shape. */
const SYMBOLS = ['A', 'B', 'C'] as const;
/** Whole units in view before a child is asked to go on, so that only one answer is right. */
const UNITS_SHOWN = 2;

const letters = (unit: string): string[] => unit.toUpperCase().split('');

/** A row of n symbols with no more than two alike running, always the same from the same seed. */
function rowOf(n: number, seed: string): string[] {
  const random = seeded(hashText(seed));
  const row: string[] = [];
  while (row.length < n) {
    const one = SYMBOLS[Math.floor(random() * SYMBOLS.length)] ?? 'A';
    if (row.at(-1) !== one || row.at(-2) !== one) row.push(one);
  }
  return new Set(row).size > 1 || n < 2 ? row : [...row.slice(1), row[0] === 'A' ? 'B' : 'A'];
}

/** Three rows that are nearly the right one: two neighbors swapped, one changed, turned round. */
export function nearRows(right: readonly string[]): string[][] {
  const swapped = [...right];
  const at = right.findIndex((one, i) => i > 0 && one !== right[i - 1]);
  if (at > 0) [swapped[at - 1], swapped[at]] = [right[at] ?? 'A', right[at - 1] ?? 'A'];
  const changed = [...right];
  changed[changed.length - 1] = right.at(-1) === 'C' ? 'A' : 'C';
  const other = [...right];
  other[0] = right[0] === 'A' ? 'B' : 'A';
  const seen = new Set([right.join('')]);
  return [swapped, right.toReversed(), changed, other].filter((row) => {
    const isNew = !seen.has(row.join(''));
    seen.add(row.join(''));
    return isNew;
  });
}

const record = (
  unit: readonly string[],
  shown: number,
  answer: readonly string[],
): RecordOf<'pattern'> => ({ kind: 'pattern', unit: [...unit], shown, answer: [...answer] });

interface Laid extends Cell {
  readonly item: Item;
}

const cells = (skillIds: readonly string[]): Laid[] =>
  SKILLS.filter(({ id }) => skillIds.includes(id)).flatMap((skill) =>
    skill.items.map((item, i) => ({
      skillId: skill.id,
      itemId: item.id,
      key: `${skill.id}-${item.id}`,
      numbers: [i + 1],
      item,
    })),
  );

const sizeOf = ({ id }: Item): number => {
  const size = SIZES[id];
  if (size === undefined) throw new RangeError(`a row of unknown length "${id}"`);
  return size;
};
const SIZES: Readonly<Record<string, number>> = {
  'length-3': 3,
  'length-4': 4,
  'length-5': 5,
  'length-6': 6,
  'grid-2': 4,
  'grid-3': 9,
  figure: 4,
  'pieces-2': 2,
  'pieces-3': 3,
  'pieces-4': 4,
  'pieces-5': 5,
  'pieces-6': 6,
};

function match(game: Game, cell: Laid): Draft {
  const row = rowOf(sizeOf(cell.item), `${game.seed}/${cell.key}/${game.past.length}`);
  const rows = shuffled([row, ...nearRows(row)], hashText(`${game.seed}/${game.past.length}`));
  return {
    key: cell.key,
    say: 'Which row is the same? Go place by place.',
    lay: 'One row, and four to choose from.',
    lying: [],
    right: record(row, row.length, row),
    heard: false,
    way: 'pointed',
    choices: rows.map((one) => ({ words: one.join(''), record: record(row, row.length, one) })),
    rows: true,
    counts: only(cell),
    scene: symbolsScene(row, 0),
  };
}

function copy(game: Game, cell: Laid): Draft {
  const row = rowOf(sizeOf(cell.item), `${game.seed}/${cell.key}/${game.past.length}`);
  const grid = cell.itemId === 'grid-2' || cell.itemId === 'grid-3';
  return {
    key: cell.key,
    say: 'Make one just like it.',
    lay: 'This row, and enough pieces beside it.',
    lying: [],
    right: record(row, row.length, row),
    way: 'shown',
    counts: only(cell),
    scene: symbolsScene(row, 0, grid ? Math.sqrt(row.length) : undefined),
  };
}

function next(cell: Laid): Draft {
  const unit = letters(cell.item.form ?? 'AB');
  const shown = UNITS_SHOWN * unit.length;
  const more = cell.item.parts[0] ?? 1;
  const row = repeatUnit(unit, shown + more);
  return {
    key: cell.key,
    say:
      more === 1
        ? 'Say it aloud with me. What comes next?'
        : `Say it aloud with me. What are the next ${numberWord(more)}?`,
    lay: 'This row.',
    lying: [],
    right: record(unit, shown, row.slice(shown)),
    way: 'shown',
    counts: only(cell),
    scene: symbolsScene(row.slice(0, shown), more),
  };
}

/** A piece of the pattern lies where another one belongs. */
function fix(game: Game, cell: Laid): Draft {
  const unit = ['A', 'B'];
  const row = repeatUnit(unit, 6);
  const place = cell.numbers[0] ?? 1;
  const at = place + 1;
  const wrong = row.map((one, i) => (i + 1 === at ? (one === 'A' ? 'B' : 'A') : one));
  return {
    key: `${cell.key}-${draw(game, 2, 'turn')}`,
    say: 'Something is not right here. Where?',
    lay: 'This row, with one piece in the wrong place.',
    lying: [],
    right: record(unit, row.length, [String(at)]),
    heard: false,
    way: 'pointed',
    choices: row.map((_, i) => ({
      words: String(i + 1),
      record: record(unit, row.length, [String(i + 1)]),
    })),
    counts: only(cell),
    scene: symbolsScene(wrong, 0),
  };
}

function unit(cell: Laid): Draft {
  const own = cell.item.form === null;
  const repeats = own ? [] : letters(cell.item.form ?? 'AB');
  return {
    key: cell.key,
    say: own
      ? 'Make a pattern of your own. What repeats?'
      : 'What is it that comes again and again?',
    lay: own ? 'Two or three colors to lay.' : 'This row.',
    lying: [],
    right: record(repeats, 3 * repeats.length, repeats),
    way: 'shown',
    counts: only(cell),
    sentence: plain(own ? 'You made a pattern.' : 'That is the part that comes again.'),
    scene: own ? null : symbolsScene(repeatUnit(repeats, 3 * repeats.length), 0),
  };
}

/** The other side of a figure, laid over a line. */
export function otherSide(game: Game, cell: Laid): Draft {
  const row = rowOf(sizeOf(cell.item), `${game.seed}/${cell.key}`);
  return {
    key: cell.key,
    say: 'Make the other side the same.',
    lay: 'This on one side of the line.',
    lying: [],
    right: record(row, row.length, row.toReversed()),
    way: 'shown',
    counts: only(cell),
    scene: mirrorScene(row),
    sentence: plain('Each one has its partner on the other side.'),
  };
}

export const patternCells = cells;

const ALL = ['pattern-match', 'pattern-copy', 'pattern-next', 'pattern-fix', 'pattern-unit'];
const OF: Readonly<Record<string, readonly string[]>> = {
  match: ['pattern-match', 'alike'],
  copy: ['pattern-copy'],
  next: ['pattern-next', 'pattern-fix', 'pattern-unit'],
};

const TWINS: Readonly<Record<string, string>> = {
  color: 'the twin by its color',
  picture: 'the same picture',
  shape: 'the same shape',
  shadow: 'its shadow',
  numerals: 'the same numeral',
  letters: 'the same letter',
};

/** The one that is the same, among four. */
function twin(cell: Laid): Draft {
  const right = { kind: 'note' as const, words: '' };
  return {
    key: cell.key,
    say: 'Find the one that is the same.',
    lay: `Four cards open, among them ${TWINS[cell.itemId] ?? 'its twin'}.`,
    lying: [],
    right,
    heard: false,
    way: 'pointed',
    choices: ['the same one', 'one nearly alike', 'another one'].map((words, i) => ({
      words,
      record: { ...right, words: i === 0 ? '' : words },
    })),
    counts: only(cell),
  };
}

function ask(game: Game, cell: Laid): Draft {
  switch (cell.skillId) {
    case 'alike':
      return twin(cell);
    case 'pattern-match':
      return match(game, cell);
    case 'pattern-copy':
      return copy(game, cell);
    case 'pattern-next':
      return next(cell);
    case 'pattern-fix':
      return fix(game, cell);
    default:
      return unit(cell);
  }
}

/** A row of colors: matched, copied, gone on with, put right, made. */
export const pattern: RoundModule = {
  kind: 'pattern',
  credits: ({ form }) => OF[form ?? ''] ?? ALL,
  next(game) {
    if (isOver(game, 6)) return null;
    const cell = choose(game, cells(OF[game.round.form ?? ''] ?? ALL));
    return cell && ask(game, cell);
  },
};
