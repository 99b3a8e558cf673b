import type { CaptureRecord, Outcome } from '../vocabulary/index.js';
import { isAnsweredByNumber } from './kinds.js';
import type { Prompt } from './prompts.js';

/** What was tapped on an answer pad; untouched until something is. */
export interface Taps {
  /** The number answered, or the last word said; null when nothing was tapped. */
  readonly value: number | null;
  readonly skipped: boolean;
  readonly doubled: boolean;
  readonly recounted: boolean;
  /** Words left out, said on the way to `value`. */
  readonly leftOut: readonly number[];
  /** Asked to go on from a number, the child began at one. */
  readonly fromOne: boolean;
}

export const NO_TAPS: Taps = {
  value: null,
  skipped: false,
  doubled: false,
  recounted: false,
  leftOut: [],
  fromOne: false,
};

/** True when what was tapped is what was expected; an untouched pad stands for that. */
export function isRight(prompt: Prompt, taps: Taps): boolean {
  const { value, skipped, doubled, recounted, leftOut, fromOne } = taps;
  const slipped = skipped || doubled || recounted || fromOne || leftOut.length > 0;
  return !slipped && (value ?? prompt.expected) === prompt.expected;
}

/**
 * The record of a try. An untouched pad means the expected answer where the child managed, and
 * "not noted" where it did not.
 * @param language BCP 47 tag of the language counted in
 */
export function recordFor(
  prompt: Prompt,
  taps: Taps,
  outcome: Outcome,
  language: string,
): CaptureRecord {
  if (!isAnsweredByNumber(prompt.kind)) return plainRecord(prompt, null);
  const touched = taps !== NO_TAPS && !(isRight(prompt, taps) && taps.value === null);
  const managed = outcome === 'own' || outcome === 'help';
  const value = touched || managed ? (taps.value ?? prompt.expected) : null;
  switch (prompt.kind) {
    case 'count':
      return countRecord(prompt, taps, value, language);
    case 'give':
      return { kind: 'give', asked: prompt.expected, given: value };
    case 'numeral':
      return {
        kind: 'numeral',
        shown: prompt.expected,
        answer: value,
        way: prompt.layout === null ? 'spoken' : 'matched',
      };
    case 'reach':
      return {
        kind: 'reach',
        language,
        direction: prompt.direction,
        from: prompt.from,
        to: prompt.expected,
        stop: taps.fromOne ? null : value,
        leftOut: [...taps.leftOut],
        repeated: [],
        swapped: [],
        said: taps.fromOne ? [1] : null,
        guess: null,
      };
    default:
      return plainRecord(prompt, value);
  }
}

/** Records that hold what was asked and at most a number as the answer. */
function plainRecord(prompt: Prompt, value: number | null): CaptureRecord {
  const { kind, itemId, expected, parts, form } = prompt;
  const [a = 0, b = 0] = parts;
  switch (kind) {
    case 'after': {
      const number = Number(itemId.replace(/^\D*/, ''));
      return { kind, number, step: expected - number, answer: value };
    }
    case 'place':
      return {
        kind,
        asked: expected,
        fromEnd: form === 'right' ? 'right' : 'left',
        answer: value,
      };
    case 'glance':
      return {
        kind,
        n: expected,
        picture: form ?? 'parts',
        seconds: 3,
        answer: value,
        howSeen: '',
      };
    case 'frame':
      return form === 'to-ten'
        ? { kind, n: 10 - expected, placed: null, fill: null, anotherWay: null, toTen: value }
        : { kind, n: expected, placed: value, fill: null, anotherWay: null, toTen: null };
    case 'bond':
      return parts.length < 2
        ? { kind, whole: expected, parts: [], inView: [], answer: value }
        : { kind, whole: a + b, parts: [...parts], inView: [a], answer: value };
    case 'add':
      return {
        kind,
        addends: addends(prompt),
        answer: value,
        way: null,
        sentenceRight: null,
      };
    case 'gap':
      return { kind, row: [], gaps: [expected], answers: [value] };
    case 'story':
      return { kind, story: itemId, answer: value };
    case 'compare':
      return { kind, left: a, right: b, asked: comparing(prompt.skillId), answer: '' };
    case 'partner':
      return { kind, n: expected, answer: null, because: '' };
    case 'share':
      return { kind, n: a, among: b, answer: null, leftOver: null };
    case 'groups':
      return { kind, groups: a, size: b, answer: null, leftOver: null };
    case 'tens':
      return { kind, number: expected, tens: null, ones: null, countedTo: null, splits: [] };
    case 'draw':
      return {
        kind,
        figure: /^n\d+$/.test(itemId) ? itemId.slice(1) : itemId,
        form: '',
        support: 'own',
        startRight: null,
        directionRight: null,
        reversed: null,
        readable: null,
      };
    default:
      return { kind: 'note', words: '' };
  }
}

/** What is added up; a missing addend is what the whole is without the other: 5 - 3 for 3 + ? = 5. */
function addends({ skillId, form, parts }: Prompt): number[] {
  const [a = 0, b = 0] = parts;
  if (skillId === 'sentence-gap') return [a + b, -a];
  return form === 'minus' ? [a, -b] : [...parts];
}

function comparing(skillId: string): 'difference' | 'sign' | 'more' {
  if (skillId.startsWith('differ')) return 'difference';
  return skillId.startsWith('sign') ? 'sign' : 'more';
}

function countRecord(
  prompt: Prompt,
  taps: Taps,
  value: number | null,
  language: string,
): CaptureRecord {
  const n = prompt.expected;
  const over = value === null ? 0 : value - n;
  return {
    kind: 'count',
    language,
    n,
    layout: prompt.layout ?? 'row',
    words: value,
    lastWord: value,
    skipped: taps.skipped ? Math.max(1, -over) : 0,
    doubled: taps.doubled ? Math.max(1, over) : 0,
    answer: value,
    recounted: taps.recounted,
  };
}

const HUNDRED = 100;

/** The numbers an answer pad offers, in the order in which they stand. */
export function choicesFor(prompt: Prompt, top: number): number[] {
  const upTo = (from: number, to: number): number[] =>
    Array.from({ length: Math.abs(to - from) + 1 }, (_, i) => from + Math.sign(to - from) * i);
  if (!isAnsweredByNumber(prompt.kind)) return [];
  if (prompt.kind === 'reach') return upTo(prompt.from, prompt.expected);
  const n = prompt.expected;
  if (prompt.kind === 'place') return upTo(1, 5);
  if (Math.max(n, top) <= 20) return upTo(0, Math.max(10, n > 10 || top > 10 ? 20 : 10));
  const turned = (n % 10) * 10 + Math.floor(n / 10);
  const near = [n, turned, n - 1, n + 1, n - 10, n + 10, Math.floor(n / 10) * 10, n % 10];
  const offered = near.filter((one) => one >= 0 && one <= HUNDRED);
  return [...new Set(offered)].sort((a, b) => a - b);
}

/** Plain words for the adult to say about what the child did, whatever came of it. */
export function acknowledge(prompt: Prompt, outcome: Outcome): string {
  if (outcome === 'not-now') return '“We can do it another time.”';
  if (outcome === 'help') return '“You tried, and then we did it together.”';
  const own = outcome === 'own';
  switch (prompt.kind) {
    case 'count':
      return own ? '“You touched each one.”' : '“You counted. Let’s move them one by one.”';
    case 'give':
      return own ? '“You stopped just there.”' : '“You gave me some. Let’s count them.”';
    case 'numeral':
      return own ? '“You knew its name.”' : '“You looked at it closely. I’ll say it.”';
    case 'reach':
      return own ? '“You went all the way.”' : '“You came this far. Let’s say it together.”';
    default:
      return own ? '“You found it out.”' : '“You had a good look. Let’s see together.”';
  }
}
