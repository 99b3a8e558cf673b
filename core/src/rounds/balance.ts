import { itemOf } from '../skills/index.js';
import type { CaptureRecord } from '../vocabulary/index.js';
import {
  type Cell,
  type Draft,
  type Game,
  type RoundModule,
  choose,
  inRound,
  isOver,
  only,
  skillsOf,
} from './game.js';
import { plain } from './round-words.js';

const ITEMS = ['heavier-clear', 'heavier-close'] as const;

const note = (words: string): CaptureRecord => ({ kind: 'note', words });

/** Two things: which side goes down? Said before the balance is let go. */
function sides(game: Game): Draft | null {
  const cells = ITEMS.flatMap((id, i): Cell[] => {
    const item = itemOf('which-more', id);
    return item ? [{ ...item, key: `sides-${id}`, numbers: [i + 1] }] : [];
  });
  const cell = choose(game, cells);
  if (!cell) return null;
  return {
    key: cell.key,
    say: 'Which side will go down? Then let it go.',
    lay:
      cell.itemId === 'heavier-clear'
        ? 'Two things, one plainly heavier.'
        : 'Two things nearly alike, or the smaller one heavier.',
    lying: [],
    right: note(''),
    heard: false,
    way: 'pointed',
    choices: [
      { words: 'that side went down', record: note('') },
      { words: 'the other side went down', record: note('the other side went down') },
      { words: 'neither went down', record: note('neither went down') },
    ],
    counts: only(cell),
    sentence: plain('The side that goes down is heavier.'),
  };
}

function inOrder(): Draft {
  return {
    key: 'balance-order',
    say: 'Put three of them in order, the heaviest last.',
    lay: 'Three that hung on the balance.',
    lying: [],
    right: note(''),
    way: 'shown',
    choices: ['in order', 'the ends right, the middle not', 'turned round'].map((words, i) => ({
      words,
      record: note(i === 0 ? '' : words),
    })),
    counts: only(itemOf('order-three', 'weight-3')),
    sentence: plain('Lightest, then heavier, then heaviest.'),
  };
}

/** Which side goes down, and all in order. */
export const balance: RoundModule = {
  kind: 'balance',
  credits: () => ['which-more', 'order-three'],
  next(game) {
    if (isOver(game, 6)) return null;
    const turn = inRound(game).length % 3;
    return turn === 2 && skillsOf(game.activity).has('order-three') ? inOrder() : sides(game);
  },
};
