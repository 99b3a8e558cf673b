import { numberWord } from '../numbers/index.js';
import { type SkillItem, findSkill, itemOf, nearestItem } from '../skills/index.js';
import {
  type Draft,
  type Game,
  type RoundModule,
  cameUpOf,
  inRound,
  isOver,
  only,
  skillsOf,
  waitsFor,
} from './game.js';
import { plain, materialOf } from './round-words.js';

const TWENTY = 20;
const MOST = 200;

function estimate(n: number): SkillItem | null {
  const skill = findSkill(n <= TWENTY ? 'estimate-20' : 'estimate-100');
  return skill ? nearestItem(skill, n) : null;
}

/** A range is ruled out from both ends, before it is counted how many there are. */
function range(game: Game): Draft {
  const cameUp = cameUpOf(game, ['at least', 'at most', 'counted'], 0, MOST);
  const [low, high, actual] = game.came;
  if (low === undefined || high === undefined || actual === undefined) {
    return waitsFor('jar', 'At least how many? At most how many? Then we count.', cameUp, {
      lay: `${materialOf(game)[1].replace(/^./, (c) => c.toUpperCase())} in a clear jar, a chart for each guesser.`,
    });
  }
  const [from, to] = low <= high ? [low, high] : [high, low];
  const own = skillsOf(game.activity);
  const item = estimate(actual);
  const where =
    actual < from ? 'below the range' : actual > to ? 'above the range' : 'inside the range';
  return {
    key: `jar-${actual}`,
    say: 'Was it inside? Below? Above? How could the next one be better?',
    lay: '',
    lying: [actual],
    cameUp,
    right: { kind: 'range', low: from, high: to, actual },
    counts: only(item && own.has(item.skillId) ? item : null),
    sentence: plain(`${numberWord(actual).replace(/^./, (c) => c.toUpperCase())} is ${where}.`),
  };
}

const STEPS = [2, 5, 10] as const;
const NAMES: Readonly<Record<number, string>> = { 2: 'twos', 5: 'fives', 10: 'tens' };

/** What was poured out, counted by twos, fives or tens as far as it goes. */
function count(game: Game, n: number): Draft | null {
  const own = skillsOf(game.activity);
  const found = STEPS.filter((by) => own.has(`step-${by}`) && n >= 2 * by);
  const by = found.toReversed().find((one) => game.wants.includes(`step-${one}`)) ?? found[0];
  if (by === undefined) return null;
  const to = by * Math.floor(n / by);
  const skill = findSkill(`step-${by}`);
  const asked = skill?.items.find((item) => item.number <= to) ?? null;
  if (asked === null) return null;
  return {
    key: `by-${by}-${to}`,
    say: `Count them by ${NAMES[by]}.`,
    lay: 'Lay them in groups first.',
    lying: [by, to],
    right: {
      kind: 'reach',
      language: game.language,
      direction: 'up',
      from: by,
      to,
      step: by,
      stop: to,
      leftOut: [],
      repeated: [],
      swapped: [],
      said: null,
      guess: null,
    },
    counts: game.modes.includes('speaks') ? only(itemOf(`step-${by}`, asked.id)) : [],
    sentence: plain(`By ${NAMES[by]} to ${numberWord(to)}.`),
  };
}

/** How many in the jar: a range, then counted by steps. */
export const jar: RoundModule = {
  kind: 'jar',
  credits: () => ['estimate-*', 'step-2', 'step-5', 'step-10'],
  seldom: () => ['step-*'],
  next(game) {
    if (isOver(game, 4)) return null;
    const last = inRound(game).at(-1)?.record;
    return (last?.kind === 'range' ? count(game, last.actual) : null) ?? range(game);
  },
};
