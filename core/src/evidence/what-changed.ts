import { joinWords, numberWord } from '../numbers/index.js';
import { skillOf } from '../skills/index.js';
import type { Policy } from '../vocabulary/index.js';
import type { SkillView } from './conclude.js';
import { isKnown } from './standing.js';

/** A skill whose standing is another one under another policy. */
export interface StandingChange {
  readonly skillId: string;
  readonly from: SkillView['standing'];
  readonly to: SkillView['standing'];
}

const NAMES: Record<Policy, string> = {
  'secure-first': 'secure first',
  middle: 'the middle',
  'follow-lead': 'follow the lead',
};
const MOST_NAMED = 3;

/** Skills whose standing differs between two sets of views. */
export function changesBetween(
  before: readonly SkillView[],
  after: readonly SkillView[],
): StandingChange[] {
  const was = new Map(before.map((view) => [view.skillId, view.standing]));
  return after.flatMap(({ skillId, standing }) => {
    const from = was.get(skillId) ?? 'not-met';
    return from === standing ? [] : [{ skillId, from, to: standing }];
  });
}

/** A sentence that says what a new policy changed. */
export function whatChanged(policy: Policy, changes: readonly StandingChange[]): string {
  const name = NAMES[policy];
  const titles = (list: readonly StandingChange[]): string => {
    const named = list.slice(0, MOST_NAMED).map((one) => `“${skillOf(one.skillId).title}”`);
    const rest = list.length - named.length;
    return joinWords(rest > 0 ? [...named, `${numberWord(rest)} more`] : named);
  };
  const up = changes.filter((one) => isKnown(one.to) && !isKnown(one.from));
  const down = changes.filter((one) => isKnown(one.from) && !isKnown(one.to));
  const opened = policy === 'follow-lead' ? ' What builds on a nearly is offered as well.' : '';
  if (up.length === 0 && down.length === 0) {
    return `With ${name}, the same evidence leads to the same beads today.${opened}`;
  }
  const parts = [
    ...(up.length > 0 ? [`${titles(up)} ${up.length === 1 ? 'counts' : 'count'} as known`] : []),
    ...(down.length > 0
      ? [`${titles(down)} ${down.length === 1 ? 'asks' : 'ask'} for more evidence`]
      : []),
  ];
  return `With ${name}, ${parts.join('; ')}.${opened}`;
}
