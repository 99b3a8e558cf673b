import { joinWords, numberWord, plural } from '../numbers/index.js';
import { skillOf } from '../skills/index.js';
import type { Policy } from '../vocabulary/index.js';
import type { SkillView } from './conclude.js';
import { isKnown } from './status.js';

/** A skill whose status is another one under another policy. */
export interface StatusChange {
  readonly skillId: string;
  readonly from: SkillView['status'];
  readonly to: SkillView['status'];
}

const NAMES: Record<Policy, string> = {
  'secure-first': 'secure first',
  balanced: 'balanced',
  'follow-child': 'follow the child',
};
const MOST_NAMED = 3;

/** Skills whose status differs between two sets of views. */
export function changesBetween(
  before: readonly SkillView[],
  after: readonly SkillView[],
): StatusChange[] {
  const was = new Map(before.map((view) => [view.skillId, view.status]));
  return after.flatMap(({ skillId, status: status }) => {
    const from = was.get(skillId) ?? 'not-started';
    return from === status ? [] : [{ skillId, from, to: status }];
  });
}

/** A sentence that says what a new policy changed. */
export function whatChanged(policy: Policy, changes: readonly StatusChange[]): string {
  const name = NAMES[policy];
  const titles = (list: readonly StatusChange[]): string => {
    const named = list.slice(0, MOST_NAMED).map((one) => `“${skillOf(one.skillId).title}”`);
    const rest = list.length - named.length;
    return joinWords(rest > 0 ? [...named, `${numberWord(rest)} more`] : named);
  };
  const up = changes.filter((one) => isKnown(one.to) && !isKnown(one.from));
  const down = changes.filter((one) => isKnown(one.from) && !isKnown(one.to));
  const opened = policy === 'follow-child' ? ' What builds on a nearly is offered as well.' : '';
  if (up.length === 0 && down.length === 0) {
    return `With ${name}, the same evidence leads to the same beads today.${opened}`;
  }
  const parts = [
    ...(up.length > 0 ? [`${titles(up)} ${plural(up.length, 'counts', 'count')} as known`] : []),
    ...(down.length > 0
      ? [`${titles(down)} ${plural(down.length, 'asks', 'ask')} for more evidence`]
      : []),
  ];
  return `With ${name}, ${parts.join('; ')}.${opened}`;
}
