import { FEW } from './add.js';
import { SKILLS, findItem } from './map.js';
import type { Item, Skill } from './types.js';

/** A skill and one of its items: what an answer can be evidence for. */
export interface SkillItem {
  readonly skillId: string;
  readonly itemId: string;
}

const byNumber = new Map<string, SkillItem>();
const byParts = new Map<string, SkillItem>();
for (const skill of SKILLS) {
  for (const item of skill.items) {
    const found = { skillId: skill.id, itemId: item.id };
    const keys: [Map<string, SkillItem>, string][] = [
      [byNumber, `${skill.family}/${item.form ?? ''}/${item.number}`],
      [byParts, `${skill.family}/${item.parts.join('-')}`],
    ];
    for (const [map, key] of keys) if (!map.has(key)) map.set(key, found);
  }
}

/** The item of a family that turns on a number, such as `touch-10`'s seven; null where none does. */
export const itemByNumber = (family: string, n: number, form = ''): SkillItem | null =>
  byNumber.get(`${family}/${form}/${n}`) ?? null;

/** The item of a family made of just these parts in this order; null where there is none. */
export const itemByParts = (family: string, parts: readonly number[]): SkillItem | null =>
  byParts.get(`${family}/${parts.join('-')}`) ?? null;

/** An item by its ids; null where the map has no such one. */
export const itemOf = (skillId: string, itemId: string): SkillItem | null =>
  findItem(skillId, itemId) ? { skillId, itemId } : null;

/** The listed number nearest to n among a skill's items that have `form`, the smaller of two. */
export function nearestItem(skill: Skill, n: number, form: string | null = null): SkillItem | null {
  const near = (item: Item): number => Math.abs(item.number - n);
  const [best] = skill.items
    .filter((item) => item.form === form && item.number > 0)
    .sort((a, b) => near(a) - near(b) || a.number - b.number);
  return best ? { skillId: skill.id, itemId: best.id } : null;
}

const inRanges = (
  n: number,
  ranges: readonly (readonly [top: number, skillId: string])[],
): string | null => ranges.find(([top]) => n <= top)?.[1] ?? null;

/** a and b put together: the class of their total, in which the larger comes first or the smaller. */
export function joinItem(a: number, b: number): SkillItem | null {
  const total = a + b;
  const skillId = inRanges(total, [
    [5, 'join-5'],
    [10, 'join-10'],
    [20, 'join-20'],
  ]);
  if (skillId === null) return null;
  const order = a === b ? 'double' : a > b ? 'large' : 'small';
  return itemOf(skillId, a === 0 || b === 0 ? 'nothing' : `sum${total}-${order}`);
}

/** Three amounts put together: the class of their total. */
export function addThreeItem(addends: readonly number[]): SkillItem | null {
  const total = addends.reduce((sum, one) => sum + one, 0);
  return itemOf(total <= 10 ? 'add-three-10' : 'add-three-20', `sum${total}`);
}

/** b taken from a: to five each pair by itself, beyond by what there was and how many went. */
export function awayItem(a: number, b: number): SkillItem | null {
  if (b < 1 || b > a) return null;
  if (a <= 5) return itemOf('away-5', `t${a}-${b}`);
  return itemOf(a <= 10 ? 'away-10' : 'away-20', `from${a}-${b <= FEW ? 'few' : 'many'}`);
}

/** A sentence laid or written for what was seen, by its whole. */
export const sentenceItem = (sign: 'plus' | 'minus' | 'gap', whole: number): SkillItem | null =>
  itemOf(`sentence-${sign}`, `whole${whole}`);

/** Two amounts compared, by how far they lie apart. Plain to see is what `more-clear` asks. */
export function moreItem(a: number, b: number, plain = false): SkillItem | null {
  const d = Math.abs(a - b);
  const largest = Math.max(a, b);
  if (plain) return largest <= 8 ? itemOf('more-clear', `d${d}`) : null;
  if (largest <= 5) return itemOf('more-5', `d${d}`);
  return largest <= 10 ? itemOf('more-10', `d${Math.min(d, 4)}`) : null;
}

/** How many more a is than b. */
export const differItem = (a: number, b: number): SkillItem | null =>
  Math.max(a, b) <= 10 ? itemOf('differ-10', `d${Math.abs(a - b)}`) : null;

/** The greater of two numerals. */
export const greaterItem = (a: number, b: number): SkillItem | null =>
  Math.max(a, b) <= 10 && a !== b ? itemOf('greater-10', `d${Math.min(6, Math.abs(a - b))}`) : null;

const NEAR = 2;

/** The sign between two amounts. */
export function signItem(left: number, right: number): SkillItem | null {
  if (Math.max(left, right) > 10) return null;
  if (left === right) return itemOf('sign-10', 'same');
  const near = Math.abs(left - right) <= NEAR ? 'near' : 'far';
  return itemOf('sign-10', `${left > right ? 'more' : 'fewer'}-${near}`);
}

/** n things among two, three or four, evenly or with some left. */
export const shareItem = (n: number, among: number): SkillItem | null =>
  itemOf('share', `among${among}-${n % among === 0 ? 'even' : 'left'}`);

/** g groups of s; other sizes than two, five and ten are a skill of their own. */
export const groupsItem = (groups: number, size: number): SkillItem | null =>
  itemOf('groups', `g${groups}-${size}`) ?? itemOf('groups-more', `of${size}`);

/** Rows of a size; what the rows do not list are groups. */
export const rowsItem = (rows: number, size: number): SkillItem | null =>
  itemOf('rows', `g${rows}-${size}`) ?? itemOf('groups-more', `of${size}`);
