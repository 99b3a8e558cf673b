import {
  type ChildState,
  type Candidate,
  readySkills,
  isKnown,
  statusOf,
} from '../evidence/index.js';
import { MODULES, creditsOf, roundsOf } from '../rounds/index.js';
import { type Item, type Skill, matchSkills, skillOf } from '../skills/index.js';
import type { Activity, Day } from '../vocabulary/index.js';

/** Ranges that the number activities are given in, as their top. */
const LOWEST_TOP = 3;
const HALF_RANGE = 5;
const TOPS = [LOWEST_TOP, HALF_RANGE, 10, 20, 50, 100];

/** Remembers what is found of an activity: asked a thousand times for one week, it never changes. */
function remembered<T>(find: (activity: Activity) => T): (activity: Activity) => T {
  const known = new WeakMap<Activity, T>();
  return (activity) => {
    const found = known.get(activity) ?? find(activity);
    known.set(activity, found);
    return found;
  };
}

/** Skills of an activity that its rounds can be evidence for, in the order of the map. */
export const skillsFor = remembered((activity): readonly Skill[] => {
  const credited = creditsOf(activity);
  return matchSkills(activity.skills)
    .filter((id) => credited.has(id))
    .map(skillOf);
});

/** The skills of each round of the chain, in its order. */
const skillsByRound = remembered((activity): readonly (readonly Skill[])[] =>
  roundsOf(activity).map((one) => {
    const ids = new Set(matchSkills(MODULES[one.kind].credits(one)));
    return skillsFor(activity).filter(({ id }) => ids.has(id));
  }),
);

/** The ranges an activity can be given in, lowest first, as tops. */
export const topsOf = remembered((activity): readonly number[] => {
  const skills = skillsFor(activity);
  const words = roundsOf(activity).some(({ kind }) => kind === 'rote');
  return TOPS.filter((top, i) => {
    const below = TOPS[i - 1] ?? 0;
    if (top === LOWEST_TOP) {
      return !words && skills.some((skill) => firstPart(skill).length > 0);
    }
    return skills.some(
      (skill) => rangeOf(skill) <= top && (rangeOf(skill) > below || top === HALF_RANGE),
    );
  });
});

/** Words past a hundred belong to the highest range. */
const rangeOf = ({ to }: Skill): number => Math.min(100, to);

/** Skills of an activity that belong to a range, in the order of the map. */
export const skillsInRange = (activity: Activity, top: number): Skill[] =>
  skillsFor(activity).filter((skill) =>
    top === LOWEST_TOP
      ? firstPart(skill).length > 0
      : isInRange(skill, skill.items[0] as Item, top),
  );

/** A skill belongs to the range that holds all of it; one to three is the first part of one to five. */
function isInRange(skill: Skill, item: Item, top: number): boolean {
  if (top === LOWEST_TOP) return skill.to <= HALF_RANGE && item.number <= LOWEST_TOP;
  return rangeOf(skill) <= top;
}

/** Items of one to three, where a skill turns on numbers at all. */
const firstPart = (skill: Skill): readonly Item[] =>
  skill.to > 0 ? skill.items.filter((item) => isInRange(skill, item, LOWEST_TOP)) : [];

/**
 * The range in which one skill is given: the lowest that holds all of it. For the youngest it is
 * one to three, until one, two and three were each right on their own.
 */
export function topForSkill(activity: Activity, skill: Skill, state: ChildState): number {
  const tops = topsOf(activity);
  const small = firstPart(skill);
  const tally = state.skills[skill.id]?.ledger.items;
  const first = tops.includes(LOWEST_TOP) && small.some((item) => !tally?.[item.id]?.own);
  if (first) return LOWEST_TOP;
  const top = tops.find((one) => one > LOWEST_TOP && rangeOf(skill) <= one);
  return top ?? tops[tops.length - 1] ?? HALF_RANGE;
}

/** The range for what one round is evidence for; null where all of it is known. */
function topForRound(
  activity: Activity,
  skills: readonly Skill[],
  state: ChildState,
  frontier: readonly Candidate[],
): number | null {
  const open = skills.filter((skill) => !isKnown(statusOf(skill, state)));
  if (open.length === 0) return null;
  const ids = new Set(open.map((skill) => skill.id));
  const best = frontier.find((one) => ids.has(one.skillId));
  if (best) return topForSkill(activity, skillOf(best.skillId), state);
  return Math.min(...open.map((skill) => topForSkill(activity, skill, state)));
}

/**
 * The range that fits a child now: that of the open skill with most to gain among those of the
 * activity's first round; where none of them is open yet, the lowest; where all are known, by its
 * next round. The highest where everything is known.
 * @param frontier what is open to the child, where the caller has it already
 */
export function topFor(
  activity: Activity,
  state: ChildState,
  today: Day,
  frontier: readonly Candidate[] = readySkills(state, today),
): number {
  for (const skills of skillsByRound(activity)) {
    const top = topForRound(activity, skills, state, frontier);
    if (top !== null) return top;
  }
  const tops = topsOf(activity);
  return tops[tops.length - 1] ?? HALF_RANGE;
}

/** The range one step down or up from a top; the same where there is none. */
export function neighborTop(tops: readonly number[], top: number, step: -1 | 1): number {
  const place = tops.indexOf(top);
  const nearest = place >= 0 ? place : tops.findIndex((one) => one > top);
  return tops[nearest + step] ?? top;
}
