import { emptyState, replay } from '../evidence/index.js';
import { skillOf, skillsOfStrand } from '../skills/index.js';
import type { CaptureRecord, Observation, Outcome } from '../vocabulary/index.js';
import { bonds, comparing, glancing, numerals, saying, slipsOverTime, writing } from './index.js';

const CHILD = '00000000-0000-4000-8000-000000000001';
let made = 0;
const seen = (
  skillId: string,
  itemId: string,
  record: CaptureRecord,
  outcome: Outcome = 'own',
  day = '2026-03-02',
): Observation => ({
  id: `00000000-0000-4000-8000-${String(++made).padStart(12, '0')}`,
  childId: CHILD,
  sessionId: null,
  activityId: null,
  skillId,
  itemId,
  at: `${day}T09:00:00.000Z`,
  day,
  outcome,
  triedFirst: true,
  answered: null,
  reason: null,
  materials: [],
  notedBy: '',
  note: '',
  record,
});
const folded = (observations: readonly Observation[]) =>
  replay(
    CHILD,
    'balanced',
    observations.map((observation) => ({ kind: 'observation', observation })),
  );
const numeral = (shown: number, answer: number | null): CaptureRecord => ({
  kind: 'numeral',
  shown,
  answer,
  way: 'spoken',
});
const reach = (more: Partial<Extract<CaptureRecord, { kind: 'reach' }>>): CaptureRecord => ({
  kind: 'reach',
  language: 'en',
  direction: 'up',
  from: 1,
  to: 20,
  stop: null,
  leftOut: [],
  repeated: [],
  swapped: [],
  said: null,
  guess: null,
  ...more,
});
const NOTHING = emptyState(CHILD, 'balanced');

describe('the numerals in detail', () => {
  it('have a row each from 0 to 20, and say nothing where nothing was seen', () => {
    const rows = numerals(NOTHING, []);
    expect(rows.map((row) => row.n)).toEqual(Array.from({ length: 21 }, (_, n) => n));
    for (const row of rows) {
      expect(row.named).toEqual({ asked: 0, own: 0, last: null });
      expect(row.takenFor).toEqual([]);
    }
  });

  it('name what a numeral was taken for on two days, the most frequent first', () => {
    const all = [
      seen('name-10', 'n6', numeral(6, 9), 'not-yet'),
      seen('name-10', 'n6', numeral(6, 9), 'not-yet'),
      seen('name-10', 'n6', numeral(6, 9), 'not-yet', '2026-03-04'),
      seen('name-10', 'n6', numeral(6, 8), 'not-yet'),
      seen('name-10', 'n6', numeral(6, 8), 'not-yet', '2026-03-04'),
      seen('name-10', 'n6', numeral(6, 5), 'not-yet'),
      seen('name-10', 'n6', numeral(6, 6)),
      seen('name-10', 'n6', numeral(6, null), 'not-yet'),
    ];
    const six = numerals(folded(all), all)[6]!;
    expect(six.takenFor).toEqual([
      { n: 9, times: 3 },
      { n: 8, times: 2 },
    ]);
    expect(six.named).toEqual({ asked: 8, own: 1, last: 'not-yet' });
  });

  it('keep naming, matching and writing apart', () => {
    const match = skillOf('match-5').items.find((item) => item.number === 3)!;
    const all = [
      seen('name-5', 'n3', numeral(3, 3)),
      seen('match-5', match.id, { kind: 'numeral', shown: 3, answer: 3, way: 'matched' }, 'help'),
    ];
    const three = numerals(folded(all), all)[3]!;
    expect(three.named).toEqual({ asked: 1, own: 1, last: 'own' });
    expect(three.matched).toEqual({ asked: 1, own: 0, last: 'help' });
    expect(three.written.asked).toBe(0);
  });
});

describe('writing in detail', () => {
  const draw = (
    figure: string,
    more: Partial<Extract<CaptureRecord, { kind: 'draw' }>> = {},
  ): CaptureRecord => ({
    kind: 'draw',
    figure,
    form: '',
    support: 'dotted',
    startRight: true,
    directionRight: true,
    reversed: false,
    readable: true,
    ...more,
  });

  it('counts figures turned round and begun low, and shows the last three, newest first', () => {
    const skill = skillsOfStrand('numeral').find((one) => one.id === 'write-first')!;
    const digit = skill.items[0]!;
    const figure = String(digit.number);
    const all = [
      seen(skill.id, digit.id, draw(figure, { reversed: true }), 'not-yet', '2026-03-02'),
      seen(skill.id, digit.id, draw(figure, { startRight: false }), 'help', '2026-03-03'),
      seen(skill.id, digit.id, draw(figure, { support: 'hollow' }), 'own', '2026-03-04'),
      seen(skill.id, digit.id, draw(figure, { support: 'own' }), 'own', '2026-03-05'),
    ];
    const row = writing(folded(all), all).find((one) => one.digit === digit.number)!;
    expect([row.reversed, row.startedLow]).toEqual([1, 1]);
    expect(row.lately.map((one) => one.support)).toEqual(['own', 'hollow', 'dotted']);
    expect(row.lately[0]!.day).toBe('2026-03-05');
    expect(row.seen).toEqual({ asked: 4, own: 2, last: 'own' });
  });

  it('does not take what was not noted for a slip', () => {
    const all = [seen('write-first', 'd1', draw('1', { reversed: null, startRight: null }))];
    const row = writing(NOTHING, all)[1]!;
    expect([row.reversed, row.startedLow]).toEqual([0, 0]);
  });
});

const bond = (parts: number[], inView: number[]): CaptureRecord => ({
  kind: 'bond',
  whole: parts.reduce((a, b) => a + b, 0),
  parts,
  inView,
  answer: parts[1] ?? 0,
});

describe('bonds in detail', () => {
  it('hold the n + 1 ways to make each whole from 2 to 10 (own arithmetic)', () => {
    const rows = bonds([]);
    expect(rows.map((row) => row.whole)).toEqual([2, 3, 4, 5, 6, 7, 8, 9, 10]);
    for (const row of rows) expect(row.cells.length).toBe(row.whole + 1);
  });

  it('put a try in its own cell, both parts told apart from one part told', () => {
    const all = [
      seen('bond-5', 'p3-2', bond([3, 2], [])),
      seen('hide-5', 'w5-4', bond([4, 1], [4]), 'not-yet'),
      seen('hide-5', 'w5-4', bond([4, 1], [4]), 'not-now'),
    ];
    const five = bonds(all)[3]!;
    expect(five.cells.map(({ made: { asked } }) => asked)).toEqual([0, 0, 0, 1, 0, 0]);
    expect(five.cells[4]!.hidden).toEqual({ asked: 1, own: 0, last: 'not-yet' });
  });
});

describe('comparing in detail', () => {
  const pair = (left: number, right: number): CaptureRecord => ({
    kind: 'compare',
    left,
    right,
    asked: 'more',
    answer: 'left',
  });

  it('holds each pair from 0 to 10 once, equal ones too: 66 (own arithmetic: 11 × 12 ÷ 2)', () => {
    const pairs = comparing([]);
    expect(pairs.length).toBe(66);
    expect(new Set(pairs.map((one) => `${one.larger} ${one.smaller}`)).size).toBe(66);
    expect(pairs.every((one) => one.larger >= one.smaller)).toBeTrue();
  });

  it('counts a pair the same whichever lies on the left, things and numerals apart', () => {
    const all = [
      seen('more-5', 'd3', pair(5, 2)),
      seen('more-5', 'd3', pair(2, 5), 'not-yet'),
      seen('greater-10', 'd3', pair(5, 2)),
    ];
    const found = comparing(all).find((one) => one.larger === 5 && one.smaller === 2)!;
    expect(found.materials).toEqual({ asked: 2, own: 1, last: 'not-yet' });
    expect(found.numerals.asked).toBe(1);
  });
});

describe('glancing in detail', () => {
  it('keeps the shortest look that was enough, and no look that was not', () => {
    const item = skillOf('glance-3').items.find((one) => one.number === 3)!;
    const glance = (seconds: number | null): CaptureRecord => ({
      kind: 'glance',
      n: 3,
      picture: item.form ?? 'parts',
      seconds,
      answer: 3,
      howSeen: '',
    });
    const all = [
      seen('glance-3', item.id, glance(3)),
      seen('glance-3', item.id, glance(2)),
      seen('glance-3', item.id, glance(1), 'not-yet'),
      seen('glance-3', item.id, glance(null)),
    ];
    const cell = glancing(folded(all), all).find(
      (one) => one.number === 3 && one.picture === item.form,
    )!;
    expect(cell.seconds).toBe(2);
    expect(cell.seen.asked).toBe(4);
  });

  it('goes up by number', () => {
    const numbers = glancing(NOTHING, []).map((one) => one.number);
    expect(numbers).toEqual([...numbers].sort((a, b) => a - b));
    expect(numbers.length).toBeGreaterThan(5);
  });
});

describe('saying in detail', () => {
  it('draws every count from one, with the words that were left out', () => {
    const all = [
      seen('say-20', 'to-20', reach({ stop: 13 }), 'help', '2026-03-02'),
      seen('say-20', 'to-20', reach({ said: [...range(1, 14), 16, 17] }), 'help', '2026-03-04'),
      seen('say-20', 'to-20', reach({ stop: 20, leftOut: [15] }), 'help', '2026-03-09'),
    ];
    const found = saying(all);
    expect(found.reaches.map((one) => one.reach)).toEqual([13, 14, 14]);
    expect(found.reaches.map((one) => one.forgiven)).toEqual([13, 17, 20]);
    const shorter = saying([...all, seen('say-20', 'to-5', reach({ to: 5, stop: 5 }), 'own')]);
    // Where less was asked, the furthest so far stays where it was.
    expect(shorter.reaches.map((one) => one.furthest)).toEqual([13, 14, 14, 14]);
    expect(shorter.reaches.at(-1)).toEqual(jasmine.objectContaining({ reach: 5, asked: 5 }));
    expect(found.leftOut).toEqual([{ n: 15, times: 2, last: '2026-03-09' }]);
  });

  it('keeps counts back and on apart, newest first, and leaves out what was not tried', () => {
    const all = [
      seen('back-10', 'a', reach({ direction: 'down', from: 10, to: 1, stop: 1 }), 'own'),
      seen('on-20', 'a', reach({ from: 7, to: 12, stop: 12 }), 'own', '2026-03-05'),
      seen('say-20', 'a', reach({ stop: 5 }), 'not-now'),
      seen('say-20', 'a', reach({})),
    ];
    const found = saying(all);
    expect(found.reaches).toEqual([]);
    expect(found.others.map((one) => [one.direction, one.from, one.reach])).toEqual([
      ['up', 7, 12],
      ['down', 10, 1],
    ]);
  });
});

describe('slips over time', () => {
  it('stand in the week they were made, Monday first (ISO 8601)', () => {
    // 1 March 2026 is a Sunday, 2 March a Monday.
    const all = [
      seen('name-10', 'n6', numeral(6, 9), 'not-yet', '2026-02-23'),
      seen('name-10', 'n6', numeral(6, 9), 'not-yet', '2026-03-01'),
      seen('name-10', 'n6', numeral(6, 9), 'not-yet', '2026-03-02'),
      seen('name-10', 'n6', numeral(6, 9), 'not-now', '2026-03-02'),
    ];
    const found = slipsOverTime(all, '2026-03-10');
    expect(found.weeks).toEqual(['2026-02-23', '2026-03-02', '2026-03-09']);
    expect(found.kinds.length).toBe(1);
    expect(found.kinds[0]).toEqual(
      jasmine.objectContaining({ times: 3, last: '2026-03-02', byWeek: [2, 1, 0] }),
    );
  });

  it('go back half a year at most, and are empty where nothing slipped', () => {
    const old = [seen('name-10', 'n6', numeral(6, 9), 'not-yet', '2025-01-06')];
    const found = slipsOverTime(old, '2026-03-10');
    expect(found.weeks.length).toBe(26);
    expect(found.kinds).toEqual([]);
    expect(slipsOverTime([], '2026-03-10').weeks).toEqual(['2026-03-09']);
  });
});

function range(from: number, to: number): number[] {
  return Array.from({ length: to - from + 1 }, (_, i) => from + i);
}
