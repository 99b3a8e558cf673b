import type { CaptureKind } from '../vocabulary/index.js';

/** Capture kinds that can record a family of skills, the usual one first. */
const KINDS_OF_FAMILY: Readonly<Record<string, readonly CaptureKind[]>> = {
  say: ['reach', 'catch'],
  'say-back': ['reach', 'catch'],
  'say-on': ['reach'],
  'say-next': ['after'],
  step: ['reach'],
  touch: ['count', 'guess', 'catch'],
  total: ['count', 'catch'],
  layout: ['count'],
  coins: ['count'],
  give: ['give'],
  place: ['place'],
  glance: ['glance'],
  frame: ['frame'],
  name: ['numeral', 'catch'],
  match: ['numeral'],
  forms: ['numeral'],
  order: ['order'],
  'order-three': ['note'],
  gap: ['gap'],
  write: ['draw'],
  draw: ['draw'],
  more: ['compare', 'chart'],
  greater: ['compare'],
  sign: ['compare'],
  differ: ['compare', 'guess', 'chart'],
  plus1: ['after'],
  minus1: ['after'],
  bond: ['bond'],
  'three-parts': ['bond'],
  hide: ['bond'],
  double: ['add'],
  join: ['add'],
  away: ['add'],
  on: ['add'],
  sentence: ['add'],
  'add-three': ['add'],
  fluent: ['add'],
  story: ['story'],
  partner: ['partner'],
  share: ['share'],
  teens: ['tens'],
  'tens-ones': ['tens'],
  'split-more': ['tens'],
  groups: ['groups'],
  rows: ['groups'],
  divide: ['weigh'],
  units: ['length'],
  holds: ['length'],
  estimate: ['range', 'guess'],
  sort: ['sort'],
  shape: ['sort'],
  chart: ['chart'],
  pattern: ['pattern'],
  'mirror-make': ['pattern'],
};

/** The family of a skill: its id without the last part, `say-back` of `say-back-10`. */
export const familyOf = (skillId: string): string => skillId.replace(/-[a-z0-9]+$/, '');

/** Items that are not recorded as the rest of their skill. */
const KINDS_OF_ITEM: Readonly<Record<string, readonly CaptureKind[]>> = {
  'holds-more/pair-clear': ['note'],
  'holds-more/pair-shape': ['note'],
  'mirror-see/hinged': ['guess', 'note'],
};

/** The kinds that can record a skill, the usual one first; *note* where no other fits. */
function kindsOf(skillId: string, itemId?: string): readonly CaptureKind[] {
  return (
    KINDS_OF_ITEM[`${skillId}/${itemId}`] ??
    KINDS_OF_FAMILY[skillId] ??
    KINDS_OF_FAMILY[familyOf(skillId)] ?? ['note']
  );
}

/** The capture kind that usually records a skill; *note* where no other fits. */
export function captureKindOf(skillId: string, itemId?: string): CaptureKind {
  return kindsOf(skillId, itemId)[0] ?? 'note';
}

/**
 * Which of an activity's kinds record a skill, in the order in which the activity names them; what
 * is noted in words fits everywhere.
 */
export function kindsWithin(
  skillId: string,
  kinds: readonly CaptureKind[],
  itemId?: string,
): CaptureKind[] {
  const usual = kindsOf(skillId, itemId);
  const found = kinds.filter((kind) => usual.includes(kind));
  return found.length === 0 && usual.includes('note') ? ['note'] : found;
}

/** True where one of the kinds records the skill; what is noted in words fits everywhere. */
export const recordable = (skillId: string, kinds: readonly CaptureKind[]): boolean =>
  kindsWithin(skillId, kinds).length > 0;
