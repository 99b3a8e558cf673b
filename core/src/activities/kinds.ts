import type { CaptureKind } from '../vocabulary/index.js';

const KIND_OF_FAMILY: Readonly<Record<string, CaptureKind>> = {
  say: 'reach',
  'say-back': 'reach',
  'say-on': 'reach',
  'say-next': 'after',
  touch: 'count',
  total: 'count',
  layout: 'count',
  give: 'give',
  place: 'place',
  glance: 'glance',
  frame: 'frame',
  name: 'numeral',
  match: 'numeral',
  forms: 'numeral',
  order: 'order',
  'order-three': 'note',
  gap: 'gap',
  write: 'draw',
  draw: 'draw',
  more: 'compare',
  greater: 'compare',
  sign: 'compare',
  differ: 'compare',
  plus1: 'after',
  minus1: 'after',
  bond: 'bond',
  hide: 'bond',
  double: 'add',
  join: 'add',
  away: 'add',
  on: 'add',
  sentence: 'add',
  'add-three': 'add',
  fluent: 'add',
  story: 'story',
  partner: 'partner',
  share: 'share',
  teens: 'tens',
  'tens-ones': 'tens',
  'split-more': 'tens',
  groups: 'groups',
  rows: 'groups',
};

/** Kinds whose answer is one whole number, taken by a number strip. */
const ANSWERED_BY_NUMBER: readonly CaptureKind[] = [
  'reach',
  'count',
  'give',
  'numeral',
  'glance',
  'frame',
  'after',
  'bond',
  'add',
  'gap',
  'place',
  'story',
];

/** The family of a skill: its id without the last part, `say-back` of `say-back-10`. */
export const familyOf = (skillId: string): string => skillId.replace(/-[a-z0-9]+$/, '');

/** The capture kind that records a skill; *note* where no other fits. */
export function captureKindOf(skillId: string): CaptureKind {
  return KIND_OF_FAMILY[skillId] ?? KIND_OF_FAMILY[familyOf(skillId)] ?? 'note';
}

/** True where a number answers a prompt of this kind. */
export const isAnsweredByNumber = (kind: CaptureKind): boolean => ANSWERED_BY_NUMBER.includes(kind);

/** True where one of the kinds records the skill; what is noted in words fits everywhere. */
export function recordable(skillId: string, kinds: readonly CaptureKind[]): boolean {
  const kind = captureKindOf(skillId);
  return kind === 'note' || kinds.includes(kind);
}
