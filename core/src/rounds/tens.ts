import { numberWord } from '../numbers/index.js';
import { type SkillItem, findSkill, itemByNumber, itemOf, nearestItem } from '../skills/index.js';
import {
  type Cell,
  type Draft,
  type Game,
  type RoundModule,
  cameUpOf,
  choose,
  draw,
  goesFurther,
  inRound,
  isOver,
  mayFollow,
  only,
  skillsOf,
  upTo,
  waitsFor,
} from './game.js';
import { asksNumber, plain } from './round-words.js';

/** The listed number of the same decade that lies nearest. */
function inDecade(skillId: string, n: number): SkillItem | null {
  const skill = findSkill(skillId);
  return skill ? nearestItem(skill, n) : null;
}

const own = (game: Game, item: SkillItem | null): item is SkillItem =>
  item !== null && skillsOf(game.activity).has(item.skillId);

const ten = (n: number): string => (n === 1 ? 'one ten' : `${numberWord(n)} tens`);
const one = (n: number): string => (n === 1 ? 'one one' : `${numberWord(n)} ones`);

const sentenceOf = (n: number) => {
  const [tens, ones] = [Math.floor(n / 10), n % 10];
  return {
    words: `${ten(tens).replace(/^./, (c) => c.toUpperCase())} and ${one(ones)}: ${numberWord(n)}.`,
    sum: `${10 * tens} + ${ones} = ${n}`,
    partWhole: { whole: n, parts: [10 * tens, ones] },
  };
};

/** A number of the range to be built; the highest range takes every number from twenty on. */
function number(game: Game): number {
  const low = 11;
  const high = Math.min(99, Math.max(19, game.top));
  const cells = upTo(low, high).flatMap((n): Cell[] => {
    const item = n < 20 ? itemByNumber('teens', n) : n % 10 === 0 ? null : inDecade('tens-ones', n);
    return own(game, item) ? [{ ...item, key: `build-${n}`, numbers: [n] }] : [];
  });
  const cell = choose(game, cells);
  // Of the numbers that count for the same item, another one each time.
  const alike = cells.filter((one) => one.itemId === cell?.itemId && one.skillId === cell.skillId);
  return alike[draw(game, alike.length, 'alike')]?.numbers[0] ?? low;
}

function build(game: Game, n: number, came: Partial<Draft>): Draft {
  const item = n < 20 ? itemByNumber('teens', n) : inDecade('tens-ones', n);
  return {
    key: `build-${n}`,
    ...asksNumber(game, n, `Build ${numberWord(n)}. Count it for me, the tens first.`),
    lay:
      game.round.scene === 'coins'
        ? 'Coins of ten in one bowl, coins of one in the other.'
        : 'Ten-things in one bowl, ones of another kind in the other.',
    lying: [n],
    right: {
      kind: 'tens',
      number: n,
      tens: Math.floor(n / 10),
      ones: n % 10,
      countedTo: n,
      splits: [],
    },
    counts: only(own(game, item) ? item : null),
    sentence: sentenceOf(n),
    drawn: { scene: 'cards', numbers: [n] },
    ...came,
  };
}

/** Tens and ones lie there: counted by tens, then on by ones. */
function change(game: Game, n: number): Draft {
  return {
    key: `change-${n}`,
    ...asksNumber(game, n, 'How much is it? Count the tens, then go on with the ones.'),
    lay: `${ten(Math.floor(n / 10)).replace(/^./, (c) => c.toUpperCase())} and ${one(n % 10)}.`,
    lying: [n],
    right: {
      kind: 'tens',
      number: n,
      tens: Math.floor(n / 10),
      ones: n % 10,
      countedTo: n,
      splits: [],
    },
    counts: only(itemOf('tens-ones', 'change')),
    sentence: sentenceOf(n),
    drawn: { scene: 'tens', numbers: [Math.floor(n / 10), n % 10] },
  };
}

/** The same number with a ten traded for ones, or in three parts. */
function split(game: Game, n: number, three: boolean): Draft | null {
  const skill = findSkill('split-more');
  const item = skill ? nearestItem(skill, n, three ? 'three' : null) : null;
  if (!own(game, item)) return null;
  const [tens, ones] = [10 * Math.floor(n / 10), n % 10];
  const parts = three ? [tens - 10, 10, ones] : [tens - 10, 10 + ones];
  return {
    key: `split-${n}${three ? '-three' : ''}`,
    say: three
      ? `Can you make ${numberWord(n)} out of three parts?`
      : `Can you make ${numberWord(n)} another way?`,
    lay: 'Trade a ten for ten ones.',
    lying: [n],
    right: { kind: 'tens', number: n, tens: null, ones: null, countedTo: null, splits: [parts] },
    way: 'shown',
    counts: only(item),
    sentence: plain(
      `${parts
        .map(numberWord)
        .join(' and ')
        .replace(/^./, (c) => c.toUpperCase())} make ${numberWord(n)}.`,
      `${parts.join(' + ')} = ${n}`,
    ),
    drawn: { scene: 'tens', numbers: [Math.floor(n / 10), n % 10] },
  };
}

/** Something with a price is paid in ones, fives and tens. */
function pay(game: Game): Draft | null {
  const skill = findSkill('coins');
  const cells = (skill?.items ?? [])
    .filter((item) => item.number <= Math.max(10, game.top))
    .map((item) => ({
      skillId: 'coins',
      itemId: item.id,
      key: `pay-${item.number}`,
      numbers: [item.number],
    }));
  const cell = choose(game, cells);
  const [n] = cell?.numbers ?? [];
  if (!cell || n === undefined) return null;
  const paying = inRound(game).length % 2 === 0;
  return {
    key: cell.key,
    ...asksNumber(
      game,
      n,
      paying ? `It costs ${numberWord(n)}. Pay for it. How much is that?` : 'How much is this?',
    ),
    lay: paying ? 'Coins in three bowls: tens first, then fives, then ones.' : `Coins worth ${n}.`,
    lying: [n],
    right: {
      kind: 'count',
      language: game.language,
      n,
      layout: 'row',
      words: null,
      lastWord: n,
      skipped: 0,
      doubled: 0,
      answer: n,
      recounted: false,
    },
    counts: only(cell),
    sentence: plain(`That is ${numberWord(n)}.`, String(n)),
    drawn: paying ? { scene: 'cards', numbers: [n] } : { scene: 'coins', numbers: [n] },
  };
}

/** Tens and ones of two kinds: built, counted, split another way; small coins. */
export const tens: RoundModule = {
  kind: 'tens',
  credits: ({ form }) => (form === 'coins' ? ['coins'] : ['tens-ones', 'split-more', 'teens']),
  next(game) {
    if (isOver(game, 9)) return null;
    if (game.round.form === 'coins') return pay(game);
    const here = inRound(game);
    const n = here.at(-1)?.lay[0];
    const turn = here.length % 3;
    const isLarge = n !== undefined && n > 20;
    if (isLarge && n % 10 > 0 && mayFollow(game) && goesFurther(game, 'tens-ones', turn === 1)) {
      return change(game, n);
    }
    if (isLarge && goesFurther(game, 'split-more', turn === 2)) {
      const found = split(game, n, here.length > 3);
      if (found) return found;
    }
    if (game.round.came === undefined) return build(game, number(game), {});
    const cameUp = cameUpOf(game, ['tens', 'ones'], 0, 9);
    const [tensDrawn, onesDrawn] = game.came;
    if (tensDrawn === undefined || onesDrawn === undefined) {
      return waitsFor('drawn', 'Draw two digit cards.', cameUp);
    }
    return build(game, 10 * tensDrawn + onesDrawn, { cameUp });
  },
};
