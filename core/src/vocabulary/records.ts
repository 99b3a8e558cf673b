import * as v from 'valibot';
import {
  Amount,
  LARGEST_NUMBER,
  Slug,
  nonEmptyText,
  flag,
  boundedArray,
  oneOf,
  text,
} from './basics.js';

export const LAYOUTS = ['row', 'ring', 'scatter', 'slant', 'heap', 'rows'] as const;
export const DIRECTIONS = ['up', 'down'] as const;

const Answer = v.nullable(Amount);
const Signed = v.pipe(
  v.number('must be a number'),
  v.integer('must be a whole number'),
  v.minValue(-LARGEST_NUMBER),
  v.maxValue(LARGEST_NUMBER),
);
const Symbols = boundedArray(nonEmptyText(20), 60);
const Amounts = boundedArray(Amount, 120);
const Measure = v.nullable(v.pipe(v.number(), v.minValue(0), v.maxValue(1e6)));
const Word = text(60);
const kind = <const K extends string, E extends v.ObjectEntries>(name: K, entries: E) =>
  v.object({ kind: v.literal(name), ...entries });

/**
 * What a record holds, one shape a capture kind. `null` always means "not noted", never "none".
 * Numbers are whole numbers from 0 to 1000 unless a unit is named.
 */
export const CaptureRecord = v.variant('kind', [
  /** Number words said in order. `said` wins over `stop`, `leftOut` ... when it is given. */
  kind('reach', {
    language: nonEmptyText(12),
    direction: oneOf(DIRECTIONS),
    from: Amount,
    to: Amount,
    /** How far apart the words lie: 2, 5 or 10 for counting in steps, 1 where it is not said. */
    step: v.optional(v.pipe(v.number(), v.integer(), v.minValue(1), v.maxValue(10))),
    stop: Answer,
    leftOut: Amounts,
    repeated: Amounts,
    swapped: boundedArray(v.tuple([Amount, Amount]), 20),
    said: v.nullable(Amounts),
    guess: Answer,
    /** The word at which help came. */
    helpedAt: v.optional(Answer),
  }),
  kind('count', {
    language: nonEmptyText(12),
    n: Amount,
    layout: oneOf(LAYOUTS),
    words: Answer,
    lastWord: Answer,
    skipped: Amount,
    doubled: Amount,
    answer: Answer,
    recounted: flag,
    /** The word at which help came. */
    helpedAt: v.optional(Answer),
  }),
  kind('give', { asked: Amount, given: Answer }),
  kind('frame', {
    n: Amount,
    placed: Answer,
    fill: v.nullable(oneOf(['row', 'pairs', 'free'] as const)),
    anotherWay: v.nullable(flag),
    toTen: Answer,
  }),
  kind('glance', {
    n: Amount,
    picture: nonEmptyText(30),
    seconds: v.nullable(v.pipe(v.number(), v.minValue(1), v.maxValue(60))),
    answer: Answer,
    howSeen: Word,
  }),
  kind('numeral', {
    shown: Amount,
    answer: Answer,
    way: oneOf(['spoken', 'matched', 'pointed', 'brought'] as const),
  }),
  kind('order', { given: Amounts, placed: Amounts }),
  kind('gap', {
    row: boundedArray(v.nullable(Amount), 120),
    gaps: Amounts,
    answers: boundedArray(Answer, 120),
  }),
  kind('draw', {
    figure: nonEmptyText(20),
    form: Word,
    support: oneOf(['adult', 'dotted', 'hollow', 'own'] as const),
    startRight: v.nullable(flag),
    directionRight: v.nullable(flag),
    reversed: v.nullable(flag),
    readable: v.nullable(flag),
  }),
  kind('compare', {
    left: Amount,
    right: Amount,
    asked: oneOf(['more', 'fewer', 'same', 'sign', 'difference'] as const),
    answer: Word,
  }),
  kind('after', { number: Amount, step: v.pipe(Signed), answer: Answer }),
  kind('bond', { whole: Amount, parts: Amounts, inView: Amounts, answer: Answer }),
  kind('add', {
    addends: boundedArray(Signed, 4),
    answer: Answer,
    way: v.nullable(oneOf(['all', 'on', 'knew', 'fingers'] as const)),
    sentenceRight: v.nullable(flag),
  }),
  kind('place', { asked: Amount, fromEnd: oneOf(['left', 'right'] as const), answer: Answer }),
  kind('tens', {
    number: Amount,
    tens: Answer,
    ones: Answer,
    countedTo: Answer,
    splits: boundedArray(Amounts, 20),
  }),
  kind('groups', { groups: Amount, size: Amount, answer: Answer, leftOver: Answer }),
  kind('share', { n: Amount, among: Amount, answer: Answer, leftOver: Answer }),
  kind('partner', {
    n: Amount,
    answer: v.nullable(oneOf(['odd', 'even'] as const)),
    because: Word,
  }),
  kind('pattern', { unit: Symbols, shown: Amount, answer: Symbols }),
  kind('sort', { rule: Word, groups: boundedArray(Amounts, 12), placedRight: Answer }),
  kind('chart', {
    rule: Word,
    groups: boundedArray(v.object({ name: nonEmptyText(30), count: Amount }), 12),
    question: Word,
    answer: Word,
  }),
  kind('weigh', {
    material: nonEmptyText(60),
    dividingGrams: Measure,
    predicted: v.nullable(oneOf(['lighter', 'same', 'heavier'] as const)),
    predictedAgain: v.nullable(oneOf(['lighter', 'same', 'heavier'] as const)),
    measuredGrams: Measure,
    /** What the scale said against the mark. */
    found: v.optional(v.nullable(oneOf(['lighter', 'same', 'heavier'] as const))),
  }),
  kind('length', {
    material: nonEmptyText(60),
    unit: nonEmptyText(30),
    predicted: Answer,
    measured: Answer,
    gaps: flag,
    overlaps: flag,
    endsLinedUp: v.nullable(flag),
  }),
  kind('range', { low: Amount, high: Amount, actual: Amount }),
  kind('guess', { predicted: Answer, actual: Answer }),
  kind('catch', { slip: nonEmptyText(60), caught: v.nullable(flag) }),
  kind('story', { story: Slug, answer: Answer }),
  kind('note', { words: text(2000) }),
]);

export type CaptureRecord = v.InferOutput<typeof CaptureRecord>;
export type CaptureKind = CaptureRecord['kind'];
export type RecordOf<K extends CaptureKind> = Extract<CaptureRecord, { kind: K }>;
export type Layout = (typeof LAYOUTS)[number];
export type Direction = (typeof DIRECTIONS)[number];

/** All capture kinds, in the order of the schema. */
export const CAPTURE_KINDS: readonly CaptureKind[] = CaptureRecord.options.map(
  (option) => option.entries.kind.literal,
);
