import { SKILLS, itemOf } from '../skills/index.js';
import type { CaptureRecord } from '../vocabulary/index.js';
import {
  type Cell,
  type Draft,
  type Game,
  type RoundModule,
  cameUpOf,
  choose,
  isOver,
  only,
  skillsOf,
  waitsFor,
} from './game.js';
import { otherSide, patternCells } from './pattern.js';
import { asksNumber, plain } from './round-words.js';
import { numberWord } from '../numbers/index.js';

const note = (words: string): CaptureRecord => ({ kind: 'note', words });

const choicesOf = (words: readonly string[]) =>
  words.map((one, i) => ({ words: one, record: note(i === 0 ? '' : one) }));

interface Words {
  readonly say: string;
  readonly lay: string;
  readonly choices: readonly string[];
  readonly told: string;
}

const LOOK: Readonly<Record<string, Words>> = {
  front: {
    say: 'Move it nearer, then farther. What does its picture do?',
    lay: 'One thing before the mirror.',
    choices: ['it does the same', 'another thing'],
    told: 'The picture comes nearer when the thing does.',
  },
  half: {
    say: 'Here is half a thing. What does the mirror make of it?',
    lay: 'Half a leaf, or half a face, its cut side at the mirror.',
    choices: ['a whole one', 'something else'],
    told: 'The mirror makes the other half.',
  },
};

const SPOT: Readonly<Record<string, Words>> = {
  things: {
    say: 'Is it the same on both sides? Where is the middle?',
    lay: 'A thing of the house: a cup, a jacket, a chair.',
    choices: ['the same', '“not the same”', 'top and bottom'],
    told: 'Both sides are the same.',
  },
  faces: {
    say: 'Is it the same on both sides? Where is the middle?',
    lay: 'A face.',
    choices: ['the same', '“not the same”', 'top and bottom'],
    told: 'Both sides are the same.',
  },
  leaves: {
    say: 'Is it the same on both sides? Where is the middle?',
    lay: 'A leaf.',
    choices: ['the same', '“not the same”', 'top and bottom'],
    told: 'Both sides are the same.',
  },
  pictures: {
    say: 'Is it the same on both sides? Where is the middle?',
    lay: 'A picture in a book.',
    choices: ['the same', '“not the same”', 'top and bottom'],
    told: 'Both sides are the same.',
  },
  not: {
    say: 'Is it the same on both sides? Where is the middle?',
    lay: 'One that is not: a mitten, a mug with its handle to the side.',
    choices: ['not the same', '“the same”'],
    told: 'One side is another than the other.',
  },
};

const FOLD: Readonly<Record<string, Words>> = {
  hole: {
    say: 'What will it be when it opens?',
    lay: 'A folded paper. Cut a half circle on the fold.',
    choices: ['a hole', 'half a hole', 'two holes'],
    told: 'It opens to a round hole.',
  },
  heart: {
    say: 'What will it be when it opens?',
    lay: 'A folded paper. Cut half a heart on the fold.',
    choices: ['a heart', 'half a heart', 'two pieces'],
    told: 'It opens to a heart.',
  },
  leaf: {
    say: 'What will it be when it opens?',
    lay: 'A folded paper. Cut half a leaf on the fold.',
    choices: ['a leaf', 'half a leaf', 'two pieces'],
    told: 'It opens to a leaf.',
  },
  house: {
    say: 'What will it be when it opens?',
    lay: 'A folded paper. Cut half a house on the fold.',
    choices: ['a house', 'half a house', 'two pieces'],
    told: 'It opens to a house.',
  },
};

const WORDS: Readonly<Record<string, Readonly<Record<string, Words>>>> = {
  'mirror-see': LOOK,
  'mirror-spot': SPOT,
  'mirror-fold': FOLD,
  halves: {
    fold: {
      say: 'Fold it in half. Do the edges meet?',
      lay: 'A sheet of paper.',
      choices: ['they meet', 'two parts, not the same'],
      told: 'Two halves, one on the other.',
    },
    cut: {
      say: 'Cut along the fold. Which half is which?',
      lay: 'The folded paper and scissors.',
      choices: ['two halves', 'two parts, not the same'],
      told: 'Two halves: one covers the other.',
    },
  },
};

const FORMS: Readonly<Record<string, readonly string[]>> = {
  look: ['mirror-see', 'mirror-spot'],
  spot: ['mirror-spot'],
  fold: ['mirror-fold', 'halves'],
};

function asked(game: Game, form: string): Draft | null {
  const own = skillsOf(game.activity);
  const cells = SKILLS.filter(({ id }) => (FORMS[form] ?? []).includes(id) && own.has(id)).flatMap(
    (skill) =>
      skill.items.flatMap((item, i): Cell[] =>
        WORDS[skill.id]?.[item.id]
          ? [
              {
                skillId: skill.id,
                itemId: item.id,
                key: `${skill.id}-${item.id}`,
                numbers: [i + 1],
              },
            ]
          : [],
      ),
  );
  const cell = choose(game, cells);
  const words = cell && WORDS[cell.skillId]?.[cell.itemId];
  if (!words) return null;
  return {
    key: cell.key,
    say: words.say,
    lay: words.lay,
    lying: [],
    right: note(''),
    heard: false,
    way: game.modes.includes('speaks') ? 'spoken' : 'pointed',
    choices: choicesOf(words.choices),
    counts: only(cell),
    sentence: plain(words.told),
  };
}

/** 360 degrees by the opening is how many are seen, the thing itself among them (textbook optics). */
const MOST = 12;

/** Two mirrors with a thing between: predicted, then counted with the thing itself. */
function pictures(game: Game): Draft {
  const cameUp = cameUpOf(game, ['predicted', 'seen'], 1, MOST);
  const [predicted, seen] = game.came;
  if (predicted === undefined || seen === undefined) {
    return waitsFor(
      'hinge',
      'Close it a little. How many will you see? Then look and count.',
      cameUp,
      {
        lay: 'Two mirrors like a book, a thing between. Count the thing itself too.',
      },
    );
  }
  return {
    key: `hinge-${seen}`,
    ...asksNumber(game, seen, 'How many do you see?'),
    lay: '',
    lying: [seen],
    cameUp,
    right: { kind: 'guess', predicted, actual: seen },
    counts: only(itemOf('mirror-see', 'hinged')),
    sentence: plain(`You see ${numberWord(seen)}, the thing itself among them.`, String(seen)),
  };
}

/** A mirror: looked at, the same on both sides spotted and made, folded and cut. */
export const mirror: RoundModule = {
  kind: 'mirror',
  credits: ({ form = 'look' }) => {
    if (form === 'make') return ['mirror-make'];
    return form === 'pictures' ? ['mirror-see'] : (FORMS[form] ?? []);
  },
  next(game) {
    if (isOver(game, 5)) return null;
    const { form = 'look' } = game.round;
    if (form === 'pictures') return pictures(game);
    if (form !== 'make') return asked(game, form);
    const cell = choose(game, patternCells(['mirror-make']));
    return cell && otherSide(game, cell);
  },
};
