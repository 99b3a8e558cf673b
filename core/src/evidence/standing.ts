import type { Skill } from '../skills/index.js';
import type { Day } from '../vocabulary/index.js';
import { chanceOfMastery } from './ability.js';
import type { SkillState } from './fold.js';
import { EMPTY_LEDGER, NEARLY_FROM, SCORED_NEEDED } from './ledger.js';

/** How a bead is filled. */
export const STANDINGS = ['not-met', 'started', 'nearly', 'secure', 'come-back'] as const;
export type Standing = (typeof STANDINGS)[number];

/** The standing of a skill as of `today`. */
export function standingOf(skill: Skill, state: SkillState | undefined, today: Day): Standing {
  const ledger = state?.ledger ?? EMPTY_LEDGER;
  if (ledger.verdict === 'come-back') return 'come-back';
  if (ledger.verdict === 'secure') {
    return ledger.revisit && ledger.revisit.due <= today ? 'come-back' : 'secure';
  }
  if (!state || ledger.scored === 0) return 'not-met';
  if (ledger.scored < SCORED_NEEDED) return 'started';
  return chanceOfMastery(skill, state.belief) >= NEARLY_FROM ? 'nearly' : 'started';
}

/** True when the child may go on from this skill: secure, or to be come back to. */
export function isKnown(standing: Standing): boolean {
  return standing === 'secure' || standing === 'come-back';
}
