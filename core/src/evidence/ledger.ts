import type { Skill } from '../skills/index.js';
import { type Day, type Outcome, type Policy, addDays } from '../vocabulary/index.js';
import { type Distribution, chanceOfMastery } from './ability.js';
import type { Try } from './tries.js';
import { counts, nothingSeen, posterior, weighIn } from './update.js';

/** What was seen of one item. */
export interface ItemTally {
  readonly asked: number;
  readonly own: number;
  readonly last: Outcome;
}

/** When a known skill is to be looked at again. */
export interface Revisit {
  readonly step: number;
  readonly due: Day;
}

/** What has been counted and decided for one skill of one child. */
export interface Ledger {
  /** Tries that count as evidence, and those of them on own. */
  readonly scored: number;
  readonly own: number;
  /** Days with such tries, and with at least one of them on own. */
  readonly days: number;
  readonly ownDays: number;
  readonly lastSeen: Day | null;
  readonly items: Readonly<Record<string, ItemTally>>;
  readonly things: Readonly<Record<string, number>>;
  /** Slips of the last ten records, newest last. */
  readonly recentSlips: readonly (readonly string[])[];
  readonly verdict: 'open' | 'secure' | 'come-back';
  readonly secureSince: Day | null;
  /** When the skill first became secure, and after how many scored tries. */
  readonly firstSecure: { readonly day: Day; readonly tries: number } | null;
  readonly revisit: Revisit | null;
}

/** Belief needed for *secure*. */
export const NEEDED: Record<Policy, number> = {
  'secure-first': 0.9,
  middle: 0.85,
  'follow-lead': 0.8,
};
/** Below this a secure skill is one to come back to; from 0.5 an open one is nearly there. */
export const COME_BACK_BELOW = 0.6;
export const NEARLY_FROM = 0.5;
export const OWN_DAYS_NEEDED = 2;
export const SCORED_NEEDED = 3;
/** Share of a sitting on own that carries a known skill on to the next, longer step. */
export const FURTHER_FROM = 0.75;
/** Days until a secure skill is looked at again; the last step repeats. */
export const REVISIT_DAYS = [14, 30, 60, 90] as const;
const SLIP_MEMORY = 10;

export const EMPTY_LEDGER: Ledger = {
  scored: 0,
  own: 0,
  days: 0,
  ownDays: 0,
  lastSeen: null,
  items: {},
  things: {},
  recentSlips: [],
  verdict: 'open',
  secureSince: null,
  firstSecure: null,
  revisit: null,
};

/** How many different items must have been right on own: three in five, rounded up. */
export function itemsNeeded(skill: Skill): number {
  return Math.ceil(0.6 * skill.items.length);
}

/** Items right on own at least once. */
export function itemsOnOwn(ledger: Ledger): number {
  let count = 0;
  for (const id in ledger.items) if ((ledger.items[id] as ItemTally).own > 0) count += 1;
  return count;
}

export const revisitAt = (step: number, day: Day): Revisit => ({
  step,
  due: addDays(day, REVISIT_DAYS[Math.min(step, REVISIT_DAYS.length - 1)] as number),
});

/** The next revisit after a sitting on `day`: a step further when due and mostly on own. */
export function revisitAfter(revisit: Revisit, day: Day, ownShare: number): Revisit {
  const further = day >= revisit.due && ownShare >= FURTHER_FROM;
  return revisitAt(further ? revisit.step + 1 : revisit.step, day);
}

/** Share of scored tries on own; `null` where none counts. */
export function ownShare(tries: readonly Try[]): number | null {
  let scored = 0;
  let own = 0;
  for (const one of tries) {
    if (!counts(one)) continue;
    scored += 1;
    if (one.outcome === 'own') own += 1;
  }
  return scored === 0 ? null : own / scored;
}

type Draft = { -readonly [K in keyof Ledger]: Ledger[K] } & {
  items: Record<string, ItemTally>;
  things: Record<string, number>;
  recentSlips: (readonly string[])[];
};

/** A copy that a day's tries may be counted into. */
const draftOf = (ledger: Ledger): Draft => ({
  ...ledger,
  items: { ...ledger.items },
  things: { ...ledger.things },
  recentSlips: ledger.recentSlips.slice(),
});

/** Counts a sitting in; true when any of it was on own. */
function tally(draft: Draft, tries: readonly Try[], ownBeforeToday: boolean): boolean {
  const { items, things, recentSlips } = draft;
  let ownToday = ownBeforeToday;
  let record = '';
  for (const one of tries) {
    if (!counts(one)) continue;
    const isOwn = one.outcome === 'own';
    draft.scored += 1;
    draft.own += isOwn ? 1 : 0;
    if (draft.lastSeen !== one.day) {
      draft.days += 1;
      draft.lastSeen = one.day;
    }
    if (isOwn && !ownToday) {
      draft.ownDays += 1;
      ownToday = true;
    }
    if (one.itemId !== null) {
      const known = items[one.itemId];
      items[one.itemId] = {
        asked: (known?.asked ?? 0) + 1,
        own: (known?.own ?? 0) + (isOwn ? 1 : 0),
        last: one.outcome,
      };
    }
    for (const thing of one.things) things[thing] = (things[thing] ?? 0) + 1;
    // The stretches of one count, or the places of one row, are one record with its slips once.
    if (one.observationId === record) {
      const known = recentSlips.pop() ?? [];
      recentSlips.push(one.slips.length > 0 ? [...new Set([...known, ...one.slips])] : known);
    } else recentSlips.push(one.slips);
    record = one.observationId;
    if (recentSlips.length > SLIP_MEMORY) recentSlips.shift();
  }
  return ownToday;
}

/** Decides at the end of a sitting. @param share of its tries on own */
function decide(
  skill: Skill,
  draft: Draft,
  belief: Distribution,
  share: number,
  policy: Policy,
): void {
  const day = draft.lastSeen as Day;
  const p = chanceOfMastery(skill, belief);
  if (draft.verdict === 'secure') {
    const stays = p >= COME_BACK_BELOW;
    draft.verdict = stays ? 'secure' : 'come-back';
    draft.revisit = stays ? revisitAfter(draft.revisit ?? revisitAt(0, day), day, share) : null;
    return;
  }
  const secure =
    p >= NEEDED[policy] &&
    draft.ownDays >= OWN_DAYS_NEEDED &&
    itemsOnOwn(draft) >= itemsNeeded(skill);
  if (!secure) return;
  draft.verdict = 'secure';
  draft.secureSince = day;
  draft.firstSecure ??= { day, tries: draft.scored };
  draft.revisit = revisitAt(0, day);
}

/** Tries of a day by sitting, in the order in which the sittings began. */
export function bySitting(tries: readonly Try[]): Try[][] {
  const sittings = new Map<string, Try[]>();
  for (const one of tries) {
    const known = sittings.get(one.sitting);
    if (known) known.push(one);
    else sittings.set(one.sitting, [one]);
  }
  return [...sittings.values()];
}

/**
 * Belief and ledger after a day, deciding at the end of each sitting and never within one.
 * @param tries the day's tries of this skill, by time noted, then by id
 */
export function replaySkill(
  skill: Skill,
  dayPrior: Distribution,
  before: Ledger,
  tries: readonly Try[],
  policy: Policy,
): { belief: Distribution; ledger: Ledger } {
  const ledger = draftOf(before);
  let belief = dayPrior;
  let ownToday = false;
  const likelihood = nothingSeen();
  for (const sitting of bySitting(tries)) {
    const share = ownShare(sitting);
    if (share === null) continue;
    for (const one of sitting) weighIn(skill, likelihood, one);
    belief = posterior(dayPrior, likelihood);
    ownToday = tally(ledger, sitting, ownToday);
    decide(skill, ledger, belief, share, policy);
  }
  return { belief, ledger };
}
