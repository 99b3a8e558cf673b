import type { Prompt } from '../activities/index.js';
import { waysInto } from '../numbers/index.js';
import type { CaptureRecord, RecordOf } from '../vocabulary/index.js';
import { type KeyGroup, group, key } from './pad.js';

const choices = <R extends CaptureRecord>(
  caption: string,
  record: R,
  options: readonly (readonly [words: string, change: Partial<R>])[],
  look: KeyGroup['look'] = 'choices',
  id = 'answer',
): KeyGroup =>
  group(
    id,
    look,
    caption,
    options.map(([words, change]) => {
      const on = Object.entries(change).every(
        ([field, value]) => JSON.stringify(record[field as keyof R]) === JSON.stringify(value),
      );
      return key(words, on, { ...record, ...change });
    }),
  );

/** Which side has more, or the sign between them, and what was asked for. */
export function compareGroups(prompt: Prompt, record: RecordOf<'compare'>): KeyGroup[] {
  const { left, right, asked } = record;
  if (asked === 'sign') {
    return [
      choices<RecordOf<'compare'>>('the sign laid, its wide side to the larger', record, [
        [`${left} > ${right}`, { answer: 'left' }],
        [`${left} = ${right}`, { answer: 'same' }],
        [`${left} < ${right}`, { answer: 'right' }],
      ]),
    ];
  }
  const answers = choices<RecordOf<'compare'>>('what the child chose', record, [
    [`the ${left}, left`, { answer: 'left' }],
    ['the same', { answer: 'same' }],
    [`the ${right}, right`, { answer: 'right' }],
  ]);
  if (!prompt.skillId.startsWith('more')) return [answers];
  const more = left === right ? 'same' : left > right ? 'left' : 'right';
  const fewer = left === right ? 'same' : left > right ? 'right' : 'left';
  const question = choices<RecordOf<'compare'>>(
    'what was asked for',
    record,
    [
      ['asked for more', { asked: 'more' }],
      ['asked for fewer', { asked: 'fewer' }],
    ],
    'chips',
    'asked',
  );
  // Asking for the other one changes what is right, and with it what the pad opens with.
  const keys = question.keys.map((one) => {
    const next = one.next as RecordOf<'compare'>;
    return { ...one, next: { ...next, answer: next.asked === 'fewer' ? fewer : more } };
  });
  return [answers, { ...question, keys }];
}

export const partnerGroups = (record: RecordOf<'partner'>): KeyGroup[] => [
  choices<RecordOf<'partner'>>('what the child said', record, [
    ['even', { answer: 'even' }],
    ['odd', { answer: 'odd' }],
  ]),
  choices<RecordOf<'partner'>>(
    'why',
    record,
    [
      ['one has no partner', { because: 'one has no partner' }],
      ['all have partners', { because: 'all have partners' }],
      ['counted by twos', { because: 'counted by twos' }],
    ],
    'chips',
    'because',
  ),
];

export const catchGroups = (record: RecordOf<'catch'>): KeyGroup[] => [
  choices<RecordOf<'catch'>>('did the child catch it?', record, [
    ['caught it', { caught: true }],
    ['did not', { caught: false }],
  ]),
];

export function weighGroups(prompt: Prompt, record: RecordOf<'weigh'>): KeyGroup[] {
  const first = choices<RecordOf<'weigh'>>('what the child thought', record, [
    ['lighter', { predicted: 'lighter' }],
    ['the same', { predicted: 'same' }],
    ['heavier', { predicted: 'heavier' }],
  ]);
  const surprised =
    prompt.itemId !== 'near' &&
    record.predicted !== (prompt.itemId.startsWith('heavy') ? 'heavier' : 'lighter');
  if (!surprised) return [first];
  const again = choices<RecordOf<'weigh'>>(
    'after the surprise: would you change it?',
    record,
    [
      ['now lighter', { predictedAgain: 'lighter' }],
      ['now heavier', { predictedAgain: 'heavier' }],
      ['keeps to it', { predictedAgain: record.predicted }],
    ],
    'chips',
    'again',
  );
  return [first, again];
}

/** Columns to name as the answer; null where the question asks for a number. */
export function chartGroup(record: RecordOf<'chart'>): KeyGroup | null {
  if (/^How many/.test(record.question)) return null;
  const names = record.groups.map(({ name }) => [name, { answer: name }] as const);
  const same =
    record.question === 'Which has more?' ? [['the same', { answer: 'the same' }] as const] : [];
  return choices<RecordOf<'chart'>>('what the child said', record, [...names, ...same]);
}

/** Ways to make a number with three parts, none of them zero, to name the one that was laid. */
export const threePartsGroup = (record: RecordOf<'bond'>): KeyGroup =>
  choices<RecordOf<'bond'>>(
    'the parts that were laid',
    record,
    waysInto(record.whole, 3)
      .filter((parts) => parts.length > 1)
      .map((parts) => [parts.join(' + '), { parts, answer: record.whole }] as const),
    'chips',
  );

/** Other ways to split a number into tens and ones. */
export function splitGroup(record: RecordOf<'tens'>): KeyGroup {
  const tens = Math.floor(record.number / 10);
  const splits = Array.from({ length: tens + 1 }, (_, i) => [
    10 * (tens - i),
    10 * i + (record.number % 10),
  ]);
  return choices<RecordOf<'tens'>>(
    'the split that was laid',
    record,
    splits.map((split) => [split.join(' + '), { splits: [split] }]),
    'chips',
  );
}

/** Wrong answers that are worth keeping exactly, where no number or picture can say them. */
const OTHERWISE: readonly (readonly [RegExp, readonly string[]])[] = [
  [/^which-more/, ['the other one', '“the same”', 'the larger one']],
  [/^order-three/, ['the ends right, the middle not', 'turned round', 'two of them']],
  [/^holds-more/, ['the taller one', '“the same”', 'the wider one']],
  [/^alike.*(color|shadow)/, ['one of another shape', 'one nearly alike']],
  [/^alike/, ['one of the same color', 'one nearly alike']],
  [/^mirror-spot.*not/, ['“the same on both sides”']],
  [/^mirror-spot/, ['“not the same”', 'top and bottom']],
  [/^mirror/, ['another picture', 'as it was, not turned']],
  [/^halves/, ['two parts, not the same', 'more than two parts']],
  [/^same/, ['“more now”', '“fewer now”', 'counted again']],
];

export function noteGroups(prompt: Prompt, record: RecordOf<'note'>): KeyGroup[] {
  const name = `${prompt.skillId}/${prompt.itemId}`;
  const found = OTHERWISE.find(([pattern]) => pattern.test(name))?.[1] ?? [];
  const options = [
    ['as expected', { words: '' }] as const,
    ...found.map((words) => [words, { words }] as const),
  ];
  return [choices<RecordOf<'note'>>('what the child did', record, options)];
}

/** Shapes that a child may bring instead of the one asked for. */
const SHAPES = [
  'a circle',
  'a square',
  'a triangle',
  'a rectangle',
  'an oval',
  'a six-sided shape',
];

/** Another shape is kept as the rule the child went by. */
export function shapeGroup(prompt: Prompt, record: RecordOf<'sort'>): KeyGroup {
  const right = record.placedRight ?? 0;
  return choices<RecordOf<'sort'>>(
    'the shape that was found',
    record,
    SHAPES.map((shape) => {
      const found = shape === prompt.label;
      return [shape, { rule: shape, placedRight: found ? Math.max(1, right) : 0 }] as const;
    }),
  );
}
