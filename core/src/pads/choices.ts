import type { Question } from '../rounds/question.js';
import type { CaptureRecord, RecordOf } from '../vocabulary/index.js';
import { type KeyGroup, group, key } from './pad.js';

const choices = <R extends CaptureRecord>(
  caption: string,
  record: R,
  options: readonly (readonly [words: string, change: Partial<R>])[],
  touched: boolean,
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
      return key(words, touched && on, { ...record, ...change });
    }),
  );

/** Answers that the question itself names. */
export function namedPreferences(
  question: Question,
  tapped: CaptureRecord | null,
): KeyGroup | null {
  if (question.choices === null) return null;
  const keys = question.choices.map(({ words, record }) =>
    key(words, tapped !== null && JSON.stringify(tapped) === JSON.stringify(record), record, {
      aloud: question.rows ? words.split('').join(' ') : null,
    }),
  );
  return group('answer', question.rows ? 'rows' : 'choices', 'what the child did', keys);
}

/** Which side has more, or the sign between them; whether it is still as many. */
export function compareGroups(record: RecordOf<'compare'>, touched: boolean): KeyGroup[] {
  const { left, right, asked } = record;
  if (asked === 'sign') {
    return [
      choices<RecordOf<'compare'>>(
        'the sign laid, its wide side to the larger',
        record,
        [
          [`${left} > ${right}`, { answer: 'left' }],
          [`${left} = ${right}`, { answer: 'same' }],
          [`${left} < ${right}`, { answer: 'right' }],
        ],
        touched,
      ),
    ];
  }
  if (asked === 'same') {
    return [
      choices<RecordOf<'compare'>>(
        'what the child said',
        record,
        [
          ['fewer now', { answer: 'left' }],
          ['still as many', { answer: 'same' }],
          ['more now', { answer: 'right' }],
        ],
        touched,
      ),
    ];
  }
  return [
    choices<RecordOf<'compare'>>(
      'what the child chose',
      record,
      [
        [`left: ${left}`, { answer: 'left' }],
        ['the same', { answer: 'same' }],
        [`right: ${right}`, { answer: 'right' }],
      ],
      touched,
    ),
  ];
}

export const partnerGroups = (record: RecordOf<'partner'>, touched: boolean): KeyGroup[] => [
  choices<RecordOf<'partner'>>(
    'what the child said',
    record,
    [
      ['even', { answer: 'even' }],
      ['odd', { answer: 'odd' }],
    ],
    touched,
  ),
  choices<RecordOf<'partner'>>(
    'why',
    record,
    [
      ['one has no partner', { because: 'one has no partner' }],
      ['all have partners', { because: 'all have partners' }],
      ['counted by twos', { because: 'counted by twos' }],
    ],
    touched,
    'chips',
    'because',
  ),
];

export const catchGroups = (record: RecordOf<'catch'>): KeyGroup[] => [
  choices<RecordOf<'catch'>>(
    'did the child catch it?',
    record,
    [
      ['caught it', { caught: true }],
      ['did not', { caught: false }],
    ],
    true,
  ),
];

/** Predicted first; then what the scale said, and whether the child would change it. */
export function weighGroups(record: RecordOf<'weigh'>, touched: boolean): KeyGroup[] {
  const first = choices<RecordOf<'weigh'>>(
    'what the child thought',
    record,
    [
      ['lighter', { predicted: 'lighter' }],
      ['the same', { predicted: 'same' }],
      ['heavier', { predicted: 'heavier' }],
    ],
    touched,
    'choices',
    'predicted',
  );
  if (record.predicted === null) return [first];
  const scale = choices<RecordOf<'weigh'>>(
    'what the scale said',
    record,
    [
      ['it is lighter', { found: 'lighter' }],
      ['just the same', { found: 'same' }],
      ['it is heavier', { found: 'heavier' }],
    ],
    touched,
    'choices',
    'found',
  );
  const found = record.found ?? null;
  if (found === null || found === record.predicted) return [first, scale];
  const again = choices<RecordOf<'weigh'>>(
    'after the surprise',
    record,
    [
      ['now lighter', { predictedAgain: 'lighter' }],
      ['now heavier', { predictedAgain: 'heavier' }],
    ],
    touched,
    'chips',
    'again',
  );
  return [first, scale, again];
}

/** Other ways to split a number: into tens and ones, or into three parts. */
export function splitGroup(
  record: RecordOf<'tens'>,
  right: RecordOf<'tens'>,
  touched: boolean,
): KeyGroup {
  const tens = Math.floor(record.number / 10);
  const ones = record.number % 10;
  const three = right.splits[0]?.length === 3;
  const splits = three
    ? Array.from({ length: tens - 1 }, (_, i) => [10 * (tens - 1 - i), 10 * (i + 1), ones])
    : Array.from({ length: tens + 1 }, (_, i) => [10 * (tens - i), 10 * i + ones]);
  return choices<RecordOf<'tens'>>(
    'the split that was laid',
    record,
    splits.map((split) => [split.join(' + '), { splits: [split] }]),
    touched,
    'chips',
  );
}
