import {
  GUESS_CHANCE,
  STRANDS,
  type Skill,
  type Strand,
  skillOf,
  skillsOfStrand,
} from '../skills/index.js';
import {
  type Day,
  type Outcome,
  type PlacementEstimate,
  daysBetween,
} from '../vocabulary/index.js';
import {
  type LookStrand,
  type PlaceTry,
  type Places,
  atLeast,
  outlook,
  places,
} from './place-model.js';
import { FROM_THE_GROUND } from './assumption.js';

/** One try of a first look, as far as places are concerned. */
export interface LookTry {
  readonly skillId: string;
  readonly outcome: Outcome;
  readonly guess: number;
}

/** Where a new child was placed, by the educator's pegs or by age, and what was tried since. */
export interface Look {
  readonly levels: PlacementEstimate['levels'];
  readonly byAge: boolean;
  /** Of the latest placement. */
  readonly since: Day;
  /** Tries of the first look itself. */
  readonly tries: readonly LookTry[];
  /** Tries of ordinary sessions in the first weeks: they tell of the places as well. */
  readonly seen: readonly LookTry[];
}

/** Tries in one session, and in all, at most. */
export const LOOK_SESSION = 15;
export const LOOK_TRIES = 30;
const MOST_A_SKILL = 2;
/** A first look asks for nothing that is often first seen more than so many months later. */
const AHEAD_MONTHS = 24;
/** Ordinary tries tell of the places for so many days after the placement; then a child has moved on. */
const PLACED_FOR_DAYS = 28;
/** Lowest chance of on their own for the next try: first and last, after a not yet, and otherwise. */
const FRIENDLY = 0.8;
const AFTER_NOT_YET = 0.75;
const USUAL = 0.7;
/** Belief in a place that is stated, and in a skill that is assumed. */
const PLACE_FROM = 0.6;
const TAKEN_FROM = 0.8;
/** Nothing is assumed of a strand with fewer tries. */
const STRAND_TRIES = 3;
const MISS_COSTS = 0.25;
const TWO_ON_OWN_ADD = 0.15;
const HARD_TO_GUESS = 0.3;

const skillsOf = new Map(STRANDS.map((strand) => [strand, skillsOfStrand(strand)]));
const inStrand = (strand: Strand): readonly Skill[] => skillsOf.get(strand) ?? [];
const INDEX = new Map(
  STRANDS.flatMap((strand) => inStrand(strand).map((skill, i) => [skill.id, i] as const)),
);

/**
 * Ages in months between which the first and the last skill of a strand are often first seen
 * (common practice, no source); a starting point for a first look without pegs, never a target.
 */
const SEEN_BETWEEN: Record<Strand, readonly [number, number]> = {
  say: [30, 84],
  count: [32, 76],
  glance: [30, 72],
  numeral: [38, 84],
  compare: [34, 78],
  bond: [44, 84],
  add: [46, 88],
  beyond: [54, 96],
  measure: [34, 80],
  sort: [28, 74],
  pattern: [32, 76],
};

/** Age in months at which a skill is often first seen, by its place in the strand; never a target. */
export function firstSeenAround({ id, strand }: Pick<Skill, 'id' | 'strand'>): number {
  const [first, last] = SEEN_BETWEEN[strand];
  return first + ((last - first) * (INDEX.get(id) ?? 0)) / inStrand(strand).length;
}

/** Pegs as the age alone would set them. @param ageMonths full months lived */
export function levelsByAge(ageMonths: number): PlacementEstimate['levels'] {
  return Object.fromEntries(
    STRANDS.map((strand) => {
      const [first, last] = SEEN_BETWEEN[strand];
      const n = inStrand(strand).length;
      const share = (ageMonths - first) / (last - first);
      return [strand, Math.min(n, Math.max(0, Math.round(share * n)))];
    }),
  ) as PlacementEstimate['levels'];
}

function strandsOf(look: Look): LookStrand[] {
  return STRANDS.map((strand) => ({
    guesses: inStrand(strand).map((skill) => GUESS_CHANCE[skill.answers]),
    level: look.levels[strand],
  }));
}

/** Of the first look itself, and of the sessions after it. */
const allTries = ({ tries, seen }: Look): readonly LookTry[] => [...tries, ...seen];

function triesByStrand(look: Look): PlaceTry[][] {
  const byStrand = STRANDS.map((): PlaceTry[] => []);
  for (const { skillId, outcome, guess } of allTries(look)) {
    const index = INDEX.get(skillId);
    const strand = STRANDS.indexOf(skillOf(skillId).strand);
    if (index !== undefined) byStrand[strand]?.push({ index, outcome, guess });
  }
  return byStrand;
}

const placesByLook = new WeakMap<Look, Places>();

/** Belief about the place in each strand, in the order of the strands. */
export function placesOf(look: Look): Places {
  const known = placesByLook.get(look);
  if (known) return known;
  const made = places(strandsOf(look), triesByStrand(look), look.byAge);
  placesByLook.set(look, made);
  return made;
}

/** The belief that a child who was placed has a skill: that the place lies beyond it. */
export function believedKnown(look: Look, skill: Skill): number {
  const belief = placesOf(look)[STRANDS.indexOf(skill.strand)] ?? [];
  return atLeast(belief, (INDEX.get(skill.id) ?? 0) + 1);
}

/** A look with tries of an ordinary session: in the first weeks the first two of each skill count. */
export function seenOn(look: Look, day: Day, tries: readonly LookTry[]): Look {
  if (daysBetween(look.since, day) > PLACED_FOR_DAYS) return look;
  const times = new Map<string, number>();
  for (const { skillId } of look.seen) times.set(skillId, (times.get(skillId) ?? 0) + 1);
  const fresh = tries.filter(({ skillId, outcome }) => {
    const before = times.get(skillId) ?? 0;
    if (outcome === 'not-now' || before >= MOST_A_SKILL) return false;
    times.set(skillId, before + 1);
    return true;
  });
  return fresh.length === 0 ? look : { ...look, seen: [...look.seen, ...fresh] };
}

/** What a first look has found so far. */
export interface LookResult {
  /** How many skills of each strand stand as known. */
  readonly places: Readonly<Record<Strand, number>>;
  /** Skills assumed, each after what it builds on. */
  readonly taken: readonly string[];
}

/**
 * Places and skills assumed. A skill is taken when its strand was tried three times, the belief
 * that it is known, less a quarter for each miss, reaches 0.8, and all it builds on directly is known too.
 * @param known skills that are known without the first look
 */
export function lookResult(look: Look, known: ReadonlySet<string>): LookResult {
  const beliefs = placesOf(look);
  const found = STRANDS.map((strand, s) => {
    const belief = beliefs[s] ?? [];
    let place = 0;
    for (let k = 1; k < belief.length; k++) if (atLeast(belief, k) >= PLACE_FROM) place = k;
    return [strand, place] as const;
  });
  const taken: string[] = [];
  const isKnown = new Set(known);
  const seen = triesByStrand(look).map(
    (tries) => tries.filter((one) => one.outcome !== 'not-now').length,
  );
  for (const skill of FROM_THE_GROUND) {
    if (known.has(skill.id) || !skill.buildsOn.every((id) => isKnown.has(id))) continue;
    const s = STRANDS.indexOf(skill.strand);
    if ((seen[s] ?? 0) < STRAND_TRIES) continue;
    const belief = beliefs[s] ?? [];
    const index = INDEX.get(skill.id) ?? 0;
    const tries = allTries(look).filter((one) => one.skillId === skill.id);
    const own = tries.filter((one) => one.outcome === 'own').length;
    const missed = tries.filter(
      ({ outcome }) => outcome === 'not-yet' || outcome === 'help',
    ).length;
    const q =
      atLeast(belief, index + 1) -
      (own >= 2 ? 0 : MISS_COSTS * missed) +
      (own >= 2 && GUESS_CHANCE[skill.answers] < HARD_TO_GUESS ? TWO_ON_OWN_ADD : 0);
    if (q < TAKEN_FROM) continue;
    taken.push(skill.id);
    isKnown.add(skill.id);
  }
  return { places: Object.fromEntries(found) as Record<Strand, number>, taken };
}

/** A skill and an item of it to ask about. */
export interface LookPrompt {
  readonly skillId: string;
  readonly itemId: string;
  readonly chance: number;
}

/** The two items nearest the middle of a skill, so that two tries are not the same one. */
function itemFor(skill: Skill, asked: number): string {
  const nearest = [...skill.items].sort(
    (a, b) => Math.abs(a.difficulty) - Math.abs(b.difficulty) || a.difficulty - b.difficulty,
  );
  return (nearest[asked % nearest.length] ?? skill.items[0])?.id ?? '';
}

/**
 * What to ask next: over all strands the skill that tells most among those the child is likely
 * enough to manage; at most two tries a skill and never the same one twice running. Null when the
 * look is done, or when the session is. What is often first seen more than two years later is not asked.
 * @param session tries of this session so far
 * @param ageMonths full months lived
 */
export function nextLook(
  look: Look,
  session: readonly LookTry[],
  ageMonths: number,
): LookPrompt | null {
  const left = Math.min(LOOK_SESSION - session.length, LOOK_TRIES - look.tries.length);
  if (left <= 0) return null;
  const last = session[session.length - 1];
  const friendly = session.length === 0 || left === 1;
  const wanted = friendly ? FRIENDLY : last?.outcome === 'not-yet' ? AFTER_NOT_YET : USUAL;
  const beliefs = placesOf(look);
  const asked = new Map<string, number>();
  for (const { skillId } of look.tries) asked.set(skillId, (asked.get(skillId) ?? 0) + 1);
  const open = STRANDS.flatMap((strand, s) =>
    inStrand(strand).flatMap((skill, index) => {
      const times = asked.get(skill.id) ?? 0;
      if (times >= MOST_A_SKILL || skill.id === last?.skillId) return [];
      if (firstSeenAround(skill) > ageMonths + AHEAD_MONTHS) return [];
      const seen = outlook(beliefs[s] ?? [], index, GUESS_CHANCE[skill.answers]);
      return [{ skill, times, ...seen }];
    }),
  );
  for (const least of new Set([wanted, USUAL])) {
    const best = open.filter((one) => one.chance >= least).sort((a, b) => b.tells - a.tells)[0];
    if (best) {
      const itemId = itemFor(best.skill, best.times);
      return { skillId: best.skill.id, itemId, chance: best.chance };
    }
  }
  return null;
}
