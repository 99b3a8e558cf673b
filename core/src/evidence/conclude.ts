import { GUESS_CHANCE, SKILLS, type Skill } from '../skills/index.js';
import type { Day } from '../vocabulary/index.js';
import { expected, itemCurve } from './ability.js';
import { type OverrideState, holds } from './day.js';
import type { ChildState } from './replay.js';
import { EMPTY_LEDGER, type ItemTally } from './ledger.js';
import { type MaterialName, reasonFor } from './reason-words.js';
import {
  type Mark,
  type SkillStatus,
  asHeard,
  computedStatus,
  markOf,
  statusOf,
} from './status.js';

export interface ItemView {
  readonly itemId: string;
  readonly label: string;
  readonly asked: number;
  readonly own: number;
  readonly last: ItemTally['last'] | null;
}

/** What is concluded about one skill of one child, with its reason. */
export interface SkillView {
  readonly skillId: string;
  readonly status: SkillStatus;
  /** What stands beside it: a review that is due, a doubt, or a rest. */
  readonly mark: Mark | null;
  /** What the evidence says where the educator's own word stands against it; null otherwise. */
  readonly computed: SkillStatus | null;
  /** A sentence that can be checked against the evidence. */
  readonly reason: string;
  /** The one thing that would change the status; empty where nothing was seen. */
  readonly change: string;
  readonly scored: number;
  readonly own: number;
  readonly days: number;
  readonly lastSeen: Day | null;
  /** When a known skill is to be looked at again, or one assumed to be checked. */
  readonly due: Day | null;
  readonly override: OverrideState | null;
  readonly items: readonly ItemView[];
}

/** Whom a conclusion is about, and what its words need beside the evidence. */
export interface About {
  /** False where the child answers without words. */
  readonly speaks?: boolean;
  readonly materialName?: MaterialName;
}

/** Everything concluded about one skill. */
export function viewOf(
  skill: Skill,
  evidence: ChildState,
  today: Day,
  { speaks = true, materialName = () => undefined }: About = {},
): SkillView {
  const state = asHeard(skill, evidence, speaks);
  const ledger = state.skills[skill.id]?.ledger ?? EMPTY_LEDGER;
  const status = statusOf(skill, state);
  const word = state.overrides[skill.id];
  const taken = state.assumed[skill.id];
  const { reason, change } =
    state !== evidence && status === 'not-started'
      ? { reason: 'Not asked aloud; what builds on it stays open.', change: '' }
      : reasonFor(skill, state, status, today, materialName);
  const checked = taken && taken.state !== 'undone' ? taken.revisit.due : null;
  return {
    skillId: skill.id,
    status: status,
    mark: markOf(skill, state, today),
    computed: holds(word) ? computedStatus(skill, state) : null,
    reason,
    change,
    scored: ledger.scored,
    own: ledger.own,
    days: ledger.days,
    lastSeen: ledger.lastSeen,
    due: ledger.lookAgain ?? ledger.revisit?.due ?? checked,
    override: holds(word) ? word : null,
    items: skill.items.map((item) => {
      const tally = ledger.items[item.id];
      return {
        itemId: item.id,
        label: item.label,
        asked: tally?.asked ?? 0,
        own: tally?.own ?? 0,
        last: tally?.last ?? null,
      };
    }),
  };
}

/** Everything concluded about a child, skill by skill in the order of the map. */
export function conclude(state: ChildState, today: Day, about?: About): SkillView[] {
  return SKILLS.map((skill) => viewOf(skill, state, today, about));
}

/** Chance that the next try on an item is right on their own, as believed. */
export function chanceOfItem(skill: Skill, itemId: string, belief: readonly number[]): number {
  const item = skill.items.find((one) => one.id === itemId);
  if (!item) throw new RangeError(`skill ${skill.id} has no item "${itemId}"`);
  return expected(belief, itemCurve(item, GUESS_CHANCE[skill.answers]));
}
