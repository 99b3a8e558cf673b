import { type Skill, saidAloud } from '../skills/index.js';
import type { Day } from '../vocabulary/index.js';
import { chanceOfMastery } from './ability.js';
import { type EvidenceState, holds } from './day.js';
import { EMPTY_LEDGER, NEARLY_FROM, SCORED_NEEDED, isResting } from './ledger.js';

/** How a bead is filled; `review` is one that was secure and is so no longer. */
export const SKILL_STATUSES = [
  'not-started',
  'started',
  'nearly',
  'secure',
  'review',
  'assumed',
] as const;
export type SkillStatus = (typeof SKILL_STATUSES)[number];

/** What stands beside a status: a review or check that is due, a doubt, or a rest. */
export const MARKS = ['due', 'look-again', 'resting'] as const;
export type Mark = (typeof MARKS)[number];

/** The status that the evidence gives by itself, whatever the educator says. */
export function computedStatus(skill: Skill, core: EvidenceState): SkillStatus {
  const state = core.skills[skill.id];
  const ledger = state?.ledger ?? EMPTY_LEDGER;
  if (ledger.verdict !== 'open') return ledger.verdict;
  const taken = core.assumed[skill.id];
  if (taken && taken.state !== 'undone') return 'assumed';
  if (!state || ledger.scored === 0) return 'not-started';
  if (ledger.scored < SCORED_NEEDED) return 'started';
  return chanceOfMastery(skill, state.belief) >= NEARLY_FROM ? 'nearly' : 'started';
}

/** The mark beside the status as of `today`; the educator's own judgment leaves none. */
export function markOf(skill: Skill, core: EvidenceState, today: Day): Mark | null {
  if (holds(core.overrides[skill.id])) return null;
  const ledger = core.skills[skill.id]?.ledger ?? EMPTY_LEDGER;
  if (ledger.verdict === 'secure') {
    if (ledger.lookAgain !== null) return 'look-again';
    return ledger.revisit && ledger.revisit.due <= today ? 'due' : null;
  }
  if (isResting(ledger, today)) return 'resting';
  const taken = core.assumed[skill.id];
  const isTaken = ledger.verdict === 'open' && taken && taken.state !== 'undone';
  return isTaken && taken.revisit.due <= today ? 'due' : null;
}

/** The standing of a skill; the educator's judgment wins while it holds. */
export function statusOf(skill: Skill, core: EvidenceState): SkillStatus {
  const word = core.overrides[skill.id];
  if (holds(word)) return word.says === 'secure' ? 'secure' : 'started';
  return computedStatus(skill, core);
}

/**
 * The evidence as it tells of a skill that can only be said, for a child who does not speak: it is
 * not assumed and stays open, whatever builds on it.
 */
export const asHeard = <C extends EvidenceState>(skill: Skill, evidence: C, speaks: boolean): C =>
  speaks || !saidAloud(skill) ? evidence : { ...evidence, assumed: {} };

/** True when the child has it: secure, or assumed. */
export function isKnown(status: SkillStatus): boolean {
  return status === 'secure' || status === 'assumed';
}

/**
 * True when what builds on the skill may be offered: it is known, or it was once; what a skill
 * opened stays open.
 */
export function opensTheNext(skill: Skill, core: EvidenceState): boolean {
  return (
    isKnown(statusOf(skill, core)) ||
    core.assumed[skill.id] !== undefined ||
    (core.skills[skill.id]?.ledger.firstSecure ?? null) !== null
  );
}
