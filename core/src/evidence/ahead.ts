import type { Skill } from '../skills/index.js';
import { type Policy, addDays } from '../vocabulary/index.js';
import { type Ledger, replaySkill } from './ledger.js';
import type { SkillState } from './state.js';
import type { Try } from './tries.js';
import { afterGap } from './update.js';

/** Most tries looked ahead for "what would change it". */
const LOOK_AHEAD = 8;

/** Items from least asked to most asked, those never right on their own first. */
function itemsToAsk(skill: Skill, ledger: Ledger): string[] {
  const weight = (id: string): number => {
    const tally = ledger.items[id];
    return tally ? (tally.own > 0 ? 100 : 0) + tally.asked : -1;
  };
  const place = new Map(skill.items.map((item, i) => [item.id, i]));
  return [...place.keys()].sort(
    (a, b) => weight(a) - weight(b) || (place.get(a) ?? 0) - (place.get(b) ?? 0),
  );
}

/**
 * How many tries in one session on the next day would change the verdict, or raise a doubt about a
 * secure skill, all with the same outcome; null when even eight would not.
 */
export function triesToChange(
  skill: Skill,
  state: SkillState,
  outcome: 'own' | 'not-yet',
  policy: Policy,
): number | null {
  const day = addDays(state.day, 1);
  const prior = afterGap(state.belief, 1, state.ledger.verdict === 'secure');
  const order = itemsToAsk(skill, state.ledger);
  const tries = Array.from({ length: LOOK_AHEAD }, (_, i): Try => ({
    observationId: String(i),
    skillId: skill.id,
    itemId: order[i % order.length] as string,
    outcome,
    guess: null,
    at: '',
    day,
    session: 'ahead',
    materials: [],
    slips: [],
    firstLook: false,
  }));
  const { verdict, lookAgain } = state.ledger;
  const changes = (count: number): boolean => {
    const after = replaySkill(skill, prior, state.ledger, tries.slice(0, count), policy).ledger;
    return after.verdict !== verdict || (lookAgain === null && after.lookAgain !== null);
  };
  if (!changes(LOOK_AHEAD)) return null;
  for (let count = 1; count < LOOK_AHEAD; count++) if (changes(count)) return count;
  return LOOK_AHEAD;
}
