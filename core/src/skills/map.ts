import { ADD } from './add.js';
import { BEYOND } from './beyond.js';
import { BOND } from './bond.js';
import { COMPARE } from './compare.js';
import { COUNT } from './count.js';
import { GLANCE } from './glance.js';
import { MEASURE } from './measure.js';
import { NUMERAL } from './numeral.js';
import { PATTERN } from './pattern.js';
import { SAY } from './say.js';
import { SORT } from './sort.js';
import { type Item, STRANDS, type Skill, type Strand } from './types.js';

/** Every skill, strand by strand, each strand in the order in which it is usually met. */
export const SKILLS: readonly Skill[] = [
  ...SAY,
  ...COUNT,
  ...GLANCE,
  ...NUMERAL,
  ...COMPARE,
  ...BOND,
  ...ADD,
  ...BEYOND,
  ...MEASURE,
  ...SORT,
  ...PATTERN,
];

const byId = new Map(SKILLS.map((skill) => [skill.id, skill]));
const itemsById = new Map(
  SKILLS.map((skill) => [skill.id, new Map(skill.items.map((item) => [item.id, item]))]),
);

/** The skill with this id, or undefined. */
export function findSkill(id: string): Skill | undefined {
  return byId.get(id);
}

/**
 * The skill with this id.
 * @throws RangeError when the map has no such skill
 */
export function skillOf(id: string): Skill {
  const skill = byId.get(id);
  if (!skill) throw new RangeError(`unknown skill "${id}"`);
  return skill;
}

/** The item of a skill, or undefined when either is unknown. */
export function findItem(skillId: string, itemId: string): Item | undefined {
  return itemsById.get(skillId)?.get(itemId);
}

/** The strands that hold at least one skill, in their order. */
export function strandsInUse(): Strand[] {
  return STRANDS.filter((strand) => SKILLS.some((skill) => skill.strand === strand));
}

/** Skills of one strand in order. */
export function skillsOfStrand(strand: Strand): Skill[] {
  return SKILLS.filter((skill) => skill.strand === strand);
}

/**
 * Ids that match any of the patterns: an id as it stands, or `name-*` for a whole family
 * (`say-*` takes in `say-20` and leaves out `say-back-5`, which is a family of its own).
 */
export function matchSkills(patterns: readonly string[]): string[] {
  const wanted = new Set(patterns);
  return SKILLS.filter(({ id, family }) => wanted.has(id) || wanted.has(`${family}-*`)).map(
    ({ id }) => id,
  );
}

/** Families that can only be said: words in order, up, down, on, by steps. */
const ALOUD: ReadonlySet<string> = new Set(['say', 'say-back', 'say-on', 'say-next', 'step']);

/** True for a skill that can only be shown by speaking. */
export const saidAloud = ({ family }: Skill): boolean => ALOUD.has(family);

/** True for an item about nothing, or about all of it: such alone say little of a skill. */
export function isZeroOrWhole({ number, parts, form }: Item, { to }: Skill): boolean {
  if (parts.length > 0) {
    return parts.includes(0) || (form === 'minus' && new Set(parts).size === 1);
  }
  return to > 0 && number === 0;
}

/** Skills that build directly on the given one. */
export function openedBy(id: string): Skill[] {
  return SKILLS.filter((skill) => skill.buildsOn.includes(id));
}

/**
 * Checks the whole map and returns what is wrong with it, one sentence each; empty when sound.
 * Looks for doubled ids, unknown builds-on, circles, and items that repeat.
 */
export function faultsOf(skills: readonly Skill[]): string[] {
  const faults: string[] = [];
  const known = new Map(skills.map((skill) => [skill.id, skill]));
  if (known.size !== skills.length) faults.push('a skill id is used twice');
  for (const skill of skills) {
    const ids = new Set(skill.items.map((item) => item.id));
    if (skill.items.length === 0) faults.push(`${skill.id} has no items`);
    if (ids.size !== skill.items.length) faults.push(`${skill.id} has an item twice`);
    for (const below of skill.buildsOn) {
      if (!known.has(below)) faults.push(`${skill.id} builds on unknown ${below}`);
    }
  }
  const state = new Map<string, 'open' | 'done'>();
  const visit = (id: string): void => {
    if (state.get(id) === 'done') return;
    if (state.get(id) === 'open') {
      faults.push(`${id} builds on itself in a circle`);
      return;
    }
    state.set(id, 'open');
    for (const below of known.get(id)?.buildsOn ?? []) visit(below);
    state.set(id, 'done');
  };
  for (const skill of skills) visit(skill.id);
  return faults;
}
