import { itemOf } from '../skills/index.js';
import {
  type Cell,
  type Draft,
  type Game,
  type RoundModule,
  choose,
  inRound,
  isOver,
  only,
  pendingWant,
  skillsOf,
} from './game.js';
import { plain } from './round-words.js';

const MATERIALS: readonly (readonly [id: string, words: string])[] = [
  ['light-small', 'a small light thing'],
  ['heavy-large', 'a large heavy thing'],
  ['heavy-small', 'something small that is heavier than it looks'],
  ['light-large', 'something large that is lighter than it looks'],
  ['near', 'something near the mark'],
];

/** Predicted against the mark, then weighed: the scale says whether it was so. */
function predict(game: Game): Draft | null {
  const cells = MATERIALS.flatMap(([id], i): Cell[] => {
    const item = itemOf('divide-weight', id);
    return item ? [{ ...item, key: `weigh-${id}`, numbers: [i + 1] }] : [];
  });
  const cell = choose(game, cells);
  const words = MATERIALS.find(([id]) => id === cell?.itemId)?.[1];
  if (!cell || words === undefined) return null;
  return {
    key: cell.key,
    say: 'Hold it. Is it lighter or heavier than the mark? Then we weigh it.',
    lay: `Give them ${words}.`,
    lying: [],
    right: {
      kind: 'weigh',
      material: words,
      dividingGrams: null,
      predicted: null,
      predictedAgain: null,
      measuredGrams: null,
      found: null,
    },
    heard: false,
    way: game.modes.includes('speaks') ? 'spoken' : 'pointed',
    counts: only(cell),
  };
}

const NOTE = { kind: 'note' as const, words: '' };

/** Three of them by weight, the heaviest last. */
function inOrder(game: Game): Draft {
  return {
    key: 'weigh-order',
    say: 'Put three of them in order. Which is heaviest?',
    lay: 'Three that were weighed; look at their readings after.',
    lying: [],
    right: NOTE,
    way: 'shown',
    counts: only(itemOf('order-three', 'weight-3')),
    choices: ['in order', 'the ends right, the middle not', 'turned round'].map((words, i) => ({
      words,
      record: { ...NOTE, words: i === 0 ? '' : words },
    })),
    sentence: plain('Lightest, then heavier, then heaviest.'),
    ...(skillsOf(game.activity).has('order-three') ? {} : { counts: [] }),
  };
}

/** Weighed against a mark. */
export const weigh: RoundModule = {
  kind: 'weigh',
  credits: () => ['divide-weight', 'order-three'],
  next(game) {
    if (isOver(game, 8)) return null;
    const wanted = pendingWant(game) === 'order-three';
    const turn = wanted ? 3 : inRound(game).length % 4;
    return turn === 3 && skillsOf(game.activity).has('order-three') ? inOrder(game) : predict(game);
  },
};
