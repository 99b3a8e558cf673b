import type { Skill } from '../skills/index.js';
import { type Policy, addDays } from '../vocabulary/index.js';
import type { SkillState } from './fold.js';
import { type Ledger, replayDay } from './ledger.js';
import type { Try } from './tries.js';
import { afterGap } from './update.js';

/** Most tries looked ahead for "what would change it". */
const LOOK_AHEAD = 8;

/** Items from least asked to most asked, those never right on own first. */
function itemsToAsk(skill: Skill, ledger: Ledger): string[] {
  const weight = (id: string): number => {
    const tally = ledger.items[id];
    return tally ? (tally.own > 0 ? 100 : 0) + tally.asked : -1;
  };
  return skill.items
    .map((item) => item.id)
    .sort((a, b) => weight(a) - weight(b) || skillOrder(skill, a) - skillOrder(skill, b));
}

const skillOrder = (skill: Skill, id: string): number =>
  skill.items.findIndex((item) => item.id === id);

/**
 * How many tries in one sitting on the next day would change the verdict, all with the same
 * outcome; null when even eight would not.
 */
export function triesToChange(
  skill: Skill,
  state: SkillState,
  outcome: 'own' | 'not-yet',
  policy: Policy,
): number | null {
  const day = addDays(state.day, 1);
  const prior = afterGap(state.belief, 1);
  const order = itemsToAsk(skill, state.ledger);
  const made = (count: number): Try[] =>
    Array.from({ length: count }, (_, i) => ({
      observationId: String(i),
      skillId: skill.id,
      itemId: order[i % order.length] as string,
      outcome,
      triedFirst: true,
      at: '',
      day,
      sitting: 'ahead',
      things: [],
      slips: [],
    }));
  for (let count = 1; count <= LOOK_AHEAD; count++) {
    const { ledger } = replayDay(skill, prior, state.ledger, made(count), policy);
    if (ledger.verdict !== state.ledger.verdict) return count;
  }
  return null;
}
