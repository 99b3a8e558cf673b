import { SKILLS, type Skill, skillOf } from '../skills/index.js';
import { type Day, addDays } from '../vocabulary/index.js';
import {
  LOOK_AGAIN_DAYS,
  type Revisit,
  REVISIT_DAYS,
  ownShare,
  revisitAfter,
  revisitAt,
} from './ledger.js';
import type { Try } from './tries.js';
import { counts } from './update.js';

/** A skill assumed without having been seen to be secure. */
export interface Assumption {
  /** The skill above it that became secure, or the first look. */
  readonly from: string;
  readonly since: Day;
  /** `checking` until the check is over; then `known` or `undone`. What it opened stays. */
  readonly state: 'checking' | 'known' | 'undone';
  /** On their own, and missed, in the check that is going on or that was the last one. */
  readonly own: number;
  readonly missed: number;
  readonly revisit: Revisit;
}

/** So many on their own before so many misses hold it; help is a miss. */
export const CHECK_TRIES = 2;
const CHECK_MISSES = 2;
/** Days within which the check is to be made. */
const CHECK_WITHIN = REVISIT_DAYS[0];
/** Below this share on their own a session speaks against what it asked and what builds on it. */
const WEAK_BELOW = 0.5;

const belowOf = new Map<string, readonly string[]>();

/** Everything that a skill builds on, directly or through others, nearest first. */
export function prerequisitesOf(skill: Skill): readonly string[] {
  const known = belowOf.get(skill.id);
  if (known) return known;
  const found = new Set<string>();
  const queue = [...skill.buildsOn];
  for (const id of queue) {
    if (found.has(id)) continue;
    found.add(id);
    queue.push(...skillOf(id).buildsOn);
  }
  const made = [...found];
  belowOf.set(skill.id, made);
  return made;
}

export const assumeBelow = (from: string, since: Day): Assumption => ({
  from,
  since,
  state: 'checking',
  own: 0,
  missed: 0,
  revisit: { step: 0, due: addDays(since, CHECK_WITHIN) },
});

/** A check that was passed: reviews begin. */
export const held = (taken: Assumption, day: Day): Assumption => ({
  ...taken,
  state: 'known',
  revisit: revisitAt(0, day),
});

/** What a session of a later day says about a skill that was assumed. */
export function checkAssumption(taken: Assumption, session: readonly Try[], day: Day): Assumption {
  const share = ownShare(session);
  if (taken.state === 'undone' || share === null) return taken;
  if (taken.state === 'known') {
    return share < WEAK_BELOW
      ? // It is checked once more, soon.
        { ...assumeBelow(taken.from, taken.since), revisit: soon(taken.revisit, day) }
      : { ...taken, revisit: revisitAfter(taken.revisit, day, session) };
  }
  let { own, missed } = taken;
  for (const one of session) {
    if (!counts(one)) continue;
    if (one.outcome === 'own') own += 1;
    else missed += 1;
    if (own >= CHECK_TRIES) return held({ ...taken, own, missed }, day);
    if (missed >= CHECK_MISSES) return { ...taken, own, missed, state: 'undone' };
  }
  return { ...taken, own, missed };
}

const soon = ({ step }: Revisit, day: Day): Revisit => ({
  step,
  due: addDays(day, LOOK_AGAIN_DAYS),
});

/** A check that is due at once, where what the skill builds on went badly. */
export const checkNow = (taken: Assumption, day: Day): Assumption =>
  taken.state === 'checking' && day < taken.revisit.due
    ? { ...taken, revisit: { ...taken.revisit, due: day } }
    : taken;

/** True where a session speaks against what builds on the skill it asked. */
export const isWeak = (session: readonly Try[]): boolean => (ownShare(session) ?? 1) < WEAK_BELOW;

/** Skills in an order in which each comes after all it builds on. */
export const FROM_THE_GROUND: readonly Skill[] = (() => {
  const done = new Set<string>();
  const order: Skill[] = [];
  const visit = (skill: Skill): void => {
    if (done.has(skill.id)) return;
    done.add(skill.id);
    skill.buildsOn.forEach((id) => visit(skillOf(id)));
    order.push(skill);
  };
  SKILLS.forEach(visit);
  return order;
})();
