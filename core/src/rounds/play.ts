import type { Random } from '../numbers/index.js';
import { recordFor } from '../pads/judge.js';
import type { Counted, Observation, Outcome, RoundSeen } from '../vocabulary/index.js';
import type { CaptureRecord } from '../vocabulary/index.js';
import type { Played } from './game.js';
import { type Question, isComplete } from './question.js';
import { type PlayState, questionFor } from './play-state.js';

/** What is kept of a question beside its record. */
export const roundSeen = (question: Question): RoundSeen => ({
  kind: question.kind,
  part: question.part,
  lap: question.lap,
  key: question.key,
  cameUp: [...question.came],
  lay: [...question.lying],
});

/** What a try says of itself, apart from whose it was and when. */
export type Tried = Pick<Observation, 'skillId' | 'itemId' | 'outcome' | 'record' | 'answered'> & {
  readonly round: RoundSeen;
  readonly counts: Counted[];
};

/**
 * The try of a question with an outcome; null where nothing can be noted yet.
 * @param tapped what stands on the pad after a touch; null for an untouched one
 */
export function triedAs(
  question: Question,
  tapped: CaptureRecord | null,
  outcome: Outcome,
): Tried | null {
  const record = recordFor(question, tapped, outcome);
  return (
    record && {
      skillId: question.skillId,
      itemId: question.itemId,
      outcome,
      record,
      answered: question.way,
      round: roundSeen(question),
      counts: question.counts.map((one) => ({ ...one })),
    }
  );
}

/** Numbers that chance or a child might bring: as a die, a hand or a guess would. */
export function bringUp({ cameUp, top }: Question, random: Random): number[] {
  if (cameUp === null) return [];
  const { low, high, slots, least, deal } = cameUp;
  const dealt = deal.length > 0 && random() < 0.2 ? deal[Math.floor(random() * deal.length)] : null;
  if (dealt) return [...dealt].slice(0, slots.length);
  const many = least < slots.length ? least + Math.floor(random() * 3) : slots.length;
  // The things that lie there, the cups and cards, are those of the range.
  const near = Math.min(high, Math.max(low + 2, top));
  const first = low + Math.floor(random() * (near - low + 1));
  return Array.from({ length: many }, (_, i) => {
    if (i === 0) return first;
    // What is counted lies near what was guessed, where nothing but the child bounds it.
    if (high > near) return Math.max(low, first - 3 + Math.floor(random() * 7));
    if (least < slots.length) return low + ((first - low + 2 * i) % (high - low + 1));
    const spread = Math.min(near - low + 1, 7);
    return low + Math.floor(random() * spread);
  });
}

/**
 * Plays one child's part of a session: the questions of the game as it goes, what comes up brought
 * by `random`, the answers by the learner.
 * @param answer how the child gets on with a question, and what is tapped; null stops
 */
export function playOut(
  session: PlayState,
  questions: number,
  random: Random,
  answer: (
    question: Question,
    at: number,
  ) => { readonly outcome: Outcome; readonly tapped: CaptureRecord | null } | null,
): { readonly question: Question; readonly tried: Tried }[] {
  const all: { question: Question; tried: Tried }[] = [];
  let past: Played[] = [...session.past];
  for (let at = 0; at < questions; at++) {
    const question = asked({ ...session, past, came: [] }, random);
    if (question === null) return all;
    const given = answer(question, at);
    const tried = given && triedAs(question, given.tapped, given.outcome);
    if (tried === null) return all;
    const { record, counts, outcome, round } = tried;
    past = [...past, { ...round, record, counts, outcome }];
    all.push({ question, tried });
  }
  return all;
}

const TRIES = 12;

/** The question once it is known what came up; something else where what came cannot be. */
function asked(session: PlayState, random: Random): Question | null {
  const open = questionFor(session);
  if (open === null || open.cameUp === null) return open;
  for (let i = 0; i < TRIES; i++) {
    const came = bringUp(open, random);
    const question = questionFor({ ...session, came });
    if (question && isComplete(question) && question.right !== null) return question;
  }
  return questionFor({ ...session, came: open.cameUp.slots.map(() => open.cameUp?.low ?? 0) });
}
