import { shareScene } from '../handling/index.js';
import { numberWord } from '../numbers/index.js';
import { findSkill, itemByNumber, itemOf, moreItem, shareItem } from '../skills/index.js';
import {
  type Cell,
  type Draft,
  type Game,
  type RoundModule,
  choose,
  evenly,
  inRound,
  isOver,
  only,
  pendingWant,
  skillsOf,
  upTo,
} from './game.js';
import { Some, asksNumber, compareSentence, is, plain, some, materialOf } from './round-words.js';

const MOST = 18;

function deal(game: Game): Draft | null {
  const left = game.round.form === 'left';
  const most = Math.min(MOST, Math.max(6, game.top));
  const cells = [2, 3, 4].flatMap((among) =>
    upTo(among + 1, most).flatMap((n): Cell[] => {
      if (left && n % among === 0) return [];
      const item = shareItem(n, among);
      return item ? [{ ...item, key: `share-${n}-${among}`, numbers: [n, among] }] : [];
    }),
  );
  const cell = choose(game, cells);
  const [n, among] = cell?.numbers ?? [];
  if (!cell || n === undefined || among === undefined) return null;
  const each = Math.floor(n / among);
  const rest = n - each * among;
  const material = materialOf(game);
  return {
    key: cell.key,
    ...asksNumber(game, each, 'Is it fair? How many has each? Is anything left?'),
    lay: `${Some(n, material)} among ${numberWord(among)}, one each round.`,
    lying: [n, among],
    right: { kind: 'share', n, among, answer: each, leftOver: rest },
    counts: only(cell),
    sentence: plain(
      `${Some(n, material)} among ${numberWord(among)}: ${numberWord(each)} each${rest > 0 ? `, and ${numberWord(rest)} left` : ''}.`,
    ),
    scene: shareScene(
      n,
      Array.from({ length: among }, () => 0),
    ),
  };
}

/** As many counted, the last word is how many. */
const counted = (game: Game, n: number, say: string, lay: string): Draft => ({
  key: `count-${n}`,
  ...asksNumber(game, n, say),
  lay,
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
  counts: countsTotal(n),
  sentence: plain(`There ${is(n)} ${some(n, materialOf(game))}.`, String(n)),
  drawn: { scene: 'plates', numbers: [n] },
});

const countsTotal = (n: number) => {
  const item = itemByNumber('total', n);
  return item ? only({ ...item, by: 'total' }) : [];
};

/** Before anything is dealt: how many are in the bowl, where counting is what is wanted. */
function inBowl(game: Game): Draft | null {
  const wanted = pendingWant(game);
  if (wanted === null || findSkill(wanted)?.family !== 'total') return null;
  const cells = upTo(2, Math.min(20, game.top)).flatMap((n): Cell[] => {
    const item = itemByNumber('total', n);
    return item ? [{ ...item, key: `bowl-${n}`, numbers: [n] }] : [];
  });
  const cell = choose(game, cells);
  const [n] = cell?.numbers ?? [];
  return n === undefined
    ? null
    : counted(game, n, 'How many are in the bowl?', `${Some(n, materialOf(game))} in the bowl.`);
}

/** What each got, counted, or two plates compared. */
function look(game: Game, n: number, among: number): Draft | null {
  const own = skillsOf(game.activity);
  const each = Math.floor(n / among);
  const rest = n - each * among;
  const total = itemByNumber('total', each);
  const more = rest > 0 ? moreItem(each + 1, each) : moreItem(each, each);
  const wantsMore = findSkill(pendingWant(game) ?? '')?.family === 'more';
  if (!wantsMore && inRound(game).length % 4 === 1 && total && own.has(total.skillId)) {
    return counted(game, each, 'How many are on this plate?', 'One plate by itself.');
  }
  if (more && own.has(more.skillId)) {
    const asked = evenly(
      game,
      ['more', 'fewer'] as const,
      game.past.map(({ record }) => (record.kind === 'compare' ? record.asked : null)),
      'asked',
    );
    const side = evenly(
      game,
      ['left', 'right'] as const,
      game.past.map(({ record }) =>
        record.kind === 'compare' && record.left !== record.right
          ? record.left > record.right
            ? 'left'
            : 'right'
          : null,
      ),
      'side',
    );
    const [a, b] =
      rest > 0 ? (side === 'left' ? [each + 1, each] : [each, each + 1]) : [each, each];
    const answer = a === b ? 'same' : a > b === (asked === 'more') ? 'left' : 'right';
    return {
      key: `plates-${a}-${b}`,
      say: `Which plate has ${asked}, or are they the same?`,
      lay:
        rest > 0
          ? 'Two plates, one of them with one of those that were left.'
          : 'Two plates side by side.',
      lying: [a, b],
      right: { kind: 'compare', left: a, right: b, asked, answer },
      heard: false,
      counts: only(more),
      sentence: compareSentence(a, b),
      drawn: { scene: 'plates', numbers: [a, b] },
    };
  }
  return null;
}

const HALVES: readonly (readonly [id: string, say: string, lay: string])[] = [
  [
    'break',
    'Break it in half. Are the two the same?',
    'A long thing and two plates. Lay the ends side by side.',
  ],
  ['cut', 'Now half again. How many are there, and are they the same?', 'Four plates.'],
  ['fold', 'Fold it in half. Do the edges meet?', 'A sheet of paper.'],
  [
    'pour',
    'Pour half of it into the other glass. Is it half?',
    'Two glasses alike, water up to a mark.',
  ],
];

function half(game: Game): Draft | null {
  const cells = HALVES.flatMap(([id], i): Cell[] => {
    const item = itemOf('halves', id);
    return item ? [{ ...item, key: `half-${id}`, numbers: [i + 1] }] : [];
  }).filter(
    ({ itemId }) => game.round.scene !== 'things' || itemId === 'break' || itemId === 'cut',
  );
  const cell = choose(game, cells);
  const [, say = '', lay = ''] = HALVES.find(([id]) => id === cell?.itemId) ?? [];
  return (
    cell && {
      key: cell.key,
      say,
      lay,
      lying: [],
      right: { kind: 'note', words: '' },
      choices: ['the same', 'two parts, not the same', 'more than two parts'].map((words, i) => ({
        words,
        record: { kind: 'note' as const, words: i === 0 ? '' : words },
      })),
      way: 'shown',
      counts: only(cell),
      sentence: plain('Two of these make one of those.'),
    }
  );
}

/** Dealt out one each round; halves, and half again. */
export const share: RoundModule = {
  kind: 'share',
  credits: ({ form }) => (form === 'halves' ? ['halves'] : ['share', 'more-*', 'total-*']),
  seldom: () => ['more-clear', 'more-10'],
  next(game) {
    if (isOver(game, 6)) return null;
    if (game.round.form === 'halves') return half(game);
    const bowl = inBowl(game);
    if (bowl) return bowl;
    const last = inRound(game).at(-1);
    if (last?.record.kind === 'share') {
      const found = look(game, last.record.n, last.record.among);
      if (found) return found;
    }
    return deal(game);
  },
};
