import { dotsScene } from '../handling/index.js';
import { numberWord } from '../numbers/index.js';
import { itemByNumber } from '../skills/index.js';
import {
  type Cell,
  type Draft,
  type Game,
  type RoundModule,
  cameUpOf,
  choose,
  isOver,
  only,
  upTo,
  waitsFor,
} from './game.js';
import { Some, Word, plain, materialOf } from './round-words.js';

function ask(game: Game, n: number): Draft {
  const even = n % 2 === 0;
  return {
    key: `partner-${n}`,
    say: 'Has each one a partner? Is it odd or even?',
    lay: `${Some(n, materialOf(game))}, two by two.`,
    lying: [n],
    right: { kind: 'partner', n, answer: even ? 'even' : 'odd', because: '' },
    heard: false,
    counts: only(itemByNumber('partner', n)),
    sentence: plain(
      even
        ? `${Word(n)} is even: each one has a partner.`
        : `${Word(n)} is odd: one has no partner.`,
      even ? `${n} = ${n / 2} + ${n / 2}` : `${n} = ${(n - 1) / 2} + ${(n - 1) / 2} + 1`,
    ),
    scene: n > 0 && n <= 20 ? dotsScene(n, 'pairs', numberWord(n)) : null,
  };
}

/** Two by two: is there one without a partner? */
export const partner: RoundModule = {
  kind: 'partner',
  credits: () => ['partner-*'],
  next(game) {
    if (isOver(game, 4)) return null;
    const { form, came } = game.round;
    if (came !== undefined) {
      const cameUp = cameUpOf(game, [''], 1, 20);
      const [n] = game.came;
      return n === undefined
        ? waitsFor('drawn', 'How many are there?', cameUp)
        : { ...ask(game, n), cameUp };
    }
    const cells = upTo(1, Math.min(20, game.top))
      .filter((n) => form === undefined || (form === 'even') === (n % 2 === 0))
      .flatMap((n): Cell[] => {
        const item = itemByNumber('partner', n);
        return item ? [{ ...item, key: `partner-${n}`, numbers: [n] }] : [];
      });
    const cell = choose(game, even(game, cells));
    const [n] = cell?.numbers ?? [];
    return n === undefined ? null : ask(game, n);
  },
};

/** Odd and even take turns in being asked, so that neither is the answer most times. */
function even(game: Game, cells: readonly Cell[]): readonly Cell[] {
  if (game.round.form !== undefined) return cells;
  const asked = game.past.flatMap(({ record }) =>
    record.kind === 'partner' ? [record.n % 2] : [],
  );
  const odds = asked.filter((one) => one === 1).length;
  const wanted = odds * 2 > asked.length ? 0 : odds * 2 < asked.length ? 1 : null;
  const found = cells.filter(({ numbers }) => wanted === null || (numbers[0] ?? 0) % 2 === wanted);
  return found.length > 0 ? found : cells;
}
