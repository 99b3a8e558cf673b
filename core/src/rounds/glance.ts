import { type DotPicture, beside, dotsScene, drawScene, partsSentence } from '../handling/index.js';
import { cellsFor, frameScene } from '../handling/frame.js';
import { numberWord, plural } from '../numbers/index.js';
import { SKILLS } from '../skills/index.js';
import {
  type Cell,
  type Draft,
  type Game,
  type RoundModule,
  choose,
  isOver,
  only,
} from './game.js';
import { Word, asksNumber, plain } from './round-words.js';

interface Look extends Cell {
  readonly form: string;
}

/** Pictures that the things of a round can show. */
const SHOWS: Readonly<Record<string, readonly string[]>> = {
  dots: ['line', 'dice', 'scatter', 'parts'],
  fingers: ['fingers'],
  frame: ['row', 'pairs'],
  dice: ['dice'],
  dominoes: ['dice', 'parts'],
};

const cells = (game: Game): Look[] => {
  const { scene } = game.round;
  const shows = scene ? (SHOWS[scene] ?? []) : Object.values(SHOWS).flat();
  return SKILLS.filter(({ family, to }) => family === 'glance' && to <= Math.max(5, game.top))
    .flatMap((skill) =>
      skill.items.map((item) => ({
        skillId: skill.id,
        itemId: item.id,
        key: `glance-${skill.id}-${item.id}`,
        numbers: item.parts.length > 0 ? [...item.parts] : [item.number],
        form: item.form ?? 'parts',
      })),
    )
    .filter(({ form, numbers }) => shows.includes(form) && sum(numbers) <= game.top);
};

const sum = (numbers: readonly number[]): number => numbers.reduce((all, n) => all + n, 0);

const LOOKS: Readonly<Record<string, string>> = {
  line: 'in a line',
  dice: 'as on a die',
  fingers: 'on your fingers',
  scatter: 'scattered',
  row: 'row by row',
  pairs: 'in pairs',
  parts: 'in two groups',
};

function picture(game: Game, { form, numbers }: Look) {
  const n = sum(numbers);
  switch (form) {
    case 'fingers':
      return drawScene({ scene: 'fingers', numbers: [n] }, game.seed, game.fill);
    case 'row':
      return frameScene(cellsFor(n, 10, 'row'));
    case 'pairs':
      return frameScene(cellsFor(n, 10, 'pairs'));
    case 'parts':
      return beside(
        numbers.map((part) => dotsScene(part, 'dice', game.seed)),
        0.8,
        'two groups',
      );
    default:
      return dotsScene(n, form as DotPicture, `${game.seed}/${game.past.length}`);
  }
}

/** Eyes shut, shown for a moment: how many, and how did you see it? */
export const glance: RoundModule = {
  kind: 'glance',
  credits: ({ scene }) =>
    scene === 'frame' ? ['glance-frame'] : ['glance-3', 'glance-5', 'glance-parts'],
  next(game): Draft | null {
    if (isOver(game, 6)) return null;
    const cell = choose(game, cells(game));
    if (!cell) return null;
    const n = sum(cell.numbers);
    const parts = cell.numbers.length > 1;
    return {
      key: cell.key,
      ...asksNumber(game, n, 'Eyes open. How many did you see?'),
      lay: `${Word(n)} ${LOOKS[cell.form] ?? ''} for three seconds, then cover. Ask how they saw it.`,
      quick: true,
      lying: [n],
      right: { kind: 'glance', n, picture: cell.form, seconds: 3, answer: n, howSeen: '' },
      counts: only({ skillId: cell.skillId, itemId: cell.itemId }),
      sentence: parts
        ? partsSentence(cell.numbers)
        : cell.form === 'row' && n > 5
          ? partsSentence([5, n - 5])
          : plain(`There ${plural(n, 'is', 'are')} ${numberWord(n)}.`, String(n)),
      scene: picture(game, cell),
    };
  },
};
