import { type Prompt, chartFor, plannedSlip } from '../activities/index.js';
import { hashText, shuffled } from '../numbers/index.js';
import { skillOf } from '../skills/index.js';
import type { CaptureKind, CaptureRecord, RecordOf } from '../vocabulary/index.js';
import { patternFor } from './patterns.js';

type Make<K extends CaptureKind> = (prompt: Prompt, language: string) => RecordOf<K>;

const partsOf = ({ parts }: Prompt): [number, number] => [parts[0] ?? 0, parts[1] ?? 0];

/** What is added up; a missing addend is the whole without the other: 5 - 3 for 3 + ? = 5. */
function addends({ skillId, form, parts }: Prompt): number[] {
  const [a = 0, b = 0] = parts;
  if (skillId === 'sentence-gap') return [a + b, -a];
  return form === 'minus' || skillId.startsWith('away') || skillId === 'sentence-minus'
    ? [a, -b]
    : [...parts];
}

function comparing(skillId: string): RecordOf<'compare'>['asked'] {
  if (skillId.startsWith('differ')) return 'difference';
  return skillId.startsWith('sign') ? 'sign' : 'more';
}

const larger = (a: number, b: number): string => (a === b ? 'same' : a > b ? 'left' : 'right');

/** Cards laid out at once when numerals are put in order. */
const ORDER_CARDS = 6;

/** The cards of one order: the stretch of at most six that holds the number asked. */
function orderCards({ skillId, number }: Prompt): number[] {
  const all = skillOf(skillId)
    .items.map((item) => item.number)
    .sort((a, b) => a - b);
  const at = Math.max(0, all.indexOf(number));
  const start = Math.min(Math.floor(at / (ORDER_CARDS - 1)) * (ORDER_CARDS - 1), all.length - 1);
  return all.slice(Math.max(0, Math.min(start, all.length - ORDER_CARDS)), start + ORDER_CARDS);
}

/** A row of up to six numerals with the missing one, or two, somewhere inside. */
function gapRow({ number, form, skillId }: Prompt): RecordOf<'gap'> {
  const top = skillOf(skillId).to;
  const first = Math.max(0, Math.min(number - 2, top - 5));
  const second = number + 2 <= first + 5 && number + 2 < top ? number + 2 : number - 2;
  const gaps = form === 'gap2' ? [number, second].sort((a, b) => a - b) : [number];
  const row = Array.from({ length: Math.min(6, top - first + 1) }, (_, i) => {
    const n = first + i;
    return gaps.includes(n) ? null : n;
  });
  return { kind: 'gap', row, gaps, answers: [...gaps] };
}

/** How wide a sensible range is for an actual number, each way (common practice, no source). */
const halfWidth = (actual: number): number => (actual <= 20 ? 3 : 10);

function rangeAround(actual: number): [number, number] {
  const by = halfWidth(actual);
  const round = by === 10 ? 10 : 1;
  const low = Math.max(0, Math.floor((actual - by / 2) / round) * round);
  return [low, Math.min(100, low + 2 * by)];
}

const SORTED_THINGS = 12;

const MAKE: { readonly [K in CaptureKind]: Make<K> } = {
  reach: ({ direction, from, expected, step }, language) => ({
    kind: 'reach',
    language,
    direction,
    from,
    to: expected,
    ...(step > 1 ? { step } : {}),
    stop: expected,
    leftOut: [],
    repeated: [],
    swapped: [],
    said: null,
    guess: null,
  }),
  count: ({ expected: n, layout, skillId }, language) => ({
    kind: 'count',
    language,
    n,
    layout: layout ?? 'row',
    // Coins are counted by their worth: there is no one word for each.
    words: skillId === 'coins' ? null : n,
    lastWord: n,
    skipped: 0,
    doubled: 0,
    answer: n,
    recounted: false,
  }),
  give: ({ expected }) => ({ kind: 'give', asked: expected, given: expected }),
  frame: ({ expected, form }) =>
    form === 'to-ten'
      ? {
          kind: 'frame',
          n: 10 - expected,
          placed: null,
          fill: null,
          anotherWay: null,
          toTen: expected,
        }
      : {
          kind: 'frame',
          n: expected,
          placed: expected,
          fill: null,
          anotherWay: form === 'other' ? true : null,
          toTen: null,
        },
  glance: ({ expected: n, form }) => ({
    kind: 'glance',
    n,
    picture: form ?? 'parts',
    seconds: 3,
    answer: n,
    howSeen: '',
  }),
  numeral: ({ expected, way, skillId }) => ({
    kind: 'numeral',
    shown: expected,
    answer: expected,
    way: skillId.startsWith('name')
      ? way === 'spoken'
        ? 'spoken'
        : 'pointed'
      : way === 'handed'
        ? 'brought'
        : 'matched',
  }),
  order: (prompt) => {
    const placed = orderCards(prompt);
    return { kind: 'order', given: shuffled(placed, hashText(prompt.key)), placed };
  },
  gap: gapRow,
  draw: ({ itemId }) => ({
    kind: 'draw',
    figure: /^n\d+$/.test(itemId) ? itemId.slice(1) : itemId,
    form: '',
    support: 'own',
    startRight: null,
    directionRight: null,
    reversed: null,
    readable: null,
  }),
  compare: (prompt) => {
    const [left, right] = partsOf(prompt);
    const asked = comparing(prompt.skillId);
    const answer = asked === 'difference' ? String(Math.abs(left - right)) : larger(left, right);
    return { kind: 'compare', left, right, asked, answer };
  },
  after: ({ number, expected }) => ({
    kind: 'after',
    number,
    step: expected - number,
    answer: expected,
  }),
  bond: (prompt) => {
    const { expected, parts } = prompt;
    if (parts.length < 2) {
      return { kind: 'bond', whole: expected, parts: [], inView: [], answer: expected };
    }
    const [a, b] = partsOf(prompt);
    return { kind: 'bond', whole: a + b, parts: [...parts], inView: [a], answer: expected };
  },
  add: (prompt) => ({
    kind: 'add',
    addends: addends(prompt),
    answer: prompt.expected,
    way: null,
    sentenceRight: null,
  }),
  place: ({ expected, form }) => ({
    kind: 'place',
    asked: expected,
    fromEnd: form === 'right' ? 'right' : 'left',
    answer: expected,
  }),
  tens: ({ number, skillId, expected }) => {
    const [tens, ones] = [Math.floor(number / 10), number % 10];
    const splits = skillId === 'split-more' ? [[10 * (tens - 1), ones + 10]] : [];
    const counted = skillId === 'teens' ? null : expected;
    return { kind: 'tens', number, tens, ones, countedTo: counted, splits };
  },
  groups: (prompt) => {
    const [groups, size] = partsOf(prompt);
    return { kind: 'groups', groups, size, answer: groups * size, leftOver: null };
  },
  share: (prompt) => {
    const [n, among] = partsOf(prompt);
    const each = Math.floor(n / Math.max(1, among));
    return { kind: 'share', n, among, answer: each, leftOver: n - each * among };
  },
  partner: ({ expected: n }) => ({
    kind: 'partner',
    n,
    answer: n % 2 === 0 ? 'even' : 'odd',
    because: '',
  }),
  pattern: patternFor,
  sort: ({ label }) => ({
    kind: 'sort',
    rule: label,
    groups: [],
    placedRight: SORTED_THINGS,
  }),
  chart: chartFor,
  weigh: ({ label, itemId }) => ({
    kind: 'weigh',
    thing: label,
    dividingGrams: null,
    predicted: itemId.startsWith('heavy') ? 'heavier' : 'lighter',
    predictedAgain: null,
    measuredGrams: null,
  }),
  length: ({ label, expected, skillId }) => ({
    kind: 'length',
    thing: label,
    unit: skillId === 'holds-more' ? 'cup' : 'unit',
    predicted: null,
    measured: expected,
    gaps: false,
    overlaps: false,
    endsLinedUp: null,
  }),
  range: ({ expected: actual }) => {
    const [low, high] = rangeAround(actual);
    return { kind: 'range', low, high, actual };
  },
  guess: ({ expected: actual }) => ({ kind: 'guess', predicted: null, actual }),
  catch: ({ skillId, number, key }) => ({
    kind: 'catch',
    slip: plannedSlip(skillId, number, key),
    caught: true,
  }),
  story: ({ itemId, expected }) => ({ kind: 'story', story: itemId, answer: expected }),
  note: () => ({ kind: 'note', words: '' }),
};

/**
 * The record that a right answer to a prompt leaves: what a pad opens with.
 * @param language BCP 47 tag of the language counted in
 */
export function expectedRecord(prompt: Prompt, language: string): CaptureRecord {
  return (MAKE[prompt.kind] as Make<CaptureKind>)(prompt, language);
}
