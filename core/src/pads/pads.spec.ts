import * as v from 'valibot';
import { LIBRARY, topsOf } from '../activities/index.js';
import { emptyState, slipsOf } from '../evidence/index.js';
import { seeded } from '../numbers/index.js';
import { type Question, playOut, questionForItem, playStateOf } from '../rounds/index.js';
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
  isAnswered,
  isRight,
  padFor,
  recordFor,
} from './index.js';

const SETTING = { languages: [{ tag: 'en', name: 'English' }] };
const prompt = (skillId: string, itemId: string, modes: AnswerMode[] = ['speaks']): Question =>
  questionForItem(skillId, itemId, modes)!;
const pad = (asked: Question, tapped: CaptureRecord | null = null): KeyGroup[] =>
  padFor(asked, tapped, SETTING);
const find = (groups: readonly KeyGroup[], label: string): Key => {
  const found = groups.flatMap((one) => one.keys).find((one) => one.label === label);
  if (!found)
    throw new Error(
      `no key "${label}" among ${groups.flatMap((one) => one.keys.map((k) => k.label))}`,
    );
  return found;
};
/** What stands on the pad after tapping keys one after the other. */
const tap = (asked: Question, ...labels: string[]): CaptureRecord | null =>
  labels.reduce<CaptureRecord | null>(
    (record, label) => find(pad(asked, record), label).next,
    null,
  );
const slips = (record: CaptureRecord | null): string[] =>
  record ? slipsOf(record).map((slip) => slip.code) : [];

const every = (modes: readonly AnswerMode[]): Question[] =>
  SKILLS.flatMap((skill) =>
    skill.items.flatMap((item) => questionForItem(skill.id, item.id, modes) ?? []),
  );

/** Two dozen questions of every activity in its middle range, as they come at the table. */
const PLAYED: Question[] = LIBRARY.flatMap((activity) => {
  const tops = topsOf(activity);
  const session = playStateOf({
    activity,
    top: tops[Math.floor(tops.length / 2)] ?? 5,
    state: emptyState('c', 'balanced'),
    name: 'Kofi',
    today: '2026-03-10',
    seed: activity.id,
  });
  return playOut(session, 24, seeded(7), ({ right, heard }) => ({
    outcome: 'own',
    tapped: heard ? null : right,
  })).map(({ question }) => question);
});
const PROMPTS = [
  ...every(['speaks']),
  ...every(['points']),
  ...every(['fingers']),
  ...every(['hands']),
  ...PLAYED,
];
const right = ({ right: record }: Question): CaptureRecord => record!;
const name = (one: Question): string => `${one.kind} ${one.key} ${one.way}`;

describe('the pad of every question', () => {
  it('covers every capture kind', () => {
    const kinds = new Set(PROMPTS.map((one) => right(one).kind));
    expect(CAPTURE_KINDS.filter((kind) => !kinds.has(kind))).toEqual([]);
  });

  it('takes what is expected as right, where one answer is', () => {
    for (const one of PROMPTS) {
      const { kind } = right(one);
      if (kind === 'range' || kind === 'weigh') continue;
      expect(isRight(one, right(one)))
        .withContext(name(one))
        .toBeTrue();
    }
  });

  it('holds a record that the vocabulary takes, whichever key is tapped', () => {
    for (const one of PROMPTS) {
      for (const outcome of OUTCOMES) {
        expect(v.is(CaptureRecord, recordFor(one, null, outcome)))
          .withContext(`${name(one)} ${outcome}`)
          .toBeTrue();
      }
      for (const key of pad(one).flatMap((group) => group.keys)) {
        const after = key.next ?? right(one);
        expect(v.is(CaptureRecord, after))
          .withContext(`${name(one)} ${key.label}`)
          .toBeTrue();
        expect(after.kind).withContext(name(one)).toBe(right(one).kind);
      }
    }
  });

  it('takes a wrong answer in one tap, wherever there is a wrong one to give', () => {
    const open = ['guess', 'range', 'weigh'];
    for (const one of PROMPTS) {
      const record = right(one);
      if (open.includes(record.kind)) continue;
      // Anything that makes the whole is right: three parts, a split, an own pattern.
      if (record.kind === 'pattern' && record.answer.length === 0) continue;
      if (record.kind === 'tens' && record.splits.length > 0) continue;
      if (record.kind === 'reach' && record.to === record.from) continue;
      const wrong = pad(one)
        .flatMap((group) => group.keys)
        .some((key) => key.next !== null && !isRight(one, key.next));
      expect(wrong).withContext(name(one)).toBeTrue();
    }
  });

  it('shows keys that differ from each other, at most one of them on', () => {
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

  it('stands empty where the child is to choose, and nothing is kept that was not answered', () => {
    const choosing = PROMPTS.filter(({ heard }) => !heard);
    expect(choosing.length).toBeGreaterThan(100);
    for (const one of choosing) {
      expect(isAnswered(one, null)).withContext(name(one)).toBeFalse();
      const kept = pad(one).flatMap((group) => group.keys);
      expect(kept.some((key) => key.on))
        .withContext(name(one))
        .toBeFalse();
    }
  });

  it('invents no slip where nothing was tapped', () => {
    for (const one of PROMPTS) {
      if (right(one).kind === 'range') continue;
      for (const outcome of ['own', 'help', 'not-yet'] as const) {
        expect(slipsOf(recordFor(one, null, outcome)!))
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
    const total = pad(seven, other).find((group) => group.id === 'total')!;
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
    expect(record.placed).toEqual([0, 1, 3, 2, 4]);
    expect([...record.given].sort((a, b) => a - b)).toEqual([0, 1, 2, 3, 4]);
    expect(isRight(order, record)).toBeFalse();
    expect(slips(record)).toEqual(['order-swapped-2-3']);
  });

  it('in two gaps of one row, each by itself', () => {
    const gap = prompt('gap-10', 'n4-gap2');
    const record = pad(gap)[1]!.keys.find((key) => key.label === '8')!.next;
    expect(record).toEqual(jasmine.objectContaining({ gaps: [4, 6], answers: [4, 8] }));
  });

  it('in comparing: asked for fewer, the one with more', () => {
    const two = prompt('more-5', 'd3');
    const record = right(two) as RecordOf<'compare'>;
    const other = record.answer === 'left' ? 'right' : 'left';
    const wrong = tap(two, `${other}: ${record[other]}`);
    expect(isRight(two, wrong!)).toBeFalse();
    expect(slips(wrong)).toEqual([record.asked === 'fewer' ? 'answers-more' : 'answers-fewer']);
    expect(two.say).toMatch(/^Which has (more|fewer), or are they the same\?$/);
    const differ = prompt('differ-10', 'd2');
    const larger = Math.max(...differ.lying);
    expect(slips(tap(differ, String(larger)))).toEqual(['said-amount']);
  });

  it('in patterns, by the first wrong place', () => {
    const next = prompt('pattern-next', 'abb-3');
    expect(right(next)).toEqual(
      jasmine.objectContaining({ unit: ['A', 'B', 'B'], shown: 6, answer: ['A', 'B', 'B'] }),
    );
    const record = pad(next)[0]!.keys[0]!.next!;
    expect(record).toEqual(jasmine.objectContaining({ answer: ['B', 'B', 'B'] }));
    expect(slips(record)).toEqual(['repeats-last']);
  });

  it('in tens and ones: gone on in tens, typed digit by digit', () => {
    const built = prompt('tens-ones', 'n43');
    expect(pad(built)[0]!.look).toBe('keypad');
    const n = built.lying[0]!;
    const inTens = String(10 * (Math.floor(n / 10) + (n % 10)));
    expect(slips(tap(built, ...inTens))).toEqual(['on-in-tens']);
    expect(slips(tap(prompt('teens', 'n14'), '5'))).toEqual([]);
  });

  it('in a share, groups and a catch', () => {
    const share = prompt('share', 'among2-left');
    const [n, among] = [share.lying[0]!, share.lying[1]!];
    expect(tap(share, '0 left')).toEqual(
      jasmine.objectContaining({ n, among, answer: Math.floor(n / among), leftOver: 0 }),
    );
    expect(slips(tap(prompt('groups', 'g3-5'), '8'))).toEqual(['added-groups']);
    const puppet = PLAYED.find((one) => right(one).kind === 'catch')!;
    expect(tap(puppet, 'did not')).toEqual(jasmine.objectContaining({ caught: false }));
  });

  it('past what was asked: the furthest word of a count, the ten first', () => {
    const ten = prompt('say-10', 'to-10');
    expect((tap(ten, '14') as RecordOf<'reach'>).stop).toBe(14);
    expect(isRight(ten, tap(ten, '14')!)).toBeTrue();
    expect((tap(ten, '20 +', '31 …', '34') as RecordOf<'reach'>).stop).toBe(34);
  });

  it('with the word at which help came', () => {
    const twenty = prompt('say-20', 'to-20');
    const helped = tap(twenty, '15', 'help came at 15') as RecordOf<'reach'>;
    expect([helped.stop, helped.helpedAt]).toEqual([15, 15]);
    expect(isRight(twenty, helped)).toBeFalse();
  });
});

describe('a child who does not speak', () => {
  it('is asked so that it can be shown, and never for what can only be said', () => {
    expect(prompt('touch-10', 'n6', ['points']).say).toContain('Show me how many there are.');
    expect(questionForItem('say-10', 'to-10', ['points'])).toBeNull();
    expect(prompt('name-10', 'n7', ['points']).say).toBe('Show me the seven.');
  });

  it('shows fingers up to ten, and points beyond', () => {
    expect(prompt('join-10', 'sum9-large', ['fingers', 'points']).way).toBe('fingers');
    expect(prompt('touch-20', 'n15', ['fingers', 'points']).way).toBe('pointed');
    expect(prompt('plus1-5', 'n3', ['fingers']).say).toContain('on your fingers');
  });
});

describe('several languages', () => {
  it('are one tap away in counts and number words', () => {
    const languages = [
      { tag: 'en', name: 'English' },
      { tag: 'tr', name: 'Turkish' },
    ];
    const seven = prompt('total-10', 'n7');
    const groups = padFor(seven, null, { languages });
    expect(find(groups, 'Turkish').next).toEqual(
      jasmine.objectContaining({ language: 'tr', words: 7 }),
    );
    expect(groups.at(-1)!.id).toBe('language');
  });
});
