import { numberWord } from '../numbers/index.js';
import { type SkillItem, itemByNumber } from '../skills/index.js';
import {
  type Draft,
  type Game,
  type RoundModule,
  cameUpOf,
  inRound,
  isOver,
  only,
  skillsOf,
  speaks,
  waitsFor,
} from './game.js';
import { nameItem } from './name.js';
import { Word, asksNumber, plain } from './round-words.js';

/** The child stands on a card of its own choosing: where are you? */
function where(game: Game): Draft {
  const cameUp = cameUpOf(game, [''], 1, game.top);
  const [n] = game.came;
  if (n === undefined) {
    return waitsFor(
      'stand',
      'Step along the cards and name each one. Stop where you like.',
      cameUp,
    );
  }
  const spoken = speaks(game);
  return {
    key: `stands-${n}`,
    say: spoken ? 'Where are you?' : `Step on to the ${numberWord(n)}.`,
    lay: '',
    lying: [n],
    cameUp,
    right: { kind: 'numeral', shown: n, answer: n, way: spoken ? 'spoken' : 'pointed' },
    way: spoken ? 'spoken' : 'pointed',
    counts: only(nameItem(n)),
    sentence: plain(`You are on ${numberWord(n)}.`, String(n)),
    drawn: { scene: 'track', numbers: [n], whole: game.top },
  };
}

/** From where the child stands: one more, or one fewer. */
function step(game: Game, n: number, by: 1 | -1): Draft {
  const answer = n + by;
  return {
    key: `${by > 0 ? 'more' : 'fewer'}-${n}`,
    ...asksNumber(
      game,
      answer,
      by > 0 ? 'Which number is one more?' : 'Which number is one fewer?',
    ),
    lay: `The child is on ${numberWord(n)}; the step comes after the answer.`,
    lying: [n],
    right: { kind: 'after', number: n, step: by, answer },
    counts: only(itemByNumber(by > 0 ? 'plus1' : 'minus1', n)),
    sentence: plain(`${Word(answer)} is one ${by > 0 ? 'more' : 'fewer'} than ${numberWord(n)}.`),
    drawn: { scene: 'track', numbers: [n], whole: game.top },
  };
}

/** The adult hops, and is wrong once on purpose. */
function wrongOnce(game: Game, n: number): Draft {
  return {
    key: `hop-${n}`,
    say: 'Now I hop. Watch me. Was that right?',
    lay: `Hop from ${numberWord(n)} and name one card wrong, on purpose.`,
    lying: [n],
    right: { kind: 'catch', slip: `named the card after ${n} wrong`, caught: true },
    counts: only(nameItem(Math.min(game.top, n + 1))),
    sentence: plain('You caught it.'),
    drawn: { scene: 'track', numbers: [n], whole: game.top },
  };
}

/** Steps along floor cards: where are you, one more, one fewer; the adult steps wrong once. */
export const walkTrack: RoundModule = {
  kind: 'walk-track',
  credits: () => ['name-*', 'plus1-*', 'minus1-*'],
  next(game) {
    if (isOver(game, 9)) return null;
    const here = inRound(game);
    const last = here.at(-1);
    const n = last?.lay[0] ?? 0;
    const own = skillsOf(game.activity);
    const can = (item: SkillItem | null): boolean => item !== null && own.has(item.skillId);
    const turn = here.length % 3;
    if (n === 0 || turn === 0) return where(game);
    if (turn === 2 && here.length === 5) return wrongOnce(game, n);
    const more = n < game.top && can(itemByNumber('plus1', n));
    const fewer = n > 1 && can(itemByNumber('minus1', n));
    if (turn === 1 ? more : !fewer && more && last?.record.kind !== 'after')
      return step(game, n, 1);
    return turn === 2 && fewer ? step(game, n, -1) : where(game);
  },
};
