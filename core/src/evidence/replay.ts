import { GUESS_CHANCE, findSkill, skillOf } from '../skills/index.js';
import {
  type Day,
  type Observation,
  type EducatorOverride,
  type PlacementEstimate,
  type Policy,
  type Voiding,
  daysBetween,
} from '../vocabulary/index.js';
import { type Distribution, priorAbility } from './ability.js';
import { type EvidenceState, EMPTY_EVIDENCE, type Entry, replayDay } from './day.js';
import type { LookTry } from './first-look.js';
import type { SkillState } from './state.js';
import { FIRST_LOOK, type Try, guessOf, triesOf } from './tries.js';
import { afterGap } from './update.js';

/** Goes up with every change of the rules; a snapshot of another version is rebuilt. */
export const RULES_VERSION = 6;

/** Everything concluded about one child; plain data that survives JSON. */
export interface ChildState extends EvidenceState {
  readonly rules: number;
  readonly childId: string;
  readonly policy: Policy;
  /** The last day with facts, which stays open: facts of it may still come in any order. */
  readonly day: Day | null;
  /** As it was when that day began, and what that day brought. */
  readonly before: EvidenceState;
  readonly today: readonly Entry[];
}

/** A fact as the fold takes it. */
export type Fact =
  | { readonly kind: 'observation'; readonly observation: Observation }
  | { readonly kind: 'voiding'; readonly voiding: Voiding }
  | { readonly kind: 'override'; readonly override: EducatorOverride }
  | { readonly kind: 'placement'; readonly placement: PlacementEstimate };

/** The new state, or `rebuild`: the fact lies in a closed day, so all facts are needed. */
export type Applied = { readonly state: ChildState } | { readonly rebuild: true };

export function emptyState(childId: string, policy: Policy): ChildState {
  return {
    rules: RULES_VERSION,
    childId,
    policy,
    day: null,
    before: EMPTY_EVIDENCE,
    today: [],
    ...EMPTY_EVIDENCE,
  };
}

const compareText = (a: string, b: string): number => (a < b ? -1 : a > b ? 1 : 0);

/** Order of entries within a day: by time noted, then by id. */
const compareEntries = (a: Entry, b: Entry): number =>
  compareText(a.at, b.at) || compareText(a.id, b.id);

/**
 * What a record says of the places of a child: one try of what a first look asked; of an ordinary
 * session one for each skill, on their own where all of it was.
 */
function lookTriesOf(observation: Observation, tries: readonly Try[]): LookTry[] {
  const skill = findSkill(observation.skillId);
  if (observation.activityId === FIRST_LOOK && skill) {
    const guess = guessOf(observation, skill) ?? GUESS_CHANCE[skill.answers];
    return [{ skillId: skill.id, outcome: observation.outcome, guess }];
  }
  return [...new Set(tries.map(({ skillId }) => skillId))].map((skillId) => {
    const own = tries.filter((one) => one.skillId === skillId);
    const missed = own.find(({ outcome }) => outcome !== 'own');
    const guess = own[0]?.guess ?? GUESS_CHANCE[skillOf(skillId).answers];
    return { skillId, outcome: missed?.outcome ?? 'own', guess };
  });
}

/** What a fact brings to its day; null for a voiding, and for what concerns no known skill. */
function entryOf(fact: Fact): (Entry & { readonly day: Day }) | null {
  switch (fact.kind) {
    case 'observation': {
      const { id, at, day } = fact.observation;
      const tries = triesOf(fact.observation);
      const looks = lookTriesOf(fact.observation, tries);
      return tries.length > 0 ? { kind: 'tries', id, at, day, tries, looks } : null;
    }
    case 'override': {
      const { id, at, day, skillId, says } = fact.override;
      return findSkill(skillId) ? { kind: 'override', id, at, day, skillId, says } : null;
    }
    case 'placement': {
      const { id, at, day, levels: pegs, byAge } = fact.placement;
      return { kind: 'placement', id, at, day, levels: pegs, byAge };
    }
    case 'voiding':
      return null;
  }
}

/** Belief about a skill at the start of `day`, which is not before the last day seen. */
export function beliefOn(state: SkillState | undefined, day: Day): Distribution {
  if (!state) return priorAbility();
  const gap = daysBetween(state.day, day);
  return gap > 0 ? afterGap(state.belief, gap, state.ledger.verdict === 'secure') : state.belief;
}

function onDay(
  state: ChildState,
  day: Day,
  before: EvidenceState,
  entries: readonly Entry[],
): { readonly state: ChildState } {
  const { rules, childId, policy } = state;
  const today = [...entries].sort(compareEntries);
  const core = replayDay(before, day, today, policy);
  return { state: { rules, childId, policy, day, before, today, ...core } };
}

const coreOf = ({
  skills,
  assumed: taken,
  overrides: words,
  look,
}: EvidenceState): EvidenceState => ({ skills, assumed: taken, overrides: words, look });

/**
 * Takes one more fact in. Facts of one day may come in any order; a fact of an earlier day, or one
 * that takes back something of a closed day, asks for a rebuild. Each fact must be given once.
 */
export const applyFact = (state: ChildState, fact: Fact): Applied => applyFacts(state, [fact]);

/** The same for many facts, one after the other; each day that they touch is replayed only once. */
export function applyFacts(state: ChildState, facts: Iterable<Fact>): Applied {
  let { day, before } = state;
  let today = [...state.today];
  let isNew = false;
  for (const fact of facts) {
    if (fact.kind === 'voiding') {
      const rest = today.filter((one) => one.id !== fact.voiding.observationId);
      // With nothing left of its last day, the day before is the open one again: all facts tell.
      if (rest.length === today.length || rest.length === 0) return { rebuild: true };
      today = rest;
      isNew = true;
      continue;
    }
    const entry = entryOf(fact);
    if (!entry) continue;
    const { day: of, ...rest } = entry;
    if (day !== null && of < day) return { rebuild: true };
    if (of !== day) {
      before = coreOf(day !== null && isNew ? onDay(state, day, before, today).state : state);
      day = of;
      today = [];
    }
    today.push(rest);
    isNew = true;
  }
  return day === null || !isNew ? { state } : onDay(state, day, before, today);
}

/** Folds all facts of a child from the beginning, in whatever order they are given. */
export function replay(childId: string, policy: Policy, facts: Iterable<Fact>): ChildState {
  const voided = new Set<string>();
  const byDay = new Map<Day, Entry[]>();
  for (const fact of facts) {
    if (fact.kind === 'voiding') {
      voided.add(fact.voiding.observationId);
      continue;
    }
    const entry = entryOf(fact);
    if (!entry) continue;
    const { day, ...rest } = entry;
    const known = byDay.get(day);
    if (known) known.push(rest);
    else byDay.set(day, [rest]);
  }
  let state = emptyState(childId, policy);
  for (const day of [...byDay.keys()].sort()) {
    const all = byDay.get(day) as Entry[];
    const today = voided.size > 0 ? all.filter((one) => !voided.has(one.id)) : all;
    if (today.length === 0) continue;
    state = onDay(state, day, coreOf(state), today).state;
  }
  return state;
}
