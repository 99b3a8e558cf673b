import { numberWord, plural } from '../numbers/index.js';
import { partsSentence } from '../handling/index.js';
import { SKILLS, itemByNumber } from '../skills/index.js';
import {
  type Cell,
  type Draft,
  type Game,
  type RoundModule,
  choose,
  inRound,
  isOver,
  mayFollow,
  only,
  pendingWant,
  skillsOf,
  upTo,
} from './game.js';
import {
  Word,
  asksNumber,
  compareSentence,
  is,
  plain,
  some,
  takeSentence,
  materialOf,
} from './round-words.js';

interface Told extends Cell {
  readonly form: string;
}

const cells = (game: Game): Told[] =>
  SKILLS.filter(({ family, to }) => family === 'story' && to <= Math.max(5, game.top)).flatMap(
    (skill) =>
      skill.items
        .filter((item) => item.number <= game.top)
        .map((item) => ({
          skillId: skill.id,
          itemId: item.id,
          key: `story-${item.id}`,
          numbers: [...item.parts],
          form: item.form ?? 'join',
        })),
  );

/** Snails, kites, drums: told with the props that lie there. */
const TOLD: Readonly<Record<string, (a: number, b: number) => string>> = {
  join: (a, b) =>
    `${Word(a)} ${plural(a, 'snail sits', 'snails sit')} on the wall. ${Word(b)} more ${plural(b, 'comes', 'come')}. How many now?`,
  away: (a, b) =>
    `${Word(a)} ${plural(a, 'kite flies', 'kites fly')}. ${Word(b)} ${plural(b, 'blows', 'blow')} away. How many are left?`,
  parts: (a, b) =>
    `${Word(a)} ${plural(a, 'drum is', 'drums are')} red and ${numberWord(b)} ${plural(b, 'is', 'are')} blue. How many drums are there?`,
  more: (a, b) =>
    `One pot has ${a === 1 ? 'one carrot' : `${numberWord(a)} carrots`}, the other has ${numberWord(b)}. How many more are in the first?`,
};

const answerOf = (form: string, a: number, b: number): number =>
  form === 'away' || form === 'more' ? a - b : a + b;

function told(game: Game, cell: Told): Draft {
  const [a = 0, b = 0] = cell.numbers;
  const answer = answerOf(cell.form, a, b);
  const tell = TOLD[cell.form] ?? TOLD['join'];
  return {
    key: cell.key,
    ...asksNumber(game, answer, tell ? tell(a, b) : ''),
    lay: 'Act it out with the props. What happened?',
    lying: [a, b],
    right: { kind: 'story', story: cell.itemId, answer },
    counts: only(cell),
    sentence:
      cell.form === 'away'
        ? takeSentence(a, b)
        : cell.form === 'more'
          ? compareSentence(a, b)
          : partsSentence([a, b]),
  };
}

/** How many props are there now? */
function howMany(game: Game, n: number): Draft | null {
  const total = itemByNumber('total', n);
  if (!total || !skillsOf(game.activity).has(total.skillId)) return null;
  return {
    key: `props-${n}`,
    ...asksNumber(game, n, 'Count them. How many are there now?'),
    lay: `${some(n, materialOf(game)).replace(/^./, (c) => c.toUpperCase())} as the story left them.`,
    lying: [n],
    right: {
      kind: 'count',
      language: game.language,
      n,
      layout: 'row',
      words: n,
      lastWord: n,
      skipped: 0,
      doubled: 0,
      answer: n,
      recounted: false,
    },
    counts: only({ ...total, by: 'total' }),
    sentence: plain(`There ${is(n)} ${some(n, materialOf(game))}.`, String(n)),
    drawn: { scene: 'things', numbers: [n] },
  };
}

/** A story that changes, joins or compares, acted out with props. */
export const story: RoundModule = {
  kind: 'story',
  credits: () => ['story-*', 'total-*'],
  next(game) {
    if (isOver(game, 6)) return null;
    const last = inRound(game).at(-1)?.record;
    const turn = mayFollow(game) ? inRound(game).length % 3 : 0;
    if (turn === 2 && last?.kind === 'story' && last.answer !== null && last.answer > 0) {
      const found = howMany(game, last.answer);
      if (found) return found;
    }
    const cell = choose(game, cells(game));
    const wanted = pendingWant(game);
    if (cell && (wanted === null || cell.skillId === wanted)) return told(game, cell);
    const small = choose(
      game,
      upTo(2, Math.min(10, game.top)).flatMap((n): Cell[] => {
        const item = itemByNumber('total', n);
        return item ? [{ ...item, key: `props-${n}`, numbers: [n] }] : [];
      }),
    );
    return (small && howMany(game, small.numbers[0] ?? 1)) ?? (cell && told(game, cell));
  },
};
