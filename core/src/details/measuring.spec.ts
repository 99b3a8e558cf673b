import type { CaptureRecord, Observation, Outcome } from '../vocabulary/index.js';
import { guessPage } from '../sheets/index.js';
import { guessesOf, measuringOf } from './index.js';

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
const weighed = (
  predicted: 'lighter' | 'same' | 'heavier' | null,
  more: Partial<Extract<CaptureRecord, { kind: 'weigh' }>> = {},
): CaptureRecord => ({
  kind: 'weigh',
  material: 'stone',
  dividingGrams: 300,
  predicted,
  predictedAgain: null,
  measuredGrams: 620,
  ...more,
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

  it('says of each try what was thought, what was found, and how far off', () => {
    const length = (predicted: number | null, measured: number | null): CaptureRecord => ({
      kind: 'length',
      material: 'ribbon',
      unit: 'cube',
      predicted,
      measured,
      gaps: measured === 6,
      overlaps: false,
      endsLinedUp: measured === 6 ? false : null,
    });
    const said = (record: CaptureRecord, outcome: Outcome = 'own', unit: 'g' | 'oz' = 'g') =>
      measuringOf([seen('2026-02-03', record, outcome)], unit).lines.map((one) => [
        one.what,
        one.predicted,
        one.found,
        one.off,
      ]);
    expect(said(length(4, 6))).toEqual([
      ['ribbon', '4 cubes', '6 cubes', '2 too few; gaps and ends not lined up'],
    ]);
    expect(said(length(null, 1))).toEqual([['ribbon', '', '1 cube', '']]);
    expect(said(length(3, null))).toEqual([]);
    expect(said(range(20, 40, 30))).toEqual([['how many in the jar', '20 to 40', '30', 'inside']]);
    expect(said(range(5, 15, 40))[0]!.at(-1)).toBe('25 too few');
    expect(said({ kind: 'guess', predicted: 12, actual: 12 })[0]!.at(-1)).toBe('just right');
    expect(said({ kind: 'guess', predicted: null, actual: 12 })).toEqual([]);
    expect(said(weighed('lighter'), 'not-yet')).toEqual([
      ['stone', 'lighter than 300 g', '620 g (320 g from the mark)', 'a surprise'],
    ]);
    expect(said(weighed('lighter', { predictedAgain: 'heavier' }), 'help', 'oz')).toEqual([
      [
        'stone',
        'lighter than 10.6 oz, then heavier',
        '21.9 oz (11.3 oz from the mark)',
        'a surprise first',
      ],
    ]);
    const balance = weighed('same', { dividingGrams: null, measuredGrams: null, found: 'heavier' });
    expect(said(balance, 'not-yet')).toEqual([['stone', 'the same', 'heavier', 'a surprise']]);
    expect(said(weighed(null))).toEqual([]);
    expect(measuringOf([])).toEqual({
      ranges: [],
      inside: 0,
      hint: null,
      weighed: [],
      guesses: [],
      lines: [],
    });
  });

  it('draws every guess beside its count, older to newer, where it was made', () => {
    const guess = (
      predicted: number | null,
      activityId: string,
      more: Partial<Observation> = {},
    ) => ({
      ...seen('2026-02-03', { kind: 'guess', predicted, actual: 9 }),
      activityId,
      ...more,
    });
    const guesses = guessesOf([
      guess(12, 'guess-line'),
      guess(null, 'guess-line'),
      guess(6, 'dice-touch'),
      guess(9, 'walk-tally'),
      guess(3, 'mirror-table', { skillId: 'mirror-see' }),
      guess(4, 'guess-line', { adultTurn: true }),
      seen('2026-02-04', range(20, 40, 30)),
    ]);
    expect(guesses.map(({ at, low, high, actual }) => [at, low, high, actual])).toEqual([
      ['line', 12, 12, 9],
      ['dice', 6, 6, 9],
      ['walk', 9, 9, 9],
      ['jar', 20, 40, 30],
    ]);
    const [page] = guessPage('a4', 'Wren', guesses).pages;
    const numerals = page!.marks.flatMap((mark) =>
      mark.kind === 'text' && mark.bold ? [mark] : [],
    );
    expect(numerals.map(({ text }) => text)).toEqual('12 9 6 9 9 9 40 20 30'.split(' '));
    // Nothing but numerals is written above the line, and all of it lies on the page.
    for (const mark of numerals) expect(mark.y).toBeGreaterThan(0);
    const full = page!.marks.flatMap((mark) =>
      mark.kind === 'rect' && mark.fill === 'spruce' ? [mark.h] : [],
    );
    expect(full[3]! / full[0]!).toBeCloseTo(30 / 9, 5);
  });
});
