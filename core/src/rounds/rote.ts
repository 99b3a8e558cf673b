import { stretchesTo } from '../evidence/index.js';
import { numberWord } from '../numbers/index.js';
import { SKILLS, itemOf } from '../skills/index.js';
import type { Counted, RecordOf } from '../vocabulary/index.js';
import {
  type Cell,
  type Draft,
  type Game,
  type RoundModule,
  cameUpOf,
  choose,
  draw,
  inRound,
  skillsOf,
  speaks,
} from './game.js';
import { inARow, plain } from './round-words.js';

const FORMS: Readonly<Record<string, readonly string[]>> = {
  up: ['say-*'],
  back: ['say-back-*'],
  on: ['say-on-*'],
  steps: ['step-2', 'step-5', 'step-10'],
  'steps-down': ['step-down'],
  hole: ['step-2', 'step-5', 'step-10'],
};
/** Stairs in one house. */
const MOST_STEPS = 60;
/** Words said on from a number that is not one: three are enough to see it. */
const GO_ON = 3;

type Reach = RecordOf<'reach'>;

const reach = (game: Game, more: Partial<Reach> & Pick<Reach, 'from' | 'to'>): Reach => ({
  kind: 'reach',
  language: game.language,
  direction: 'up',
  stop: more.to,
  leftOut: [],
  repeated: [],
  swapped: [],
  said: null,
  guess: null,
  ...more,
});

/** Speaking is credited to speech only: a child who does not speak goes along, and it is a fact. */
function said(game: Game, counts: readonly (Counted | null)[]): Partial<Draft> {
  const found = counts.filter((one) => one !== null);
  return speaks(game)
    ? { counts: found, way: 'spoken' }
    : {
        counts: [],
        way: game.modes.includes('fingers') ? 'fingers' : 'pointed',
        ...(found[0] ? { skillId: found[0].skillId } : {}),
      };
}

const along = (game: Game): string =>
  speaks(game)
    ? ''
    : game.modes.includes('fingers')
      ? ' I say the words. You put up a finger for each.'
      : ' I say the words. You walk your finger along.';

const words = (skillId: string, itemId: string): Counted => ({ skillId, itemId, by: 'words' });

function up(game: Game): Draft | null {
  if (inRound(game).length > 0) return null;
  const { top, round } = game;
  // Past a hundred there is no range: it goes that far where that is wanted.
  const far = game.wants.includes('say-120') ? 120 : top;
  const to = Math.max(5, Math.min(round.high ?? 120, far));
  const taken = round.came === undefined ? undefined : game.came[0];
  const own = skillsOf(game.activity);
  const asked = taken ?? to;
  return {
    key: `say-${asked}`,
    say: speaks(game)
      ? taken === undefined
        ? `Let’s count to ${numberWord(to)}. You start.`
        : 'One word for each step. How far did you count?'
      : `Let’s count.${along(game)}`,
    lay: 'Go on as far as they like: the furthest word is kept too.',
    lying: [],
    ...(round.came === undefined ? {} : { cameUp: cameUpOf(game, [''], 1, MOST_STEPS) }),
    right:
      round.came !== undefined && taken === undefined ? null : reach(game, { from: 1, to: asked }),
    top: 120,
    ...said(
      game,
      stretchesTo(asked).filter(({ skillId }) => own.has(skillId)),
    ),
    sentence: plain(`You counted to ${numberWord(asked)}.`),
  };
}

/** Cells of the items of a family, one a number it starts at. */
const starts = (family: string, top: number): (Cell & { from: number })[] =>
  SKILLS.filter((skill) => skill.family === family && skill.to <= Math.max(5, top)).flatMap(
    (skill) =>
      skill.items.map((item) => ({
        skillId: skill.id,
        itemId: item.id,
        key: `${family}-${item.number}`,
        numbers: [item.number],
        from: item.number,
      })),
  );

function back(game: Game): Draft | null {
  const cell = choose(game, starts('say-back', game.top));
  if (!cell) return null;
  const { from } = cell;
  return {
    key: cell.key,
    say: `Count back from ${numberWord(from)}.${along(game)}`,
    lay: 'Down to zero, like a rocket.',
    lying: [from],
    right: reach(game, { from, to: 0, direction: 'down' }),
    ...said(game, [words(cell.skillId, cell.itemId)]),
    sentence: plain(`You counted back from ${numberWord(from)}.`),
  };
}

function on(game: Game): Draft | null {
  const cell = choose(game, starts('say-on', game.top));
  if (!cell) return null;
  const { from } = cell;
  return {
    key: cell.key,
    say: `Go on from ${numberWord(from)}: ${numberWord(from)} …${along(game)}`,
    lay: 'Three words more are enough.',
    lying: [from],
    right: reach(game, { from, to: from + GO_ON }),
    ...said(game, [words(cell.skillId, cell.itemId)]),
    sentence: plain(`You went on from ${numberWord(from)}.`),
  };
}

const BY: Readonly<Record<number, string>> = { 2: 'twos', 5: 'fives', 10: 'tens' };

interface Steps extends Cell {
  readonly by: number;
  readonly to: number;
}

function stepCells(game: Game): Steps[] {
  return [2, 5, 10].flatMap((by) =>
    SKILLS.filter(({ id }) => id === `step-${by}`).flatMap((skill) =>
      skill.items
        .filter((item) => item.number <= Math.max(10 * (by / 2), game.top))
        .map((item) => ({
          skillId: skill.id,
          itemId: item.id,
          key: `steps-${by}-${item.number}`,
          numbers: [item.number],
          by,
          to: item.number,
        })),
    ),
  );
}

function steps(game: Game): Draft | null {
  const cell = choose(game, stepCells(game));
  // Where there is only one, it is asked once.
  if (!cell || inRound(game).some(({ key }) => key === cell.key)) return null;
  const { by, to } = cell;
  return {
    key: cell.key,
    say: `Count by ${BY[by]} to ${numberWord(to)}.${along(game)}`,
    lay: 'One word for each landing place.',
    lying: [by, to],
    right: reach(game, { from: by, to, step: by }),
    ...said(game, [words(cell.skillId, cell.itemId)]),
    sentence: plain(`By ${BY[by]} to ${numberWord(to)}.`),
  };
}

function stepsDown(game: Game): Draft | null {
  const found = SKILLS.filter(({ id }) => id === 'step-down').flatMap((skill) =>
    skill.items.map((item) => ({
      skillId: skill.id,
      itemId: item.id,
      key: `steps-down-${item.number}`,
      numbers: [item.number],
      by: item.parts[0] ?? 2,
      from: item.number,
    })),
  );
  const cell = choose(game, found);
  if (!cell) return null;
  const { by, from } = cell;
  return {
    key: cell.key,
    say: `Count down by ${BY[by]} from ${numberWord(from)}.${along(game)}`,
    lying: [by, from],
    right: reach(game, { from, to: 0, step: by, direction: 'down' }),
    ...said(game, [words(cell.skillId, cell.itemId)]),
    sentence: plain(`Down by ${BY[by]} from ${numberWord(from)}.`),
  };
}

/** One landing place is taken away: which word is missing? */
function hole(game: Game): Draft | null {
  const cell = choose(game, stepCells(game));
  if (!cell) return null;
  const { by, to } = cell;
  const places = Math.min(5, to / by);
  const at = 1 + draw(game, places - 2, 'hole');
  const row = Array.from({ length: places }, (_, i) => by * (i + 1));
  const missing = row[at] ?? by;
  return {
    key: `hole-${by}-${missing}`,
    say: 'One landing place is gone. Which number is missing?',
    lay: `Cover ${numberWord(missing)}, or take it away.`,
    lying: row,
    right: {
      kind: 'gap',
      row: row.map((n, i) => (i === at ? null : n)),
      gaps: [missing],
      answers: [missing],
    },
    ...said(game, [itemOf(cell.skillId, cell.itemId)]),
    sentence: plain(`${inARow(row)}.`),
  };
}

/** Words in order: up, down, on from a number, by steps, one landing place missing. */
export const rote: RoundModule = {
  kind: 'rote',
  credits: ({ form = 'up' }) => FORMS[form] ?? [],
  seldom: ({ form = 'up', came }) =>
    form === 'up' && came !== undefined ? ['say-50', 'say-100', 'say-120'] : [],
  next(game) {
    const { form = 'up', times = form === 'up' ? 1 : 4 } = game.round;
    if (inRound(game).length >= times) return null;
    switch (form) {
      case 'back':
        return back(game);
      case 'on':
        return on(game);
      case 'steps':
        return steps(game);
      case 'steps-down':
        return stepsDown(game);
      case 'hole':
        return hole(game);
      default:
        return up(game);
    }
  },
};
