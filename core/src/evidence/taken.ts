import { SKILLS, type Skill, skillOf } from '../skills/index.js';
import { type Day, addDays } from '../vocabulary/index.js';
import { type Revisit, REVISIT_DAYS, ownShare, revisitAfter, revisitAt } from './ledger.js';
import type { Try } from './tries.js';
import { counts } from './update.js';

/** A skill taken as known without having been seen to be secure. */
export interface Taken {
  /** The skill above it that became secure, or the first look. */
  readonly from: string;
  readonly since: Day;
  /** `checking` until two on own; `known` then; `undone` after a not yet. What it opened stays. */
  readonly state: 'checking' | 'known' | 'undone';
  /** On own since it was taken as known. */
  readonly own: number;
  readonly revisit: Revisit;
}

/** Tries that confirm what was taken as known, and the days within which they are to be made. */
export const CHECK_TRIES = 2;
const CHECK_WITHIN = REVISIT_DAYS[0];
/** Once confirmed, a sitting with less than this share on own undoes it. */
const UNDONE_BELOW = 0.5;

const belowOf = new Map<string, readonly string[]>();

/** Everything that a skill builds on, directly or through others, nearest first. */
export function allBelow(skill: Skill): readonly string[] {
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

export const takeAsKnown = (from: string, since: Day): Taken => ({
  from,
  since,
  state: 'checking',
  own: 0,
  revisit: { step: 0, due: addDays(since, CHECK_WITHIN) },
});

/** What a sitting of a later day says about a skill that was taken as known. */
export function checkTaken(taken: Taken, sitting: readonly Try[], day: Day): Taken {
  const share = ownShare(sitting);
  if (taken.state === 'undone' || share === null) return taken;
  if (taken.state === 'known') {
    return share < UNDONE_BELOW
      ? { ...taken, state: 'undone' }
      : { ...taken, revisit: revisitAfter(taken.revisit, day, share) };
  }
  let { own } = taken;
  for (const one of sitting) {
    if (!counts(one)) continue;
    if (one.outcome === 'not-yet') return { ...taken, own, state: 'undone' };
    if (one.outcome === 'own') own += 1;
  }
  return own >= CHECK_TRIES
    ? { ...taken, own, state: 'known', revisit: revisitAt(0, day) }
    : { ...taken, own };
}

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
