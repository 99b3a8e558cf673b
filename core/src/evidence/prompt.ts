import { hashText } from '../numbers/index.js';
import { GUESS_CHANCE, type SkillItem, openedBy, skillOf } from '../skills/index.js';
import type { Day, Outcome } from '../vocabulary/index.js';
import { CEILING, type Distribution } from './ability.js';
import { chanceOfItem } from './conclude.js';
import type { EvidenceState } from './day.js';
import { withExpectation } from './expectation.js';
import { beliefOn } from './replay.js';
import { isKnown, statusOf } from './status.js';

/** Something that can be asked now; those that look alike at the table share a `key`. */
export interface Askable {
  readonly skillId: string;
  readonly itemId: string;
  readonly key: string;
}

/** What was asked already in this session, first to last. */
export interface Asked {
  readonly key: string;
  readonly outcome: Outcome;
}

/** First and last try, and after a not yet: something the child is nearly sure of. */
const FRIENDLY = 0.85;
const AIM = 0.78;

/** How much a try would tell (Fisher information of the three-parameter curve), before scaling. */
function information(chance: number, guess: number): number {
  const share = Math.min(1, Math.max(0, (chance - guess) / (CEILING - guess)));
  return ((CEILING - guess) * share * (1 - share)) ** 2 / (chance * (1 - chance));
}

/** Chances that the next try on items would be on their own, as believed on a day. */
export function chancesOn(state: EvidenceState, today: Day): (item: SkillItem) => number {
  const known = chancesByState.get(state);
  if (known?.day === today) return known.of;
  const of = chancesFrom(state, today);
  chancesByState.set(state, { day: today, of });
  return of;
}

/** One state is asked about many times between two tries. */
const chancesByState = new WeakMap<
  EvidenceState,
  { readonly day: Day; readonly of: (item: SkillItem) => number }
>();

function chancesFrom(state: EvidenceState, today: Day): (item: SkillItem) => number {
  const beliefs = new Map<string, Distribution>();
  return ({ skillId, itemId }) => {
    const skill = skillOf(skillId);
    const belief =
      beliefs.get(skillId) ?? withExpectation(skill, state, beliefOn(state.skills[skillId], today));
    beliefs.set(skillId, belief);
    return chanceOfItem(skill, itemId, belief);
  };
}

/** The lowest chance on their own that the next prompt should have, 0.6 to 0.9. */
export function wantedChance(asked: readonly Asked[], last: boolean): number {
  if (asked.length === 0 || last || asked[asked.length - 1]?.outcome === 'not-yet') {
    return FRIENDLY;
  }
  const score = asked.reduce(
    (sum, { outcome }) => sum + (outcome === 'own' ? 1 : outcome === 'not-now' ? AIM : 0),
    0,
  );
  return Math.min(0.9, Math.max(0.6, AIM * (asked.length + 1) - score));
}

/**
 * Chooses what to ask next: among what was asked least in this session, the prompt that tells most,
 * favors what was never right on their own, and keeps about seven in ten on their own. Never the same twice
 * running. Ties are settled by the seed. Null when there is nothing to ask.
 * @param last true when the session is about to end
 */
export function nextPrompt(
  candidates: readonly Askable[],
  state: EvidenceState,
  asked: readonly Asked[],
  today: Day,
  seed: string,
  last = false,
): Askable | null {
  const lastKey = asked[asked.length - 1]?.key;
  const used = new Map<string, number>();
  for (const { key } of asked) used.set(key, (used.get(key) ?? 0) + 1);
  const others = candidates.filter((one) => one.key !== lastKey);
  if (others.length === 0) return candidates[0] ?? null;
  const least = Math.min(...others.map((one) => used.get(one.key) ?? 0));
  let open = others.filter((one) => (used.get(one.key) ?? 0) === least);
  const wanted = wantedChance(asked, last);
  if (wanted === FRIENDLY) {
    const has = (id: string): boolean => isKnown(statusOf(skillOf(id), state));
    const known = open.filter((one) => has(one.skillId));
    // The furthest of what is known: what lies far below it would be no question.
    const last = known.filter((one) => !openedBy(one.skillId).some(({ id }) => has(id)));
    if (known.length > 0) open = last.length > 0 ? last : known;
  }
  const chanceOf = chancesOn(state, today);
  const weighed = open.map((candidate) => {
    const skill = skillOf(candidate.skillId);
    const known = state.skills[candidate.skillId];
    const chance = chanceOf(candidate);
    const fresh = (known?.ledger.items[candidate.itemId]?.own ?? 0) === 0;
    return { candidate, chance, fresh, tells: information(chance, GUESS_CHANCE[skill.answers]) };
  });
  const most = Math.max(...weighed.map((one) => one.tells), Number.MIN_VALUE);
  const value = (one: (typeof weighed)[number]): number =>
    one.tells / most + (one.fresh ? 0.5 : 0) - 4 * Math.max(0, wanted - one.chance);
  const tie = (one: (typeof weighed)[number]): number => hashText(`${seed}/${one.candidate.key}`);
  weighed.sort((a, b) => value(b) - value(a) || tie(a) - tie(b));
  return weighed[0]?.candidate ?? null;
}
