import { SKILLS, type Skill, openedBy, saidAloud, skillOf } from '../skills/index.js';
import { type Day, addDays, daysBetween } from '../vocabulary/index.js';
import type { ChildState } from './replay.js';
import { believedKnown } from './first-look.js';
import { isResting } from './ledger.js';
import { habitOf, pointsTo } from './slip-words.js';
import { type SkillStatus, isKnown, opensTheNext, statusOf } from './status.js';
import { prerequisitesOf } from './assumption.js';

/** A skill that is worth a child's time now. */
export interface Candidate {
  readonly skillId: string;
  /** 0.3 to about 2; see `VALUE`. */
  readonly value: number;
  readonly why: 'nearly' | 'started' | 'open' | 'review' | 'due' | 'check' | 'step-back';
  /** The recurring slip that points at it, as a code; null where none does. */
  readonly slip: string | null;
}

/** Value by status, as the week is planned from it (tuned on simulated weeks, no source). */
export const VALUE = {
  nearly: 1.25,
  started: 0.99,
  open: 0.63,
  review: 0.88,
  due: 0.5,
  check: 1.5,
  'step-back': 0.5,
} as const;
/** For every week overdue, and at most so much in all. */
const WEEK_OVERDUE = 1.15;
const OVERDUE_MOST = 2;
/** A check from a week before it is due. */
const CHECK_SOON = 2;
const BLOCKS_MANY = 1.3;
const MANY = 2;
const SLIP_POINTS = 1.2;
/** From this chance what nobody has asked yet counts as known for what builds on it. */
const LIKELY = 0.6;
/** Above and below these chances a skill that nobody has asked yet is worth less, down to the least. */
const SURE = { from: 0.7, least: 0.25 };
const FAR = { below: 0.45, least: 0.2 };
/** A check that settles others too is worth more. */
const SETTLES = { each: 0.1, most: 1.5 };
const JUST_SEEN = 0.6;
const JUST_SEEN_DAYS = 2;
const DUE_WITHIN = 7;

function whyNow(
  skill: Skill,
  status: SkillStatus,
  open: boolean,
  state: ChildState,
  today: Day,
): Candidate['why'] | null {
  const ledger = state.skills[skill.id]?.ledger;
  const soon = addDays(today, DUE_WITHIN);
  if (isResting(ledger, today)) return null;
  switch (status) {
    case 'review':
      return 'review';
    case 'secure':
      return (ledger?.lookAgain ?? ledger?.revisit?.due ?? '9999') <= soon ? 'due' : null;
    case 'assumed': {
      const taken = state.assumed[skill.id];
      if (taken?.state === 'checking') return isSettledAbove(skill, state) ? null : 'check';
      return taken && taken.revisit.due <= soon ? 'due' : null;
    }
    case 'nearly':
    case 'started':
      return open ? status : null;
    case 'not-started':
      return open ? 'open' : null;
  }
}

/** Worth of a skill nobody has asked yet: less where it is hardly open whether the child has it. */
function unsettled(chance: number | null): number {
  if (chance === null) return 1;
  if (chance > SURE.from) {
    return 1 - ((1 - SURE.least) * (chance - SURE.from)) / (1 - SURE.from);
  }
  return chance < FAR.below ? FAR.least + ((1 - FAR.least) * chance) / FAR.below : 1;
}

/** What is to be seen again is worth more the longer it is overdue. */
function overdue(state: ChildState, id: string, why: Candidate['why'], today: Day): number {
  if (why !== 'due' && why !== 'check') return 1;
  const due = state.skills[id]?.ledger.revisit?.due ?? state.assumed[id]?.revisit.due ?? today;
  const weeks = Math.floor(daysBetween(due, today) / 7);
  const soon = why === 'check' && weeks >= -1 ? CHECK_SOON : 1;
  return soon * Math.min(OVERDUE_MOST, WEEK_OVERDUE ** Math.max(0, weeks));
}

/** True where the check of a skill that builds on this one will settle it too. */
function isSettledAbove(skill: Skill, state: ChildState): boolean {
  return Object.entries(state.assumed).some(
    ([id, { state: how }]) =>
      how === 'checking' &&
      statusOf(skillOf(id), state) === 'assumed' &&
      prerequisitesOf(skillOf(id)).includes(skill.id),
  );
}

/**
 * The skills open to a child now, and those to review or check, best first. Open is every skill whose
 * builds-on are all known, or, where the policy follows the lead, at least nearly. A skill that rests is
 * not among them; what it builds on stands in its place. For a child who does not speak, what can only be
 * said and was not asked aloud counts as met, and is not asked.
 * @param speaks false where the child answers without words
 */
export function readySkills(state: ChildState, today: Day, speaks = true): Candidate[] {
  const statuses = new Map(SKILLS.map((skill) => [skill.id, statusOf(skill, state)]));
  const at = (id: string): SkillStatus => statuses.get(id) ?? 'not-started';
  /** Of what nobody has asked yet: as far as age, pegs and the first sessions tell. */
  const placed = (id: string): number | null =>
    state.look && at(id) === 'not-started' ? believedKnown(state.look, skillOf(id)) : null;
  const ready = (id: string): boolean =>
    (!speaks && saidAloud(skillOf(id)) && at(id) === 'not-started') ||
    opensTheNext(skillOf(id), state) ||
    (placed(id) ?? 0) >= LIKELY ||
    (state.policy === 'follow-child' && at(id) === 'nearly');
  const pointed = new Map<string, string>();
  for (const skill of SKILLS) {
    const ledger = state.skills[skill.id]?.ledger;
    const habit = ledger ? habitOf(ledger) : null;
    if (!habit) continue;
    for (const id of pointsTo(habit.code, skill.id)) {
      if (!pointed.has(id)) pointed.set(id, habit.code);
    }
  }
  const back = new Set(
    SKILLS.filter(({ id }) => isResting(state.skills[id]?.ledger, today)).flatMap(
      (skill) => skill.buildsOn,
    ),
  );
  return SKILLS.flatMap((skill): Candidate[] => {
    if (!speaks && saidAloud(skill)) return [];
    const isOpenNow = skill.buildsOn.every(ready);
    const why =
      whyNow(skill, at(skill.id), isOpenNow, state, today) ??
      (back.has(skill.id) ? 'step-back' : null);
    if (why === null) return [];
    const slip = pointed.get(skill.id) ?? null;
    const last = state.skills[skill.id]?.ledger.lastSeen ?? null;
    const blocked = openedBy(skill.id).filter((one) => !isKnown(at(one.id))).length;
    const isOpen = why === 'nearly' || why === 'started' || why === 'open' || why === 'review';
    const settles =
      why === 'check'
        ? prerequisitesOf(skill).filter((id) => state.assumed[id]?.state === 'checking').length
        : 0;
    const value =
      VALUE[why] *
      Math.min(SETTLES.most, 1 + SETTLES.each * settles) *
      unsettled(placed(skill.id)) *
      (isOpen && blocked >= MANY ? BLOCKS_MANY : 1) *
      (slip === null ? 1 : SLIP_POINTS) *
      overdue(state, skill.id, why, today) *
      (last !== null && daysBetween(last, today) <= JUST_SEEN_DAYS ? JUST_SEEN : 1);
    return [{ skillId: skill.id, value, why, slip }];
  }).sort((a, b) => b.value - a.value);
}
