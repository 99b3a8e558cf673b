import { cardScene } from '../handling/index.js';
import { numberWord } from '../numbers/index.js';
import { SKILLS } from '../skills/index.js';
import {
  type Cell,
  type Draft,
  type Game,
  type RoundModule,
  choose,
  isOver,
  only,
  skillsOf,
} from './game.js';
import { plain } from './round-words.js';

interface Figure extends Cell {
  readonly figure: string;
  readonly words: string;
}

/** Digits in the order in which they are learned, lines and shapes before them. */
const cells = (game: Game): Figure[] => {
  const own = skillsOf(game.activity);
  // A road or a snake of dough is one digit.
  const [families, most] =
    game.round.form === undefined ? [['write', 'draw'], Math.max(9, game.top)] : [['write'], 9];
  return SKILLS.filter(({ id, family }) => families.includes(family) && own.has(id)).flatMap(
    (skill) =>
      skill.items
        .filter((item) => skill.family === 'draw' || item.number <= most)
        .map((item) => ({
          skillId: skill.id,
          itemId: item.id,
          key: `draw-${item.id}`,
          numbers: skill.family === 'draw' ? [] : [item.number],
          figure: skill.family === 'draw' ? item.id : String(item.number),
          words: skill.family === 'draw' ? item.label : `a ${numberWord(item.number)}`,
        })),
  );
};

const article = (words: string): string => words.replace(/^a (?=eight|eleven)/, 'an ');

/** A line or a digit: shown with its words of movement, then drawn by the child. */
export const drawing: RoundModule = {
  kind: 'draw',
  credits: ({ form }) => (form === undefined ? ['write-*', 'draw-lines'] : []),
  next(game): Draft | null {
    if (isOver(game, 4)) return null;
    const cell = choose(game, cells(game));
    if (!cell) return null;
    const form = game.round.form ?? 'pen';
    const say: Readonly<Record<string, string>> = {
      road: `Drive ${article(cell.words)}. Say the way.`,
      dough: `Lay ${article(cell.words)} from the top.`,
      pen: cell.numbers.length > 0 ? `Write ${article(cell.words)}.` : `Draw ${cell.words}.`,
    };
    const lay: Readonly<Record<string, string>> = {
      road: 'The road card and a small vehicle. Show the way once and say it.',
      dough: 'Roll a snake of dough. What is formed in dough is a support, not yet writing.',
      pen: 'A board and a pen. Show the way once and say it.',
    };
    const formed = form !== 'pen';
    return {
      key: cell.key,
      say: say[form] ?? say['pen'] ?? '',
      lay: lay[form] ?? '',
      lying: cell.numbers,
      right: {
        kind: 'draw',
        figure: cell.figure,
        form: formed ? form : '',
        support: formed ? 'adult' : 'own',
        startRight: null,
        directionRight: null,
        reversed: null,
        readable: null,
      },
      way: 'shown',
      // Formed in dough or driven along is a support of its own, never evidence for writing.
      counts: formed ? [] : only(cell),
      skillId: cell.skillId,
      itemId: cell.itemId,
      sentence: plain(`This is ${article(cell.words)}.`),
      scene:
        cell.numbers.length > 0 ? cardScene(cell.figure, cell.figure.length > 1 ? 4.6 : 3.6) : null,
    };
  },
};
