import { type Skill, skillOf } from '../skills/index.js';
import { type Distribution, GRID_POINTS, abilityAt, normalized, priorAbility } from './ability.js';
import type { EvidenceState } from './day.js';
import { believedKnown } from './first-look.js';
import { opensTheNext, statusOf } from './status.js';

/** What is expected of a skill that is assumed, and of one whose ground is not laid or just is. */
const ASSUMED = 0.93;
const NO_GROUND = 0.08;
const GROUND = 0.3;
/** Abilities of a child who has a skill, and of one who has not: mean and spread. */
const HAS = { mean: 1.8, sd: 1 };
const HAS_NOT = { mean: -1, sd: 1.2 };
/** After so many scored tries the evidence speaks alone. */
const SPEAKS_ALONE = 6;

/**
 * The chance that a child has a skill of which little was seen, as far as the places tell, or the
 * ground it builds on; null where nothing tells. For choosing what to ask, never for a decision.
 * @returns 0 to 1
 */
export function chanceKnown(skill: Skill, state: EvidenceState): number | null {
  const status = statusOf(skill, state);
  if (status === 'assumed') return ASSUMED;
  if (status === 'secure' || status === 'review') return null;
  if (isBlank(state)) return null;
  const onGround = skill.buildsOn.every((id) => opensTheNext(skillOf(id), state));
  if (state.look) return Math.max(believedKnown(state.look, skill), onGround ? GROUND : 0);
  return onGround ? null : NO_GROUND;
}

/** True while nothing at all is known of a child. */
const isBlank = ({ look, skills, assumed, overrides }: EvidenceState): boolean =>
  look === null && [skills, assumed, overrides].every((one) => Object.keys(one).length === 0);

const bell = (theta: number, { mean, sd }: typeof HAS): number =>
  Math.exp(-0.5 * ((theta - mean) / sd) ** 2) / sd;

/** A belief as it is where nothing was seen, weighed by what is expected of the skill. */
export function withExpectation(
  skill: Skill,
  state: EvidenceState,
  belief: Distribution,
): Distribution {
  const chance = chanceKnown(skill, state);
  const scored = state.skills[skill.id]?.ledger.scored ?? 0;
  const weight = 1 - scored / SPEAKS_ALONE;
  if (chance === null || weight <= 0) return belief;
  const usual = priorAbility();
  return normalized(
    Array.from({ length: GRID_POINTS }, (_, i) => {
      const theta = abilityAt(i);
      const expected = chance * bell(theta, HAS) + (1 - chance) * bell(theta, HAS_NOT);
      return (belief[i] as number) * (expected / (usual[i] as number)) ** weight;
    }),
  );
}
