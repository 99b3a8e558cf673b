import { partsSentence } from '../handling/index.js';
import { addThreeItem, itemByParts, joinItem } from '../skills/index.js';
import {
  type Draft,
  type Game,
  type RoundModule,
  cameUpOf,
  isOver,
  only,
  skillsOf,
  waitsFor,
} from './game.js';
import { nameItem } from './name.js';
import { Word, asksNumber, plain } from './round-words.js';

/** Cups that stand there, numbered from one. */
const CUPS = 7;

function total(game: Game, fell: readonly number[]): Draft {
  const sum = fell.reduce((all, n) => all + n, 0);
  const [a = 0, b = 0] = fell;
  const own = skillsOf(game.activity);
  const items = [
    fell.length === 3 ? addThreeItem(fell) : null,
    fell.length === 2 ? joinItem(a, b) : null,
    fell.length === 2 ? itemByParts('on', [a, b]) : null,
  ].filter((one) => one !== null && own.has(one.skillId));
  return {
    key: `fell-${fell.join('-')}`,
    ...asksNumber(
      game,
      sum,
      fell.length > 2
        ? 'How many is that in all? Which two go together first?'
        : 'How many is that in all?',
    ),
    lay: 'The dots inside help, if the numbers are many.',
    lying: fell,
    right: { kind: 'add', addends: [...fell], answer: sum, way: null, sentenceRight: null },
    counts: only(...items),
    sentence: partsSentence(fell),
  };
}

function one(game: Game, n: number): Draft {
  const spoken = game.modes.includes('speaks');
  return {
    key: `fell-${n}`,
    say: spoken ? 'Which number fell?' : `Show me the cup with ${n}.`,
    lay: '',
    lying: [n],
    right: { kind: 'numeral', shown: n, answer: n, way: spoken ? 'spoken' : 'pointed' },
    way: spoken ? 'spoken' : 'pointed',
    counts: only(nameItem(n)),
    sentence: plain(`${Word(n)} fell.`, String(n)),
  };
}

/** Rolled at a row of numbered cups: which fell, how many in all? */
export const knockDown: RoundModule = {
  kind: 'knock-down',
  credits: () => ['name-5', 'name-10', 'add-three-10', 'add-three-20', 'join-*'],
  seldom: () => ['name-*'],
  next(game) {
    if (isOver(game, 8)) return null;
    const cups = Math.min(CUPS, Math.max(5, game.top));
    const slots = Array.from({ length: cups }, () => '');
    const cameUp = { ...cameUpOf(game, slots, 1, cups), least: 1 };
    const fell = game.came;
    const drawn = { scene: 'cups' as const, numbers: fell, whole: cups };
    const [first] = fell;
    if (first === undefined) {
      return waitsFor('roll', 'Roll the ball. Which cups fell?', cameUp, { drawn });
    }
    return { ...(fell.length === 1 ? one(game, first) : total(game, fell)), cameUp, drawn };
  },
};
