import { partsSentence } from '../handling/index.js';
import { less, numberWord, plural } from '../numbers/index.js';
import { SKILLS, sentenceItem } from '../skills/index.js';
import {
  type Cell,
  type Draft,
  type Game,
  type RoundModule,
  choose,
  goesFurther,
  inRound,
  isOver,
  only,
} from './game.js';
import { Some, Word, asksNumber, some, materialOf } from './round-words.js';

interface Hidden extends Cell {
  readonly seen: number;
  readonly whole: number;
}

const cells = (game: Game): Hidden[] =>
  SKILLS.filter(({ family, to }) => family === 'hide' && to <= Math.max(5, game.top)).flatMap(
    (skill) =>
      skill.items
        .filter((item) => item.number <= game.top)
        .map((item) => {
          const [seen = 0, hidden = 0] = item.parts;
          return {
            skillId: skill.id,
            itemId: item.id,
            key: `hide-${item.number}-${seen}`,
            numbers: [seen, hidden],
            seen,
            whole: item.number,
          };
        }),
  );

/** The hidden part as a sentence with a gap. */
function gap(seen: number, whole: number): Draft {
  return {
    key: `gap-${whole}-${seen}`,
    say: `Say it and lay it: ${numberWord(seen)} and how many make ${numberWord(whole)}?`,
    lay: `Cards: ${seen} + ? = ${whole}.`,
    lying: [seen, whole - seen],
    right: {
      kind: 'add',
      addends: [whole, less(seen)],
      answer: whole - seen,
      way: null,
      sentenceRight: null,
    },
    way: 'shown',
    counts: only(sentenceItem('gap', whole)),
    sentence: partsSentence([seen, whole - seen]),
  };
}

/** Eyes shut, some hidden, some in view: how many are hiding? */
export const hide: RoundModule = {
  kind: 'hide',
  credits: () => ['hide-*', 'sentence-gap'],
  next(game) {
    if (isOver(game, 9)) return null;
    const here = inRound(game);
    const last = here.at(-1)?.record;
    const laid = goesFurther(game, 'sentence-gap', here.length % 3 === 2);
    if (laid && last?.kind === 'bond') {
      return gap(last.inView[0] ?? 0, last.whole);
    }
    const cell = choose(game, cells(game));
    if (!cell) return null;
    const { seen, whole } = cell;
    const hidden = whole - seen;
    const material = materialOf(game);
    const view = seen === 0 ? 'None are in view.' : `I see ${numberWord(seen)}.`;
    return {
      key: cell.key,
      ...asksNumber(game, hidden, `${view} How many are hiding?`),
      lay: `${Some(whole, material)} in all. Eyes shut: hide ${hidden === 0 ? 'none' : numberWord(hidden)} under the cloth.`,
      lying: [seen, hidden],
      right: { kind: 'bond', whole, parts: [seen, hidden], inView: [seen], answer: hidden },
      counts: only({ skillId: cell.skillId, itemId: cell.itemId }),
      sentence: {
        ...partsSentence([seen, hidden]),
        words: `${Word(seen)} I see, and ${some(hidden, material)} ${plural(hidden, 'is', 'are')} hiding: ${numberWord(whole)} in all.`,
      },
      drawn: { scene: 'cloth', numbers: [seen, hidden], hidden: true },
    };
  },
};
