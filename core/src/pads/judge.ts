import { firstWrongPlace } from '../measuring/index.js';
import type { Question } from '../rounds/question.js';
import type { CaptureKind, CaptureRecord, Outcome, RecordOf } from '../vocabulary/index.js';

/** What a record of each kind holds while no answer is noted; its fields are the answer. */
const UNANSWERED: { readonly [K in CaptureKind]: Partial<RecordOf<K>> } = {
  reach: { stop: null, said: null, leftOut: [], repeated: [], swapped: [] },
  count: { words: null, lastWord: null, answer: null, skipped: 0, doubled: 0, recounted: false },
  give: { given: null },
  frame: { placed: null, toTen: null },
  glance: { answer: null },
  numeral: { answer: null },
  order: { placed: [] },
  gap: { answers: [] },
  draw: { startRight: null, directionRight: null, reversed: null, readable: null },
  compare: { answer: '' },
  after: { answer: null },
  bond: { answer: null },
  add: { answer: null },
  place: { answer: null },
  tens: { tens: null, ones: null, countedTo: null, splits: [] },
  groups: { answer: null },
  share: { answer: null, leftOver: null },
  partner: { answer: null },
  pattern: { answer: [] },
  sort: { placedRight: null },
  chart: { answer: '' },
  weigh: { predicted: null },
  length: { measured: null, gaps: false, overlaps: false, endsLinedUp: null },
  range: {},
  guess: {},
  catch: { caught: null },
  story: { answer: null },
  note: { words: '' },
};

const same = (a: unknown, b: unknown): boolean => JSON.stringify(a) === JSON.stringify(b);
const sum = (numbers: readonly number[]): number => numbers.reduce((all, n) => all + n, 0);

/** What is right by itself, without being the one expected answer. */
function rightOtherwise(record: CaptureRecord, right: CaptureRecord): boolean | null {
  switch (record.kind) {
    case 'range':
      return record.low <= record.actual && record.actual <= record.high;
    case 'guess':
      return true;
    case 'weigh':
      return record.predicted !== null && record.predicted === (record.found ?? null);
    case 'draw':
      return (
        record.reversed !== true &&
        record.readable !== false &&
        record.startRight !== false &&
        record.directionRight !== false
      );
    case 'length':
      return record.gaps || record.overlaps || record.endsLinedUp === false
        ? false
        : right.kind === 'length' && record.measured === right.measured;
    case 'tens':
      return right.kind === 'tens' && right.splits.length > 0
        ? record.splits.every((split) => sum(split) === record.number)
        : null;
    case 'reach':
      return right.kind === 'reach' && reachesFar(record, right);
    case 'pattern':
      return right.kind === 'pattern' && right.answer.length === 0 ? true : null;
    default:
      return null;
  }
}

/** Said to the end that was asked for, or further, with nothing wrong on the way. */
function reachesFar(record: RecordOf<'reach'>, right: RecordOf<'reach'>): boolean {
  const sign = right.direction === 'up' ? 1 : -1;
  const clean = record.leftOut.length + record.repeated.length + record.swapped.length === 0;
  return (
    clean &&
    (record.helpedAt ?? null) === null &&
    record.said === null &&
    record.stop !== null &&
    sign * (record.stop - right.to) >= 0
  );
}

/** True when a record is a right answer to the question. */
export function isRight({ right }: Pick<Question, 'right'>, record: CaptureRecord): boolean {
  if (right === null || right.kind !== record.kind) return false;
  const otherwise = rightOtherwise(record, right);
  if (otherwise !== null) return otherwise;
  const expected = right as unknown as Record<string, unknown>;
  const given = record as unknown as Record<string, unknown>;
  if (record.kind === 'sort' && right.kind === 'sort' && right.rule !== record.rule) return false;
  if (record.kind === 'count' && (record.helpedAt ?? null) !== null) return false;
  return Object.keys(UNANSWERED[record.kind]).every((field) => same(given[field], expected[field]));
}

/** True where the child made an answer: it was tapped, or the adult heard what is expected. */
export const isAnswered = (
  question: Pick<Question, 'heard' | 'right'>,
  tapped: CaptureRecord | null,
): boolean => question.right !== null && (tapped !== null || question.heard);

/**
 * The record of a try; null where nothing can be noted. A pad that was not touched means what is
 * expected where the child managed, and "not noted" where it did not.
 * @param tapped what stands on the pad after a touch; null for an untouched one
 */
export function recordFor(
  question: Pick<Question, 'right' | 'heard'>,
  tapped: CaptureRecord | null,
  outcome: Outcome,
): CaptureRecord | null {
  const { right, heard } = question;
  if (right === null) return null;
  const managed = (outcome === 'own' || outcome === 'help') && (heard || tapped !== null);
  const record = tapped ?? right;
  return managed || (tapped !== null && !isRight(question, tapped))
    ? record
    : ({ ...record, ...UNANSWERED[record.kind] } as CaptureRecord);
}

/** The first wrong place of a pattern, in words; null where there is none or no row was noted. */
export function patternSlip(
  { right, heard }: Pick<Question, 'right' | 'heard'>,
  record: CaptureRecord,
): string | null {
  if (record.kind !== 'pattern' || right?.kind !== 'pattern' || !heard) return null;
  if (record.answer.length === 0 || right.answer.length === 0) return null;
  const place = firstWrongPlace(record.answer, right.answer);
  return place === null ? null : `first wrong place: ${place}`;
}
