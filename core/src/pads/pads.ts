import type { Question } from '../rounds/question.js';
import type { CaptureRecord, RecordOf } from '../vocabulary/index.js';
import {
  catchGroups,
  compareGroups,
  namedPreferences,
  partnerGroups,
  splitGroup,
  weighGroups,
} from './choices.js';
import { countGroup, gapGroups, numberGroup, otherTotalGroup, reachGroups } from './numbers.js';
import { type Key, type KeyGroup, group, key } from './pad.js';
import { orderGroup, piecesGroup } from './rows.js';

/** What a pad is set up for: the household's languages. */
export interface PadSetting {
  /** BCP 47 tags with names; the first is the household's own. */
  readonly languages: readonly { readonly tag: string; readonly name: string }[];
}

/** A chip that goes on and off; off gives the record without it. */
const flip = <R extends CaptureRecord>(
  words: string,
  record: R,
  on: Partial<R>,
  off: Partial<R>,
): Key => {
  const isOn = Object.entries(on).every(
    ([field, value]) => JSON.stringify(record[field as keyof R]) === JSON.stringify(value),
  );
  return key(words, isOn, { ...record, ...(isOn ? off : on) });
};

function countChips(record: RecordOf<'count'>): Key[] {
  const over = record.lastWord === null ? 0 : record.lastWord - record.n;
  const many = (by: number): number => Math.max(1, by);
  const doubled = record.doubled > 0;
  const skipped = record.skipped > 0;
  return [
    key('touched one twice', doubled, { ...record, doubled: doubled ? 0 : many(over) }),
    key('skipped one', skipped, { ...record, skipped: skipped ? 0 : many(-over) }),
    ...(record.words === null
      ? []
      : [
          flip('counted again when asked', record, { recounted: true }, { recounted: false }),
          key('another number when asked', isOtherTotal(record), {
            ...record,
            answer: isOtherTotal(record) ? record.lastWord : null,
          }),
        ]),
  ];
}

const isOtherTotal = ({ answer, lastWord }: RecordOf<'count'>): boolean =>
  lastWord !== null && answer !== lastWord;

/** Small things worth a tap beside the answer, by kind. */
function chipsOf(record: CaptureRecord, touched: boolean): Key[] {
  switch (record.kind) {
    case 'reach':
      return reachChips(record, touched);
    case 'count':
      return record.words === null && !touched ? [] : countChips(record);
    case 'frame':
      return [
        flip('row by row', record, { fill: 'row' }, { fill: null }),
        flip('in pairs', record, { fill: 'pairs' }, { fill: null }),
        flip('another way found', record, { anotherWay: true }, { anotherWay: null }),
      ];
    case 'glance':
      return [
        flip('2 seconds', record, { seconds: 2 }, { seconds: 3 }),
        flip('1 second', record, { seconds: 1 }, { seconds: 3 }),
        ...['all at once', 'in parts', 'counted'].map((howSeen) =>
          flip(howSeen, record, { howSeen }, { howSeen: '' }),
        ),
      ];
    case 'draw':
      return drawChips(record);
    case 'add':
      return [
        flip('counted all', record, { way: 'all' }, { way: null }),
        flip('counted on', record, { way: 'on' }, { way: null }),
        flip('knew it', record, { way: 'knew' }, { way: null }),
        flip('used fingers', record, { way: 'fingers' }, { way: null }),
      ];
    case 'share':
      return Array.from({ length: Math.max(1, record.among) }, (_, left) =>
        key(`${left} left`, record.leftOver === left, { ...record, leftOver: left }),
      );
    case 'length':
      return [
        flip('gaps', record, { gaps: true }, { gaps: false }),
        flip('overlaps', record, { overlaps: true }, { overlaps: false }),
        flip('an end stuck out', record, { endsLinedUp: false }, { endsLinedUp: null }),
      ];
    default:
      return [];
  }
}

function reachChips(record: RecordOf<'reach'>, touched: boolean): Key[] {
  const up = record.direction === 'up' && (record.step ?? 1) === 1;
  const { stop } = record;
  return [
    ...(touched && up && record.from <= 1 && stop !== null
      ? [
          flip<RecordOf<'reach'>>(
            `help came at ${stop}`,
            record,
            { helpedAt: stop },
            { helpedAt: null },
          ),
        ]
      : []),
    ...(up && record.from > 1
      ? [
          flip<RecordOf<'reach'>>(
            'started again at one',
            record,
            { said: [1], stop: null },
            { said: null, stop: record.to },
          ),
        ]
      : []),
  ];
}

function drawChips(record: RecordOf<'draw'>): Key[] {
  return [
    flip('turned round', record, { reversed: true }, { reversed: null }),
    flip('started low', record, { startRight: false }, { startRight: null }),
    flip('other direction', record, { directionRight: false }, { directionRight: null }),
    flip('hard to read', record, { readable: false }, { readable: null }),
  ];
}

/** How a digit was written: by the child alone, or over something. */
const supportGroup = (record: RecordOf<'draw'>): KeyGroup =>
  group(
    'support',
    'choices',
    'what it was written on',
    (
      [
        ['on its own', 'own'],
        ['hollow', 'hollow'],
        ['dotted', 'dotted'],
        ['adult wrote first', 'adult'],
      ] as const
    ).map(([words, support]) => key(words, record.support === support, { ...record, support })),
  );

/** The part of the pad that takes the answer itself. */
function answerGroups(
  question: Question,
  record: CaptureRecord,
  tapped: CaptureRecord | null,
): (KeyGroup | null)[] {
  const touched = tapped !== null;
  const named = namedPreferences(question, tapped);
  if (named) return [named];
  switch (record.kind) {
    case 'reach':
      return reachGroups(record, touched);
    case 'count':
      return [
        countGroup(question, record, touched),
        touched && isOtherTotal(record) ? otherTotalGroup(question, record) : null,
      ];
    case 'gap':
      return gapGroups(record);
    case 'order':
      return [orderGroup(record)];
    case 'pattern':
      return [question.right ? piecesGroup(record, question.right) : null];
    case 'compare':
      return record.asked === 'difference'
        ? [numberGroup(question, record, touched)]
        : compareGroups(record, touched);
    case 'partner':
      return partnerGroups(record, touched);
    case 'catch':
      return catchGroups(record);
    case 'weigh':
      return weighGroups(record, touched);
    case 'draw':
      return [supportGroup(record)];
    case 'tens':
      return question.right?.kind === 'tens' && question.right.splits.length > 0
        ? [splitGroup(record, question.right, touched)]
        : [numberGroup(question, record, touched)];
    case 'range':
    case 'guess':
    case 'note':
      return [];
    default:
      return [numberGroup(question, record, touched)];
  }
}

/** The language a child counted in, where the household has more than one. */
function languageGroup(record: CaptureRecord, { languages }: PadSetting): KeyGroup | null {
  if (languages.length < 2 || (record.kind !== 'reach' && record.kind !== 'count')) return null;
  const keys = languages.map(({ tag, name }) =>
    key(name, record.language === tag, { ...record, language: tag }),
  );
  return group('language', 'chips', 'counted in', keys);
}

/**
 * The pad for a question as it stands: what is expected is there already where the adult hears the
 * answer, and nothing where the child is to choose or to guess. Empty until it is known what came up.
 * @param tapped the record after the taps so far; null for an untouched pad
 */
export function padFor(
  question: Question,
  tapped: CaptureRecord | null,
  setting: PadSetting,
): KeyGroup[] {
  const record = tapped ?? question.right;
  if (record === null) return [];
  const chips = chipsOf(record, tapped !== null);
  return [
    ...answerGroups(question, record, tapped),
    chips.length > 0 ? group('on-the-way', 'chips', '', chips) : null,
    languageGroup(record, setting),
  ].filter((one) => one !== null);
}
