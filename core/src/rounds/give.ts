import { numberWord, plural } from '../numbers/index.js';
import { findSkill, itemByNumber } from '../skills/index.js';
import {
  type Cell,
  type Draft,
  type Game,
  type RoundModule,
  choose,
  isOver,
  numberBefore,
  only,
  pendingWant,
  upTo,
} from './game.js';
import { Some, plain, some, materialOf } from './round-words.js';

/** More than asked lie within reach, so that stopping is the child's own doing. */
const MORE = 3;
const FEWEST = 8;

/** True for a skill that handing over can be evidence for. */
const creditsGive = (skillId: string): boolean => findSkill(skillId)?.family === 'give';

function asked(game: Game): Cell | null {
  if (game.round.form === 'that') {
    const n = numberBefore(game);
    const item = n === null ? null : itemByNumber('give', n);
    const wanted = pendingWant(game);
    const other = wanted !== null && item?.skillId !== wanted;
    if (!other || !creditsGive(wanted))
      return item && n !== null ? { ...item, key: `give-${n}`, numbers: [n] } : null;
  }
  const cells = upTo(1, Math.min(20, game.top)).flatMap((n): Cell[] => {
    const item = itemByNumber('give', n);
    return item ? [{ ...item, key: `give-${n}`, numbers: [n] }] : [];
  });
  return choose(game, cells);
}

function ask(game: Game, cell: Cell): Draft {
  const [n = 1] = cell.numbers;
  const material = materialOf(game);
  const words: Readonly<Record<string, string>> = {
    prints: `Press ${numberWord(n)} ${plural(n, 'print', 'prints')}.`,
    stickers: `Stick ${some(n, material)}.`,
    ...(numberBefore(game) === n ? { that: 'Give me that many, please.' } : {}),
  };
  return {
    key: cell.key,
    say: words[game.round.form ?? ''] ?? `Give me ${some(n, material)}, please.`,
    lay:
      game.round.form === 'prints' || game.round.form === 'stickers'
        ? ''
        : `${Some(Math.max(FEWEST, n + MORE), material)} or more within reach.`,
    lying: [n],
    right: { kind: 'give', asked: n, given: n },
    way: 'handed',
    counts: only({ skillId: cell.skillId, itemId: cell.itemId }),
    sentence: plain(`${Some(n, material)}.`, String(n)),
    drawn: { scene: 'things', numbers: [Math.max(FEWEST, n + MORE)], layout: 'scatter' },
  };
}

/** Hands over just as many, out of more. */
export const give: RoundModule = {
  kind: 'give',
  credits: () => ['give-*'],
  next(game) {
    if (isOver(game, game.round.form === 'that' ? 1 : 4)) return null;
    const cell = asked(game);
    return cell && ask(game, cell);
  },
};
