import {
  type Candidate,
  type ChildState,
  type Wanted,
  allBelow,
  frontierOf,
  isKnown,
  opensTheNext,
  standingOf,
} from '../evidence/index.js';
import { type Item, type Skill, findItem, matchSkills, skillOf } from '../skills/index.js';
import type {
  Activity,
  AnswerMode,
  Answered,
  CaptureKind,
  Day,
  Layout,
} from '../vocabulary/index.js';
import { asking } from './asking.js';
import { chartFor } from './charts.js';
import { captureKindOf, familyOf, kindsWithin, recordable } from './kinds.js';
import { plannedSlip } from './planned-slip.js';
import { wayFor } from './ways-to-answer.js';

/** What an educator asks now: the sentence to say, what lies there, and what is expected. */
export interface Prompt extends Candidate {
  readonly kind: CaptureKind;
  /** The sentence to say, as it stands. */
  readonly ask: string;
  /** What should lie there, for the adult. */
  readonly lay: string;
  /** The number that answers it; the last word of a reach. */
  readonly expected: number;
  readonly from: number;
  readonly direction: 'up' | 'down';
  readonly layout: Layout | null;
  /** How far apart the words of a reach lie: 1, or 2, 5 and 10 for counting in steps. */
  readonly step: number;
  /** The number the item turns on, 0 where none does, and the item as a person says it. */
  readonly number: number;
  readonly label: string;
  /** How this child answers it. */
  readonly way: Answered;
  /** What the item is made of, and what sets it apart; see the skill map. */
  readonly parts: readonly number[];
  readonly form: string | null;
}

/** Ranges that the number activities are given in, as their top. */
const LOWEST_TOP = 3;
const HALF_RANGE = 5;
const TOPS = [LOWEST_TOP, HALF_RANGE, 10, 20, 50, 100];

/** Remembers what is found of an activity: asked a thousand times for one week, it never changes. */
function remembered<T>(
  find: (activity: Activity, kinds: readonly CaptureKind[]) => T,
): (activity: Activity, kinds: readonly CaptureKind[]) => T {
  const known = new WeakMap<Activity, Map<string, T>>();
  return (activity, kinds) => {
    const some = known.get(activity) ?? new Map<string, T>();
    const key = kinds.join();
    const found = some.get(key) ?? find(activity, kinds);
    known.set(activity, some.set(key, found));
    return found;
  };
}

/** Skills of an activity that can be recorded with the given kinds, in the order of the map. */
export const skillsFor = remembered((activity, kinds): readonly Skill[] =>
  matchSkills(activity.skills)
    .filter((id) => recordable(id, kinds))
    .map(skillOf),
);

/** The ranges an activity can be given in, lowest first, as tops. */
export const topsOf = remembered((activity, kinds): readonly number[] => {
  const skills = skillsFor(activity, kinds);
  const reach = skills.some((skill) => captureKindOf(skill.id) === 'reach');
  return TOPS.filter((top, i) => {
    const below = TOPS[i - 1] ?? 0;
    if (top === LOWEST_TOP) {
      return !reach && skills.some((skill) => firstPart(skill).length > 0);
    }
    return skills.some((skill) => skill.to <= top && (skill.to > below || top === HALF_RANGE));
  });
});

/** Skills of an activity that belong to a range, in the order of the map. */
export const skillsInRange = (
  activity: Activity,
  kinds: readonly CaptureKind[],
  top: number,
): Skill[] =>
  skillsFor(activity, kinds).filter((skill) =>
    top === LOWEST_TOP
      ? firstPart(skill).length > 0
      : isInRange(skill, skill.items[0] as Item, top),
  );

/** A skill belongs to the range that holds all of it; one to three is the first part of one to five. */
function isInRange(skill: Skill, item: Item, top: number): boolean {
  if (top === LOWEST_TOP) return skill.to <= HALF_RANGE && item.number <= LOWEST_TOP;
  return skill.to <= top;
}

/** Items of one to three, where a skill turns on numbers at all. */
const firstPart = (skill: Skill): readonly Item[] =>
  skill.to > 0 ? skill.items.filter((item) => isInRange(skill, item, LOWEST_TOP)) : [];

/**
 * The range in which one skill is given: the lowest that holds all of it. For the youngest it is
 * one to three, until one, two and three were each right on own.
 */
export function topForSkill(
  activity: Activity,
  kinds: readonly CaptureKind[],
  skill: Skill,
  state: ChildState,
): number {
  const tops = topsOf(activity, kinds);
  const small = firstPart(skill);
  const tally = state.skills[skill.id]?.ledger.items;
  const first = tops.includes(LOWEST_TOP) && small.some((item) => !tally?.[item.id]?.own);
  if (first) return LOWEST_TOP;
  const top = tops.find((one) => one > LOWEST_TOP && skill.to <= one);
  return top ?? tops[tops.length - 1] ?? HALF_RANGE;
}

/** The range for what one capture kind records; null where all of it is known. */
function topForKind(
  activity: Activity,
  kind: CaptureKind,
  state: ChildState,
  today: Day,
  frontier: readonly Wanted[],
): number | null {
  const skills = skillsFor(activity, [kind]).filter(
    (skill) => kindsWithin(skill.id, [kind])[0] === kind,
  );
  const open = skills.filter((skill) => !isKnown(standingOf(skill, state)));
  if (open.length === 0) return null;
  const ids = new Set(open.map((skill) => skill.id));
  const best = frontier.find((one) => ids.has(one.skillId));
  if (best) return topForSkill(activity, activity.capture, skillOf(best.skillId), state);
  return Math.min(...open.map((skill) => topForSkill(activity, activity.capture, skill, state)));
}

/**
 * The range that fits a child now: that of the open skill with most to gain among those that the
 * activity's first kind of record takes; where none of them is open yet, the lowest; where all are
 * known, by its next kind. The highest where everything is known.
 * @param frontier what is open to the child, where the caller has it already
 */
export function topFor(
  activity: Activity,
  kinds: readonly CaptureKind[],
  state: ChildState,
  today: Day,
  frontier: readonly Wanted[] = frontierOf(state, today),
): number {
  for (const kind of kinds) {
    const top = topForKind(activity, kind, state, today, frontier);
    if (top !== null) return top;
  }
  const tops = topsOf(activity, kinds);
  return tops[tops.length - 1] ?? HALF_RANGE;
}

/** The range one step down or up from a top; the same where there is none. */
export function neighborTop(tops: readonly number[], top: number, step: -1 | 1): number {
  const place = tops.indexOf(top);
  const nearest = place >= 0 ? place : tops.findIndex((one) => one > top);
  return tops[nearest + step] ?? top;
}

/** Everything that can be asked in an activity up to a top; one prompt a look at the table. */
export function promptsOf(
  activity: Activity,
  top: number,
  kinds: readonly CaptureKind[],
  modes: readonly AnswerMode[],
): Prompt[] {
  const prompts = new Map<string, Prompt>();
  for (const skill of skillsFor(activity, kinds)) {
    for (const item of askable(skill)) {
      if (!isInRange(skill, item, top)) continue;
      for (const kind of kindsAsked(skill.id, item.id, kinds)) {
        // A count asks for the touching and the total at once; the later skill stands for both.
        const prompt = promptFor(skill.id, item.id, modes, kind);
        if (prompt) prompts.set(prompt.key, prompt);
      }
    }
  }
  return [...prompts.values()];
}

/** One kind an item, as the activity would record it; a planned slip stands beside the plain one. */
function kindsAsked(
  skillId: string,
  itemId: string,
  kinds: readonly CaptureKind[],
): readonly CaptureKind[] {
  const found = kindsWithin(skillId, kinds, itemId);
  return found[0] === 'catch' ? found.slice(0, 2) : found.slice(0, 1);
}

/**
 * The prompts that a child is ready for: of skills that were met, or whose builds-on are all known.
 * Where none is, those that build on nothing else that is asked here; the same for the kind of
 * record that the activity is there for, so that its own question is always among them. A planned
 * slip is for what the child is sure of, and then it is all that is asked.
 * @param main the kind of record that comes first in the activity
 */
export function readyPrompts(
  prompts: readonly Prompt[],
  state: ChildState,
  today: Day,
  main?: CaptureKind,
): readonly Prompt[] {
  const ready = new Map<string, boolean>();
  const isReady = (id: string): boolean => {
    let known = ready.get(id);
    if (known === undefined) {
      const below = skillOf(id).buildsOn;
      known =
        (state.skills[id]?.ledger.own ?? 0) > 0 ||
        below.every((one) => opensTheNext(skillOf(one), state));
      ready.set(id, known);
    }
    return known;
  };
  const slips = prompts.filter(
    ({ kind, skillId }) => kind === 'catch' && isKnown(standingOf(skillOf(skillId), state)),
  );
  if (slips.length > 0) return slips;
  const plain = prompts.filter((prompt) => prompt.kind !== 'catch');
  const open = plain.filter((prompt) => isReady(prompt.skillId));
  const found = open.length > 0 ? open : lowest(plain);
  const own = plain.filter((prompt) => prompt.kind === main);
  const hasOwn = own.length === 0 || found.some((prompt) => prompt.kind === main);
  return hasOwn ? found : [...found, ...lowest(own)];
}

/** Prompts of skills that build on no other skill among them. */
function lowest(prompts: readonly Prompt[]): readonly Prompt[] {
  const asked = new Set(prompts.map((prompt) => prompt.skillId));
  return prompts.filter(
    (prompt) => !allBelow(skillOf(prompt.skillId)).some((below) => asked.has(below)),
  );
}

/** Cards of one order that are laid at once; see the record of an order. */
const ORDER_STRETCH = 5;

/** Forward counts are asked as a whole, to the end of the range; an order a stretch at a time. */
function askable(skill: Skill): readonly Item[] {
  const family = familyOf(skill.id);
  if (family === 'say') return skill.items.slice(-1);
  if (family !== 'order') return skill.items;
  const all = [...skill.items].sort((a, b) => a.number - b.number);
  return all.filter((_, i) => i % ORDER_STRETCH === 0 && (i === 0 || i < all.length - 1));
}

/**
 * The prompt for one item of one skill, or null where none is known.
 * @param kind how it is to be recorded; the usual way for the skill unless given
 */
export function promptFor(
  skillId: string,
  itemId: string,
  modes: readonly AnswerMode[],
  kind?: CaptureKind,
): Prompt | null {
  const item = findItem(skillId, itemId);
  if (!item) return null;
  const recorded = kind ?? captureKindOf(skillId, itemId);
  const way = wayFor(recorded, item, modes);
  const key = promptKey(recorded, skillId, itemId, way);
  const found = asking(skillOf(skillId), item, way, recorded);
  return {
    kind: recorded,
    skillId,
    itemId,
    key,
    ask:
      recorded === 'chart'
        ? chartFor({ skillId, itemId, parts: item.parts, key }).question
        : found.ask,
    lay: recorded === 'catch' ? `The puppet ${plannedSlip(skillId, item.number, key)}.` : found.lay,
    expected: found.expected ?? item.number,
    from: found.from ?? 1,
    direction: found.direction ?? 'up',
    layout: found.layout ?? null,
    step: found.step ?? 1,
    number: found.number ?? item.number,
    label: item.label,
    way,
    parts: item.parts,
    form: item.form,
  };
}

/** Prompts that look alike at the table share a key; touching and telling part where none is said. */
export function promptKey(
  kind: CaptureKind,
  skillId: string,
  itemId: string,
  way: Answered,
): string {
  const apart = kind === 'count' && way !== 'spoken' && skillId.startsWith('touch');
  return apart ? `touch-${itemId}` : `${kind}-${itemId}`;
}
