import { numberWord } from '../numbers/index.js';
import { type SkillItem, findSkill, itemByNumber, nearestItem, skillOf } from '../skills/index.js';
import {
  type Cell,
  type Draft,
  type Game,
  type RoundModule,
  cameUpOf,
  choose,
  inRound,
  isOver,
  numberBefore,
  only,
  pendingWant,
  speaks,
  upTo,
  waitsFor,
} from './game.js';
import { plain } from './round-words.js';

const HUNDRED = 100;

/** The item a numeral names; on the hundred chart the listed one that lies nearest. */
export function nameItem(n: number): SkillItem | null {
  const found = itemByNumber('name', n);
  if (found || n <= 20 || n > HUNDRED) return found;
  const hundred = findSkill('name-100');
  return hundred ? nearestItem(hundred, n) : null;
}

/** Where it was found, turned or landed: how the child sees the numeral. */
const SEEN: Readonly<Record<string, string>> = {
  found: 'You found one.',
  turned: 'You turned one over.',
  'landed in': 'It landed.',
};

function ask(game: Game, n: number): Draft {
  const item = nameItem(n);
  const counts = item ? [item] : [];
  const spoken = speaks(game);
  return {
    key: `name-${n}`,
    say: spoken ? 'What number is this?' : `Show me the ${numberWord(n)}.`,
    lay: spoken ? '' : 'Four or five cards side by side, this one among them.',
    lying: [n],
    right: { kind: 'numeral', shown: n, answer: n, way: spoken ? 'spoken' : 'pointed' },
    way: spoken ? 'spoken' : 'pointed',
    counts: only(...counts),
    sentence: plain(`This is ${numberWord(n)}.`, String(n)),
    drawn: { scene: game.round.scene ?? 'cards', numbers: [n] },
  };
}

function came(game: Game): Draft {
  const { round, top } = game;
  const cameUp = cameUpOf(game, [''], 0, Math.max(top, 10));
  const [n] = game.came;
  const say = SEEN[round.came ?? ''] ?? 'Which number is it?';
  if (n === undefined) return waitsFor('numeral', say, cameUp);
  return { ...ask(game, n), cameUp };
}

export const nameCells = (game: Game): Cell[] => {
  const numbers =
    game.top <= 20
      ? upTo(game.round.low ?? 0, game.top)
      : (findSkill('name-100')?.items.map((item) => item.number) ?? []);
  return numbers
    .filter((n) => n <= game.top)
    .flatMap((n): Cell[] => {
      const item = nameItem(n);
      return item ? [{ ...item, key: `name-${n}`, numbers: [n] }] : [];
    });
};

/** In its sequence: shown, pointed to, then named, the lower half before the upper. */
const SEQUENCE = ['point', 'name', 'name'] as const;

function inSequence(game: Game): Draft | null {
  const cell = choose(game, nameCells(game));
  const [n] = cell?.numbers ?? [];
  if (n === undefined) return null;
  const turn = SEQUENCE[inRound(game).length % SEQUENCE.length];
  if (turn === 'name') {
    return {
      ...ask(game, n),
      lay: speaks(game) ? 'Point to one of the cards that lie there.' : '',
    };
  }
  const item = nameItem(n);
  return {
    key: `point-${n}`,
    say: `Show me the ${numberWord(n)}.`,
    lay: 'The cards in order. Name each one several times first, and let them repeat it.',
    lying: [n],
    right: { kind: 'numeral', shown: n, answer: n, way: 'pointed' },
    way: 'pointed',
    counts: only(item),
    sentence: plain(`This is ${numberWord(n)}.`, String(n)),
    drawn: { scene: 'cards', numbers: half(n, game.top) },
  };
}

/** Where putting them in order is wanted, two are named before. */
const isNamedEnough = (game: Game): boolean =>
  inRound(game).length > 1 && findSkill(pendingWant(game) ?? '')?.family === 'order';

/** The five cards that lie there: 1 to 5, or 6 to 10, and so on. */
const half = (n: number, top: number): number[] => {
  const from = n === 0 ? 0 : 5 * Math.floor((n - 1) / 5) + 1;
  return upTo(from, Math.min(Math.max(top, n), from + 4));
};

/** Handed over out of the muddle: known by its name. */
function handed(game: Game): Draft | null {
  const cell = choose(game, nameCells(game));
  const [n] = cell?.numbers ?? [];
  if (n === undefined) return null;
  return {
    key: `hand-${n}`,
    say: `Hand me the ${numberWord(n)}.`,
    lay: 'The cards, muddled.',
    lying: [n],
    right: { kind: 'numeral', shown: n, answer: n, way: 'pointed' },
    way: 'pointed',
    counts: only(nameItem(n)),
    sentence: plain(`This is ${numberWord(n)}.`, String(n)),
    drawn: { scene: 'cards', numbers: half(n, game.top) },
  };
}

/** The one that was just formed or driven along, unless another is wanted. */
function thatOne(game: Game): number | null {
  const n = game.round.form === 'that' && game.forced === null ? numberBefore(game) : null;
  const wanted = pendingWant(game);
  const other = wanted !== null && nameItem(n ?? 0)?.skillId !== wanted;
  return other && skillOf(wanted).family === 'name' ? null : n;
}

/** A numeral is seen: which number is it? */
export const name: RoundModule = {
  kind: 'name',
  credits: () => ['name-*'],
  next(game) {
    const { form, came: words } = game.round;
    if (isOver(game, 8)) return null;
    if (form === 'sequence') return isNamedEnough(game) ? null : inSequence(game);
    if (form === 'hand') return handed(game);
    if (words !== undefined) return came(game);
    const n = thatOne(game) ?? choose(game, nameCells(game))?.numbers[0];
    return n === undefined ? null : ask(game, n);
  },
};
