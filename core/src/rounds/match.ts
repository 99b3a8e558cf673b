import { type DotPicture, cardScene, dotsScene, drawScene, tallyScene } from '../handling/index.js';
import { numberWord } from '../numbers/index.js';
import { SKILLS, itemByNumber } from '../skills/index.js';
import {
  type Cell,
  type Draft,
  type Game,
  type RoundModule,
  choose,
  isOver,
  only,
  upTo,
} from './game.js';
import { Some, plain, some, materialOf } from './round-words.js';

const BOTH_WAYS = ['amount', 'numeral'] as const;

interface Matched extends Cell {
  readonly form: string;
}

const amounts = (game: Game): Matched[] =>
  upTo(0, Math.min(20, game.top)).flatMap((n) =>
    BOTH_WAYS.flatMap((form): Matched[] => {
      const item = itemByNumber('match', n, form);
      return item ? [{ ...item, key: `match-${n}-${form}`, numbers: [n], form }] : [];
    }),
  );

const faces = (game: Game): Matched[] =>
  SKILLS.filter(({ family }) => family === 'forms').flatMap((skill) =>
    skill.items
      .filter((item) => item.number <= Math.max(5, game.top))
      .map((item) => ({
        skillId: skill.id,
        itemId: item.id,
        key: `forms-${item.id}`,
        numbers: [item.number],
        form: item.form ?? 'dots',
      })),
  );

/** One number in one of its forms. */
export function faceScene(n: number, form: string, game: Game) {
  switch (form) {
    case 'fingers':
      return drawScene({ scene: 'fingers', numbers: [n] }, game.seed, game.fill);
    case 'frame':
      return drawScene({ scene: 'frame', numbers: [n] }, game.seed, game.fill);
    case 'tally':
      return tallyScene(n);
    case 'word':
      return cardScene(numberWord(n), 8);
    case 'sum':
      return cardScene(n > 1 ? `${n - 1} + 1` : `${n} + 0`, 8);
    case 'pairs':
      return dotsScene(n, 'pairs', game.seed);
    default:
      return dotsScene(n, (form === 'dots' ? 'dice' : form) as DotPicture, game.seed);
  }
}

const FACE: Readonly<Record<string, string>> = {
  dots: 'dots',
  pairs: 'dots in pairs',
  fingers: 'fingers',
  frame: 'a frame',
  tally: 'a tally',
  word: 'a word',
  sum: 'a sum',
};

function ask(game: Game, cell: Matched): Draft {
  const [n = 0] = cell.numbers;
  const material = materialOf(game);
  const bring = cell.form === 'amount';
  const isFace = FACE[cell.form] !== undefined;
  const counts = only({ skillId: cell.skillId, itemId: cell.itemId });
  const shared = {
    key: cell.key,
    lying: [n],
    counts,
    sentence: plain(`${Some(n, material)}: ${numberWord(n)}.`, String(n)),
  };
  if (isFace) {
    return {
      ...shared,
      say: 'Which number is this?',
      lay: `Show ${numberWord(n)} as ${FACE[cell.form] ?? cell.form}, and four numerals to choose from.`,
      right: { kind: 'numeral', shown: n, answer: n, way: 'matched' },
      way: 'pointed',
      sentence: plain(`This is ${numberWord(n)}.`, String(n)),
      scene: faceScene(n, cell.form, game),
    };
  }
  const found = FOUND[game.round.form ?? ''];
  return {
    ...shared,
    ...(bring ? bringing(game, n) : choosing(game, n)),
    right: { kind: 'numeral', shown: n, answer: n, way: bring && !found ? 'brought' : 'matched' },
    way: bring && !found ? 'handed' : 'pointed',
    ...(bring
      ? { drawn: { scene: 'cards', numbers: [n] } }
      : found
        ? { scene: dotsScene(n, found, game.seed) }
        : { drawn: { scene: game.round.scene ?? 'things', numbers: [n], layout: 'scatter' } }),
  };
}

/** Rounds whose amounts are pictures that lie there, and how these are drawn. */
const FOUND: Readonly<Record<string, DotPicture>> = { clip: 'dice', both: 'pairs' };

/** From the numeral to its amount. */
function bringing(game: Game, n: number): Pick<Draft, 'say' | 'lay'> {
  const many = materialOf(game)[1];
  switch (game.round.form) {
    case 'clip':
      return {
        say: 'Which strip has as many dots as this says?',
        lay: `Show the peg with ${n}, four strips beside.`,
      };
    case 'both':
      return {
        say: 'Find the card with as many dots as this says.',
        lay: `Show the numeral ${n}, four cards beside.`,
      };
    case 'stick':
      return { say: `Stick as many ${many} as this says.`, lay: `Show the card with ${n}.` };
    case 'press':
      return { say: `Press as many ${many} as this says.`, lay: `Show the card with ${n}.` };
    default:
      return { say: `Bring as many ${many} as this says.`, lay: `Show the card with ${n}.` };
  }
}

const LAYS: Readonly<Record<string, string>> = { stick: 'Stick', press: 'Press' };

/** From the amount to its numeral. */
function choosing(game: Game, n: number): Pick<Draft, 'say' | 'lay'> {
  const amount = some(n, materialOf(game));
  switch (game.round.form) {
    case 'clip':
      return {
        say: 'How many dots are here? Clip its number.',
        lay: `The strip with ${amount}, and the pegs with numbers.`,
      };
    case 'both':
      return {
        say: 'Which number belongs to this many?',
        lay: `The card with ${amount} in pairs, and four numerals beside.`,
      };
    default:
      return {
        say: 'Which number belongs to this many?',
        lay: `${LAYS[game.round.form ?? ''] ?? 'Lay'} ${amount}, the cards beside.`,
      };
  }
}

/** A numeral and its amount, or one of its forms. */
export const match: RoundModule = {
  kind: 'match',
  credits: ({ form }) =>
    form === 'faces' ? ['forms-10'] : form === 'both' ? ['match-*', 'forms-10'] : ['match-*'],
  next(game) {
    if (isOver(game, 6)) return null;
    const { form } = game.round;
    const cells =
      form === 'faces'
        ? faces(game)
        : form === 'both'
          ? [...amounts(game), ...faces(game)]
          : amounts(game);
    const cell = choose(game, cells);
    return cell && ask(game, cell);
  },
};
