import * as v from 'valibot';
import { type Prompt, promptFor } from '../activities/index.js';
import { slipsOf } from '../evidence/index.js';
import { SKILLS } from '../skills/index.js';
import {
  type AnswerMode,
  CAPTURE_KINDS,
  CaptureRecord,
  OUTCOMES,
  type RecordOf,
} from '../vocabulary/index.js';
import {
  type Key,
  type KeyGroup,
  acknowledge,
  expectedRecord,
  isRight,
  padFor,
  recordFor,
} from './index.js';

const SETTING = { top: 10, languages: [{ tag: 'en', name: 'English' }] };
const prompt = (skillId: string, itemId: string, modes: AnswerMode[] = ['speaks']): Prompt =>
  promptFor(skillId, itemId, modes) as Prompt;
const pad = (asked: Prompt, tapped: CaptureRecord | null = null): KeyGroup[] =>
  padFor(asked, tapped, { ...SETTING, top: Math.max(10, asked.expected) });
const find = (groups: readonly KeyGroup[], label: string): Key => {
  const found = groups.flatMap((one) => one.keys).find((one) => one.label === label);
  if (!found)
    throw new Error(
      `no key "${label}" among ${groups.flatMap((one) => one.keys.map((k) => k.label))}`,
    );
  return found;
};
/** What stands on the pad after tapping keys one after the other. */
const tap = (asked: Prompt, ...labels: string[]): CaptureRecord | null =>
  labels.reduce<CaptureRecord | null>(
    (record, label) => find(pad(asked, record), label).next,
    null,
  );
const slips = (record: CaptureRecord | null): string[] =>
  record ? slipsOf(record).map((slip) => slip.code) : [];

const every = (modes: readonly AnswerMode[]): Prompt[] =>
  SKILLS.flatMap((skill) => skill.items.map((item) => promptFor(skill.id, item.id, modes)!));
const ALL = [
  ...every(['speaks']),
  ...every(['points']),
  ...every(['fingers']),
  ...every(['hands']),
];
const PUPPET = [
  promptFor('say-10', 'to-10', ['speaks'], 'catch')!,
  promptFor('name-10', 'n6', ['speaks'], 'catch')!,
  promptFor('touch-10', 'n7', ['speaks'], 'catch')!,
];
const CHARTS = [
  promptFor('more-10', SKILLS.find((s) => s.id === 'more-10')!.items[0]!.id, ['speaks'], 'chart')!,
];
const GUESSES = [promptFor('estimate-20', 'n12', ['speaks'], 'guess')!];
const PROMPTS = [...ALL, ...PUPPET, ...CHARTS, ...GUESSES];
const name = (one: Prompt): string => `${one.skillId} ${one.itemId} ${one.way} ${one.kind}`;

describe('the pad of every item on the map', () => {
  it('covers every capture kind', () => {
    const kinds = new Set(PROMPTS.map((one) => one.kind));
    expect(CAPTURE_KINDS.filter((kind) => !kinds.has(kind))).toEqual([]);
  });

  it('opens with the expected answer, which is right', () => {
    for (const one of PROMPTS) {
      expect(isRight(one, expectedRecord(one, 'en')))
        .withContext(name(one))
        .toBeTrue();
    }
  });

  it('holds a record that the vocabulary takes, whichever key is tapped', () => {
    for (const one of PROMPTS) {
      for (const outcome of OUTCOMES) {
        const untouched = recordFor(one, null, outcome, 'en');
        expect(v.is(CaptureRecord, untouched))
          .withContext(`${name(one)} ${outcome}`)
          .toBeTrue();
      }
      for (const key of pad(one).flatMap((group) => group.keys)) {
        const after = key.next ?? expectedRecord(one, 'en');
        expect(v.is(CaptureRecord, after))
          .withContext(`${name(one)} ${key.label}`)
          .toBeTrue();
        expect(after.kind).withContext(name(one)).toBe(one.kind);
      }
    }
  });

  it('takes a wrong answer in one tap, wherever there is a wrong one to give', () => {
    const judged = PROMPTS.filter(
      ({ kind, itemId, skillId }) =>
        !['guess'].includes(kind) &&
        itemId !== 'near' &&
        itemId !== 'own' &&
        itemId !== 'figure' &&
        !['three-parts-5', 'three-parts-10', 'split-more'].includes(skillId),
    );
    for (const one of judged) {
      const wrong = pad(one)
        .flatMap((group) => group.keys)
        .some((key) => key.next !== null && !isRight(one, key.next));
      expect(wrong).withContext(name(one)).toBeTrue();
    }
  });

  it('shows keys that differ from each other, the right one on', () => {
    for (const one of PROMPTS) {
      for (const group of pad(one)) {
        const labels = group.keys.map((key) => key.label);
        if (group.look !== 'pieces') {
          expect(new Set(labels).size)
            .withContext(`${name(one)} ${group.id}`)
            .toBe(labels.length);
        }
        expect(group.keys.filter((key) => key.on).length)
          .withContext(`${name(one)} ${group.id}`)
          .toBeLessThanOrEqual(1);
      }
    }
  });

  it('invents no slip where nothing was tapped', () => {
    for (const one of PROMPTS) {
      for (const outcome of ['own', 'help', 'not-yet'] as const) {
        expect(slipsOf(recordFor(one, null, outcome, 'en')))
          .withContext(`${name(one)} ${outcome}`)
          .toEqual([]);
      }
    }
  });

  it('is acknowledged by what the child did, never with praise or a score', () => {
    for (const one of PROMPTS) {
      for (const outcome of OUTCOMES) {
        const words = acknowledge(one, outcome);
        expect(words).toMatch(/^“.*”$/);
        expect(words).not.toMatch(/good job|well done|clever|wrong|!|\d/i);
      }
    }
  });
});

describe('a wrong answer is kept exactly', () => {
  it('in a count: the last word, what was doubled, and the answer apart from it', () => {
    const seven = prompt('total-10', 'n7');
    expect(tap(seven, 'touched one twice', '9')).toEqual(
      jasmine.objectContaining({ words: 9, lastWord: 9, doubled: 2, answer: 9 }),
    );
    expect(slips(tap(seven, '9', 'touched one twice'))).toEqual(['doubled']);
    expect(slips(tap(seven, 'counted again when asked'))).toEqual(['recounts']);
    const other = tap(seven, 'another number when asked');
    expect(other).toEqual(jasmine.objectContaining({ lastWord: 7, answer: null }));
    const total = padFor(seven, other, SETTING).find((group) => group.id === 'total')!;
    const three = total.keys.find((key) => key.label === '3')!.next;
    expect(slips(three)).toEqual(['other-total']);
    expect(tap(seven, '5', '5'))
      .withContext('tapped again')
      .toBeNull();
  });

  it('in number words: the stop, and what was left out, said twice or swapped before it', () => {
    const twenty = prompt('say-20', 'to-20');
    expect(slips(tap(twenty, '20', '15'))).toEqual(['left-out-15']);
    expect(slips(tap(twenty, '20', '15', '15'))).toEqual(['twice-15']);
    expect(slips(tap(twenty, '20', '15', '15', '15'))).toEqual(['swapped-15-16']);
    expect(slips(tap(twenty, '20', '15', '15', '15', '15'))).toEqual([]);
    expect(slips(tap(prompt('say-on-10', 'from-7'), 'started again at one'))).toEqual(['from-one']);
  });

  it('in counting by steps, by the words of the step', () => {
    const fives = prompt('step-5', 'to-25');
    expect(pad(fives)[0]!.keys.map((key) => key.label)).toEqual(['5', '10', '15', '20', '25']);
    expect(slips(tap(fives, '25', '15'))).toEqual(['left-out-15']);
    const down = prompt('step-down', 'from-20');
    expect(pad(down)[0]!.keys.map((key) => key.label)).toEqual([
      '20',
      '18',
      '16',
      '14',
      '12',
      '10',
      '8',
      '6',
      '4',
      '2',
      '0',
    ]);
    expect(slips(tap(down, '12'))).toEqual([]);
  });

  it('in an order: neighbors exchanged by one tap', () => {
    const order = prompt('order-10', 'n0');
    const record = tap(order, '2') as RecordOf<'order'>;
    expect(record.placed).toEqual([0, 1, 3, 2, 4, 5]);
    expect([...record.given].sort((a, b) => a - b)).toEqual([0, 1, 2, 3, 4, 5]);
    expect(isRight(order, record)).toBeFalse();
    expect(slips(record)).toEqual(['order-swapped-2-3']);
  });

  it('in two gaps of one row, each by itself', () => {
    const gap = prompt('gap-10', 'n4-gap2');
    const record = padFor(gap, null, SETTING)[1]!.keys.find((key) => key.label === '8')!.next;
    expect(record).toEqual(jasmine.objectContaining({ gaps: [4, 6], answers: [4, 8] }));
  });

  it('in comparing: asked for fewer, the one with more', () => {
    const more = prompt('more-5', 'p5-2');
    const fewer = tap(more, 'asked for fewer')!;
    expect(isRight(more, fewer)).toBeTrue();
    expect(slips(tap(more, 'asked for fewer', 'the 5, left'))).toEqual(['answers-more']);
    expect(slips(tap(prompt('differ-10', 'p8-6'), '8'))).toEqual(['said-amount']);
  });

  it('in patterns, by the first wrong place', () => {
    const next = prompt('pattern-next', 'abb-3');
    expect(expectedRecord(next, 'en')).toEqual(
      jasmine.objectContaining({ unit: ['A', 'B', 'B'], shown: 6, answer: ['A', 'B', 'B'] }),
    );
    const record = pad(next)[0]!.keys[0]!.next!;
    expect(record).toEqual(jasmine.objectContaining({ answer: ['B', 'B', 'B'] }));
    expect(slips(record)).toEqual(['repeats-last']);
  });

  it('in tens and ones: gone on in tens', () => {
    expect(slips(tap(prompt('tens-ones', 'change'), '70'))).toEqual(['on-in-tens']);
    expect(slips(tap(prompt('teens', 'n14'), '5'))).toEqual([]);
  });

  it('in a range, a guess, a share, groups and a catch', () => {
    const jar = prompt('estimate-100', 'n60');
    expect(expectedRecord(jar, 'en')).toEqual(jasmine.objectContaining({ actual: 60 }));
    const below = pad(jar)[0]!.keys[0]!.next!;
    expect(isRight(jar, below)).toBeFalse();
    expect(slips(below)).toEqual(['range-below']);
    expect(tap(GUESSES[0]!, '15')).toEqual({ kind: 'guess', predicted: 15, actual: 12 });
    expect(tap(prompt('share', 'h7-2'), '0 left')).toEqual(
      jasmine.objectContaining({ answer: 3, leftOver: 0 }),
    );
    expect(slips(tap(prompt('groups', 'g3-5'), '8'))).toEqual(['added-groups']);
    expect(tap(PUPPET[1]!, 'did not')).toEqual(
      jasmine.objectContaining({ slip: 'calls 6 “nine”', caught: false }),
    );
  });
});

describe('a child who does not speak', () => {
  it('chooses the pile, and the chance of a guess follows', () => {
    const six = prompt('total-10', 'n6', ['points']);
    expect(six.ask).toBe('Show me the pile of six.');
    expect(six.lay).toBe('Piles of four, five, six and seven.');
    expect(pad(six)[0]!.keys.map((key) => key.label)).toEqual(['4', '5', '6', '7']);
    expect(prompt('touch-10', 'n6', ['points']).ask).toBe('Touch each one, just once.');
  });

  it('shows fingers up to ten, and points beyond', () => {
    expect(prompt('join-10', 's5-4', ['fingers', 'points']).way).toBe('fingers');
    expect(prompt('touch-20', 'n15', ['fingers', 'points']).way).toBe('pointed');
    expect(prompt('plus1-5', 'n3', ['fingers']).ask).toContain('on your fingers');
  });
});

describe('several languages', () => {
  it('are one tap away in counts and number words', () => {
    const languages = [
      { tag: 'en', name: 'English' },
      { tag: 'tr', name: 'Turkish' },
    ];
    const seven = prompt('total-10', 'n7');
    const groups = padFor(seven, null, { top: 10, languages });
    expect(find(groups, 'Turkish').next).toEqual(
      jasmine.objectContaining({ language: 'tr', words: 7 }),
    );
    expect(groups.at(-1)!.id).toBe('language');
  });
});
