import { type Skill, skillOf } from '../skills/index.js';
import {
  type Day,
  type Observation,
  type Policy,
  type Voiding,
  daysBetween,
} from '../vocabulary/index.js';
import { type Distribution, priorAbility } from './ability.js';
import { EMPTY_LEDGER, type Ledger, replayDay } from './ledger.js';
import { type Try, triesOf } from './tries.js';
import { afterGap } from './update.js';

/** Goes up with every change of the rules; a snapshot of another version is rebuilt. */
export const RULES_VERSION = 1;

export interface SkillState {
  readonly skillId: string;
  /** The last day with tries, which stays open: tries of it may still come in any order. */
  readonly day: Day;
  readonly dayPrior: Distribution;
  readonly before: Ledger;
  readonly today: readonly Try[];
  /** Belief and ledger with the tries of `day` weighed in. */
  readonly belief: Distribution;
  readonly ledger: Ledger;
}

/** Everything concluded about one child; plain data that survives JSON. */
export interface ChildState {
  readonly rules: number;
  readonly childId: string;
  readonly policy: Policy;
  readonly skills: Readonly<Record<string, SkillState>>;
}

/** A fact as the fold takes it. */
export type Fact =
  | { readonly kind: 'observation'; readonly observation: Observation }
  | { readonly kind: 'voiding'; readonly voiding: Voiding };

/** The new state, or `rebuild`: the fact lies in a closed day, so all facts are needed. */
export type Folded = { readonly state: ChildState } | { readonly rebuild: true };

export function emptyState(childId: string, policy: Policy): ChildState {
  return { rules: RULES_VERSION, childId, policy, skills: {} };
}

const compareText = (a: string, b: string): number => (a < b ? -1 : a > b ? 1 : 0);

/** Order of tries within a day: by time noted, then by id. */
function compareTries(a: Try, b: Try): number {
  return compareText(a.at, b.at) || compareText(a.observationId, b.observationId);
}

function replay(
  skill: Skill,
  day: Day,
  dayPrior: Distribution,
  before: Ledger,
  today: readonly Try[],
  policy: Policy,
): SkillState {
  const { belief, ledger } = replayDay(skill, dayPrior, before, today, policy);
  return { skillId: skill.id, day, dayPrior, before, today, belief, ledger };
}

/** Belief about a skill at the start of `day`, which is not before the last day seen. */
export function beliefOn(state: SkillState | undefined, day: Day): Distribution {
  if (!state) return priorAbility();
  const gap = daysBetween(state.day, day);
  return gap > 0 ? afterGap(state.belief, gap) : state.belief;
}

function addTry(state: SkillState | undefined, one: Try, policy: Policy): SkillState | null {
  const skill = skillOf(one.skillId);
  if (!state) return replay(skill, one.day, priorAbility(), EMPTY_LEDGER, [one], policy);
  if (one.day < state.day) return null;
  if (one.day > state.day) {
    return replay(skill, one.day, beliefOn(state, one.day), state.ledger, [one], policy);
  }
  const today = [...state.today, one].sort(compareTries);
  return replay(skill, state.day, state.dayPrior, state.before, today, policy);
}

function removeTries(state: SkillState, observationId: string, policy: Policy): SkillState | null {
  const today = state.today.filter((one) => one.observationId !== observationId);
  if (today.length === 0) return null;
  const { day, dayPrior, before } = state;
  return replay(skillOf(state.skillId), day, dayPrior, before, today, policy);
}

/**
 * Takes one more fact in. Facts of one day may come in any order; a fact of an earlier day, or one
 * that takes back a try of a closed day, asks for a rebuild. Each fact must be given once.
 */
export function fold(state: ChildState, fact: Fact): Folded {
  const skills: Record<string, SkillState> = { ...state.skills };
  if (fact.kind === 'observation') {
    for (const one of triesOf(fact.observation)) {
      const next = addTry(skills[one.skillId], one, state.policy);
      if (!next) return { rebuild: true };
      skills[one.skillId] = next;
    }
    return { state: { ...state, skills } };
  }
  let found = false;
  for (const [id, skill] of Object.entries(state.skills)) {
    if (!skill.today.some((one) => one.observationId === fact.voiding.observationId)) continue;
    const next = removeTries(skill, fact.voiding.observationId, state.policy);
    if (!next) return { rebuild: true };
    skills[id] = next;
    found = true;
  }
  return found ? { state: { ...state, skills } } : { rebuild: true };
}

/** Folds all facts of a child from the beginning, in whatever order they are given. */
export function foldAll(childId: string, policy: Policy, facts: readonly Fact[]): ChildState {
  const voided = new Set(
    facts.flatMap((fact) => (fact.kind === 'voiding' ? [fact.voiding.observationId] : [])),
  );
  const bySkill = new Map<string, Try[]>();
  for (const fact of facts) {
    if (fact.kind !== 'observation' || voided.has(fact.observation.id)) continue;
    for (const one of triesOf(fact.observation)) {
      const list = bySkill.get(one.skillId);
      if (list) list.push(one);
      else bySkill.set(one.skillId, [one]);
    }
  }
  const skills: Record<string, SkillState> = {};
  for (const [id, tries] of bySkill) {
    tries.sort((a, b) => compareText(a.day, b.day) || compareTries(a, b));
    skills[id] = foldDays(skillOf(id), tries, policy);
  }
  return { ...emptyState(childId, policy), skills };
}

/** Whole days at a time: one replay a day, however many tries it holds. */
function foldDays(skill: Skill, tries: readonly Try[], policy: Policy): SkillState {
  let state: SkillState | undefined;
  for (let start = 0; start < tries.length;) {
    const day = (tries[start] as Try).day;
    let end = start;
    while (end < tries.length && (tries[end] as Try).day === day) end++;
    const today = tries.slice(start, end);
    const before = state?.ledger ?? EMPTY_LEDGER;
    state = replay(skill, day, beliefOn(state, day), before, today, policy);
    start = end;
  }
  return state as SkillState;
}
