import { partsSentence } from '../handling/index.js';
import { numberWord } from '../numbers/index.js';
import { SKILLS, itemByNumber, itemByParts, joinItem } from '../skills/index.js';
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
  upTo,
  waitsFor,
} from './game.js';
import { Word, asksNumber, plain, some, materialOf } from './round-words.js';

const TEN = 10;

interface Build extends Cell {
  readonly form: string;
}

const cells = (game: Game): Build[] =>
  SKILLS.filter(({ family, to }) => family === 'frame' && to <= Math.max(5, game.top)).flatMap(
    (skill) =>
      skill.items
        .filter((item) => item.number <= game.top)
        .map((item) => ({
          skillId: skill.id,
          itemId: item.id,
          key: `frame-${item.id}`,
          numbers: [item.number],
          form: item.form ?? 'build',
        })),
  );

function build(game: Game): Draft | null {
  const cell = choose(game, cells(game));
  if (!cell) return null;
  const [n = 1] = cell.numbers;
  const material = materialOf(game);
  const counts = only({ skillId: cell.skillId, itemId: cell.itemId });
  if (cell.form === 'to-ten') {
    return {
      key: cell.key,
      ...asksNumber(game, TEN - n, 'How many more to ten?'),
      lay: `${Word(n)} on the frame.`,
      lying: [n],
      right: { kind: 'frame', n, placed: null, fill: null, anotherWay: null, toTen: TEN - n },
      counts,
      sentence: partsSentence([n, TEN - n]),
      drawn: { scene: 'frame', numbers: [n] },
    };
  }
  const other = cell.form === 'other';
  return {
    key: cell.key,
    say: other
      ? `Put ${some(n, material)} on the frame another way. How do you see it?`
      : `Put ${some(n, material)} on the frame.`,
    lay: `The empty frame and ten ${material[1]} of one color. Anything with ${numberWord(n)} is right.`,
    lying: [n],
    right: {
      kind: 'frame',
      n,
      placed: n,
      fill: null,
      anotherWay: other ? true : null,
      toTen: null,
    },
    way: 'shown',
    counts,
    sentence: n > 5 ? partsSentence([5, n - 5]) : plain(`${Word(n)} on the frame.`, String(n)),
    drawn: { scene: 'frame', numbers: [0] },
  };
}

/** Two frames, an amount on each: the first is filled from the second, and a ten is made. */
function two(game: Game): Draft | null {
  const high = Math.min(TEN, Math.max(6, game.top));
  const cameUp = cameUpOf(game, ['first frame', 'second frame'], 0, high);
  const [a, b] = game.came;
  if (a === undefined || b === undefined) {
    return waitsFor('frames', 'Roll, and put one amount on each frame.', cameUp);
  }
  const own = skillsOf(game.activity);
  const total = a + b;
  const items = [
    joinItem(a, b),
    itemByParts('on', [a, b]),
    a === TEN || b === TEN ? itemByNumber('teens', total) : null,
  ].filter((one) => one !== null && own.has(one.skillId));
  return {
    key: `frames-${a}-${b}`,
    ...asksNumber(
      game,
      total,
      total > TEN ? 'Fill the first frame from the second. How many in all?' : 'How many in all?',
    ),
    lay: 'Two colors, one frame each.',
    lying: [a, b],
    cameUp,
    right: { kind: 'add', addends: [a, b], answer: total, way: null, sentenceRight: null },
    counts: only(...items),
    sentence:
      total > TEN
        ? {
            words: `${Word(a)} and ${numberWord(b)}: ten and ${numberWord(total - TEN)} make ${numberWord(total)}.`,
            sum: `${a} + ${b} = 10 + ${total - TEN} = ${total}`,
            partWhole: { whole: total, parts: [a, b] },
          }
        : partsSentence([a, b]),
    drawn: { scene: 'frames', numbers: [a, b] },
  };
}

/** A teen as a full frame and some more. */
function teen(game: Game): Draft | null {
  const found = upTo(11, Math.min(19, game.top)).flatMap((n): Cell[] => {
    const item = itemByNumber('teens', n);
    return item ? [{ ...item, key: `teen-${n}`, numbers: [n] }] : [];
  });
  const cell = choose(game, found);
  const [n] = cell?.numbers ?? [];
  if (n === undefined || !cell) return null;
  return {
    key: cell.key,
    ...asksNumber(game, n - TEN, `Make ${numberWord(n)}: ten, and how many more?`),
    lay: 'Two frames and twenty counters.',
    lying: [n],
    right: { kind: 'tens', number: n, tens: 1, ones: n - TEN, countedTo: null, splits: [] },
    counts: only({ skillId: cell.skillId, itemId: cell.itemId }),
    sentence: partsSentence([TEN, n - TEN]),
    drawn: { scene: 'frame', numbers: [n] },
  };
}

/** Built on a frame, another way, how many more; two frames make ten first. */
export const frame: RoundModule = {
  kind: 'frame',
  credits: ({ form }) => {
    if (form === 'two') return ['join-10', 'join-20', 'on-10', 'teens'];
    return form === 'teens' ? ['teens'] : ['frame-*'];
  },
  next(game) {
    if (isOver(game, 6)) return null;
    const { form } = game.round;
    return form === 'two' ? two(game) : form === 'teens' ? teen(game) : build(game);
  },
};
