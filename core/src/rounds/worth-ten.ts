import { partsSentence } from '../handling/index.js';
import { capital, numberWord, plural } from '../numbers/index.js';
import { findSkill, nearestItem } from '../skills/index.js';
import type { CaptureRecord, RoundKind } from '../vocabulary/index.js';
import { type Draft, type Game, only } from './game.js';
import { asksNumber, plain, materialOf } from './round-words.js';

/** Kinds whose layout can be read in tens. */
const KINDS: readonly RoundKind[] = ['frame', 'by-chance', 'join', 'glance'];
/** Most things that lie there: a hundred is the most that the map knows in steps of ten. */
const MOST = 10;
const TEN = 10;

/** The amounts whose total an answer gives; null where something else is asked. */
function amountsOf(right: CaptureRecord | null): readonly number[] | null {
  switch (right?.kind) {
    case 'add':
      return right.addends;
    case 'bond':
      return right.parts;
    case 'glance':
      return [right.n];
    case 'frame':
      return right.toTen === null ? [right.n] : null;
    default:
      return null;
  }
}

/** What is counted in steps of ten when so many tens are told; nothing below fifty. */
function stepsTo(n: number) {
  const steps = findSkill('step-10');
  const item = steps && nearestItem(steps, n);
  const reached = steps?.items.find((one) => one.id === item?.itemId)?.number ?? Infinity;
  return only(reached <= n ? item : null);
}

/**
 * The same layout with each thing worth ten: four and two make sixty. It is evidence for steps of
 * ten and never for bonds. Left as it is where nothing lies there yet, or more than ten.
 */
export function inTens(game: Game, draft: Draft): Draft {
  if (!KINDS.includes(game.round.kind)) return draft;
  const amounts = amountsOf(draft.right);
  if (amounts === null) return draft.right === null ? { ...draft, worthTen: true } : draft;
  const total = amounts.reduce((sum, n) => sum + n, 0);
  if (total < 1 || total > MOST) return draft;
  const tens = amounts.map((n) => TEN * n);
  const [one] = materialOf(game);
  const answer = TEN * total;
  return {
    ...draft,
    key: `tens-${draft.key}`,
    ...asksNumber(game, answer, `Each ${one} is worth ten. How many is that in all?`),
    right: { kind: 'add', addends: tens, answer, way: null, sentenceRight: null },
    counts: stepsTo(answer),
    sentence:
      tens.length > 1
        ? partsSentence(tens)
        : plain(
            `${capital(numberWord(total))} ${plural(total, 'ten', 'tens')}: ${numberWord(answer)}.`,
          ),
    worthTen: true,
  };
}

/** True where this kind of round can be played with each thing worth ten, in a range from ten on. */
export const canBeWorthTen = ({ round, top }: Game): boolean =>
  KINDS.includes(round.kind) && top >= MOST;
