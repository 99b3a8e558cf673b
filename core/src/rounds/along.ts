import { numberWord } from '../numbers/index.js';
import { itemByNumber, itemOf } from '../skills/index.js';
import type { CaptureRecord } from '../vocabulary/index.js';
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
import { asksNumber, plain, materialOf } from './round-words.js';

const MOST = 30;

/** Predicted, then laid end to end: how many long is it? What it really takes is tapped first. */
function measure(game: Game): Draft {
  const cameUp = cameUpOf(game, ['predicted', 'it takes'], 0, MOST);
  const [predicted, units] = game.came;
  const material = materialOf(game);
  if (predicted === undefined || units === undefined) {
    return waitsFor(
      'along',
      `How many ${material[1]} long will it be? Then lay them along.`,
      cameUp,
      {
        lay: 'End to end, no gaps, both ends level.',
      },
    );
  }
  return {
    key: `along-${units}`,
    ...asksNumber(game, units, 'How many long is it?'),
    lay: '',
    lying: [units],
    cameUp,
    right: {
      kind: 'length',
      material: 'a thing',
      unit: material[0],
      predicted,
      measured: units,
      gaps: false,
      overlaps: false,
      endsLinedUp: null,
    },
    counts: only(itemByNumber('units', units)),
    sentence: plain(
      `It is ${numberWord(units)} ${units === 1 ? material[0] : material[1]} long.`,
      String(units),
    ),
  };
}

const note = (words: string): CaptureRecord => ({ kind: 'note', words });

function longer(game: Game): Draft {
  const close = inRound(game).length > 3;
  return {
    key: close ? 'longer-close' : 'longer-clear',
    say: 'Which is longer? Hold them side by side and see.',
    lay: close ? 'Two that are nearly the same.' : 'Two of those that were measured.',
    lying: [],
    right: note(''),
    heard: false,
    way: 'pointed',
    choices: [
      { words: 'the longer one', record: note('') },
      { words: 'the other one', record: note('the other one') },
      { words: '“the same”', record: note('“the same”') },
    ],
    counts: only(itemOf('which-more', close ? 'longer-close' : 'longer-clear')),
    sentence: plain('The longer one sticks out when both begin at the same line.'),
  };
}

/** Equal units end to end. */
export const along: RoundModule = {
  kind: 'along',
  credits: () => ['units-along', 'which-more'],
  next(game) {
    if (isOver(game, 6)) return null;
    const turn = inRound(game).length % 3;
    return turn === 2 && skillsOf(game.activity).has('which-more') ? longer(game) : measure(game);
  },
};
