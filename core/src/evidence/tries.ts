import { reachOf } from '../numbers/index.js';
import {
  GUESS_CHANCE,
  type Item,
  SKILLS,
  type Skill,
  findItem,
  findSkill,
} from '../skills/index.js';
import type { Day, Observation, Outcome, RecordOf } from '../vocabulary/index.js';
import { countedRight, readCount, slipsOf } from './slips.js';
import type { Evidence } from './update.js';

/** Tries of this activity belong to the first look at a new child. */
export const FIRST_LOOK = 'first-look';

/** One try as it counts for one skill; a record may hold several. */
export interface Try extends Evidence {
  readonly observationId: string;
  readonly skillId: string;
  readonly at: string;
  readonly day: Day;
  /** Tries of one sitting share this; a jotted one stands alone. */
  readonly sitting: string;
  readonly things: readonly string[];
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

const family = (skillId: string): string => skillId.replace(/-\w+$/, '');

/** The skill of a family whose plain items hold a number, such as touch-10 for `touch/7`. */
const skillByNumber = new Map<string, { skill: Skill; item: Item }>();
for (const skill of SKILLS) {
  for (const item of skill.items) {
    const key = `${family(skill.id)}/${item.number}`;
    if (item.form === null && !skillByNumber.has(key)) skillByNumber.set(key, { skill, item });
  }
}
/** The stretches of the number row from one to a hundred. */
const STRETCHES = SKILLS.filter((skill) => /^say-\d+$/.test(skill.id))
  .sort((a, b) => a.to - b.to)
  .flatMap((skill) => skill.items.map((item) => ({ skillId: skill.id, item })));
const TOUCH_OR_TOTAL = /^(touch|total)-/;

function countTries(observation: Observation, record: RecordOf<'count'>): Judged[] {
  if (!TOUCH_OR_TOTAL.test(observation.skillId)) return [];
  const right = countedRight(record);
  const { cardinality } = readCount(record);
  const judged: Judged[] = [];
  const add = (name: string, ok: boolean | null): void => {
    const found = ok === null ? undefined : skillByNumber.get(`${name}/${record.n}`);
    if (!found || ok === null) return;
    judged.push({
      skillId: found.skill.id,
      itemId: found.item.id,
      outcome: judge(observation.outcome, ok),
    });
  };
  add('touch', right);
  add('total', cardinality);
  return judged;
}

const tryOn = (skillId: string, itemId: string, outcome: Outcome): Judged => ({
  skillId,
  itemId,
  outcome,
});

/** A count is on own up to where it failed or help came, which counts as noted; beyond lies nothing. */
function reachTries(observation: Observation, record: RecordOf<'reach'>): Judged[] {
  if (record.stop === null && record.said === null) return [];
  const { reach, slips } = reachOf(record);
  if (record.direction === 'down' || record.from > 1 || (record.step ?? 1) > 1) {
    const sign = record.direction === 'up' ? 1 : -1;
    const done = reach !== null && sign * (reach - record.to) >= 0;
    const { skillId, itemId } = observation;
    return [{ skillId, itemId, outcome: judge(observation.outcome, done) }];
  }
  const asked = STRETCHES.filter(({ item }) => item.number <= record.to);
  const done = asked.filter(({ item }) => reach !== null && reach >= item.number);
  const next = asked[done.length];
  // Help that came nobody knows where says nothing of the stretches before the last one.
  if (observation.outcome === 'help' && next === undefined && slips.length === 0) {
    return asked.slice(-1).map(({ skillId, item }) => tryOn(skillId, item.id, 'help'));
  }
  return [
    ...done.map(({ skillId, item }) => tryOn(skillId, item.id, 'own')),
    ...(next ? [tryOn(next.skillId, next.item.id, judge(observation.outcome, false))] : []),
  ];
}

function orderTries(observation: Observation, record: RecordOf<'order'>): Judged[] {
  const right = [...record.given].sort((a, b) => a - b);
  return right.flatMap((number, place) => {
    const itemId = `n${number}`;
    if (!findItem(observation.skillId, itemId) || record.placed.length === 0) return [];
    const ok = record.placed[place] === number;
    return [{ skillId: observation.skillId, itemId, outcome: judge(observation.outcome, ok) }];
  });
}

/** Several gaps in one row: each is a try of its own. */
function gapTries(observation: Observation, record: RecordOf<'gap'>): Judged[] {
  if (record.gaps.length < 2 || record.answers.every((one) => one === null)) return [];
  return record.gaps.flatMap((number, i) => {
    const itemId = [`n${number}-gap2`, `n${number}`].find((id) =>
      findItem(observation.skillId, id),
    );
    if (itemId === undefined) return [];
    const ok = record.answers[i] === number;
    return [{ skillId: observation.skillId, itemId, outcome: judge(observation.outcome, ok) }];
  });
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
  skillId: string,
  outcome: Outcome,
  slips: readonly string[],
): readonly string[] {
  if (slips.length === 0 || outcome === 'own') return NONE;
  if (kind !== 'count') return slips;
  const total = skillId.startsWith('total');
  return slips.filter((code) => ABOUT_TOTAL.includes(code) === total);
}

/**
 * The tries that an observation holds. Reach gives one a stretch up to and with the first one not
 * completed, order one an item placed, a row with gaps one a gap, count one for touching and one
 * for the total; every other record gives the outcome noted, for the item asked. An unknown skill
 * gives none.
 */
export function triesOf(observation: Observation): Try[] {
  const { record, outcome } = observation;
  let judged: Judged[] = [];
  if (outcome !== 'not-now') {
    if (record.kind === 'count') judged = countTries(observation, record);
    else if (record.kind === 'reach') judged = reachTries(observation, record);
    else if (record.kind === 'order') judged = orderTries(observation, record);
    else if (record.kind === 'gap') judged = gapTries(observation, record);
  }
  if (judged.length === 0) {
    judged = [{ skillId: observation.skillId, itemId: observation.itemId, outcome }];
  }
  const slips = slipsOf(record).map((slip) => slip.code);
  const tries: Try[] = [];
  for (const { skillId, itemId, outcome: how } of judged) {
    const skill = findSkill(skillId);
    if (!skill) continue;
    tries.push({
      skillId,
      itemId,
      outcome: how,
      guess: guessOf(observation, skill),
      observationId: observation.id,
      at: observation.at,
      day: observation.day,
      sitting: observation.sittingId ?? observation.id,
      things: observation.things,
      slips: judged.length > 1 ? slipsWithin(record.kind, skillId, how, slips) : slips,
      firstLook: observation.activityId === FIRST_LOOK,
    });
  }
  return tries;
}
