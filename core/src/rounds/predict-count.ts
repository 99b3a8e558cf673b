import { numberWord } from '../numbers/index.js';
import { differItem, itemByNumber } from '../skills/index.js';
import { stretchesTo } from '../evidence/index.js';
import {
  type Draft,
  type Game,
  type RoundModule,
  cameUpOf,
  inRound,
  isOver,
  only,
  waitsFor,
  withinReach,
} from './game.js';
import { asksNumber, compareSentence, is, plain, some, materialOf } from './round-words.js';

/** A wild guess is a fact worth keeping. */
const MOST = 999;
const MOST_COUNTED = 60;
/** Further off than this it is said by the adult. */
const MOST_OFF = 10;

/** How far shall we get? Said, then the words are said. */
function sayFar(game: Game): Draft {
  const cameUp = cameUpOf(game, ['guessed', 'said to'], 1, MOST);
  const [guess, said] = game.came;
  if (guess === undefined || said === undefined) {
    return waitsFor('far', 'How far shall we get? Then we count.', cameUp);
  }
  return {
    key: `far-${said}`,
    say: 'How far did we get?',
    lay: '',
    lying: [said],
    cameUp,
    right: {
      kind: 'reach',
      language: game.language,
      direction: 'up',
      from: 1,
      to: said,
      stop: said,
      leftOut: [],
      repeated: [],
      swapped: [],
      said: null,
      guess,
    },
    top: 120,
    counts: game.modes.includes('speaks') ? stretchesTo(said) : [],
    sentence: offBy(guess, said),
  };
}

/** "You thought nine. It was seven: two too many." */
function offBy(guess: number, actual: number) {
  const off = Math.abs(guess - actual);
  const how =
    off === 0 ? 'just that' : `${numberWord(off)} ${guess > actual ? 'too many' : 'too few'}`;
  return plain(
    `You thought ${numberWord(guess)}. It ${actual === 1 ? 'was one' : `was ${numberWord(actual)}`}: ${how}.`,
    off === 0 ? `${guess} = ${actual}` : `${guess} ${guess > actual ? '>' : '<'} ${actual}`,
  );
}

function count(game: Game): Draft {
  const cameUp = cameUpOf(game, ['guessed', 'counted'], 0, MOST);
  const [guess, n] = game.came;
  const material = materialOf(game);
  if (guess === undefined || n === undefined) {
    return waitsFor(
      'guess',
      `How many ${material[1]} do you think there are? Then we count.`,
      cameUp,
    );
  }
  const touch = itemByNumber('touch', n);
  const total = itemByNumber('total', n);
  return {
    key: `guess-${n}`,
    say: 'You counted them. How many are there?',
    lay: 'One touch, one word, each in its place on the line.',
    lying: [n],
    cameUp,
    right: {
      kind: 'count',
      language: game.language,
      n,
      layout: 'row',
      words: n,
      lastWord: n,
      skipped: 0,
      doubled: 0,
      answer: n,
      recounted: false,
    },
    counts: only(touch && { ...touch, by: 'touches' }, total && { ...total, by: 'total' }),
    sentence: offBy(guess, n),
    drawn: { scene: game.round.scene ?? 'things', numbers: [Math.min(n, MOST_COUNTED)] },
  };
}

/** How far off the guess was, told by the child. */
function howFar(game: Game, guess: number, n: number): Draft {
  const off = Math.abs(guess - n);
  const item = differItem(guess, n);
  return {
    key: `off-${guess}-${n}`,
    ...asksNumber(
      game,
      off,
      `You thought ${numberWord(guess)}, and there ${is(n)} ${n === 0 ? 'none' : some(n, materialOf(game))}. How far off?`,
    ),
    lay: off > MOST_OFF ? 'A wild guess is welcome: say it for them.' : 'Look along the line.',
    lying: [guess, n],
    right: { kind: 'compare', left: guess, right: n, asked: 'difference', answer: String(off) },
    counts: only(item),
    sentence: compareSentence(guess, n),
  };
}

/** Guess, then count, then how far off? A guess is a fact and no try. */
export const predictCount: RoundModule = {
  kind: 'predict-count',
  credits: ({ form }) => (form === 'far' ? ['say-*'] : ['touch-*', 'total-*', 'differ-10']),
  seldom: ({ form }) => (form === 'far' ? ['say-50', 'say-100', 'say-120'] : []),
  next(game) {
    if (isOver(game, 6)) return null;
    if (game.round.form === 'far') return sayFar(game);
    const last = inRound(game).at(-1);
    const [guess, n] = last?.cameUp ?? [];
    const isOff = guess !== undefined && n !== undefined && guess !== n;
    const item = isOff ? differItem(guess, n) : null;
    const isAsked = item === null || game.wants.includes(item.skillId) || withinReach(game)(item);
    return isOff && isAsked ? howFar(game, guess, n) : count(game);
  },
};
