import { partsSentence } from '../handling/index.js';
import { numberWord, orderedWays, splitsOf, waysInRooms } from '../numbers/index.js';
import { addThreeItem, itemByNumber, itemByParts, joinItem, moreItem } from '../skills/index.js';
import {
  type Draft,
  type Game,
  type Played,
  type RoundModule,
  cameUpOf,
  evenly,
  goesFurther,
  inRound,
  isOver,
  only,
  skillsOf,
  waitsFor,
} from './game.js';
import { bondItem, wholeFor, wholeOf } from './ways.js';
import { asksNumber, compareSentence, some, materialOf, Word } from './round-words.js';

const NAMES: Readonly<Record<string, readonly string[]>> = {
  tray: ['first room', 'second room', 'third room'],
  dice: ['first die', 'second die', 'third die'],
};

/** Ways that came up, each once, in the order in which they first came. */
const foundWays = (here: readonly Played[], whole: number): number[][] =>
  here
    .flatMap(({ record }) =>
      record.kind === 'bond' && record.whole === whole ? [[...record.parts]] : [],
    )
    .filter((one, i, all) => all.findIndex((other) => other.join() === one.join()) === i);

/** A tray holds one whole, and the last room is what is not in the others. */
function tray(game: Game): Draft | null {
  const rooms = game.round.many ?? 2;
  const here = inRound(game);
  const whole = game.picked ?? wholeOf(here) ?? wholeFor(game) ?? Math.min(5, game.top);
  const found = foundWays(here, whole);
  const of = rooms === 2 ? whole + 1 : orderedWays(whole, rooms);
  const seen = new Set(found.map((one) => one.join('-')));
  const all = rooms === 2 ? splitsOf(whole) : waysInRooms(whole, rooms);
  const deal = all.filter((one) => !seen.has(one.join('-')));
  const names = game.round.form === 'make' ? ['first part', 'second part'] : (NAMES['tray'] ?? []);
  const slots = names.slice(0, rooms - 1);
  const cameUp = cameUpOf(game, slots, 0, whole, deal);
  const pick = {
    words: 'whole',
    options: Array.from({ length: Math.max(1, Math.min(10, game.top) - 1) }, (_, i) => i + 2),
    value: whole,
  };
  const ways = rooms === 2 ? { whole, found, of } : null;
  const first = game.came.slice(0, rooms - 1);
  const rest = whole - first.reduce((sum, n) => sum + n, 0);
  if (first.length < rooms - 1 || rest < 0) {
    if (game.round.form === 'make') {
      const say = `Make ${numberWord(whole)} with three parts.`;
      return waitsFor(`make-${whole}`, say, cameUp, { lay: 'A slip with two lines across.', pick });
    }
    return waitsFor(`shake-${whole}`, 'Shake, and open it.', cameUp, {
      lay: `${some(whole, materialOf(game))} in the tray, the lid on.`.replace(/^./, (c) =>
        c.toUpperCase(),
      ),
      pick,
      ways,
    });
  }
  const parts = [...first, rest];
  const [a = 0, b = 0] = parts;
  const turned = {
    key: `tray-${parts.join('-')}`,
    lying: parts,
    cameUp,
    pick,
    ways,
    drawn: {
      scene: game.round.form === 'make' ? ('none' as const) : ('tray' as const),
      numbers: parts,
    },
  };
  // For the youngest every other time, and where it is wanted: which room has more?
  const more = moreItem(a, b);
  const young = game.top <= 3 && here.length % 2 === 1;
  if (rooms === 2 && more && goesFurther(game, more.skillId, young)) {
    const used = here.map(({ record }) => (record.kind === 'compare' ? record.asked : null));
    const asked = evenly(game, ['more', 'fewer'] as const, used, 'asked');
    const larger = a === b ? 'same' : a > b === (asked === 'more') ? 'left' : 'right';
    return {
      ...turned,
      say: `Which room has ${asked}, or are they the same?`,
      right: { kind: 'compare', left: a, right: b, asked, answer: larger },
      heard: false,
      way: 'pointed',
      counts: only(more),
      sentence: compareSentence(a, b),
    };
  }
  const item =
    rooms === 2 ? bondItem(a, b) : (itemByNumber('three-parts', whole) ?? addThreeItem(parts));
  return {
    ...turned,
    ...asksNumber(
      game,
      parts.at(-1) ?? 0,
      rooms === 2
        ? 'How many in this room? How many in that one? And in all?'
        : 'How many in each room? And in all?',
    ),
    lay: 'Mark it in the list of ways.',
    right: { kind: 'bond', whole, parts, inView: [], answer: parts.at(-1) ?? 0 },
    counts: only(item),
    sentence: partsSentence(parts),
  };
}

/** Dice, cards or halves: their total is not known before. */
function dice(game: Game): Draft | null {
  const many = game.round.many ?? 2;
  const slots =
    many === 1
      ? ['']
      : (NAMES[game.round.scene ?? 'dice'] ?? ['first', 'second', 'third']).slice(0, many);
  const cameUp = cameUpOf(game, slots, 0, game.round.high ?? Math.max(6, Math.min(10, game.top)));
  if (game.came.length < many) return waitsFor('roll', rollWords(game), cameUp);
  const parts = game.came.slice(0, many);
  const total = parts.reduce((sum, n) => sum + n, 0);
  const [a = 0, b = 0] = parts;
  if (many === 1) return pips(game, a, cameUp);
  const item = many === 3 ? addThreeItem(parts) : joinItem(a, b);
  const bond = many === 2 ? itemByParts('bond', [a, b]) : null;
  const own = skillsOf(game.activity);
  return {
    key: `rolled-${parts.join('-')}`,
    ...asksNumber(game, total, 'How many are there in all?'),
    lay: '',
    lying: parts,
    cameUp,
    right: { kind: 'add', addends: parts, answer: total, way: null, sentenceRight: null },
    counts: only(
      item && own.has(item.skillId) ? item : null,
      bond && own.has(bond.skillId) ? bond : null,
    ),
    sentence: partsSentence(parts),
    drawn: { scene: game.round.scene ?? 'dice', numbers: parts },
  };
}

/** One die: how many, at a glance or touched. */
function pips(game: Game, n: number, cameUp: NonNullable<Draft['cameUp']>): Draft {
  const item = itemByNumber('glance', n, 'dice');
  return {
    key: `pips-${n}`,
    ...asksNumber(game, n, 'How many dots? Say it at once, if you know.'),
    lay: 'Leave the die as it fell.',
    lying: [n],
    cameUp,
    right: { kind: 'glance', n, picture: 'dice', seconds: null, answer: n, howSeen: '' },
    counts: only(item),
    sentence: partsOf(n),
    drawn: { scene: 'dice', numbers: [n] },
  };
}

const partsOf = (n: number) => ({
  words: `${Word(n)} dots.`.replace('One dots', 'One dot'),
  sum: String(n),
  partWhole: null,
});

function rollWords({ round }: Game): string {
  switch (round.scene) {
    case 'tile':
      return 'Turn one over.';
    case 'cards':
      return 'Turn two cards.';
    default:
      return round.many === 1 ? 'Roll the die.' : 'Roll the dice.';
  }
}

/** Chance brings two or three parts: shaken in a tray, rolled, drawn. */
export const byChance: RoundModule = {
  kind: 'by-chance',
  credits: ({ form, scene, many = 2 }) => {
    if (form === 'make') return ['three-parts-*'];
    if (scene === 'tray') {
      return many === 3 ? ['three-parts-*'] : ['bond-*', 'more-*'];
    }
    if (many === 1) return ['glance-3', 'glance-5'];
    return many === 3 ? ['add-three-10', 'add-three-20'] : ['join-*', 'bond-*'];
  },
  seldom: ({ scene, form, many = 2 }) => {
    if (form === 'make') return [];
    if (scene === 'tray') return ['more-clear', 'more-10', 'bond-20'];
    return many === 2 ? ['bond-*'] : [];
  },
  next(game) {
    if (isOver(game, game.round.scene === 'tray' ? 20 : 1)) return null;
    const { scene, form } = game.round;
    return scene === 'tray' || form === 'make' ? tray(game) : dice(game);
  },
};
