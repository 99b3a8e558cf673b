import { skillOf } from '../skills/index.js';
import type { Day } from '../vocabulary/index.js';
import type { ChildState } from './replay.js';
import { readySkills } from './ready-skills.js';
import { statusOf } from './status.js';

/** At most this many of one strand, so that a short list is not of one kind. */
const MOST_OF_A_STRAND = 2;

/**
 * The skills that are likeliest to be seen of a child now, likeliest first: what it is at, the last
 * seen first, then what is open to it; no more than two of a strand.
 */
export function likelySkills(state: ChildState, today: Day, speaks = true, most = 5): string[] {
  const begun = Object.keys(state.skills)
    .filter((id) => ['started', 'nearly'].includes(statusOf(skillOf(id), state)))
    .sort((a, b) => (state.skills[b]?.day ?? '').localeCompare(state.skills[a]?.day ?? ''));
  const open = readySkills(state, today, speaks).map((one) => one.skillId);
  const chosen: string[] = [];
  const strands = new Map<string, number>();
  for (const skillId of new Set([...begun, ...open])) {
    const { strand } = skillOf(skillId);
    const count = strands.get(strand) ?? 0;
    if (chosen.length >= most) break;
    if (count >= MOST_OF_A_STRAND) continue;
    strands.set(strand, count + 1);
    chosen.push(skillId);
  }
  return chosen;
}
