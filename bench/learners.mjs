/** Simulated learners of one skill: what they can do, what is noted of them, what is concluded. */
import { nextPrompt, replaySkill, EMPTY_LEDGER, afterGap, priorAbility } from '@gumo/core/evidence';
import { seeded } from '@gumo/core/numbers';
import { GUESS_CHANCE, skillOf } from '@gumo/core/skills';
import { addDays } from '@gumo/core/vocabulary';

const CEILING = 0.95;
const DAY_SD = 0.5;
const DIFFICULTY_SD = 0.4;
const MOST_SESSIONS = 20;
const FIRST_DAY = '2026-01-05';
export const POLICIES = ['secure-first', 'balanced', 'follow-child'];

const logistic = (x) => 1 / (1 + Math.exp(-x));
export const chance = (theta, b, guess = 0.05) => guess + (CEILING - guess) * logistic(theta - b);

export function normal(random) {
  return Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
}

const shareOf = (theta, difficulties, guess) =>
  difficulties.reduce((sum, b) => sum + chance(theta, b, guess), 0) / difficulties.length;

/** The ability at which a child has this share of the items. */
export function abilityFor(share, difficulties, guess = 0.05) {
  let [low, high] = [-8, 8];
  for (let i = 0; i < 50; i++) {
    const middle = (low + high) / 2;
    if (shareOf(middle, difficulties, guess) < share) low = middle;
    else high = middle;
  }
  return low;
}

const between = (low, high) => (random) => low + (high - low) * random();
const never = () => 0;
const most = (share) => (grow) => (random) => (random() < share ? 0 : grow(random));
const GROWING = between(0.1, 0.28);
const MIXED = most(0.3)(GROWING);

/**
 * Conditions: ability gained a day, the share of misses that are helped, and what else is so. A learner
 * starts where at most 62 % of the items are on their own, unless it stays where it is.
 */
export const CONDITIONS = {
  mixed: { grows: MIXED },
  growing: { grows: GROWING },
  slow: { grows: between(0.02, 0.08) },
  sudden: { grows: never, jumps: true },
  'never learning': { grows: never },
  'steady, M uniform': { grows: never, steady: true },
  '90 % of misses helped': { grows: MIXED, helped: 0.9 },
  'never, 95 % helped': { grows: never, helped: 0.95 },
  'never, 80 % helped at once': { grows: never, atOnce: 0.8 },
  'help never noted': { grows: MIXED, helped: 0 },
  '20 % of the helped noted as own': { grows: MIXED, ownInstead: 0.2 },
  '25 % long breaks': { grows: MIXED, breaks: 0.25 },
  'two to guess from, mixed': { grows: MIXED, skill: 'partner-10' },
  'two to guess from, growing': { grows: GROWING, skill: 'partner-10' },
  'two to guess from, never': { grows: never, skill: 'partner-10' },
  'three to pick from': { grows: MIXED, skill: 'sign-10' },
  '2 items': { grows: MIXED, skill: 'say-10' },
  '3 items': { grows: MIXED, skill: 'three-parts-5' },
  '45 items': { grows: MIXED, skill: 'hide-10' },
};

/** A try as the fold takes it: the t-th of a session on a day. */
const tryOf = (session, t, day, what) => ({
  ...what,
  observationId: `${session}-${t}`,
  guess: null,
  at: '',
  day,
  session: String(session),
  materials: [],
  slips: [],
  firstLook: false,
});

/** Outcome of a try on their own or not, as it is noted. */
function noted(own, random, { helped = 0.5, atOnce = 0, ownInstead = 0 }) {
  if (random() < atOnce) return 'help';
  if (own) return 'own';
  if (random() >= helped) return 'not-yet';
  return random() < ownInstead ? 'own' : 'help';
}

/**
 * One learner: sessions of four to eight tries, each choosing what to ask as the application does.
 * Says for every policy when it first called the skill secure, and how far the child was then.
 */
export function learn(seed, condition) {
  const { grows, jumps = false, steady = false, breaks = 0.04, skill: id = 'bond-5' } = condition;
  const skill = skillOf(id);
  const guess = GUESS_CHANCE[skill.answers];
  const random = seeded(seed);
  const difficulties = skill.items.map((one) => one.difficulty + DIFFICULTY_SD * normal(random));
  const highest = abilityFor(0.93, difficulties, guess);
  const startsBelow = abilityFor(0.62, difficulties, guess);
  let theta = -0.5 + 1.5 * normal(random);
  if (steady) theta = abilityFor(0.07 + 0.86 * random(), difficulties, guess);
  else while (theta > startsBelow) theta = -0.5 + 1.5 * normal(random);
  const growth = grows(random);
  const jump = jumps ? 2 + Math.floor(random() * 10) : Infinity;
  const index = new Map(skill.items.map((item, i) => [item.id, i]));
  const pool = skill.items.map((item) => ({ skillId: id, itemId: item.id, key: item.id }));
  const tries = [];
  const rested = [];
  const states = new Map(POLICIES.map((policy) => [policy, null]));
  const called = {};
  let mastered = null;
  let day = 0;
  for (let session = 0; session < MOST_SESSIONS; session++) {
    const gap = random() < breaks ? 10 + Math.floor(random() * 20) : 1 + Math.floor(random() * 4);
    day += gap;
    theta = session === jump ? highest : Math.min(Math.max(highest, theta), theta + growth * gap);
    const share = shareOf(theta, difficulties, guess);
    if (mastered === null && share >= 0.85) mastered = tries.length;
    const mood = DAY_SD * normal(random);
    const on = addDays(FIRST_DAY, day);
    const count = 4 + Math.floor(random() * 5);
    const asked = [];
    const here = [];
    // The slowest policy is the last to have enough.
    const lead = states.get('secure-first');
    const known = { skills: lead ? { [id]: lead } : {}, assumed: {}, overrides: {}, look: null };
    for (let t = 0; t < count; t++) {
      const { itemId } = nextPrompt(pool, known, asked, on, `${seed}/${t}`, t === count - 1);
      const own = random() < chance(theta + mood, difficulties[index.get(itemId)], guess);
      const outcome = noted(own, random, condition);
      asked.push({ key: itemId, outcome });
      tries.push({ own: outcome === 'own', day });
      here.push(tryOf(session, t, on, { skillId: id, itemId, outcome }));
    }
    for (const policy of POLICIES) {
      const before = states.get(policy);
      if (called[policy]) continue;
      const prior = before ? afterGap(before.belief, gap, false) : priorAbility();
      const ledger = before?.ledger ?? EMPTY_LEDGER;
      const after = { day: on, ...replaySkill(skill, prior, ledger, here, policy) };
      states.set(policy, after);
      if (after.ledger.verdict === 'secure') called[policy] = { tries: tries.length, share };
      const { restUntil } = after.ledger;
      if (policy === 'balanced' && restUntil !== null && restUntil !== ledger.restUntil) {
        rested.push(share);
      }
    }
    for (const [name, rule] of Object.entries(CUSTOMARY)) {
      if (!called[name] && rule(tries)) called[name] = { tries: tries.length, share };
    }
    if (POLICIES.every((policy) => called[policy])) break;
  }
  return { called, mastered, rested };
}

/** Customary counts: each says at the end of a session whether it would call the skill known. */
export const CUSTOMARY = {
  'three in a row': (tries) =>
    tries.some((_, i) => i >= 2 && tries.slice(i - 2, i + 1).every((one) => one.own)),
  'four of five': (tries) =>
    tries.some((_, i) => i >= 4 && tries.slice(i - 4, i + 1).filter((one) => one.own).length >= 4),
  'nine of ten on two days': (tries) => {
    const last = tries.slice(-10);
    const enough = last.length === 10 && last.filter((one) => one.own).length >= 9;
    return enough && new Set(last.map((one) => one.day)).size >= 2;
  },
};

const ALL_DAYS = 365;
const FALL_WITHIN = 120;
const SEEN_WITHIN = 90;

/**
 * A year with a skill that is secure: a passing session of one to three tries every three to ten days, three to six
 * tries at each review and when it is looked at again.
 * @param falls whether what the child can do falls from .90 to .50 on a day within the first 120
 * @returns the day on which it was no longer secure, and the day of the fall
 */
export function year(seed, falls) {
  const skill = skillOf('bond-5');
  const random = seeded(seed);
  const difficulties = skill.items.map((one) => one.difficulty + DIFFICULTY_SD * normal(random));
  const [high, low] = [0.9, 0.5].map((share) => abilityFor(share, difficulties));
  const fallsOn = falls ? 1 + Math.floor(random() * FALL_WITHIN) : Infinity;
  let state = null;
  let session = 0;
  const sit = (day, count, theta) => {
    const on = addDays(FIRST_DAY, day);
    const mood = DAY_SD * normal(random);
    const tries = Array.from({ length: count }, (_, t) => {
      const i = Math.floor(random() * skill.items.length);
      const own = random() < chance(theta + mood, difficulties[i]);
      const outcome = own ? 'own' : random() < 0.5 ? 'help' : 'not-yet';
      return tryOf(session, t, on, { skillId: skill.id, itemId: skill.items[i].id, outcome });
    });
    session += 1;
    const gap = state ? day - state.at : 0;
    const isSecure = state?.ledger.verdict === 'secure';
    const prior = state ? afterGap(state.belief, gap, isSecure) : priorAbility();
    const ledger = state?.ledger ?? EMPTY_LEDGER;
    state = { at: day, ...replaySkill(skill, prior, ledger, tries, 'balanced') };
  };
  let day = 0;
  while (state?.ledger.verdict !== 'secure') sit((day += 2), 6, high);
  const start = day;
  let passing = day + 3 + Math.floor(random() * 8);
  for (day += 1; day <= start + ALL_DAYS; day++) {
    const theta = day - start >= fallsOn ? low : high;
    const on = addDays(FIRST_DAY, day);
    const { lookAgain, revisit } = state.ledger;
    if ((lookAgain ?? revisit.due) <= on) sit(day, 3 + Math.floor(random() * 4), theta);
    else if (day >= passing) {
      sit(day, 1 + Math.floor(random() * 3), theta);
      passing = day + 3 + Math.floor(random() * 8);
    }
    if (state.ledger.verdict === 'review') return { lost: day - start, fallsOn };
  }
  return { lost: null, fallsOn };
}

export const isSeenInTime = ({ lost, fallsOn }) =>
  lost !== null && lost >= fallsOn && lost <= fallsOn + SEEN_WITHIN;
