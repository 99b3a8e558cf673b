import { type Lying, partsSentence } from '../handling/index.js';
import { less, numberWord } from '../numbers/index.js';
import { awayItem, itemByNumber, itemByParts } from '../skills/index.js';
import {
  type Draft,
  type Game,
  type RoundModule,
  cameUpOf,
  draw,
  inRound,
  isOver,
  lowOf,
  only,
  skillsOf,
  upTo,
  waitsFor,
} from './game.js';
import { Some, asksNumber, some, takeSentence, materialOf } from './round-words.js';

const MOST = 20;

/** How many go in: the adult's number, or one of the range, another one each time. */
function whole(game: Game): number {
  const top = Math.min(MOST, game.top);
  if (game.picked !== null) return game.picked;
  const low = Math.min(top, Math.max(2, lowOf(top)));
  return (
    low +
    draw(
      { ...game, past: game.past.filter(({ part }) => part !== game.part) },
      top - low + 1,
      `in-${inRound(game).length}`,
    )
  );
}

/** Taken from what was in: the hidden rest, and the take-away that it is. */
function countsFor(game: Game, n: number, taken: number) {
  const own = skillsOf(game.activity);
  const all = [
    // Seen: what was taken. Hidden: what is left inside.
    taken < n || n > 0 ? itemByParts('hide', [taken, n - taken]) : null,
    // The same question is a take-away, and with one taken it is one fewer.
    awayItem(n, taken),
    taken === 1 ? itemByNumber('minus1', n) : null,
    itemByParts('bond', [taken, n - taken]),
  ];
  return only(...all.filter((one) => one !== null && own.has(one.skillId)));
}

/** Counted in; the child takes a handful out: how many are left? */
export const takeSome: RoundModule = {
  kind: 'take-some',
  credits: () => ['hide-*', 'away-*', 'minus1-*', 'bond-*', 'sentence-minus'],
  next(game): Draft | null {
    if (isOver(game, 8)) return null;
    const material = materialOf(game);
    const last = inRound(game).at(-1);
    if (
      last?.record.kind === 'bond' &&
      skillsOf(game.activity).has('sentence-minus') &&
      inRound(game).length % 3 === 2
    ) {
      const [taken = 1] = last.record.parts;
      const n = last.record.whole;
      if (taken > 0 && itemByWhole(n)) return sentence(game, n, taken);
    }
    const n = whole(game);
    const cameUp = cameUpOf(game, [''], 0, n);
    const pick = { words: 'in the sack', options: upTo(2, Math.min(MOST, game.top)), value: n };
    const [taken] = game.came;
    if (taken === undefined) {
      return waitsFor(`take-${n}`, 'Take some out with one hand.', cameUp, {
        lay: `Count ${some(n, material)} into the sack together.`,
        pick,
        drawn: { scene: 'sack', numbers: [0, n], hidden: true },
      });
    }
    const drawn: Lying = { scene: 'sack', numbers: [taken, n - taken], hidden: true };
    return {
      key: `left-${n}-${taken}`,
      ...asksNumber(game, n - taken, 'How many are left inside?'),
      lay: `${Some(n, material)} went in. Look after the answer.`,
      lying: [n, taken],
      cameUp,
      pick,
      right: {
        kind: 'bond',
        whole: n,
        parts: [taken, n - taken],
        inView: [taken],
        answer: n - taken,
      },
      counts: countsFor(game, n, taken),
      sentence: {
        ...takeSentence(n, taken),
        partWhole: partsSentence([taken, n - taken]).partWhole,
      },
      drawn,
    };
  },
};

function sentence(game: Game, n: number, taken: number): Draft {
  const left = n - taken;
  const items = only(itemByWhole(n));
  return {
    key: `write-${n}-${taken}`,
    say: `Write it, or lay it with cards: ${numberWord(n)} take away ${numberWord(taken)} is ${numberWord(left)}.`,
    lay: 'Cards, or a pencil.',
    lying: [n, taken],
    right: { kind: 'add', addends: [n, less(taken)], answer: left, way: null, sentenceRight: true },
    way: 'shown',
    counts: items,
    sentence: takeSentence(n, taken),
  };
}

const itemByWhole = (n: number) => itemByNumber('sentence', n, 'minus');
