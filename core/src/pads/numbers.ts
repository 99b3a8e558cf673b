import type { Question } from '../rounds/question.js';
import type { CaptureRecord, RecordOf } from '../vocabulary/index.js';
import { type Key, type KeyGroup, group, key } from './pad.js';

/** Up to this many the whole row of numbers stands there; beyond it digits are typed. */
const MOST_KEYS = 20;
/** A wild guess is a fact worth keeping. */
const LARGEST = 999;
/** Words of a count go on past what was asked, so that the furthest can be kept. */
const FURTHEST = 120;

const upTo = (from: number, to: number, step = 1): number[] => {
  const by = to < from ? -step : step;
  const count = Math.floor(Math.abs(to - from) / step) + 1;
  return Array.from({ length: count }, (_, i) => from + by * i);
};

/** Reads and writes the number of a record that answers the question. */
interface Lens {
  readonly caption: string;
  readonly get: (record: never) => number | null;
  readonly set: (record: never, n: number) => CaptureRecord;
}

const lens = <R extends CaptureRecord>(
  caption: string,
  get: (record: R) => number | null,
  set: (record: R, n: number) => CaptureRecord,
): Lens => ({ caption, get, set });

const answer = (caption: string): Lens =>
  lens<RecordOf<'glance' | 'numeral' | 'after' | 'bond' | 'add' | 'place' | 'story' | 'groups'>>(
    caption,
    (record) => record.answer,
    (record, n) => ({ ...record, answer: n }),
  );

const LENSES: Partial<Record<CaptureRecord['kind'], Lens>> = {
  give: lens<RecordOf<'give'>>(
    'how many were handed over',
    (record) => record.given,
    (record, n) => ({ ...record, given: n }),
  ),
  frame: lens<RecordOf<'frame'>>(
    'how many lay there',
    (record) => record.placed ?? record.toTen,
    (record, n) => (record.placed === null ? { ...record, toTen: n } : { ...record, placed: n }),
  ),
  glance: answer('how many the child saw'),
  numeral: answer('what the child said or chose'),
  after: answer('the number that was told'),
  bond: answer('how many the child said'),
  add: answer('how many the child said'),
  place: answer('which place the child pointed to'),
  story: answer('how many the child said'),
  groups: answer('how many in all'),
  share: lens<RecordOf<'share'>>(
    'how many each got',
    (record) => record.answer,
    (record, n) => ({ ...record, answer: n }),
  ),
  sort: lens<RecordOf<'sort'>>(
    'how many of the twelve lay where they belong',
    (record) => record.placedRight,
    (record, n) => ({ ...record, placedRight: n }),
  ),
  length: lens<RecordOf<'length'>>(
    'how many were counted',
    (record) => record.measured,
    (record, n) => ({ ...record, measured: n }),
  ),
  guess: lens<RecordOf<'guess'>>(
    'what the child thought; then count together',
    (record) => record.predicted,
    (record, n) => ({ ...record, predicted: n }),
  ),
  compare: lens<RecordOf<'compare'>>(
    'how many more the child said',
    (record) => (record.answer === '' ? null : Number(record.answer)),
    (record, n) => ({ ...record, answer: String(n) }),
  ),
  chart: lens<RecordOf<'chart'>>(
    'the number the child said',
    (record) => (record.answer === '' ? null : Number(record.answer)),
    (record, n) => ({ ...record, answer: String(n) }),
  ),
  tens: lens<RecordOf<'tens'>>(
    'the number the child came to',
    (record) => record.countedTo,
    (record, n) => ({ ...record, countedTo: n }),
  ),
};

/** Teens are ten and some more: the ones are what is answered. */
const ONES = lens<RecordOf<'tens'>>(
  'how many more than ten',
  (record) => record.ones,
  (record, n) => ({ ...record, ones: n }),
);

const digitKeys = (
  set: (n: number | null) => CaptureRecord | null,
  shown: number | null,
  touched: boolean,
): Key[] => {
  const typed = touched ? shown : null;
  const digits = [1, 2, 3, 4, 5, 6, 7, 8, 9, 0].map((digit) => {
    const longer = typed === null ? digit : 10 * typed + digit;
    return key(String(digit), false, set(longer <= LARGEST ? longer : digit), {
      aloud: `digit ${digit}`,
    });
  });
  const fewer = typed === null || typed < 10 ? null : Math.floor(typed / 10);
  return [...digits, key('⌫', false, set(fewer), { aloud: 'undo the last digit' })];
};

/**
 * One row of numbers, or digits where the numbers are many.
 * @param shown the number that stands there, null for none
 * @param set what stands on the pad with another number
 */
function numberKeys(
  id: string,
  caption: string,
  top: number,
  shown: number | null,
  touched: boolean,
  set: (n: number) => CaptureRecord,
): KeyGroup {
  if (top <= MOST_KEYS) {
    const keys = upTo(0, top).map((n) =>
      key(String(n), n === shown, touched && n === shown ? null : set(n)),
    );
    return group(id, 'numbers', caption, keys);
  }
  const words = shown === null ? caption : `${caption}: ${shown}`;
  return group(
    id,
    'keypad',
    words,
    digitKeys((n) => (n === null ? null : set(n)), shown, touched),
  );
}

/** The number that answers the question; null where a number is not the answer. */
export function numberGroup(
  question: Question,
  record: CaptureRecord,
  touched: boolean,
): KeyGroup | null {
  const { right } = question;
  const ones = record.kind === 'tens' && right?.kind === 'tens' && right.countedTo === null;
  const found = ones ? ONES : LENSES[record.kind];
  if (!found) return null;
  const shown = touched || question.heard ? found.get(record as never) : null;
  const top = record.kind === 'place' ? 5 : question.top;
  return numberKeys('answer', found.caption, top, shown, touched, (n) =>
    found.set(record as never, n),
  );
}

/** A number word said on the way to the stop: left out, said twice, swapped with the next, or none. */
function nextOnTheWay(record: RecordOf<'reach'>, n: number): RecordOf<'reach'> {
  const step = (record.step ?? 1) * (record.direction === 'up' ? 1 : -1);
  const without = <T>(list: readonly T[], one: T): T[] => list.filter((other) => other !== one);
  if (record.leftOut.includes(n)) {
    return {
      ...record,
      leftOut: without(record.leftOut, n),
      repeated: [...record.repeated, n],
    };
  }
  if (record.repeated.includes(n)) {
    return {
      ...record,
      repeated: without(record.repeated, n),
      swapped: [...record.swapped, [n, n + step]],
    };
  }
  const swapped = record.swapped.filter(([a]) => a !== n);
  return swapped.length < record.swapped.length
    ? { ...record, swapped }
    : { ...record, leftOut: [...record.leftOut, n] };
}

/** The words of a count to tap: where the child stopped, then what went otherwise on the way. */
export function reachGroups(record: RecordOf<'reach'>, touched: boolean): KeyGroup[] {
  const sign = record.direction === 'up' ? 1 : -1;
  const { stop, from, to } = record;
  const step = record.step ?? 1;
  const goesOn = sign > 0 && step === 1 && from <= 1;
  const wordKey = (n: number): Key => {
    const onTheWay = stop !== null && sign * (stop - n) > 0;
    const mark = markOf(record, n, onTheWay);
    const cleared = { ...record, stop: n, said: null };
    const next = touched && onTheWay ? nextOnTheWay(record, n) : cleared;
    const aloud = mark === 'plain' || mark === 'passed' ? null : `${n}, ${MARK_WORDS[mark]}`;
    return key(String(n), n === stop, touched && n === stop ? null : next, { mark, aloud });
  };
  const caption = 'the last word said; then tap what was left out, said twice or swapped';
  if (!goesOn) return [group('answer', 'numbers', caption, upTo(from, to, step).map(wordKey))];
  if (Math.max(to, stop ?? 0) <= MOST_KEYS) {
    const further = key('20 +', false, { ...record, stop: 21, said: null }, { aloud: 'further' });
    return [group('answer', 'numbers', caption, [...upTo(1, MOST_KEYS).map(wordKey), further])];
  }
  // Above twenty the ten first, then the one.
  const decade = Math.floor(Math.max(0, (stop ?? to) - 1) / 10);
  const tens = upTo(0, FURTHEST / 10 - 1).map((ten) =>
    key(`${10 * ten + 1} …`, ten === decade, { ...record, stop: 10 * ten + 1, said: null }),
  );
  return [
    group('decade', 'chips', 'the ten', tens),
    group('answer', 'numbers', caption, upTo(10 * decade + 1, 10 * decade + 10).map(wordKey)),
  ];
}

function markOf(record: RecordOf<'reach'>, n: number, onTheWay: boolean): Key['mark'] {
  if (record.leftOut.includes(n)) return 'left-out';
  if (record.repeated.includes(n)) return 'twice';
  if (record.swapped.some(([a]) => a === n)) return 'swapped';
  return onTheWay ? 'passed' : 'plain';
}

const MARK_WORDS = {
  'left-out': 'left out',
  twice: 'said twice',
  swapped: 'swapped with the next',
};

/** A count takes the last word said; what was touched twice or skipped follows from its chips. */
export function countGroup(
  question: Question,
  record: RecordOf<'count'>,
  touched: boolean,
): KeyGroup {
  const shown = record.answer ?? record.lastWord;
  return numberKeys('answer', 'the last word said', question.top, shown, touched, (n) =>
    countedTo(record, n),
  );
}

/** The count when its last word was n: the words said follow, and how much was doubled or skipped. */
export function countedTo(record: RecordOf<'count'>, n: number): RecordOf<'count'> {
  const over = n - record.n;
  return {
    ...record,
    words: record.words === null ? null : n,
    lastWord: n,
    answer: n,
    skipped: record.skipped > 0 ? Math.max(1, -over) : 0,
    doubled: record.doubled > 0 ? Math.max(1, over) : 0,
  };
}

/** Another number than the last word, when asked how many. */
export function otherTotalGroup(question: Question, record: RecordOf<'count'>): KeyGroup {
  const caption = 'what was answered to “how many?”';
  return numberKeys('total', caption, question.top, record.answer, true, (n) => ({
    ...record,
    answer: n,
  }));
}

/** The answers to several gaps of one row, one group each. */
export function gapGroups(record: RecordOf<'gap'>): KeyGroup[] {
  return record.gaps.map((right, i) => {
    const set = (n: number): RecordOf<'gap'> => ({
      ...record,
      answers: record.gaps.map((_, j) => (j === i ? n : (record.answers[j] ?? null))),
    });
    const near = upTo(Math.max(0, right - NEAR), right + NEAR).filter(
      (n) => !record.row.includes(n),
    );
    const steps = record.row.filter((n) => n !== null);
    const by = Math.abs((steps[1] ?? 1) - (steps[0] ?? 0));
    const far = by > 1 ? [right - by, right + by, right - 1, right + 1] : [];
    const numbers = [...new Set([...near, ...far, right])].filter((n) => n >= 0);
    const caption =
      record.gaps.length === 1
        ? 'the number that was found'
        : `for the ${ORDINAL[i] ?? 'next'} gap`;
    const keys = numbers
      .sort((a, b) => a - b)
      .map((n) => key(String(n), record.answers[i] === n, set(n)));
    return group(`gap-${i}`, 'numbers', caption, keys);
  });
}

/** Numbers on either side of what is missing. */
const NEAR = 5;
const ORDINAL = ['first', 'second', 'third'];
