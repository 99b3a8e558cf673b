import { partsSentence } from '../handling/index.js';
import { numberWord } from '../numbers/index.js';
import { itemByParts, joinItem, sentenceItem } from '../skills/index.js';
import {
  type Cell,
  type Draft,
  type Game,
  type RoundModule,
  cameUpOf,
  choose,
  draw,
  inRound,
  isOver,
  goesFurther,
  only,
  skillsOf,
  upTo,
  waitsFor,
} from './game.js';
import { bondItem } from './ways.js';
import { Some, asksNumber, some, materialOf } from './round-words.js';

/** Amounts that can be counted on: from two on, with one to four more. */
const MOST_ON = 4;

interface Sum extends Cell {
  readonly a: number;
  readonly b: number;
}

function cells(game: Game): Sum[] {
  const top = Math.min(20, game.top);
  const double = game.round.form === 'doubles';
  const on = game.round.form === 'on';
  return upTo(1, top).flatMap((a) =>
    upTo(1, top - a).flatMap((b): Sum[] => {
      if (double && a !== b) return [];
      const item = double
        ? itemByParts('double', [a, b])
        : on
          ? itemByParts('on', [a, b])
          : joinItem(a, b);
      return item ? [{ ...item, key: `sum-${a}-${b}`, numbers: [a, b], a, b }] : [];
    }),
  );
}

/** All that an answer to "how many in all?" shows, of what the activity is there for. */
function countsFor(game: Game, a: number, b: number) {
  const own = skillsOf(game.activity);
  const on = a >= 2 && b >= 1 && b <= MOST_ON ? itemByParts('on', [a, b]) : null;
  if (game.round.form === 'doubles') return only(itemByParts('double', [a, b]));
  const all = [
    a === b ? itemByParts('double', [a, b]) : null,
    joinItem(a, b),
    // Counting on is seen where the second amount is small; how it was done is noted beside.
    on,
    bondItem(a, b),
  ];
  return only(...all.filter((one) => one !== null && own.has(one.skillId)));
}

function words(game: Game, a: number, b: number): { say: string; lay: string } {
  const material = materialOf(game);
  switch (game.round.scene) {
    case 'rail':
      return {
        say: 'Push them together. How many in all?',
        lay: `${Some(a, material)} in one color, ${numberWord(b)} in the other. Go on from the first.`,
      };
    case 'tubes':
      return {
        say: 'How many are in the box?',
        lay: `${Some(a, material)} down the first tube, ${numberWord(b)} down the second.`,
      };
    case 'towers':
      return {
        say: 'How many cubes in all?',
        lay: `A tower of ${numberWord(a)}, and ${numberWord(b)} more on top in another color.`,
      };
    case 'dots':
      return { say: 'How many solid dots? How many rings? And in all?', lay: 'A card is turned.' };
    case 'mirror':
      return {
        say: `${Some(a, material)} here, and as many in the mirror. How many in all?`,
        lay: `${Some(a, material)} before the mirror.`,
      };
    case 'tile':
      return { say: 'How many dots in all?', lay: 'Each half on its frame, if that helps.' };
    default:
      return {
        say: `${Some(a, material)} and ${some(b, material)}. How many in all?`,
        lay: `Lay both amounts in two colors.`,
      };
  }
}

function ask(game: Game, a: number, b: number): Draft {
  const { say, lay } = words(game, a, b);
  return {
    key: `sum-${a}-${b}`,
    ...asksNumber(game, a + b, say),
    lay,
    lying: [a, b],
    right: { kind: 'add', addends: [a, b], answer: a + b, way: null, sentenceRight: null },
    counts: countsFor(game, a, b),
    sentence: partsSentence([a, b]),
    drawn: {
      scene: game.round.scene ?? 'rail',
      numbers: [a, b],
      hidden: game.round.scene === 'tubes',
    },
  };
}

/** What was put together, as a sentence. */
function write(a: number, b: number): Draft {
  return {
    key: `write-${a}-${b}`,
    say: `Lay it with cards, or write it: ${numberWord(a)} and ${numberWord(b)} make ${numberWord(a + b)}.`,
    lay: 'Cards with numbers, + and =.',
    lying: [a, b],
    right: { kind: 'add', addends: [a, b], answer: a + b, way: null, sentenceRight: true },
    way: 'shown',
    counts: only(sentenceItem('plus', a + b)),
    sentence: partsSentence([a, b]),
  };
}

/** Sums to be laid or written, one for each total. */
const sentences = (game: Game): Sum[] =>
  upTo(2, Math.min(10, game.top)).flatMap((total) => {
    const item = sentenceItem('plus', total);
    const a = 1 + draw(game, total - 1, `write-${total}`);
    const b = total - a;
    return item ? [{ ...item, key: `write-${total}`, numbers: [a, b], a, b }] : [];
  });

/** Two amounts pushed together: counted all, counted on, or known. */
export const join: RoundModule = {
  kind: 'join',
  credits: ({ form }) =>
    form === 'doubles'
      ? ['double-10', 'double-20']
      : ['join-*', 'on-10', 'bond-*', 'double-10', 'sentence-plus'],
  seldom: ({ came }) => (came === undefined ? [] : ['bond-*', 'double-10']),
  next(game) {
    if (isOver(game, 8)) return null;
    if (game.round.form === 'write') {
      const cell = choose(game, sentences(game));
      return cell && write(cell.a, cell.b);
    }
    const here = inRound(game);
    const last = here.at(-1)?.record;
    const writes = goesFurther(game, 'sentence-plus', here.length % 3 === 2);
    if (writes && last?.kind === 'add' && last.addends.length === 2) {
      const [a = 1, b = 1] = last.addends;
      if (sentenceItem('plus', a + b)) return write(a, b);
    }
    if (game.round.came === undefined) {
      const cell = choose(game, cells(game));
      return cell && ask(game, cell.a, cell.b);
    }
    const high = game.round.high ?? Math.max(6, Math.min(10, game.top));
    const cameUp = cameUpOf(game, ['first', 'second'], 0, high);
    const [a, b] = game.came;
    if (a === undefined || b === undefined) {
      return waitsFor('amounts', inviteOf(game), cameUp);
    }
    return { ...ask(game, a, b), cameUp };
  },
};

function inviteOf({ round }: Game): string {
  switch (round.scene) {
    case 'tubes':
      return 'Roll, and drop as many down the tubes.';
    case 'tile':
      return 'Turn a domino over.';
    case 'dots':
      return 'Turn a card over.';
    case 'rail':
      return 'Turn two cards, and peg both amounts.';
    default:
      return 'Roll the dice.';
  }
}
