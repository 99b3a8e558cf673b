import { isKnown, statusOf } from '../evidence/index.js';
import { chartScene } from '../handling/index.js';
import { numberWord } from '../numbers/index.js';
import { type SkillItem, differItem, itemOf, moreItem, skillOf } from '../skills/index.js';
import type { RecordOf } from '../vocabulary/index.js';
import {
  type Cell,
  type Draft,
  type Game,
  type RoundModule,
  cameUpOf,
  choose,
  inRound,
  isOver,
  only,
  pendingWant,
  skillsOf,
  waitsFor,
} from './game.js';
import { asksNumber, plain } from './round-words.js';

const NAMES = ['blue', 'orange', 'green', 'red'] as const;

type Chart = RecordOf<'chart'>;
type Groups = Chart['groups'];

const columns = (counts: readonly number[]): Groups =>
  counts.map((count, i) => ({ name: NAMES[i] ?? `column ${i + 1}`, count }));

const record = (groups: Groups, question: string, answer: string): Chart => ({
  kind: 'chart',
  rule: 'as it stands',
  groups,
  question,
  answer,
});

/** Columns of equal things, built from what was sorted or tallied. */
function build(game: Game, item: SkillItem, size: number): Draft {
  const right = { kind: 'note' as const, words: '' };
  return {
    key: `build-${size}`,
    say: 'Lay them in columns so that we can see. All begin at the line.',
    lay: `Things of ${numberWord(size)} kinds, and a line to begin at.`,
    lying: [size],
    right,
    way: 'shown',
    choices: ['all begin at the line', 'gaps in a column', 'not from the line'].map((words, i) => ({
      words,
      record: { ...right, words: i === 0 ? '' : words },
    })),
    counts: only(item),
    sentence: plain('Each column begins at the line.'),
  };
}

interface Reading extends Cell {
  readonly question: string;
  readonly answer: string;
  readonly number: number | null;
}

/** All that can be asked of the columns that stand there. */
function readings(game: Game, groups: Groups): Reading[] {
  const own = skillsOf(game.activity);
  const sorted = [...groups].sort((a, b) => b.count - a.count);
  const [most, second] = sorted;
  const fewest = sorted.at(-1);
  if (!most || !second || !fewest) return [];
  const cell = (
    item: SkillItem | null,
    question: string,
    answer: string,
    number: number | null = null,
  ): Reading[] =>
    item && own.has(item.skillId)
      ? [
          {
            ...item,
            key: `chart-${item.skillId}-${item.itemId}-${question.length}`,
            numbers: [],
            question,
            answer,
            number,
          },
        ]
      : [];
  const difference = (a: Groups[number], b: Groups[number]): Reading[] => {
    const by = Math.abs(a.count - b.count);
    if (by === 0) return [];
    const form = by > 2 ? '3' : '1';
    const [more, fewer] = a.count > b.count ? [a, b] : [b, a];
    return [
      ...cell(
        itemOf('chart-differ', `more-${form}`),
        `How many more are ${more.name} than ${fewer.name}?`,
        String(by),
        by,
      ),
      ...cell(
        itemOf('chart-differ', `fewer-${form}`),
        `How many fewer are ${fewer.name} than ${more.name}?`,
        String(by),
        by,
      ),
      ...cell(
        differItem(more.count, fewer.count),
        `How many more are ${more.name}?`,
        String(by),
        by,
      ),
    ];
  };
  const ties = groups.filter((one) =>
    groups.some((other) => other !== one && other.count === one.count),
  );
  return [
    ...(most.count > second.count
      ? cell(itemOf('chart-read', 'most'), 'Which has most?', most.name)
      : []),
    ...(fewest.count < (sorted.at(-2)?.count ?? 0)
      ? cell(itemOf('chart-read', 'fewest'), 'Which has fewest?', fewest.name)
      : []),
    ...cell(
      itemOf('chart-read', 'count'),
      `How many are ${second.name}?`,
      String(second.count),
      second.count,
    ),
    ...(ties.length === 2
      ? cell(
          itemOf('chart-read', 'same'),
          `Which has as many as ${ties[0]?.name}?`,
          ties[1]?.name ?? '',
        )
      : []),
    ...difference(most, fewest),
    ...difference(most, second),
    ...cell(
      moreItem(groups[0]?.count ?? 0, groups[1]?.count ?? 0),
      `Which has more, ${groups[0]?.name} or ${groups[1]?.name}, or are they the same?`,
      (groups[0]?.count ?? 0) === (groups[1]?.count ?? 0)
        ? 'the same'
        : (((groups[0]?.count ?? 0) > (groups[1]?.count ?? 0)
            ? groups[0]?.name
            : groups[1]?.name) ?? ''),
    ),
  ];
}

/** The next that was not asked of these columns: what is wanted first, then what is not yet known. */
function nextReading(game: Game, groups: Groups): Reading | null {
  const here = inRound(game);
  const came = here.findLastIndex(({ cameUp }) => cameUp.length > 0);
  const asked = new Set(
    here.slice(game.came.length > 0 ? here.length : came).map((one) => one.key),
  );
  const open = readings(game, groups).filter(({ key }) => !asked.has(key));
  const wanted = pendingWant(game);
  return (
    open.find(({ skillId }) => skillId === wanted) ??
    open.find(({ skillId }) => !isKnown(statusOf(skillOf(skillId), game.state))) ??
    open[0] ??
    null
  );
}

function read(game: Game, groups: Groups): Draft | null {
  const cell = game.forced ? choose(game, readings(game, groups)) : nextReading(game, groups);
  if (!cell) return null;
  const right = record(groups, cell.question, cell.answer);
  const shared = {
    key: cell.key,
    lay: 'The columns as they stand.',
    lying: groups.map(({ count }) => count),
    right,
    counts: only(cell),
    scene: chartScene(groups),
    sentence: plain(
      cell.number === null ? `It is ${cell.answer}.` : `It is ${numberWord(cell.number)}.`,
    ),
  };
  if (cell.number !== null) return { ...shared, ...asksNumber(game, cell.number, cell.question) };
  const names = [...groups.map(({ name }) => name), 'the same'];
  return {
    ...shared,
    say: cell.question,
    heard: false,
    way: game.modes.includes('speaks') ? 'spoken' : 'pointed',
    choices: names.map((words) => ({ words, record: { ...right, answer: words } })),
  };
}

/** What stands there: columns built, then read. */
export const chart: RoundModule = {
  kind: 'chart',
  credits: () => ['chart-*', 'more-10', 'more-5', 'differ-10', 'sort-other'],
  seldom: () => ['sort-other'],
  next(game) {
    if (isOver(game, 8)) return null;
    const here = inRound(game);
    const own = skillsOf(game.activity);
    const size = 2 + (here.length % 3);
    const item = itemOf('chart-build', `groups-${size}`);
    const built = here.some(({ record: one }) => one.kind === 'note');
    if (!built && item && own.has(item.skillId)) return build(game, item, 3);
    const standing = here.findLast(({ record: one }) => one.kind === 'chart')?.record;
    const stays = standing?.kind === 'chart' && game.came.length === 0;
    const more = stays ? read(game, standing.groups) : null;
    if (more) return more;
    const cameUp = cameUpOf(game, ['blue', 'orange', 'green'], 0, 20);
    if (game.came.length < 3) {
      return waitsFor('columns', 'How many are in each column?', cameUp, {
        lay: 'Tap what stands there, column by column.',
      });
    }
    const found = read(game, columns(game.came.slice(0, 3)));
    return found && { ...found, cameUp };
  },
};
