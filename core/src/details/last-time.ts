import type { Observation } from '../vocabulary/index.js';
import { askedWords } from './asked-words.js';

/**
 * One line to open with, from the tries of the last session in the same activity: what was hard,
 * or that nothing was. Null where nothing was asked then.
 */
export function lastTime(tries: readonly Observation[]): string | null {
  const asked = tries.filter((one) => one.round && one.outcome !== 'not-now');
  const hard =
    asked.find(({ outcome }) => outcome === 'not-yet') ??
    asked.find(({ outcome }) => outcome === 'help');
  if (asked.length === 0) return null;
  return hard
    ? `Last time this one was hard: ${askedWords(hard)}. Today we start with an easy one.`
    : 'Last time you did every one on your own. Let’s play it again.';
}
