import {
  type Candidate,
  type ChildState,
  type Standing,
  isKnown,
  standingOf,
} from '../evidence/index.js';
import { capital, numberWord } from '../numbers/index.js';
import { type Item, type Skill, findItem, matchSkills, skillOf } from '../skills/index.js';
import type { Activity, AnswerMode, CaptureKind, Day, Layout } from '../vocabulary/index.js';

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
}

/** Ranges that the number activities are given in, as their top. */
const LOWEST_TOP = 3;
const HALF_RANGE = 5;
const TOPS = [LOWEST_TOP, HALF_RANGE, 10, 20, 50, 100];
/** Words to go on for, from a number that is not one (own arithmetic: "on from 7: 8, 9, 10"). */
const GO_ON = 3;

const KIND_OF_FAMILY: Readonly<Record<string, CaptureKind>> = {
  say: 'reach',
  'say-back': 'reach',
  'say-on': 'reach',
  'say-next': 'after',
  touch: 'count',
  total: 'count',
  layout: 'count',
  give: 'give',
  name: 'numeral',
  match: 'numeral',
  order: 'order',
  gap: 'gap',
  write: 'draw',
  place: 'place',
};

const familyOf = (skillId: string): string => skillId.replace(/-[a-z0-9]+$/, '');

/** The capture kind that records a skill; *note* where no other fits. */
export function captureKindOf(skillId: string): CaptureKind {
  return KIND_OF_FAMILY[familyOf(skillId)] ?? 'note';
}

/** Skills of an activity that can be recorded with the given kinds, in the order of the map. */
export function skillsFor(activity: Activity, kinds: readonly CaptureKind[]): Skill[] {
  return matchSkills(activity.skills)
    .filter((id) => kinds.includes(captureKindOf(id)))
    .map(skillOf);
}

/** The ranges an activity can be given in, lowest first, as tops. */
export function topsOf(activity: Activity, kinds: readonly CaptureKind[]): number[] {
  const skills = skillsFor(activity, kinds);
  return TOPS.filter((top, i) => {
    const below = TOPS[i - 1] ?? 0;
    const reach = skills.some((skill) => captureKindOf(skill.id) === 'reach');
    if (top === LOWEST_TOP) return !reach && skills.some((skill) => skill.to <= HALF_RANGE);
    return skills.some((skill) => skill.to <= top && (skill.to > below || top === HALF_RANGE));
  });
}

/** A skill belongs to the range that holds all of it; one to three is the first part of one to five. */
function isInRange(skill: Skill, item: Item, top: number): boolean {
  if (top === LOWEST_TOP) return skill.to <= HALF_RANGE && item.number <= LOWEST_TOP;
  return skill.to <= top;
}

/**
 * The range that fits a child now: the lowest one that holds something not known yet. Three is
 * left behind as soon as one to three were each right on own.
 */
export function topFor(
  activity: Activity,
  kinds: readonly CaptureKind[],
  state: ChildState,
  today: Day,
): number {
  const tops = topsOf(activity, kinds);
  const skills = skillsFor(activity, kinds);
  const open = tops.find((top) =>
    skills.some((skill) => {
      const inRange = skill.items.filter((item) => isInRange(skill, item, top));
      if (inRange.length === 0) return false;
      const known = state.skills[skill.id];
      if (isKnown(standing(skill, state, today))) return false;
      return top > LOWEST_TOP || inRange.some((item) => !known?.ledger.items[item.id]?.own);
    }),
  );
  return open ?? tops[tops.length - 1] ?? 5;
}

const standing = (skill: Skill, state: ChildState, today: Day): Standing =>
  standingOf(skill, state.skills[skill.id], today);

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
      const prompt = promptFor(skill.id, item.id, modes);
      // A count asks for the touching and the total at once; the later skill stands for both.
      if (prompt && isInRange(skill, item, top)) prompts.set(prompt.key, prompt);
    }
  }
  return [...prompts.values()];
}

/** Forward counts are asked as a whole, to the end of the range. */
function askable(skill: Skill): readonly Item[] {
  return familyOf(skill.id) === 'say' ? skill.items.slice(-1) : skill.items;
}

/** The prompt for one item of one skill, or null where none is known. */
export function promptFor(
  skillId: string,
  itemId: string,
  modes: readonly AnswerMode[],
): Prompt | null {
  const item = findItem(skillId, itemId);
  if (!item) return null;
  const kind = captureKindOf(skillId);
  const n = item.number;
  const speaks = modes.includes('speaks');
  const base = {
    kind,
    skillId,
    itemId,
    key: `${kind}-${itemId}`,
    expected: n,
    from: 1,
    direction: 'up' as const,
    layout: null,
  };
  switch (familyOf(skillId)) {
    case 'say':
      return {
        ...base,
        ask: `Let’s count to ${numberWord(n)}. You start.`,
        lay: 'Nothing to lay out; tap a finger for each word if it helps.',
      };
    case 'say-back':
      return {
        ...base,
        ask: `Count back from ${numberWord(n)}.`,
        lay: 'Down to zero, like a rocket or a song.',
        from: n,
        direction: 'down',
        expected: 0,
      };
    case 'say-on':
      return {
        ...base,
        ask: `Go on from ${numberWord(n)}: ${numberWord(n)} …`,
        lay: `${capital(numberWord(n + 1))}, ${numberWord(n + 2)}, ${numberWord(n + 3)} is enough.`,
        from: n,
        expected: n + GO_ON,
      };
    case 'touch':
    case 'total':
      return {
        ...base,
        ask: speaks
          ? 'Count them for me. How many are there?'
          : 'Touch each one. Show me how many there are.',
        lay: `Lay ${numberWord(n)} in a row.`,
        layout: 'row',
      };
    case 'layout': {
      const layout = item.form as Layout;
      return {
        ...base,
        ask: speaks ? 'How many are there now?' : 'Show me how many there are now.',
        lay: `Lay ${item.label}.`,
        layout,
      };
    }
    case 'give':
      return {
        ...base,
        ask: `Give me ${numberWord(n)}, please.`,
        lay: `The bowl within reach, ${Math.max(n + 3, 8)} in it.`,
      };
    case 'name':
      return {
        ...base,
        ask: speaks ? 'What number is this?' : `Show me the ${numberWord(n)}.`,
        lay: speaks ? `Show the card with ${n}.` : 'Four or five cards side by side.',
      };
    case 'match':
      return item.form === 'amount'
        ? {
            ...base,
            ask: 'Bring me as many as this says.',
            lay: `Show the card with ${n}.`,
          }
        : {
            ...base,
            ask: 'Find the number for this many.',
            lay: `Lay ${numberWord(n)}, and the cards beside.`,
            layout: 'scatter',
          };
    default:
      return null;
  }
}
