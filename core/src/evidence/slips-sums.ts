import type { CaptureRecord, RecordOf } from '../vocabulary/index.js';

/** A named slip: a stable code for counting how often, and words for people. */
export interface Slip {
  readonly code: string;
  readonly words: string;
}

export const slip = (code: string, words: string): Slip => ({ code, words });

/** How far an answer may lie off and still be called near. */
const NEAR = 2;

export function offBy(answer: number, right: number, one: string): Slip {
  const off = Math.abs(answer - right);
  if (off === 1) return slip('off-by-one', one);
  return off <= NEAR ? slip('near', 'was near') : slip('far-off', 'was far off');
}

/** The digits of two addends side by side, as 23 for 2 and 3. */
const sideBySide = (a: number, b: number): number => Number(`${a}${b}`);

/**
 * What an answer to a + b says, the first reading that fits and, where there is one, the next.
 * The record keeps both; the first is named.
 */
export function plusSlips(
  a: number,
  b: number,
  answer: number,
  way: RecordOf<'add'>['way'],
): Slip[] {
  const right = a + b;
  if (answer === right) return [];
  const mayCountOn = way === 'on' || (way === null && a >= 2 && b >= 2);
  const readings: (readonly [boolean, Slip])[] = [
    [
      mayCountOn && answer === right - 1,
      slip('first-again', `said ${answer} for ${a} and ${b}: the first number was said again`),
    ],
    [answer === a || answer === b, slip('one-part', `said ${answer}, one part of ${a} and ${b}`)],
    [
      answer === Math.abs(a - b) && a !== 1 && b !== 1,
      slip('took-away', `took away: ${answer} for ${a} and ${b}`),
    ],
    [
      answer === right + 1,
      slip('counted-twice', `said ${answer} for ${a} and ${b}: one counted twice`),
    ],
    [answer === right - 1, slip('missed-one', `said ${answer} for ${a} and ${b}: one was missed`)],
    [
      answer === sideBySide(a, b),
      slip('side-by-side', `put ${a} and ${b} side by side: ${answer}`),
    ],
  ];
  const found = readings.filter(([fits]) => fits).map(([, reading]) => reading);
  if (found.length > 0) return found.slice(0, 2);
  return [
    Math.abs(answer - right) <= NEAR
      ? slip('near', `said ${answer} for ${a} and ${b}: near`)
      : slip('far-off', `said ${answer} for ${a} and ${b}: far off`),
  ];
}

/** What an answer to a - b says (own order, in the manner of a + b). */
export function minusSlips(a: number, b: number, answer: number): Slip[] {
  const right = a - b;
  if (answer === right) return [];
  if (answer === a + b) return [slip('put-together', `put ${a} and ${b} together: ${answer}`)];
  if (answer === b) return [slip('one-part', `said ${answer}, the part that was taken`)];
  if (answer === a) return [slip('said-whole', `said ${answer}, what there was before`)];
  return [offBy(answer, right, `said ${answer} for ${a} take away ${b}: off by one`)];
}

function addSlips(record: RecordOf<'add'>): Slip[] {
  const { addends, answer, way } = record;
  const [a, b, c] = addends;
  if (answer === null || a === undefined || b === undefined) return [];
  if (b < 0) return minusSlips(a, -b, answer);
  if (c === undefined) return plusSlips(a, b, answer, way);
  const right = addends.reduce((sum, one) => sum + one, 0);
  if (answer === right) return [];
  const parts = [a + b, a + c, b + c, a, b, c];
  return parts.includes(answer)
    ? [slip('one-part', `said ${answer}, a part of ${addends.join(', ')}`)]
    : [offBy(answer, right, `said ${answer} for ${addends.join(', ')}: off by one`)];
}

/** The hidden part of a whole, or one of several. */
function bondSlips(record: RecordOf<'bond'>): Slip[] {
  const { whole, inView, parts, answer } = record;
  const seen = inView.reduce((sum, one) => sum + one, 0);
  // With no part told by the adult the last one is what was asked, or the whole.
  const hidden = inView.length > 0 ? whole - seen : (parts.at(-1) ?? whole);
  if (answer === null || answer === hidden) return [];
  if (inView.length === 0 && answer === whole) return [];
  if (answer === whole) return [slip('said-whole', `said ${answer}, the whole`)];
  if (answer === seen && Math.abs(hidden - seen) !== 1) {
    return [slip('said-seen', `said ${answer}, the part in view`)];
  }
  const off = Math.abs(answer - hidden);
  return [
    off === 1
      ? slip('off-by-one', `said ${answer} where ${hidden} were hidden: off by one`)
      : slip('far-off', `said ${answer} where ${hidden} were hidden`),
  ];
}

function compareSlips(record: RecordOf<'compare'>): Slip[] {
  const { left, right, asked, answer } = record;
  if (answer === '') return [];
  if (asked === 'difference') {
    const said = Number(answer);
    const differ = Math.abs(left - right);
    if (!Number.isInteger(said) || said === differ) return [];
    if (said === Math.max(left, right)) {
      return [slip('said-amount', `said ${said}, the larger amount, not how many more`)];
    }
    return [offBy(said, differ, `said ${said} for a difference of ${differ}: off by one`)];
  }
  const larger = left === right ? 'same' : left > right ? 'left' : 'right';
  const smaller = left === right ? 'same' : left > right ? 'right' : 'left';
  if (asked === 'fewer' && answer === larger && larger !== 'same') {
    return [slip('answers-more', 'asked for fewer, gave the one with more')];
  }
  if (asked === 'more' && answer === smaller && larger !== 'same') {
    return [slip('answers-fewer', 'asked for more, gave the one with fewer')];
  }
  return [];
}

function tensSlips(record: RecordOf<'tens'>): Slip[] {
  const { number, countedTo } = record;
  const tens = Math.floor(number / 10);
  const ones = number % 10;
  if (countedTo === null || countedTo === number || ones === 0) return [];
  return countedTo === 10 * (tens + ones)
    ? [slip('on-in-tens', `counted to ${countedTo}: went on in tens`)]
    : [offBy(countedTo, number, `counted to ${countedTo}: off by one`)];
}

function afterSlips({ number, step, answer }: RecordOf<'after'>): Slip[] {
  if (answer === null || answer === number + step) return [];
  if (answer === number) return [slip('same-number', `said ${answer} again`)];
  if (answer === number - step) {
    return [slip('other-way', `said ${answer}, on the other side of ${number}`)];
  }
  return [offBy(answer, number + step, `said ${answer} for ${number + step}`)];
}

function drawSlips({ figure, reversed, startRight }: RecordOf<'draw'>): Slip[] {
  return [
    ...(reversed === true && /^\d+$/.test(figure)
      ? [slip(`reversed-${figure}`, `wrote ${figure} turned round`)]
      : []),
    ...(startRight === false ? [slip('start-low', 'started at the bottom')] : []),
  ];
}

/** Slips of the records about amounts put together, hidden, compared, built and written. */
export function sumSlips(record: CaptureRecord): Slip[] {
  switch (record.kind) {
    case 'add':
      return addSlips(record);
    case 'bond':
      return bondSlips(record);
    case 'compare':
      return compareSlips(record);
    case 'tens':
      return tensSlips(record);
    case 'after':
      return afterSlips(record);
    case 'draw':
      return drawSlips(record);
    case 'glance':
      return record.answer === null || record.answer === record.n
        ? []
        : [offBy(record.answer, record.n, `said ${record.answer} for ${record.n}: off by one`)];
    case 'partner': {
      const even = record.n % 2 === 0 ? 'even' : 'odd';
      return record.answer === null || record.answer === even
        ? []
        : [slip('odd-even', `called ${record.n} ${record.answer}`)];
    }
    default:
      return [];
  }
}
