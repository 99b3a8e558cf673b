import type { Skill } from '../skills/index.js';
import type { Day } from '../vocabulary/index.js';
import { chanceOfMastery } from './ability.js';
import { type Core, holds } from './day.js';
import { EMPTY_LEDGER, NEARLY_FROM, SCORED_NEEDED } from './ledger.js';

/** How a bead is filled. */
export const STANDINGS = ['not-met', 'started', 'nearly', 'secure', 'come-back', 'taken'] as const;
export type Standing = (typeof STANDINGS)[number];

/** The standing that the evidence gives by itself, whatever the educator says. */
export function computedStanding(skill: Skill, core: Core, today: Day): Standing {
  const state = core.skills[skill.id];
  const ledger = state?.ledger ?? EMPTY_LEDGER;
  if (ledger.verdict === 'come-back') return 'come-back';
  if (ledger.verdict === 'secure') {
    return ledger.revisit && ledger.revisit.due <= today ? 'come-back' : 'secure';
  }
  const taken = core.taken[skill.id];
  if (taken?.state === 'checking') return 'taken';
  if (taken?.state === 'known') return taken.revisit.due <= today ? 'come-back' : 'taken';
  if (!state || ledger.scored === 0) return 'not-met';
  if (ledger.scored < SCORED_NEEDED || taken?.state === 'undone') return 'started';
  return chanceOfMastery(skill, state.belief) >= NEARLY_FROM ? 'nearly' : 'started';
}

/** The standing of a skill as of `today`; the educator's own word wins while it holds. */
export function standingOf(skill: Skill, core: Core, today: Day): Standing {
  const word = core.words[skill.id];
  if (holds(word)) return word.says === 'secure' ? 'secure' : 'started';
  return computedStanding(skill, core, today);
}

/** True when the child has it: secure, taken as known, or to be come back to. */
export function isKnown(standing: Standing): boolean {
  return standing === 'secure' || standing === 'come-back' || standing === 'taken';
}

/**
 * True when what builds on the skill may be offered: it is known, or it was once; what a skill
 * opened stays open.
 */
export function opensTheNext(skill: Skill, core: Core, today: Day): boolean {
  return (
    isKnown(standingOf(skill, core, today)) ||
    core.taken[skill.id] !== undefined ||
    (core.skills[skill.id]?.ledger.firstSecure ?? null) !== null
  );
}
