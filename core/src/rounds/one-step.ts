import { capital, numberWord } from '../numbers/index.js';
import { awayItem, findSkill, itemByNumber, sentenceItem } from '../skills/index.js';
import {
  type Draft,
  type Game,
  type RoundModule,
  choose,
  inRound,
  only,
  skillsOf,
  upTo,
} from './game.js';
import { Some, Word, asksNumber, plain, takeSentence, materialOf } from './round-words.js';

const MOST = 20;
const SENTENCE = 'sentence-minus';

/** Where the walk begins: the adult's choice, or a number from which a step is worth asking. */
function start(game: Game, down: boolean): number {
  const top = Math.min(MOST, game.top);
  if (game.picked !== null) return game.picked;
  if (!down) return upTo(0, top - 1).find((n) => isWanted(game, n)) ?? 0;
  const cells = upTo(Math.min(3, top), top).flatMap((n) => {
    const item = itemByNumber('minus1', n) ?? awayItem(n, 1);
    return item ? [{ ...item, key: `start-${n}`, numbers: [n] }] : [];
  });
  const wanted = cells.filter(({ skillId }) => game.wants.includes(skillId));
  return choose(game, wanted.length > 0 ? wanted : cells)?.numbers[0] ?? top;
}

/** True for a number whose next one put the child on the card. */
const isWanted = ({ wants }: Game, n: number): boolean =>
  wants.includes(itemByNumber('plus1', n)?.skillId ?? '');

function said(game: Game, n: number, down: boolean): Pick<Draft, 'say' | 'lay'> {
  const material = materialOf(game);
  const [one] = material;
  switch (game.round.form) {
    case 'track':
      return {
        say: `The ${one} is on ${numberWord(n)}. ${down ? 'One back' : 'One on'}: where will it land?`,
        lay: `The ${one} on ${numberWord(n)}; it hops after the answer.`,
      };
    case 'song':
      return {
        say: down ? 'One goes away. How many are left?' : 'One more comes. How many now?',
        lay: `${Some(n, ['finger', 'fingers'])} up.`,
      };
    default:
      return {
        say: down
          ? 'One comes out. How many are left in the bag?'
          : `One more ${one}. How many now?`,
        lay: `${Some(n, material)} in the bag. Look after the answer, and step ${down ? 'back' : 'on'} on the track.`,
      };
  }
}

function step(game: Game, n: number, down: boolean, first: number): Draft {
  const answer = down ? n - 1 : n + 1;
  const { say, lay } = said(game, n, down);
  const own = skillsOf(game.activity);
  const item = itemByNumber(down ? 'minus1' : 'plus1', n);
  const away = down ? awayItem(n, 1) : null;
  const top = Math.min(MOST, game.top);
  return {
    key: `${down ? 'less' : 'more'}-${n}`,
    ...asksNumber(game, answer, say),
    lay: lay ?? '',
    lying: [n],
    right: { kind: 'after', number: n, step: down ? -1 : 1, answer },
    // To know what one less leaves is to know that take-away: the same question.
    counts: only(item, away && own.has(away.skillId) ? away : null),
    sentence: down
      ? {
          ...takeSentence(n, 1),
          words: `${capital(numberWord(n))} take away one is ${numberWord(answer)}.`,
        }
      : plain(`${Word(n)} and one more is ${numberWord(answer)}.`, `${n} + 1 = ${answer}`),
    pick: down ? { words: 'begin with', options: upTo(2, top), value: first } : null,
    drawn:
      game.round.scene === 'fingers'
        ? { scene: 'fingers', numbers: [n] }
        : { scene: 'track', numbers: [n], whole: top },
  };
}

/** The step that was made, laid with cards or written. */
function write(game: Game, n: number): Draft {
  return {
    key: `write-${n}-1`,
    say: `Write it, or lay it with cards: ${numberWord(n)} take away one is ${numberWord(n - 1)}.`,
    lay: 'Cards, or a pencil.',
    lying: [n, 1],
    right: { kind: 'add', addends: [n, -1], answer: n - 1, way: null, sentenceRight: true },
    way: 'shown',
    counts: only(sentenceItem('minus', n)),
    sentence: takeSentence(n, 1),
  };
}

/** One at a time, all the way: the same bag from its number down to nothing, or along a track. */
export const oneStep: RoundModule = {
  kind: 'one-step',
  credits: ({ form }) => {
    if (form === 'track') return ['plus1-*', 'minus1-*'];
    return form === 'song' ? ['minus1-*'] : ['minus1-*', 'away-*', SENTENCE];
  },
  next(game) {
    const here = inRound(game);
    const top = Math.min(MOST, game.top);
    const steps = here.flatMap(({ record }) => (record.kind === 'after' ? [record] : []));
    const last = steps.at(-1);
    const turned = last !== undefined && (last.step < 0 || last.number + last.step >= top);
    const wantsDown = !last && findSkill(game.wants[0] ?? '')?.family === 'minus1';
    const down = game.round.form !== 'track' || turned || wantsDown;
    if (!last) {
      const first = start(game, down);
      return step(game, first, down, first);
    }
    const wrote = here.at(-1)?.record.kind === 'add';
    const wants = skillsOf(game.activity).has(SENTENCE);
    if (wants && !wrote && steps.length % 2 === 0 && sentenceItem('minus', last.number))
      return write(game, last.number);
    const n = last.number + last.step;
    if (down && n <= 0) return null;
    const first = steps[0]?.number ?? n;
    return step(game, n, down, first);
  },
};
