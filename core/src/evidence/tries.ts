import { reachOf } from '../numbers/index.js';
import { GUESS_CHANCE, type Skill, currentItem, findItem, findSkill } from '../skills/index.js';
import type { CaptureRecord, Day, Observation, Outcome, RecordOf } from '../vocabulary/index.js';
import { type Evidenced, isWhole, oldCounts } from './old-counts.js';
import { countedRight, readCount, slipsOf } from './slips.js';
import type { Evidence } from './update.js';

/** Tries of this activity belong to the first look at a new child. */
export const FIRST_LOOK = 'first-look';
/** What an assumption is from, where the first ordinary sessions of a child who was placed tell it. */
export const FIRST_SESSIONS = 'first-sessions';

/** One try as it counts for one skill; a record may hold several. */
export interface Try extends Evidence {
  readonly observationId: string;
  readonly skillId: string;
  readonly at: string;
  readonly day: Day;
  /** Tries of one session share this; a quick note stands alone. */
  readonly session: string;
  readonly materials: readonly string[];
  readonly slips: readonly string[];
  readonly firstLook: boolean;
}

interface Judged {
  readonly skillId: string;
  readonly itemId: string | null;
  readonly outcome: Outcome;
}

/** Where a record says more than its outcome: what was right counts, helped or not. */
function judge(outcome: Outcome, right: boolean): Outcome {
  if (outcome === 'help' || outcome === 'not-now') return outcome;
  return right ? 'own' : 'not-yet';
}

/** The last word of an item's stretch. */
const lastWord = ({ skillId, itemId }: Evidenced): number =>
  findItem(skillId, itemId ?? '')?.number ?? 0;

/**
 * Words in order count stretch by stretch, up to and with the one that was not completed or in
 * which help came; what lies beyond is not touched. Other counts (down, on from, by steps) are one
 * try: gone to the end or not.
 */
function judgeWords(
  counts: readonly Evidenced[],
  outcome: Outcome,
  record: RecordOf<'reach'>,
): Judged[] {
  if (record.stop === null && record.said === null) return [];
  const { reach, slips } = reachOf(record);
  if (!isWhole(record)) {
    const sign = record.direction === 'up' ? 1 : -1;
    const done = reach !== null && sign * (reach - record.to) >= 0;
    return counts.map((one) => ({ ...one, outcome: judge(outcome, done) }));
  }
  const alone = Math.min(reach ?? 0, (record.helpedAt ?? Infinity) - 1);
  const done = counts.filter((one) => lastWord(one) <= alone);
  const next = counts[done.length];
  const helped = record.helpedAt !== undefined && record.helpedAt !== null;
  // Help that came nobody knows where says nothing of the stretches before the last one.
  if (outcome === 'help' && !helped && next === undefined && slips.length === 0) {
    return counts.slice(-1).map((one) => ({ ...one, outcome: 'help' }));
  }
  const after = helped ? 'help' : judge(outcome, false);
  return [
    ...done.map((one): Judged => ({ ...one, outcome: 'own' })),
    ...(next ? [{ ...next, outcome: after }] : []),
  ];
}

/** True or false where the record itself says so of one item; null where nothing was noted of it. */
function rightBy(one: Evidenced, record: CaptureRecord): boolean | null {
  const number = lastWord(one);
  if (record.kind === 'count') {
    if (one.by === 'touches') return countedRight(record);
    if (one.by === 'total') return readCount(record).cardinality;
  }
  if (record.kind === 'order' && one.by === 'place') {
    const right = [...record.given].sort((a, b) => a - b);
    return record.placed.length === 0 ? null : record.placed[right.indexOf(number)] === number;
  }
  if (record.kind === 'gap' && one.by === 'gap') {
    const at = record.gaps.indexOf(number);
    return record.answers.every((answer) => answer === null) ? null : record.answers[at] === number;
  }
  return null;
}

/** How each item came out for which this try is evidence. */
function judged(observation: Observation): Judged[] {
  const { record, outcome, skillId } = observation;
  const counts: readonly Evidenced[] = observation.counts ?? oldCounts(observation);
  const asked = { skillId, itemId: observation.itemId, outcome };
  if (counts.length === 0) return [];
  if (outcome === 'not-now') return [asked];
  const found =
    record.kind === 'reach'
      ? judgeWords(counts, outcome, record)
      : counts.flatMap((one): Judged[] => {
          if (one.by === undefined || one.by === 'answer') return [{ ...one, outcome }];
          const right = rightBy(one, record);
          return right === null ? [] : [{ ...one, outcome: judge(outcome, right) }];
        });
  // Where nothing was noted but how it went, it counts for what was asked.
  return found.length > 0 ? found : [asked];
}

const MOST_GUESS = 0.5;
/** Answers that are made up by the child, and can be pointed out among a few instead. */
const SAID: readonly string[] = ['spoken', 'counted'];

/**
 * Chance of a lucky guess for the way in which this try was answered; null takes the skill's own.
 * A range is as likely right as it is wide; an answer that was pointed out instead of said was
 * picked from four piles or five cards; a planned slip is caught or not.
 */
export function guessOf(observation: Observation, skill: Skill): number | null {
  const { record } = observation;
  if (record.kind === 'range') {
    const span = skill.to <= 20 ? 20 : 100;
    return Math.min(MOST_GUESS, Math.max(0, record.high - record.low + 1) / span);
  }
  if (record.kind === 'catch') return GUESS_CHANCE['pick-2'];
  if (observation.answered !== 'pointed' || !SAID.includes(skill.answers)) return null;
  // Piles to choose from lie four at a time, cards five.
  return record.kind === 'count' ? GUESS_CHANCE['pick-4'] : GUESS_CHANCE['pick-5'];
}

const NONE: readonly string[] = [];
const ABOUT_TOTAL = ['recounts', 'other-total'];

/** Which of a record's slips belong to one of the several tries it holds. */
function slipsWithin(
  kind: Observation['record']['kind'],
  family: string,
  outcome: Outcome,
  slips: readonly string[],
): readonly string[] {
  if (slips.length === 0 || outcome === 'own') return NONE;
  if (kind !== 'count') return slips;
  const total = family === 'total';
  return slips.filter((code) => ABOUT_TOTAL.includes(code) === total);
}

/**
 * The tries that an observation holds: one for each item that it is evidence for, judged by what
 * the record says of it, else by the outcome noted. An unknown skill gives none, and so does a fact
 * that is evidence of nothing.
 */
export function triesOf(observation: Observation): Try[] {
  const { record } = observation;
  const all = observation.adultTurn ? [] : judged(observation);
  const slips = slipsOf(record).map((slip) => slip.code);
  const tries: Try[] = [];
  for (const { skillId, itemId, outcome: how } of all) {
    const skill = findSkill(skillId);
    if (!skill) continue;
    tries.push({
      skillId,
      itemId: itemId === null ? null : currentItem(skillId, itemId),
      outcome: how,
      guess: guessOf(observation, skill),
      observationId: observation.id,
      at: observation.at,
      day: observation.day,
      session: observation.sessionId ?? observation.id,
      materials: observation.materials,
      slips: all.length > 1 ? slipsWithin(record.kind, skill.family, how, slips) : slips,
      firstLook: observation.activityId === FIRST_LOOK,
    });
  }
  return tries;
}
