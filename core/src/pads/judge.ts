import type { Prompt } from '../activities/index.js';
import type { CaptureKind, CaptureRecord, Outcome, RecordOf } from '../vocabulary/index.js';
import { expectedRecord } from './expected.js';
import { firstWrongPlace } from '../measuring/index.js';

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

/** What is right by itself, without being the one expected answer. */
function rightOtherwise(record: CaptureRecord, prompt: Prompt): boolean | null {
  switch (record.kind) {
    case 'range':
      return record.low <= record.actual && record.actual <= record.high;
    case 'guess':
      return true;
    case 'weigh':
      return prompt.itemId === 'near' ? true : null;
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
        : record.measured === prompt.expected;
    case 'tens':
      return prompt.skillId === 'split-more'
        ? record.splits.every((split) => split.reduce((a, b) => a + b, 0) === record.number)
        : null;
    case 'bond':
      return prompt.parts.length < 2 && record.parts.length > 0
        ? record.parts.reduce((a, b) => a + b, 0) === record.whole
        : null;
    default:
      return null;
  }
}

/** True when what stands on a pad is a right answer to the prompt. */
export function isRight(prompt: Prompt, record: CaptureRecord): boolean {
  const otherwise = rightOtherwise(record, prompt);
  if (otherwise !== null) return otherwise;
  const right = expectedRecord(prompt, 'en') as unknown as Record<string, unknown>;
  const given = record as unknown as Record<string, unknown>;
  if (record.kind === 'compare' && record.asked === 'fewer') {
    return record.answer === fewerOf(record);
  }
  return Object.keys(UNANSWERED[record.kind]).every((field) => same(given[field], right[field]));
}

/** The side with fewer, or *same*. */
const fewerOf = ({ left, right }: RecordOf<'compare'>): string =>
  left === right ? 'same' : left < right ? 'left' : 'right';

/**
 * The record of a try. A pad that was not touched means the expected answer where the child
 * managed, and "not noted" where it did not.
 * @param tapped what stands on the pad after a touch; null for an untouched one
 * @param language BCP 47 tag of the language counted in
 */
export function recordFor(
  prompt: Prompt,
  tapped: CaptureRecord | null,
  outcome: Outcome,
  language: string,
): CaptureRecord {
  const managed = outcome === 'own' || outcome === 'help';
  const record = tapped ?? expectedRecord(prompt, language);
  return managed || (tapped !== null && !isRight(prompt, tapped))
    ? record
    : ({ ...record, ...UNANSWERED[record.kind] } as CaptureRecord);
}

/** The first wrong place of a pattern, in words; null where there is none or no row was noted. */
export function patternSlip(prompt: Prompt, record: CaptureRecord): string | null {
  if (record.kind !== 'pattern' || record.answer.length === 0) return null;
  const right = expectedRecord(prompt, 'en') as RecordOf<'pattern'>;
  const place = firstWrongPlace(record.answer, right.answer);
  return place === null ? null : `first wrong place: ${place}`;
}
