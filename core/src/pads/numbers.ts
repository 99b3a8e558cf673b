import { type Prompt, pileSizes } from '../activities/index.js';
import type { CaptureRecord, RecordOf } from '../vocabulary/index.js';
import { type Key, type KeyGroup, group, key } from './pad.js';

const HUNDRED = 100;
const MOST_ON_STRIP = 20;
const CARDS = 5;

const upTo = (from: number, to: number, step = 1): number[] => {
  const by = to < from ? -step : step;
  const count = Math.floor(Math.abs(to - from) / step) + 1;
  return Array.from({ length: count }, (_, i) => from + by * i);
};

/**
 * The numbers that a pad offers around a right answer.
 * @param top top of the child's range; up to 20 the whole row is offered, beyond it the look-alikes
 * @param few five near ones, for a child who points to a card
 */
export function choicesAround(right: number, top: number, few = false): number[] {
  if (few) {
    const lowest = Math.max(0, right - 2);
    return upTo(lowest, lowest + CARDS - 1);
  }
  if (Math.max(right, top) <= MOST_ON_STRIP) return upTo(0, right > 10 || top > 10 ? 20 : 10);
  const turned = (right % 10) * 10 + Math.floor(right / 10);
  const nearby = [-10, -1, 0, 1, 10].map((by) => right + by);
  const near = [...nearby, turned, Math.floor(right / 10) * 10, right % 10];
  const offered = near.filter((one) => one >= 0 && one <= HUNDRED);
  return [...new Set(offered)].sort((a, b) => a - b);
}

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
  bond: answer('how many the child told'),
  add: answer('how many the child told'),
  place: answer('which place the child pointed to'),
  story: answer('how many the child told'),
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
    'how many more the child told',
    (record) => (record.answer === '' ? null : Number(record.answer)),
    (record, n) => ({ ...record, answer: String(n) }),
  ),
  chart: lens<RecordOf<'chart'>>(
    'the number the child told',
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

const keysOf = (
  numbers: readonly number[],
  record: CaptureRecord,
  touched: boolean,
  { get, set }: Lens,
): Key[] => {
  const shown = get(record as never);
  return numbers.map((n) => {
    const again = touched && n === shown;
    return key(String(n), n === shown, again ? null : set(record as never, n));
  });
};

/** Numbers that stand for a prompt's answers, in the order in which they lie. */
function numbersFor(prompt: Prompt, record: CaptureRecord, top: number): number[] {
  const { expected } = prompt;
  switch (record.kind) {
    case 'place':
      return upTo(1, 5);
    case 'sort':
      return upTo(0, 12);
    case 'tens': {
      if (prompt.skillId === 'teens') return upTo(0, 10);
      const onInTens = 10 * (Math.floor(record.number / 10) + (record.number % 10));
      const around = choicesAround(expected, HUNDRED);
      return [...new Set([...around, Math.min(onInTens, 190)])].sort((a, b) => a - b);
    }
    case 'groups': {
      const { groups, size } = record;
      const slips = [groups, size, groups + size, expected - size, expected + size];
      return [...new Set([...choicesAround(expected, HUNDRED), ...slips])]
        .filter((n) => n >= 0)
        .sort((a, b) => a - b);
    }
    default:
      return choicesAround(expected, top, prompt.way === 'pointed');
  }
}

/** One row of numbers for what the record asks; null where a number is not the answer. */
export function numberGroup(
  prompt: Prompt,
  record: CaptureRecord,
  touched: boolean,
  top: number,
): KeyGroup | null {
  const found = prompt.skillId === 'teens' ? ONES : LENSES[record.kind];
  if (!found) return null;
  const numbers = numbersFor(prompt, record, top);
  return group('answer', 'numbers', found.caption, keysOf(numbers, record, touched, found));
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
export function reachGroup(record: RecordOf<'reach'>, touched: boolean): KeyGroup {
  const sign = record.direction === 'up' ? 1 : -1;
  const stop = record.stop;
  const keys = upTo(record.from, record.to, record.step ?? 1).map((n) => {
    const onTheWay = stop !== null && sign * (stop - n) > 0;
    const mark = record.leftOut.includes(n)
      ? ('left-out' as const)
      : record.repeated.includes(n)
        ? ('twice' as const)
        : record.swapped.some(([a]) => a === n)
          ? ('swapped' as const)
          : onTheWay
            ? ('passed' as const)
            : ('plain' as const);
    const cleared = { ...record, stop: n, said: null };
    const next = touched && onTheWay ? nextOnTheWay(record, n) : cleared;
    const aloud = mark === 'plain' || mark === 'passed' ? null : `${n}, ${MARK_WORDS[mark]}`;
    return key(String(n), n === stop, touched && n === stop ? null : next, { mark, aloud });
  });
  const caption = 'the last word said; then tap what was left out, said twice or swapped';
  return group('answer', 'numbers', caption, keys);
}

const MARK_WORDS = {
  'left-out': 'left out',
  twice: 'said twice',
  swapped: 'swapped with the next',
};

/** A count takes the last word said; what was touched twice or skipped follows from its chips. */
export function countGroup(
  prompt: Prompt,
  record: RecordOf<'count'>,
  touched: boolean,
  top: number,
): KeyGroup {
  const pointed = prompt.way === 'pointed';
  const numbers =
    pointed && prompt.skillId.startsWith('total')
      ? pileSizes(prompt.expected)
      : choicesAround(prompt.expected, top, pointed);
  const caption = pointed ? 'which one the child pointed to' : 'the last word said';
  const found = lens<RecordOf<'count'>>(caption, (one) => one.answer ?? one.lastWord, countedTo);
  return group('answer', 'numbers', caption, keysOf(numbers, record, touched, found));
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
export function otherTotalGroup(record: RecordOf<'count'>, top: number): KeyGroup {
  const found = lens<RecordOf<'count'>>(
    '',
    (one) => one.answer,
    (one, n) => ({ ...one, answer: n }),
  );
  const numbers = choicesAround(record.n, top);
  const caption = 'what was answered to “how many?”';
  return group('total', 'numbers', caption, keysOf(numbers, record, false, found));
}

/** The answers to several gaps of one row, one group each. */
export function gapGroups(record: RecordOf<'gap'>, top: number): KeyGroup[] {
  return record.gaps.map((right, i) => {
    const set = (n: number): RecordOf<'gap'> => ({
      ...record,
      answers: record.gaps.map((_, j) => (j === i ? n : (record.answers[j] ?? null))),
    });
    const numbers = choicesAround(right, top).filter((n) => !record.row.includes(n));
    const caption =
      record.gaps.length === 1
        ? 'the number that was found'
        : `for the ${ORDINAL[i] ?? 'next'} gap`;
    const keys = numbers.map((n) => key(String(n), record.answers[i] === n, set(n)));
    return group(`gap-${i}`, 'numbers', caption, keys);
  });
}

const ORDINAL = ['first', 'second', 'third'];

/** Least and most that a guesser kept, in steps fit for the jar, with three whole ranges on top. */
export function rangeGroups(record: RecordOf<'range'>, top: number): KeyGroup[] {
  const { low, high, actual } = record;
  const step = Math.max(top, actual) <= MOST_ON_STRIP ? 2 : 10;
  const most = step === 2 ? MOST_ON_STRIP : HUNDRED;
  const width = step === 2 ? 6 : 20;
  const at = (from: number): RecordOf<'range'> => {
    const least = Math.max(0, Math.min(most - width, from));
    return { ...record, low: least, high: least + width };
  };
  const middle = Math.round((actual - width / 2) / step) * step;
  const wholes = [
    ...new Map(
      [at(middle - width), at(middle), at(middle + width)].map((one) => [one.low, one]),
    ).values(),
  ];
  const numbers = upTo(0, most, step);
  return [
    group(
      'whole',
      'choices',
      'a range in one tap',
      wholes.map((one) =>
        key(`${one.low} to ${one.high}`, one.low === low && one.high === high, one),
      ),
    ),
    group(
      'low',
      'numbers',
      'at least',
      numbers.map((n) => key(String(n), n === low, { ...record, low: n, high: Math.max(n, high) })),
    ),
    group(
      'high',
      'numbers',
      'at most',
      numbers.map((n) => key(String(n), n === high, { ...record, high: n, low: Math.min(n, low) })),
    ),
  ];
}
