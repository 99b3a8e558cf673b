import * as v from 'valibot';
import { Allergens } from './allergens.js';
import {
  Day,
  Id,
  Version,
  WeekNumber,
  nonEmptyText,
  flag,
  boundedArray,
  oneOf,
  text,
} from './basics.js';

/** Felt shapes that stand for a child wherever space is short. */
export const PEG_SHAPES = [
  'leaf',
  'drop',
  'wave',
  'hill',
  'seed',
  'shell',
  'knot',
  'cloud',
] as const;
export const PEG_COLORS = [
  'moss',
  'heather',
  'slate',
  'bark',
  'spruce',
  'plum',
  'rust',
  'ink',
] as const;
/** How a child can answer; several may hold. */
export const ANSWER_MODES = ['speaks', 'points', 'fingers', 'hands'] as const;
/** When a range counts as secure: later, in between, or earlier. */
export const POLICIES = ['secure-first', 'balanced', 'follow-child'] as const;

export const ChildSymbol = v.object({ shape: oneOf(PEG_SHAPES), color: oneOf(PEG_COLORS) });

export const ChildCautions = v.object({
  mouths: flag,
  allergies: Allergens,
  note: text(500),
});

/** What an educator may write about a child; the rest is added by the household's server. */
export const ChildDraft = v.object({
  name: nonEmptyText(40),
  birthDate: Day,
  symbol: ChildSymbol,
  interests: boundedArray(nonEmptyText(30), 12),
  cautions: ChildCautions,
  answerModes: v.pipe(
    boundedArray(oneOf(ANSWER_MODES), ANSWER_MODES.length),
    v.minLength(1, 'choose at least one'),
  ),
  policy: oneOf(POLICIES),
  /** The number that this child's games take where it fits; null or absent for the household's. */
  weekNumber: v.optional(v.nullable(WeekNumber)),
});

export const Child = v.object({
  ...ChildDraft.entries,
  id: Id,
  archived: flag,
  version: Version,
});

/** True for a child who answers in words. */
export const speaksOf = ({ answerModes }: Pick<Child, 'answerModes'>): boolean =>
  answerModes.includes('speaks');

export type ChildSymbol = v.InferOutput<typeof ChildSymbol>;
export type SymbolShape = (typeof PEG_SHAPES)[number];
export type SymbolColor = (typeof PEG_COLORS)[number];
export type AnswerMode = (typeof ANSWER_MODES)[number];
export type Policy = (typeof POLICIES)[number];
export type ChildDraft = v.InferOutput<typeof ChildDraft>;
export type Child = v.InferOutput<typeof Child>;
