/**
 * Invented children whose true place in each strand is known: what they can do, what they answer, and how
 * they grow. Nothing of it is seen by what plans and asks.
 */
import { levelsByAge } from '@gumo/core/evidence';
import {
  GUESS_CHANCE,
  SKILLS,
  STRANDS,
  findItem,
  skillOf,
  skillsOfStrand,
} from '@gumo/core/skills';
import { chance, normal } from './learners.mjs';

const OFFSET_SD = 1;
/** Ability at the place, for each skill below and above it, and what a try and a week add. */
const [AT_PLACE, BELOW, ABOVE, EACH_TRY, EACH_WEEK] = [1.6, 0.5, 1.1, 0.06, 0.15];
const MOST = 5;
/** So far practice alone brings a child; below the second a week brings hardly anything. */
const [NEARLY, FAR_BELOW, SLOWLY] = [2.5, -1, 0.05];
/** A child who is stuck does not get beyond this in what comes next in a strand. */
const STUCK_AT = -1.5;
const STUCK_IN = 'count';
/** The ability from which a child has a skill. */
export const HAS_FROM = 0.8;
/** The numerals that one child takes for each other. */
const TAKEN = [6, 9];

const clamp = (x, low, high) => Math.min(high, Math.max(low, x));
const mean = (list) => list.reduce((sum, one) => sum + one, 0) / Math.max(1, list.length);

/**
 * What a child can do: an ability for each skill, by its distance from the true place in the strand.
 * @param trait 'stuck', 'mixes up' (takes six for nine), 'points' or null
 */
export function inventChild(ageMonths, trait, random) {
  const levels = levelsByAge(ageMonths);
  const ability = new Map();
  const known = new Set();
  const stuck = new Set();
  for (const strand of STRANDS) {
    const skills = skillsOfStrand(strand);
    const place = clamp(Math.round(levels[strand] + OFFSET_SD * normal(random)), 0, skills.length);
    skills.forEach((skill, i) => {
      const below = place - 1 - i;
      if (below >= 0) known.add(skill.id);
      else if (trait === 'stuck' && strand === STUCK_IN) stuck.add(skill.id);
      ability.set(
        skill.id,
        below >= 0
          ? Math.min(MOST, AT_PLACE + BELOW * below)
          : stuck.has(skill.id)
            ? STUCK_AT + ABOVE * (below + 1)
            : AT_PLACE + ABOVE * below,
      );
    });
  }
  return { ability, known, stuck, trait };
}

const chanceOn = ({ ability }, skillId, itemId) =>
  chance(
    ability.get(skillId),
    findItem(skillId, itemId ?? '')?.difficulty ?? 0,
    GUESS_CHANCE[skillOf(skillId).answers],
  );

/** The share of a skill's items that a child has on their own. */
export const shareKnown = (truth, skillId) =>
  mean(skillOf(skillId).items.map(({ id }) => chanceOn(truth, skillId, id)));

export const hasSkill = (truth, skillId) => truth.ability.get(skillId) >= HAS_FROM;

/**
 * The chance of a question: that of its hardest part; of words in order, which are said as far as they
 * go, the share that is on their own.
 */
export function chanceOf(truth, { counts, right }) {
  const all = counts.map(({ skillId, itemId }) => chanceOn(truth, skillId, itemId));
  return right?.kind === 'reach' ? mean(all) : Math.min(...all);
}

/** What the child does with a question; a count of the words goes as far as its stretches do. */
export function answer(truth, question, random) {
  const { counts, right, heard } = question;
  const missed = random() < 0.5 ? 'help' : 'not-yet';
  if (truth.trait === 'mixes up' && right?.kind === 'numeral' && TAKEN.includes(right.shown)) {
    const other = TAKEN.find((one) => one !== right.shown);
    return { outcome: 'not-yet', tapped: { ...right, answer: other }, slipped: true };
  }
  if (right?.kind === 'reach' && right.from === 1 && right.direction === 'up' && !right.step) {
    const failed = counts.findIndex(
      ({ skillId, itemId }) => random() >= chanceOn(truth, skillId, itemId),
    );
    if (failed < 0) return { outcome: 'own', tapped: null };
    const last = counts[failed - 1];
    const stop = last ? (findItem(last.skillId, last.itemId)?.number ?? 1) : 1;
    return { outcome: 'not-yet', tapped: { ...right, stop } };
  }
  const own = counts.length === 0 || random() < chanceOf(truth, question);
  return { outcome: own ? 'own' : missed, tapped: heard || !own ? null : right };
}

/** Practice helps where the child nearly can. */
export function practices(truth, skillId, by = EACH_TRY) {
  const now = truth.ability.get(skillId);
  if (now < MOST && !truth.stuck.has(skillId)) {
    truth.ability.set(skillId, Math.min(Math.max(now, NEARLY), now + by));
  }
}

/** What a week brings by itself. */
export function grows(truth) {
  for (const { id } of SKILLS) {
    practices(truth, id, truth.ability.get(id) > FAR_BELOW ? EACH_WEEK : SLOWLY);
  }
}
