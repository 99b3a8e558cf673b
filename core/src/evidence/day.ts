import { type Skill, skillOf } from '../skills/index.js';
import {
  type Day,
  GO_ON,
  type EducatorOverride,
  type PlacementEstimate,
  type Policy,
  type Says,
  daysBetween,
} from '../vocabulary/index.js';
import { type Distribution, priorAbility } from './ability.js';
import { type Look, type LookTry, lookResult, seenOn } from './first-look.js';
import { EMPTY_LEDGER, FURTHER_FROM, bySession, ownShare, replaySkill } from './ledger.js';
import type { SkillState } from './state.js';
import {
  type Assumption,
  prerequisitesOf,
  checkNow,
  checkAssumption,
  held,
  isWeak,
  assumeBelow,
} from './assumption.js';
import { FIRST_LOOK, FIRST_SESSIONS, type Try } from './tries.js';
import { afterGap } from './update.js';

/** The educator's own word on a skill, and how many sessions have spoken against it since. */
export interface OverrideState {
  readonly id: string;
  readonly says: Says;
  readonly since: Day;
  readonly against: number;
}

/** What stands at the end of a day. */
export interface EvidenceState {
  readonly skills: Readonly<Record<string, SkillState>>;
  readonly assumed: Readonly<Record<string, Assumption>>;
  readonly overrides: Readonly<Record<string, OverrideState>>;
  readonly look: Look | null;
}

export const EMPTY_EVIDENCE: EvidenceState = { skills: {}, assumed: {}, overrides: {}, look: null };

interface Stamped {
  readonly id: string;
  readonly at: string;
}

/** What one fact brings to its day. */
export type Entry = Stamped &
  (
    | {
        readonly kind: 'tries';
        readonly tries: readonly Try[];
        /** The same as far as it tells of the child's places. */
        readonly looks: readonly LookTry[];
      }
    | {
        readonly kind: 'override';
        readonly skillId: string;
        readonly says: EducatorOverride['says'];
      }
    | {
        readonly kind: 'placement';
        readonly levels: PlacementEstimate['levels'];
        readonly byAge: boolean;
      }
  );

/** Sessions against the educator's word until the computation speaks again. */
const CONTRADICTED_BY = 2;
/** A session speaks against "knows it" below this share on their own. */
const AGAINST_SECURE_BELOW = 0.5;
/** Skills that came within this many scored tries came quickly. */
const QUICK_TRIES = 15;

/** True while the educator's word wins over the computation. */
export const holds = (word: OverrideState | undefined): word is OverrideState =>
  word !== undefined && word.against < CONTRADICTED_BY;

const contradicts = (says: Says, share: number): boolean =>
  says === 'secure' ? share < AGAINST_SECURE_BELOW : share >= FURTHER_FROM;

function priorOf(skill: Skill, before: EvidenceState, day: Day): Distribution {
  const known = before.skills[skill.id];
  if (known) {
    const isSecure = known.ledger.verdict === 'secure';
    return afterGap(known.belief, daysBetween(known.day, day), isSecure);
  }
  const quick = skill.buildsOn.every((id) => {
    const ledger = before.skills[id]?.ledger;
    return ledger?.verdict === 'secure' && (ledger.firstSecure?.tries ?? 99) <= QUICK_TRIES;
  });
  return priorAbility(quick && skill.buildsOn.length > 0);
}

function bySkill(entries: readonly Entry[]): Map<string, Try[]> {
  const found = new Map<string, Try[]>();
  for (const entry of entries) {
    if (entry.kind !== 'tries') continue;
    for (const one of entry.tries) {
      const known = found.get(one.skillId);
      if (known) known.push(one);
      else found.set(one.skillId, [one]);
    }
  }
  return found;
}

/** Words of the day, and what the day's later sessions say against those that stand. */
function wordsAfter(
  before: EvidenceState,
  day: Day,
  entries: readonly Entry[],
  tries: ReadonlyMap<string, Try[]>,
): EvidenceState['overrides'] {
  const said = entries.flatMap((one) =>
    one.kind === 'override' && one.says !== GO_ON ? [{ ...one, says: one.says }] : [],
  );
  if (said.length === 0 && Object.keys(before.overrides).length === 0) return before.overrides;
  const words: Record<string, OverrideState> = { ...before.overrides };
  const saidAt = new Map<string, string>();
  for (const { id, at, skillId, says } of said) {
    words[skillId] = { id, says, since: day, against: 0 };
    saidAt.set(skillId, at);
  }
  for (const [skillId, word] of Object.entries(words)) {
    const from = saidAt.get(skillId) ?? '';
    let { against } = word;
    for (const session of bySession(tries.get(skillId) ?? [])) {
      const share = ownShare(session);
      if (share === null || (session[0] as Try).at <= from) continue;
      if (contradicts(word.says, share)) against += 1;
    }
    if (against !== word.against) words[skillId] = { ...word, against };
  }
  return words;
}

function lookAfter(before: EvidenceState, day: Day, entries: readonly Entry[]): Look | null {
  let look = before.look;
  for (const entry of entries) {
    if (entry.kind === 'placement') {
      const { levels, byAge } = entry;
      look = { levels, byAge, since: day, tries: look?.tries ?? [], seen: look?.seen ?? [] };
    } else if (entry.kind === 'tries' && look) {
      look = entry.tries.some(({ firstLook }) => firstLook)
        ? { ...look, tries: [...look.tries, ...entry.looks] }
        : seenOn(look, day, entry.looks);
    }
  }
  return look;
}

interface Draft {
  skills: Record<string, SkillState>;
  words: EvidenceState['overrides'];
  look: Look | null;
}

/** What is assumed after a day, from what became secure and from the first look. */
function takenAfter(
  before: EvidenceState,
  day: Day,
  draft: Draft,
  tries: ReadonlyMap<string, Try[]>,
): EvidenceState['assumed'] {
  let taken = before.assumed;
  const set = (id: string, one: Assumption | null): void => {
    const others = Object.fromEntries(Object.entries(taken).filter(([key]) => key !== id));
    taken = one ? { ...others, [id]: one } : others;
  };
  const bringForward = (weak: string): void => {
    for (const [id, one] of Object.entries(taken)) {
      const next = prerequisitesOf(skillOf(id)).includes(weak) ? checkNow(one, day) : one;
      if (next !== one) set(id, next);
    }
  };
  for (const [id, list] of tries) {
    const sessions = bySession(list.filter((each) => !each.firstLook));
    const known = before.assumed[id];
    if (known) {
      const next = sessions.reduce((state, session) => checkAssumption(state, session, day), known);
      if (next !== known) set(id, next);
    }
    if (sessions.some(isWeak)) bringForward(id);
  }
  // What a check of a skill settles, it settles for what it builds on.
  for (const [id, one] of Object.entries(taken)) {
    if (one.state !== 'known' || before.assumed[id]?.state !== 'checking') continue;
    for (const below of prerequisitesOf(skillOf(id))) {
      const other = taken[below];
      if (other?.state === 'checking') set(below, held(other, day));
    }
  }
  const take = (id: string, from: string): void => {
    if (!taken[id] && !draft.skills[id]?.ledger.firstSecure) set(id, assumeBelow(from, day));
  };
  for (const id of tries.keys()) {
    if (draft.skills[id]?.ledger.secureSince !== day) continue;
    for (const below of prerequisitesOf(skillOf(id))) take(below, id);
  }
  for (const [id, word] of Object.entries(draft.words)) {
    if (word.since !== day || word.says !== 'secure') continue;
    for (const below of prerequisitesOf(skillOf(id))) take(below, id);
  }
  if (draft.look && draft.look !== before.look) {
    // What the places alone let assume is weighed anew, and kept where nothing has changed.
    const open = ({ from, state, own, missed }: Assumption): boolean =>
      (from === FIRST_LOOK || from === FIRST_SESSIONS) &&
      state === 'checking' &&
      own + missed === 0;
    const known = new Set(
      Object.entries(draft.skills).flatMap(([id, { ledger }]) => (ledger.firstSecure ? [id] : [])),
    );
    for (const [id, one] of Object.entries(taken)) if (!open(one)) known.add(id);
    const found = new Set(lookResult(draft.look, known).taken);
    for (const [id, one] of Object.entries(taken)) if (open(one) && !found.has(id)) set(id, null);
    const from = draft.look.tries.length > 0 ? FIRST_LOOK : FIRST_SESSIONS;
    for (const id of found) take(id, from);
  }
  return taken;
}

/**
 * What stands after a day.
 * @param entries all of the day, by time noted, then by id
 */
export function replayDay(
  before: EvidenceState,
  day: Day,
  entries: readonly Entry[],
  policy: Policy,
): EvidenceState {
  const tries = bySkill(entries);
  const skills: Record<string, SkillState> = { ...before.skills };
  for (const [id, list] of tries) {
    const skill = skillOf(id);
    const ledger = before.skills[id]?.ledger ?? EMPTY_LEDGER;
    skills[id] = { day, ...replaySkill(skill, priorOf(skill, before, day), ledger, list, policy) };
  }
  for (const entry of entries) {
    const known =
      entry.kind === 'override' && entry.says === GO_ON ? skills[entry.skillId] : undefined;
    if (entry.kind !== 'override' || !known) continue;
    skills[entry.skillId] = { ...known, ledger: { ...known.ledger, restUntil: null } };
  }
  const words = wordsAfter(before, day, entries, tries);
  const look = lookAfter(before, day, entries);
  const taken = takenAfter(before, day, { skills, words, look }, tries);
  return { skills, assumed: taken, overrides: words, look };
}
