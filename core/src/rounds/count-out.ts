import { numberWord, plural } from '../numbers/index.js';
import { itemByNumber } from '../skills/index.js';
import type { Counted, Layout, RecordOf } from '../vocabulary/index.js';
import {
  type Cell,
  type Draft,
  type Game,
  type RoundModule,
  cameUpOf,
  choose,
  draw,
  evenly,
  inRound,
  isOver,
  speaks,
  upTo,
  waitsFor,
} from './game.js';
import { Some, is, plain, some, materialOf, wayFor } from './round-words.js';

const LAYOUT_WORDS: Readonly<Record<Layout, string>> = {
  row: 'in a row',
  ring: 'in a ring',
  scatter: 'scattered',
  slant: 'in a slanting line',
  heap: 'in a heap',
  rows: 'in rows',
};
const LAYOUTS: readonly Layout[] = ['slant', 'ring', 'scatter', 'heap'];
/** The most that a bowl or a box gives in one go. */
const MOST = 60;

const counting = (game: Game, n: number, layout: Layout): RecordOf<'count'> => ({
  kind: 'count',
  language: game.language,
  n,
  layout,
  words: n,
  lastWord: n,
  skipped: 0,
  doubled: 0,
  answer: n,
  recounted: false,
});

/** A count shows the touching and the total, each by itself, and the layout where it was no row. */
function countsFor(n: number, layout: Layout): Counted[] {
  if (layout !== 'row') {
    const laid = itemByNumber('layout', n, layout);
    const total = itemByNumber('total', n);
    return [...(laid ? [laid] : []), ...(total ? [{ ...total, by: 'total' as const }] : [])];
  }
  const touch = itemByNumber('touch', n);
  const total = itemByNumber('total', n);
  return [
    ...(total ? [{ ...total, by: 'total' as const }] : []),
    ...(touch ? [{ ...touch, by: 'touches' as const }] : []),
  ];
}

function ask(game: Game, n: number, layout: Layout, lay: string): Draft {
  const material = materialOf(game);
  const shown = speaks(game) ? 'How many are there?' : 'Show me how many there are.';
  return {
    key: `count-${n}-${layout}`,
    say: layout === 'row' ? `Count them: touch each one, just once. ${shown}` : shown,
    lay,
    lying: [n],
    scene: null,
    right: counting(game, n, layout),
    way: wayFor(game, n),
    counts: countsFor(n, layout),
    sentence: plain(`There ${is(n)} ${some(n, material)}.`, String(n)),
  };
}

/** What was taken, found or dropped in: the child decided how many. */
function taken(game: Game): Draft {
  const [n] = game.came;
  const cameUp = cameUpOf(game, [''], 1, MOST);
  if (n === undefined) return waitsFor('take', inviteOf(game), cameUp);
  return { ...ask(game, n, 'row', ''), cameUp };
}

/** Small, middle and large handfuls take turns. */
function inviteOf(game: Game): string {
  const [, many] = materialOf(game);
  if (game.round.form !== 'handful') return `One thing, one word: count the ${many} with me.`;
  const size = ['a tiny handful', 'a middle handful', 'a huge handful'][inRound(game).length % 3];
  return `Take ${size} with one hand.`;
}

interface Laid extends Cell {
  readonly layout: Layout;
}

function cells(game: Game): Laid[] {
  const layouts = game.round.form === 'layout' ? LAYOUTS : (['row'] as const);
  return upTo(game.round.low ?? 1, Math.min(20, game.top)).flatMap((n) =>
    layouts.flatMap((layout): Laid[] =>
      countsFor(n, layout).map(({ skillId, itemId }) => ({
        skillId,
        itemId,
        key: `count-${n}-${layout}`,
        numbers: [n],
        layout,
      })),
    ),
  );
}

/** Laid by the adult: as many as the core chooses. */
function laid(game: Game): Draft | null {
  const cell = choose(game, cells(game));
  if (!cell) return null;
  const [n = 1] = cell.numbers;
  const lay = `Lay ${some(n, materialOf(game))} ${LAYOUT_WORDS[cell.layout]}.`;
  return {
    ...ask(game, n, cell.layout, lay),
    counts: [...countsFor(n, cell.layout)].sort(
      (a, b) => Number(b.skillId === cell.skillId) - Number(a.skillId === cell.skillId),
    ),
  };
}

/** The letters of this child's own name, one in each cell. */
function letters(game: Game): Draft {
  const n = [...game.name].filter((letter) => /\p{L}/u.test(letter)).length;
  return {
    ...ask(game, n, 'row', `The letters of “${game.name}”, one in each cell.`),
    say: 'Touch each letter. How many letters has your name?',
    sentence: plain(`“${game.name}” has ${some(n, ['letter', 'letters'])}.`, String(n)),
  };
}

const CHANGES = ['moved', 'moved-too', 'changed'] as const;

/**
 * Moved about before the child's eyes: still as many? In a third of the rounds one is secretly
 * added or taken away, so that "the same" is worth saying.
 */
function moved(game: Game): Draft | null {
  const found = upTo(1, Math.min(10, game.top)).flatMap((n): Cell[] => {
    const item = itemByNumber('same', n);
    return item ? [{ ...item, key: `same-${n}`, numbers: [n] }] : [];
  });
  const cell = choose(game, found);
  if (!cell) return null;
  const [n = 3] = cell.numbers;
  const used = inRound(game).map(({ record }) =>
    record.kind === 'compare' && record.left !== record.right ? 'changed' : null,
  );
  const change = evenly(game, CHANGES, [...used, ...used], 'change');
  const more = draw(game, 2, 'more') === 0 && n < game.top ? 1 : -1;
  const after = change === 'changed' ? n + more : n;
  const material = materialOf(game);
  const secret = after === n ? '' : ` In secret ${more > 0 ? 'add one' : 'take one away'}.`;
  return {
    key: `same-${n}`,
    say: 'I move them about. Are there still as many?',
    lay: `Lay ${some(n, material)} in a row and count. Then move them.${secret}`,
    lying: [n, after],
    right: {
      kind: 'compare',
      left: n,
      right: after,
      asked: 'same',
      answer: after === n ? 'same' : after > n ? 'right' : 'left',
    },
    heard: false,
    counts: [{ skillId: cell.skillId, itemId: cell.itemId }],
    sentence: plain(
      after === n
        ? `${Some(n, material)}, and still ${numberWord(n)}.`
        : `There ${plural(n, 'was', 'were')} ${numberWord(n)}, and now there ${is(after)} ${numberWord(after)}.`,
    ),
  };
}

/** The child takes, or the adult lays: touched one by one, and how many in all? */
export const countOut: RoundModule = {
  kind: 'count-out',
  credits({ form }) {
    if (form === 'same') return ['same-*'];
    return form === 'layout' ? ['layout-*', 'total-*'] : ['touch-*', 'total-*'];
  },
  // The letters of a name are as many as they are.
  seldom: ({ form }) =>
    form === 'letters' ? ['touch-10', 'touch-20', 'total-10', 'total-20'] : [],
  next(game) {
    const { round } = game;
    if (isOver(game, 6)) return null;
    if (round.form === 'same') return moved(game);
    const draft =
      round.form === 'letters'
        ? letters(game)
        : round.came === undefined
          ? laid(game)
          : taken(game);
    if (!draft) return null;
    const record = draft.right;
    if (record?.kind !== 'count') return draft;
    return {
      ...draft,
      drawn: { scene: round.scene ?? 'things', numbers: [record.n], layout: record.layout },
    };
  },
};
