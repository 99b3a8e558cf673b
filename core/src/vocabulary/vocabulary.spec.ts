import fc from 'fast-check';
import * as v from 'valibot';
import { Day, Instant, Slug } from './basics.js';
import { Child } from './child.js';
import { Kit, Song } from './materials.js';
import { addDays, ageOn, dayInWords, dayNumber, daysBetween } from './days.js';
import { Quantity } from './activity.js';
import { Household } from './household.js';
import { CAPTURE_KINDS, CaptureRecord } from './records.js';
import { Shape, Material } from './material.js';
import { newHousehold } from './defaults.js';

const ID = '00000000-0000-4000-8000-000000000001';
/** Paths and words of everything that is wrong. */
const wrong = (schema: v.GenericSchema, value: unknown): string[] => {
  const found = v.safeParse(schema, value);
  return found.success
    ? []
    : found.issues.map((issue) => `${v.getDotPath(issue) ?? ''} ${issue.message}`.trim());
};

describe('days', () => {
  it('are those of the Gregorian calendar (ISO 8601): leap years by four, not by a hundred', () => {
    for (const day of ['2024-02-29', '2000-02-29', '2026-12-31']) {
      expect(wrong(Day, day)).withContext(day).toEqual([]);
    }
    for (const day of ['2026-02-29', '2100-02-29', '2026-04-31', '2026-13-01', '26-1-1', '']) {
      expect(wrong(Day, day).length).withContext(day).toBeGreaterThan(0);
    }
  });

  it('are added and counted as the engine’s own calendar does (ECMAScript Date)', () => {
    const day = fc.integer({ min: -20_000, max: 40_000 });
    fc.assert(
      fc.property(day, fc.integer({ min: -2000, max: 2000 }), (start, span) => {
        const from = new Date(start * 86_400_000).toISOString().slice(0, 10);
        const date = new Date(`${from}T12:00:00Z`);
        date.setUTCDate(date.getUTCDate() + span);
        const to = date.toISOString().slice(0, 10);
        expect(addDays(from, span)).toBe(to);
        expect(daysBetween(from, to)).toBe(span);
        expect(dayNumber(from)).toBe(start);
      }),
    );
  });

  it('do not lose one where clocks change', () => {
    expect(daysBetween('2026-03-28', '2026-03-30')).toBe(2);
    expect(daysBetween('2026-10-24', '2026-10-26')).toBe(2);
  });

  it('give an age in full months: the day before a birthday is not yet it', () => {
    expect(ageOn('2022-05-10', '2026-05-09')).toEqual({ years: 3, months: 11 });
    expect(ageOn('2022-05-10', '2026-05-10')).toEqual({ years: 4, months: 0 });
    expect(ageOn('2024-02-29', '2025-02-28')).toEqual({ years: 0, months: 11 });
    expect(ageOn('2026-05-10', '2026-01-01')).toEqual({ years: 0, months: 0 });
  });

  it('are told as a date', () => expect(dayInWords('2026-03-09')).toBe('9 March'));
});

describe('identifiers and moments', () => {
  it('are words joined by hyphens, and times in UTC', () => {
    for (const good of ['touch-5', 'n3', 'a']) expect(v.is(Slug, good)).toBeTrue();
    for (const bad of ['Touch', 'a--b', '-a', 'a_b', '', 'x'.repeat(61)]) {
      expect(v.is(Slug, bad)).withContext(bad).toBeFalse();
    }
    expect(v.is(Instant, '2026-03-10T09:00:00.000Z')).toBeTrue();
    expect(v.is(Instant, '10 March, nine')).toBeFalse();
  });
});

describe('what is wrong with a child', () => {
  const child: Child = {
    id: ID,
    name: 'Wren',
    birthDate: '2022-05-01',
    symbol: { shape: 'leaf', color: 'moss' },
    interests: ['snails'],
    cautions: { mouths: false, allergies: [], note: '' },
    answerModes: ['speaks'],
    policy: 'balanced',
    archived: false,
    version: 1,
  };
  const cases: [string, object, string][] = [
    ['no name', { name: '   ' }, 'name must not be empty'],
    ['a long name', { name: 'x'.repeat(41) }, 'name must have at most 40 characters'],
    ['no such day', { birthDate: '2022-02-30' }, 'birthDate must be a day that exists'],
    ['no way to answer', { answerModes: [] }, 'answerModes choose at least one'],
    ['a half version', { version: 1.5 }, 'version must be a whole number'],
    ['an empty interest', { interests: ['snails', ' '] }, 'interests.1 must not be empty'],
    [
      'another policy',
      { policy: 'strict' },
      'policy must be one of: secure-first, balanced, follow-child',
    ],
    [
      'another color',
      { symbol: { shape: 'leaf', color: 'neon' } },
      'symbol.color must be one of: moss, heather, slate, bark, spruce, plum, rust, ink',
    ],
  ];
  it('is nothing where all is well, and spaces around a name go', () => {
    expect(wrong(Child, child)).toEqual([]);
    expect(v.parse(Child, { ...child, name: ' Wren ' }).name).toBe('Wren');
  });
  for (const [name, change, words] of cases) {
    it(`is told by its field: ${name}`, () =>
      expect(wrong(Child, { ...child, ...change })).toEqual([words]));
  }
});

describe('what is wrong among the materials', () => {
  const material = {
    id: ID,
    name: 'cork discs',
    use: 'counter',
    count: 24,
    colors: [{ name: 'blue', count: 24 }],
    alike: true,
    shape: { kind: 'disc', diameterMm: 30, thicknessMm: 6 },
    box: 'box 3',
    consumable: false,
    interests: [],
    hazards: [],
    version: 1,
  };
  it('is told by its field', () => {
    expect(wrong(Material, material)).toEqual([]);
    expect(wrong(Material, { ...material, count: -1 })).toEqual(['count must be 0 or more']);
    expect(wrong(Material, { ...material, count: 1001 })).toEqual(['count must be at most 1000']);
    expect(wrong(Material, { ...material, colors: [{ name: '', count: 1 }] })).toEqual([
      'colors.0.name must not be empty',
    ]);
    expect(wrong(Shape, { kind: 'ball', diameterMm: 0 })).toEqual([
      'diameterMm must be more than 0',
    ]);
    expect(wrong(Shape, { kind: 'rod', lengthMm: 9000, diameterMm: 4 })).toEqual([
      'lengthMm must be at most 5000',
    ]);
    expect(wrong(Shape, { kind: 'star' }).length).toBe(1);
  });

  it('is told for songs and kits', () => {
    const song = { id: ID, title: 'Snails', direction: 'down', from: 5, to: 0, words: '' };
    expect(wrong(Song, { ...song, version: 1 })).toEqual([]);
    expect(wrong(Song, { ...song, from: 'five', version: 1 })).toEqual(['from must be a number']);
    const kit = {
      id: ID,
      title: 'Table box',
      activityId: null,
      contents: [{ materialId: ID, count: 2 }],
      changedOn: '2026-03-10',
      changeAfterWeeks: 4,
      checked: null,
      version: 1,
    };
    expect(wrong(Kit, kit)).toEqual([]);
    expect(wrong(Kit, { ...kit, contents: [{ materialId: 'x', count: 2 }] })).toEqual([
      'contents.0.materialId must be a UUID',
    ]);
  });
});

describe('quantities', () => {
  it('nest, and take nothing they do not know', () => {
    expect(v.is(Quantity, { sum: { times: ['n', { add: ['n', 1] }] } })).toBeTrue();
    expect(v.is(Quantity, { half: { upTo: 'n', from: 2, step: 2 } })).toBeTrue();
    for (const bad of ['m', -1, { plus: ['n'] }, { add: 'n' }, { half: 2, sum: 3 }, null]) {
      expect(v.is(Quantity, bad)).withContext(JSON.stringify(bad)).toBeFalse();
    }
  });
});

describe('records', () => {
  it('have one shape for each of their kinds, each named once', () => {
    expect(new Set(CAPTURE_KINDS).size).toBe(CAPTURE_KINDS.length);
    for (const kind of CAPTURE_KINDS) {
      const found = wrong(CaptureRecord, { kind });
      expect(found.length).withContext(kind).toBeGreaterThan(0);
    }
  });

  it('take no number that is none of a thing', () => {
    for (const asked of [-1, 2.5, 1001, NaN, Infinity, '3', null]) {
      expect(wrong(CaptureRecord, { kind: 'give', asked, given: null }).length)
        .withContext(String(asked))
        .toBeGreaterThan(0);
    }
    expect(wrong(CaptureRecord, { kind: 'give', asked: 3, given: null })).toEqual([]);
  });
});

describe('a household', () => {
  it('needs a language, and moments with a time and a kind', () => {
    const household = newHousehold(ID, 'Spindle Cottage');
    expect(wrong(Household, household)).toEqual([]);
    expect(wrong(Household, { ...household, languages: [] })).toEqual([
      'languages choose at least one',
    ]);
    const [first] = household.moments;
    expect(wrong(Household, { ...household, moments: [{ ...first, time: '25:00' }] })).toEqual([
      'moments.0.time must be a time such as 08:30',
    ]);
    expect(wrong(Household, { ...household, moments: [{ ...first, bands: [] }] })).toEqual([
      'moments.0.bands choose at least one',
    ]);
  });
});
