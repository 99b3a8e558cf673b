import type { CaptureRecord, Observation, Outcome } from '../vocabulary/index.js';
import { measuringOf } from './index.js';

const seen = (day: string, record: CaptureRecord, outcome: Outcome = 'own'): Observation => ({
  id: day,
  childId: 'c1',
  sessionId: null,
  activityId: null,
  skillId: 'estimate-100',
  itemId: null,
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
const range = (low: number, high: number, actual: number): CaptureRecord => ({
  kind: 'range',
  low,
  high,
  actual,
});
const weighed = (predicted: 'lighter' | 'heavier' | null): CaptureRecord => ({
  kind: 'weigh',
  material: 'stone',
  dividingGrams: 300,
  predicted,
  predictedAgain: null,
  measuredGrams: 620,
});

describe('what a child measured over time', () => {
  it('stands with every range beside what came, and what helps next', () => {
    const { ranges, inside, hint } = measuringOf([
      seen('2026-02-03', range(20, 40, 30)),
      seen('2026-02-10', range(5, 15, 40)),
      seen('2026-02-17', range(10, 20, 30)),
    ]);
    expect(ranges.map((one) => one.leaning)).toEqual([0, -0.75, -0.5]);
    expect(inside).toBe(1);
    expect(hint).toContain('bottom layer');
  });

  it('counts predictions by the day, and leaves out what nobody predicted', () => {
    const { weighed: days } = measuringOf([
      seen('2026-02-03', weighed('heavier')),
      seen('2026-02-03', weighed('lighter'), 'not-yet'),
      seen('2026-02-03', weighed(null)),
      seen('2026-02-04', weighed('lighter'), 'help'),
    ]);
    expect(days).toEqual([
      { day: '2026-02-03', right: 1, surprises: 1 },
      { day: '2026-02-04', right: 0, surprises: 1 },
    ]);
  });

  it('names the slips of a length, and leaves out one that was not read', () => {
    const length = (
      measured: number | null,
      gaps: boolean,
      ends: boolean | null,
    ): CaptureRecord => ({
      kind: 'length',
      material: 'ribbon',
      unit: 'cubes',
      predicted: null,
      measured,
      gaps,
      overlaps: false,
      endsLinedUp: ends,
    });
    const { lengths } = measuringOf([
      seen('2026-02-03', length(6, true, false)),
      seen('2026-02-04', length(null, false, null)),
      seen('2026-02-05', length(7, false, null)),
    ]);
    expect(lengths.map((one) => [one.measured, one.slips])).toEqual([
      [6, ['gaps', 'ends not lined up']],
      [7, []],
    ]);
    expect(measuringOf([])).toEqual({
      ranges: [],
      inside: 0,
      hint: null,
      weighed: [],
      lengths: [],
    });
  });
});
