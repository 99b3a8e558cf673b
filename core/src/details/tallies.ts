import type { ChildState } from '../evidence/index.js';
import { findSkill } from '../skills/index.js';
import type { Outcome } from '../vocabulary/index.js';

/** What was seen of one thing that can be asked, perhaps under several skills. */
export interface Seen {
  readonly asked: number;
  readonly own: number;
  readonly last: Outcome | null;
}

export const NOT_SEEN: Seen = { asked: 0, own: 0, last: null };

/** One more outcome of something. */
export function addTo(map: Map<string, Seen>, key: string, outcome: Outcome): void {
  const { asked, own } = map.get(key) ?? NOT_SEEN;
  map.set(key, { asked: asked + 1, own: own + (outcome === 'own' ? 1 : 0), last: outcome });
}

/** Adds up what was seen of the given items; the last outcome is that of the last item asked. */
export function seenOf(
  state: ChildState,
  items: readonly (readonly [skillId: string, itemId: string])[],
): Seen {
  return items.reduce<Seen>((sum, [skillId, itemId]) => {
    const tally = state.skills[skillId]?.ledger.items[itemId];
    if (!tally) return sum;
    return { asked: sum.asked + tally.asked, own: sum.own + tally.own, last: tally.last };
  }, NOT_SEEN);
}

/** Item ids of some skills that stand for a number, as [skill, item]. */
export function itemsFor(
  skillIds: readonly string[],
  number: number,
  isWanted: (form: string | null) => boolean = () => true,
): (readonly [string, string])[] {
  return skillIds.flatMap((id) =>
    (findSkill(id)?.items ?? [])
      .filter((item) => item.number === number && isWanted(item.form))
      .map((item) => [id, item.id] as const),
  );
}
