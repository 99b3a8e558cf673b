import { partsSentence } from '../handling/index.js';
import { less, numberWord } from '../numbers/index.js';
import { itemByNumber, itemByParts, sentenceItem } from '../skills/index.js';
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
  upTo,
} from './game.js';
import { Some, asksNumber, materialOf } from './round-words.js';

const TEN = 10;

/** Items that "how many more to ten?" can ask for, from what lies on the frame. */
function itemsFor(game: Game, a: number) {
  const own = skillsOf(game.activity);
  return [
    itemByParts('bond', [a, TEN - a]),
    itemByParts('hide', [a, TEN - a]),
    itemByNumber('frame', a, 'to-ten'),
  ].filter((one) => one !== null && own.has(one.skillId));
}

/** Some lie on a frame: how many more to ten? */
export const toTen: RoundModule = {
  kind: 'to-ten',
  credits: () => ['bond-10', 'hide-10', 'frame-10', 'sentence-gap'],
  next(game): Draft | null {
    if (isOver(game, 8)) return null;
    const here = inRound(game);
    const last = here.at(-1);
    const material = materialOf(game);
    if (
      here.length % 3 === 2 &&
      last?.record.kind === 'bond' &&
      !last.lay.includes(0) &&
      skillsOf(game.activity).has('sentence-gap')
    ) {
      const [a = 5] = last.record.inView;
      return {
        key: `gap-${a}`,
        say: `Say it and lay it: ${numberWord(a)} and how many make ten?`,
        lay: `Cards: ${a} + ? = 10.`,
        lying: [a, TEN - a],
        right: {
          kind: 'add',
          addends: [TEN, less(a)],
          answer: TEN - a,
          way: null,
          sentenceRight: null,
        },
        way: 'shown',
        counts: only(sentenceItem('gap', TEN)),
        sentence: partsSentence([a, TEN - a]),
      };
    }
    const cells = upTo(0, TEN).flatMap((a) =>
      itemsFor(game, a).flatMap((item): Cell[] =>
        item ? [{ ...item, key: `to-ten-${a}`, numbers: [a, TEN - a] }] : [],
      ),
    );
    const cell = choose(game, cells);
    if (!cell) return null;
    const [a = 5] = cell.numbers;
    // One question shows all three: the bond, the part that is not there, the frame.
    const items = only(...itemsFor(game, a));
    return {
      key: cell.key,
      ...asksNumber(game, TEN - a, 'How many more to ten?'),
      lay: `${Some(a, material)} on the frame.`,
      lying: [a, TEN - a],
      right: { kind: 'bond', whole: TEN, parts: [a, TEN - a], inView: [a], answer: TEN - a },
      counts: [
        ...items.filter((one) => one.skillId === cell.skillId),
        ...items.filter((one) => one.skillId !== cell.skillId),
      ],
      sentence: partsSentence([a, TEN - a]),
      drawn: { scene: 'frame', numbers: [a] },
    };
  },
};
