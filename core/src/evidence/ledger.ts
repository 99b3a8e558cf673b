import type { Skill } from '../skills/index.js';
import { type Day, type Outcome, type Policy, addDays } from '../vocabulary/index.js';
import { type Distribution, chanceOfMastery } from './ability.js';
import type { Try } from './tries.js';
import { afterDay, counts } from './update.js';

/** What was seen of one item. */
export interface ItemTally {
  readonly asked: number;
  readonly own: number;
  readonly last: Outcome;
}

/** What has been counted and decided for one skill of one child. */
export interface Ledger {
  /** Tries that count as evidence, and those of them on own. */
  readonly scored: number;
  readonly own: number;
  readonly days: readonly Day[];
  readonly ownDays: number;
  readonly items: Readonly<Record<string, ItemTally>>;
  readonly things: Readonly<Record<string, number>>;
  /** Slips of the last ten tries, newest last. */
  readonly recentSlips: readonly (readonly string[])[];
  readonly verdict: 'open' | 'secure' | 'come-back';
  readonly secureSince: Day | null;
  readonly revisit: { readonly step: number; readonly due: Day } | null;
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
/** Days until a secure skill is looked at again; the last step repeats. */
export const REVISIT_DAYS = [14, 30, 60, 90] as const;
const SLIP_MEMORY = 10;

export const EMPTY_LEDGER: Ledger = {
  scored: 0,
  own: 0,
  days: [],
  ownDays: 0,
  items: {},
  things: {},
  recentSlips: [],
  verdict: 'open',
  secureSince: null,
  revisit: null,
};

/** How many different items must have been right on own: three in five, rounded up. */
export function itemsNeeded(skill: Skill): number {
  return Math.ceil(0.6 * skill.items.length);
}

/** Items right on own at least once. */
export function itemsOnOwn(ledger: Ledger): number {
  return Object.values(ledger.items).filter((item) => item.own > 0).length;
}

const revisitAt = (step: number, day: Day): Ledger['revisit'] => ({
  step,
  due: addDays(day, REVISIT_DAYS[Math.min(step, REVISIT_DAYS.length - 1)] as number),
});

function tally(ledger: Ledger, tries: readonly Try[], ownBeforeToday: boolean): Ledger {
  const items: Record<string, ItemTally> = { ...ledger.items };
  const things: Record<string, number> = { ...ledger.things };
  let { scored, own, ownDays, days } = ledger;
  let recentSlips = ledger.recentSlips;
  let ownToday = ownBeforeToday;
  for (const one of tries) {
    if (!counts(one)) continue;
    const isOwn = one.outcome === 'own';
    scored += 1;
    own += isOwn ? 1 : 0;
    if (days[days.length - 1] !== one.day) days = [...days, one.day];
    if (isOwn && !ownToday) {
      ownDays += 1;
      ownToday = true;
    }
    if (one.itemId !== null) {
      const known = items[one.itemId] ?? { asked: 0, own: 0, last: one.outcome };
      items[one.itemId] = {
        asked: known.asked + 1,
        own: known.own + (isOwn ? 1 : 0),
        last: one.outcome,
      };
    }
    for (const thing of one.things) things[thing] = (things[thing] ?? 0) + 1;
    recentSlips = [...recentSlips, one.slips].slice(-SLIP_MEMORY);
  }
  return { ...ledger, scored, own, days, ownDays, items, things, recentSlips };
}

function decide(
  skill: Skill,
  ledger: Ledger,
  belief: Distribution,
  sitting: readonly Try[],
  policy: Policy,
): Ledger {
  const seen = sitting.filter(counts);
  if (seen.length === 0) return ledger;
  const day = (seen[seen.length - 1] as Try).day;
  const p = chanceOfMastery(skill, belief);
  if (ledger.verdict === 'secure') {
    if (p < COME_BACK_BELOW) return { ...ledger, verdict: 'come-back', revisit: null };
    const { step, due } = ledger.revisit ?? { step: 0, due: day };
    const onOwn = seen.filter((one) => one.outcome === 'own').length;
    const further = day >= due && onOwn / seen.length >= 0.75;
    return { ...ledger, revisit: revisitAt(further ? step + 1 : step, day) };
  }
  const secure =
    p >= NEEDED[policy] &&
    ledger.ownDays >= OWN_DAYS_NEEDED &&
    itemsOnOwn(ledger) >= itemsNeeded(skill);
  if (!secure) return ledger;
  return { ...ledger, verdict: 'secure', secureSince: day, revisit: revisitAt(0, day) };
}

/**
 * Belief and ledger after a day, deciding at the end of each sitting and never within one.
 * @param tries the day's tries in the order of `compareTries`
 */
export function replayDay(
  skill: Skill,
  dayPrior: Distribution,
  before: Ledger,
  tries: readonly Try[],
  policy: Policy,
): { belief: Distribution; ledger: Ledger } {
  let ledger = before;
  let belief = dayPrior;
  const upTo: Try[] = [];
  const sittings = new Map<string, Try[]>();
  for (const one of tries) {
    sittings.set(one.sitting, [...(sittings.get(one.sitting) ?? []), one]);
  }
  for (const sitting of sittings.values()) {
    const ownBefore = upTo.some((one) => one.outcome === 'own' && counts(one));
    upTo.push(...sitting);
    belief = afterDay(skill, dayPrior, upTo);
    ledger = decide(skill, tally(ledger, sitting, ownBefore), belief, sitting, policy);
  }
  return { belief, ledger };
}
