import { cardsScene } from '../handling/index.js';
import { type SkillItem, differItem, greaterItem, moreItem, signItem } from '../skills/index.js';
import type { RecordOf } from '../vocabulary/index.js';
import {
  type Cell,
  type Draft,
  type Game,
  type RoundModule,
  cameUpOf,
  choose,
  draw,
  evenly,
  goesFurther,
  inRound,
  isOver,
  only,
  pendingWant,
  skillsOf,
  upTo,
  waitsFor,
} from './game.js';
import { asksNumber, compareSentence, plain, some, materialOf, Word } from './round-words.js';

/** Far enough apart to be seen at once. */
const PLAIN = 3;

interface Two extends Cell {
  readonly a: number;
  readonly b: number;
}

type ItemFor = (a: number, b: number) => SkillItem | null;

/** Larger-first pairs of the range whose item the function finds. */
function pairs(game: Game, itemFor: ItemFor, what: string, from = 0): Two[] {
  const top = Math.min(10, game.top);
  return upTo(from, top).flatMap((a) =>
    upTo(from, a).flatMap((b): Two[] => {
      const item = itemFor(a, b);
      return item ? [{ ...item, key: `${what}-${a}-${b}`, numbers: [a, b], a, b }] : [];
    }),
  );
}

const moreCells = (game: Game): Two[] => [
  ...pairs(game, (a, b) => (a - b >= PLAIN ? moreItem(a, b, true) : null), 'plain', 1),
  ...pairs(game, (a, b) => moreItem(a, b), 'more'),
];

/** What was on which side in earlier questions of this session. */
const sidesOf = (game: Game): ('left' | 'right' | null)[] =>
  game.past.map(({ record }) =>
    record.kind === 'compare' && record.left !== record.right
      ? record.left > record.right
        ? 'left'
        : 'right'
      : null,
  );

const askedOf = (game: Game): (string | null)[] =>
  game.past.map(({ record }) => (record.kind === 'compare' ? record.asked : null));

/** The larger amount lies on either side, evenly. */
function laid(game: Game, { a, b }: Two): [number, number] {
  if (a === b) return [a, b];
  return evenly(game, ['left', 'right'] as const, sidesOf(game), 'side') === 'left'
    ? [a, b]
    : [b, a];
}

const larger = (left: number, right: number): 'left' | 'right' | 'same' =>
  left === right ? 'same' : left > right ? 'left' : 'right';
const smaller = (left: number, right: number): 'left' | 'right' | 'same' => larger(right, left);

const record = (
  left: number,
  right: number,
  asked: RecordOf<'compare'>['asked'],
): RecordOf<'compare'> => ({
  kind: 'compare',
  left,
  right,
  asked,
  answer:
    asked === 'difference'
      ? String(Math.abs(left - right))
      : asked === 'fewer'
        ? smaller(left, right)
        : larger(left, right),
});

/** More or fewer, asked as often as each other, and never so that the answer is given away. */
function which(game: Game, left: number, right: number, item: SkillItem | null): Draft {
  const asked = evenly(game, ['more', 'fewer'] as const, askedOf(game), 'asked');
  return {
    key: `${asked}-${left}-${right}`,
    say: `Which has ${asked}, or are they the same?`,
    lay: '',
    lying: [left, right],
    right: record(left, right, asked),
    heard: false,
    way: game.modes.includes('speaks') ? 'spoken' : 'pointed',
    counts: only(item),
    sentence: compareSentence(left, right),
    drawn: { scene: game.round.scene ?? 'things', numbers: [left, right] },
  };
}

function howMany(game: Game, left: number, right: number): Draft {
  const by = Math.abs(left - right);
  return {
    key: `differ-${left}-${right}`,
    ...asksNumber(game, by, 'How many more are in the one than in the other?'),
    lay: 'Lay them in two lines, one beside the other.',
    lying: [left, right],
    right: record(left, right, 'difference'),
    counts: only(differItem(left, right)),
    sentence: compareSentence(left, right),
    drawn: { scene: game.round.scene ?? 'things', numbers: [left, right] },
  };
}

/** Two amounts that came up: handfuls, halves of a domino, names. */
function came(game: Game): Draft {
  const high = game.round.high ?? Math.max(20, game.top);
  const cameUp = cameUpOf(game, ['left', 'right'], 0, high);
  const [left, right] = game.came;
  if (left === undefined || right === undefined) {
    const words = game.round.scene === 'tile' ? 'Turn a domino over.' : 'Lay both side by side.';
    const lay = wantsPlain(game) ? 'A tiny one and a huge one, so that it is plain to see.' : '';
    return waitsFor('two', words, cameUp, { lay });
  }
  return { ...which(game, left, right, bestItem(game, left, right)), cameUp };
}

const wantsPlain = (game: Game): boolean => pendingWant(game) === 'more-clear';

/** A pair that is plain to see counts for that while the finer comparing is not there to be asked. */
function bestItem(game: Game, a: number, b: number): SkillItem | null {
  const own = skillsOf(game.activity);
  const fine = moreItem(a, b);
  const clear = Math.abs(a - b) >= PLAIN ? moreItem(a, b, true) : null;
  const opened = (game.state.skills[clear?.skillId ?? '']?.ledger.firstSecure ?? null) !== null;
  const isPlain = clear && own.has(clear.skillId) && (!opened || wantsPlain(game));
  const first = isPlain ? clear : fine;
  return first && own.has(first.skillId) ? first : null;
}

function sign(game: Game, left: number, right: number, moved: boolean): Draft {
  const material = materialOf(game);
  return {
    key: `sign-${left}-${right}`,
    say: 'Lay the sticks. What do they say?',
    lay: moved
      ? `Move some, so that ${Word(left).toLowerCase()} lie on the left and ${some(right, material)} on the right.`
      : `${Word(left)} on the left, ${some(right, material)} on the right, and two sticks.`,
    lying: [left, right],
    right: record(left, right, 'sign'),
    heard: false,
    way: 'shown',
    counts: only(signItem(left, right)),
    sentence: compareSentence(left, right),
    drawn: { scene: 'things', numbers: [left, right] },
  };
}

/** A number that is more than one and fewer than the other. */
function between(game: Game): Draft | null {
  const cell = choose(
    game,
    pairs(game, (a, b) => (a - b >= 2 ? moreItem(a, b) : null), 'between'),
  );
  if (!cell) return null;
  const { a, b } = cell;
  const fits = b + 1 + draw(game, a - b - 1, 'fits');
  return {
    key: cell.key,
    ...asksNumber(
      game,
      fits,
      `Which number is more than ${Word(b).toLowerCase()} and fewer than ${Word(a).toLowerCase()}?`,
    ),
    lay: `${Word(b)} on one side of the mat, ${Word(a).toLowerCase()} on the other; the child fills the middle.`,
    lying: [b, a],
    right: { kind: 'after', number: b, step: fits - b, answer: fits },
    counts: only({ skillId: cell.skillId, itemId: cell.itemId }),
    sentence: plain(
      `${Word(fits)} is more than ${Word(b).toLowerCase()} and fewer than ${Word(a).toLowerCase()}.`,
      `${b} < ${fits} < ${a}`,
    ),
    drawn: { scene: 'things', numbers: [b, a] },
  };
}

function numerals(game: Game): Draft | null {
  const cell = choose(game, pairs(game, greaterItem, 'greater', 1));
  if (!cell) return null;
  const [left, right] = laid(game, cell);
  return {
    ...which(game, left, right, { skillId: cell.skillId, itemId: cell.itemId }),
    key: cell.key,
    say: `Which number is ${evenly(game, ['more', 'fewer'] as const, askedOf(game), 'asked') === 'more' ? 'more' : 'less'}, or are they the same?`,
    lay: `The cards ${left} and ${right}.`,
    scene: cardsScene([left, right]),
    drawn: { scene: 'none', numbers: [] },
  };
}

/** Two amounts: more, fewer or the same first, then how many more; signs; what fits between. */
export const compare: RoundModule = {
  kind: 'compare',
  credits: ({ form }) => {
    switch (form) {
      case 'sign':
        return ['sign-10', 'greater-10'];
      case 'between':
        return ['more-5', 'more-10', 'greater-10'];
      case 'differ':
        return ['differ-10'];
      case 'numerals':
        return ['greater-10'];
      default:
        return ['more-*', 'differ-10'];
    }
  },
  next(game) {
    if (isOver(game, 8)) return null;
    const here = inRound(game);
    const last = here.at(-1)?.record;
    const own = skillsOf(game.activity);
    const { form } = game.round;
    if (form === 'numerals') return numerals(game);
    if (form === 'differ') {
      const cell = choose(game, pairs(game, differItem, 'differ', 1));
      return cell && howMany(game, ...laid(game, cell));
    }
    if (form === 'sign') {
      if (goesFurther(game, 'greater-10', here.length % 4 === 3)) return numerals(game);
      const cell = choose(game, pairs(game, signItem, 'sign', game.top > 3 ? 1 : 0));
      if (!cell) return null;
      const [left, right] = laid(game, cell);
      return sign(game, left, right, here.length > 0);
    }
    if (form === 'between') {
      return goesFurther(game, 'greater-10', here.length % 2 === 1)
        ? numerals(game)
        : between(game);
    }
    const differs = own.has('differ-10') || own.has('more-10');
    if (
      last?.kind === 'compare' &&
      last.asked !== 'difference' &&
      last.left !== last.right &&
      differs &&
      here.length % 2 === 1
    ) {
      if (own.has('differ-10') && differItem(last.left, last.right))
        return howMany(game, last.left, last.right);
    }
    if (game.round.came !== undefined) return came(game);
    const cell = choose(game, moreCells(game));
    if (!cell) return null;
    const [left, right] = laid(game, cell);
    const material = materialOf(game);
    return {
      ...which(game, left, right, { skillId: cell.skillId, itemId: cell.itemId }),
      lay: `${some(left, material).replace(/^./, (c) => c.toUpperCase())} on the left, ${some(right, material)} on the right.`,
    };
  },
};
