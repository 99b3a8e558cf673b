import { type Skill, isZeroOrWhole } from '../skills/index.js';
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
  /** Tries that count as evidence, and those of them on their own. */
  readonly scored: number;
  readonly own: number;
  /** Days with such tries, and with at least one of them on their own. */
  readonly days: number;
  readonly ownDays: number;
  readonly lastSeen: Day | null;
  readonly items: Readonly<Record<string, ItemTally>>;
  readonly materials: Readonly<Record<string, number>>;
  /** Slips of the last ten records, newest last. */
  readonly recentSlips: readonly (readonly string[])[];
  readonly verdict: 'open' | 'secure' | 'review';
  readonly secureSince: Day | null;
  /** When the skill first became secure, and after how many scored tries. */
  readonly firstSecure: { readonly day: Day; readonly tries: number } | null;
  readonly revisit: Revisit | null;
  /** A secure skill that looked unsure in its last session: the day by which to look again. */
  readonly lookAgain: Day | null;
  /** The latest sessions of a skill that is not secure, as far back as a step back looks. */
  readonly lately: readonly SessionTally[];
  /** Rests until this day, after session upon session of hardly any success. */
  readonly restUntil: Day | null;
}

/** What one session of a skill came to. */
export interface SessionTally {
  readonly day: Day;
  readonly scored: number;
  readonly own: number;
}

/** Belief needed for *secure*. */
export const NEEDED: Record<Policy, number> = {
  'secure-first': 0.9,
  balanced: 0.85,
  'follow-child': 0.8,
};
/** From 0.5 an open skill is nearly there; a secure one below it is looked at again. */
export const NEARLY_FROM = 0.5;
/** Days within which a secure skill that looked unsure is looked at again. */
export const LOOK_AGAIN_DAYS = 7;
export const OWN_DAYS_NEEDED = 2;
export const SCORED_NEEDED = 3;
/** Share of a session on their own that carries a known skill on to the next, longer step. */
export const FURTHER_FROM = 0.75;
/** Fewest scored tries of a session that settle a review. */
export const REVIEW_TRIES = 3;
/** A step back: under this share on their own over so many tries, on so many days, rests a skill. */
const REST_BELOW = 0.3;
const REST_TRIES = 12;
const REST_DAYS_SEEN = 3;
const REST_DAYS = 14;
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
  materials: {},
  recentSlips: [],
  verdict: 'open',
  secureSince: null,
  firstSecure: null,
  revisit: null,
  lookAgain: null,
  lately: [],
  restUntil: null,
};

/** How many different items must have been right on their own: three in five, rounded up. */
export function itemsNeeded(skill: Skill): number {
  return Math.ceil(0.6 * skill.items.length);
}

/** Of them so many that are neither nothing nor all, where the skill has such. */
const MIDDLE_ITEMS = 2;

/** Items right on their own at least once. */
export function itemsOnOwn(ledger: Ledger): number {
  let count = 0;
  for (const id in ledger.items) if ((ledger.items[id] as ItemTally).own > 0) count += 1;
  return count;
}

/** True where enough different items were right on their own, and not only nothing and all of it. */
export function itemsSuffice(skill: Skill, ledger: Ledger): boolean {
  if (itemsOnOwn(ledger) < itemsNeeded(skill)) return false;
  const middle = skill.items.filter((item) => !isZeroOrWhole(item, skill));
  const right = middle.filter(({ id }) => (ledger.items[id]?.own ?? 0) > 0).length;
  return right >= Math.min(MIDDLE_ITEMS, middle.length);
}

export const revisitAt = (step: number, day: Day): Revisit => ({
  step,
  due: addDays(day, REVISIT_DAYS[Math.min(step, REVISIT_DAYS.length - 1)] as number),
});

/**
 * The next review after a session on `day`: one before it is due changes nothing; then a step further
 * where three in four were on their own, the same step otherwise.
 */
export function revisitAfter(revisit: Revisit, day: Day, session: readonly Try[]): Revisit {
  const { scored, own } = scoreOf(session);
  if (day < revisit.due || scored < REVIEW_TRIES) return revisit;
  return revisitAt(own >= FURTHER_FROM * scored ? revisit.step + 1 : revisit.step, day);
}

/** Tries that count, and those of them on their own. */
export function scoreOf(tries: readonly Try[]): { scored: number; own: number } {
  let scored = 0;
  let own = 0;
  for (const one of tries) {
    if (!counts(one)) continue;
    scored += 1;
    if (one.outcome === 'own') own += 1;
  }
  return { scored, own };
}

/** Share of scored tries on their own; `null` where none counts. */
export function ownShare(tries: readonly Try[]): number | null {
  const { scored, own } = scoreOf(tries);
  return scored === 0 ? null : own / scored;
}

type Draft = { -readonly [K in keyof Ledger]: Ledger[K] } & {
  items: Record<string, ItemTally>;
  materials: Record<string, number>;
  recentSlips: (readonly string[])[];
};

/** A copy that a day's tries may be counted into. */
const draftOf = (ledger: Ledger): Draft => ({
  ...ledger,
  items: { ...ledger.items },
  materials: { ...ledger.materials },
  recentSlips: ledger.recentSlips.slice(),
});

/** Counts a session in; true when any of it was on their own. */
function tally(draft: Draft, tries: readonly Try[], ownBeforeToday: boolean): boolean {
  const { items, materials, recentSlips } = draft;
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
    for (const material of one.materials) materials[material] = (materials[material] ?? 0) + 1;
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

/** Decides at the end of a session. */
function decide(
  skill: Skill,
  draft: Draft,
  belief: Distribution,
  session: readonly Try[],
  policy: Policy,
): void {
  const day = draft.lastSeen as Day;
  const p = chanceOfMastery(skill, belief);
  if (draft.verdict === 'secure') {
    stillSecure(draft, p, day, session);
    return;
  }
  const secure =
    p >= NEEDED[policy] && draft.ownDays >= OWN_DAYS_NEEDED && itemsSuffice(skill, draft);
  if (!secure) {
    stepBack(draft, day, session);
    return;
  }
  draft.verdict = 'secure';
  draft.secureSince = day;
  draft.firstSecure ??= { day, tries: draft.scored };
  draft.revisit = revisitAt(0, day);
  draft.lately = [];
  draft.restUntil = null;
}

/** A secure skill after a session: unsure once is looked at again, unsure twice running is lost. */
function stillSecure(draft: Draft, p: number, day: Day, session: readonly Try[]): void {
  const isUnsure = p < NEARLY_FROM;
  // A try or two are no look.
  if (isUnsure && draft.lookAgain !== null && scoreOf(session).scored < REVIEW_TRIES) return;
  if (isUnsure && draft.lookAgain !== null) {
    draft.verdict = 'review';
    draft.revisit = null;
    draft.lookAgain = null;
  } else if (isUnsure) draft.lookAgain = addDays(day, LOOK_AGAIN_DAYS);
  else {
    const revisit = draft.revisit ?? revisitAt(0, day);
    // A doubt that clears is no step further.
    const cleared = day >= revisit.due ? revisitAt(revisit.step, day) : revisit;
    draft.revisit = draft.lookAgain === null ? revisitAfter(revisit, day, session) : cleared;
    draft.lookAgain = null;
  }
}

/** Rests a skill that hardly ever came over the latest dozen tries on three days, then counts anew. */
function stepBack(draft: Draft, day: Day, session: readonly Try[]): void {
  const all = [...draft.lately, { day, ...scoreOf(session) }];
  const enough = (some: readonly SessionTally[]): boolean =>
    some.reduce((sum, one) => sum + one.scored, 0) >= REST_TRIES &&
    new Set(some.map((one) => one.day)).size >= REST_DAYS_SEEN;
  let from = 0;
  while (enough(all.slice(from + 1))) from++;
  const latest = all.slice(from);
  draft.lately = latest;
  if (!enough(latest)) return;
  const [scored, own] = latest.reduce(
    (sum, one) => [sum[0] + one.scored, sum[1] + one.own] as const,
    [0, 0] as readonly [number, number],
  );
  if (own >= REST_BELOW * scored) return;
  draft.restUntil = addDays(day, REST_DAYS);
  draft.lately = [];
}

/** True while a skill rests. */
export const isResting = (ledger: Ledger | undefined, today: Day): boolean =>
  ledger !== undefined && ledger.restUntil !== null && today < ledger.restUntil;

/** Tries of a day by session, in the order in which the sessions began. */
export function bySession(tries: readonly Try[]): Try[][] {
  const sessions = new Map<string, Try[]>();
  for (const one of tries) {
    const known = sessions.get(one.session);
    if (known) known.push(one);
    else sessions.set(one.session, [one]);
  }
  return [...sessions.values()];
}

/**
 * Belief and ledger after a day, deciding at the end of each session and never within one.
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
  for (const session of bySession(tries)) {
    if (!session.some(counts)) continue;
    for (const one of session) weighIn(skill, likelihood, one);
    belief = posterior(dayPrior, likelihood);
    ownToday = tally(ledger, session, ownToday);
    decide(skill, ledger, belief, session, policy);
  }
  return { belief, ledger };
}
