import { skillOf } from '../skills/index.js';
import type { Activity } from '../vocabulary/index.js';
import { creditsOf } from './kinds.js';

/** Most skills that a child is on a card for. */
const MOST_WANTED = 2;

/**
 * What put a child on the card: what it was planned for, then what is most worth its time, of what this
 * activity can ask for.
 * @param planned the skill that the plan chose the card for
 * @param frontier skills worth the child's time now, best first
 */
export function wantsFor(
  activity: Activity,
  top: number,
  planned: string | undefined,
  frontier: readonly string[],
): string[] {
  const credited = creditsOf(activity);
  const first = planned !== undefined && credited.has(planned) ? [planned] : [];
  const open = frontier.filter((id) => credited.has(id) && skillOf(id).to <= Math.max(5, top));
  return [...new Set([...first, ...open])].slice(0, MOST_WANTED);
}
