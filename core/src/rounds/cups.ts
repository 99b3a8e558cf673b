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
import { asksNumber, plain } from './round-words.js';

const MOST = 30;

/** Predicted, then poured and counted. */
function pour(game: Game): Draft {
  const cameUp = cameUpOf(game, ['predicted', 'it takes'], 0, MOST);
  const [predicted, cups] = game.came;
  if (predicted === undefined || cups === undefined) {
    return waitsFor('pour', 'How many cups will it hold? Then we pour.', cameUp, {
      lay: 'A jar and a cup on a tray; water or rice.',
    });
  }
  return {
    key: `cups-${cups}`,
    ...asksNumber(game, cups, 'How many cups did it take?'),
    lay: '',
    lying: [cups],
    cameUp,
    right: {
      kind: 'length',
      material: 'a jar',
      unit: 'cup',
      predicted,
      measured: cups,
      gaps: false,
      overlaps: false,
      endsLinedUp: null,
    },
    counts: only(itemByNumber('holds', cups)),
    sentence: plain(
      `It holds ${cups === 1 ? 'one cup' : `${numberWord(cups)} cups`}.`,
      String(cups),
    ),
  };
}

const note = (words: string): CaptureRecord => ({ kind: 'note', words });

function holds(game: Game): Draft {
  const shape = inRound(game).length > 1;
  return {
    key: shape ? 'holds-shape' : 'holds-clear',
    say: 'Which holds more? Then we pour and see.',
    lay: shape ? 'A tall narrow jar and a wide one.' : 'A large jar and a small one.',
    lying: [],
    right: note(''),
    heard: false,
    way: 'pointed',
    choices: [
      { words: 'the one that holds more', record: note('') },
      { words: 'the other one', record: note('the other one') },
      { words: '“the same”', record: note('“the same”') },
    ],
    counts: only(itemOf('holds-more', shape ? 'pair-shape' : 'pair-clear')),
    sentence: plain('The one that takes more cups holds more.'),
  };
}

/** Two jars side by side, by their height. */
function taller(game: Game): Draft {
  const close = inRound(game).length > 3;
  return {
    ...holds(game),
    key: close ? 'taller-close' : 'taller-clear',
    say: 'Which jar is taller?',
    lay: close ? 'Two jars of nearly the same height.' : 'A tall jar and a low one.',
    choices: [
      { words: 'the taller one', record: note('') },
      { words: 'the other one', record: note('the other one') },
      { words: '“the same”', record: note('“the same”') },
    ],
    counts: only(itemOf('which-more', close ? 'taller-close' : 'taller-clear')),
    sentence: plain('The taller one reaches higher, whatever it holds.'),
  };
}

/** Poured and counted, cup by cup. */
export const cups: RoundModule = {
  kind: 'cups',
  credits: () => ['holds-more', 'which-more'],
  next(game) {
    if (isOver(game, 6)) return null;
    const turn = inRound(game).length % 3;
    if (turn === 2 && skillsOf(game.activity).has('which-more')) return taller(game);
    return turn === 0 ? holds(game) : pour(game);
  },
};
