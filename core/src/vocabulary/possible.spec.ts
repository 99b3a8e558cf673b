import fc from 'fast-check';
import { addDays } from './days.js';
import { impossibleBirth, impossibleDay, impossibleEnd } from './possible.js';

const TODAY = '2026-03-10';
const BORN = '2022-05-01';
const noted = (day: string, at?: string) =>
  impossibleDay(at === undefined ? { day } : { day, at }, BORN, TODAY);

describe('a day on which something was noted', () => {
  it('is today, tomorrow on a device whose clock is ahead, or any day since the birth', () => {
    for (const day of [TODAY, addDays(TODAY, 1), '2025-11-02', BORN]) {
      expect(noted(day)).withContext(day).toBeNull();
      expect(noted(day, `${day}T09:00:00.000Z`))
        .withContext(day)
        .toBeNull();
    }
  });

  it('is not the day after tomorrow, and not before the birth', () => {
    expect(noted(addDays(TODAY, 2))).toEqual({ field: 'day', message: 'is in the future' });
    expect(noted('2022-04-30')).toEqual({
      field: 'day',
      message: 'is before the birth of the child',
    });
    // What is about no child has no birth to lie before.
    expect(impossibleDay({ day: '2022-04-30' }, null, TODAY)).toBeNull();
  });

  it('may be written down up to two months later, and belongs to its time', () => {
    const day = '2026-01-05';
    expect(noted(day, '2026-03-06T18:00:00.000Z')).toBeNull();
    expect(noted(day, '2026-03-07T18:00:00.000Z')).toEqual({
      field: 'at',
      message: 'does not belong to 2026-01-05',
    });
    // A time zone to the west may be a day behind, and no more.
    expect(noted(day, '2026-01-04T23:00:00.000Z')).toBeNull();
    expect(noted(day, '2026-01-03T23:00:00.000Z')?.field).toBe('at');
    expect(noted(TODAY, '2026-03-12T09:00:00.000Z')).toEqual({
      field: 'at',
      message: 'is in the future',
    });
  });

  it('is judged the same whichever day today is', () => {
    fc.assert(
      fc.property(fc.integer({ min: -900, max: 5 }), fc.integer({ min: 0, max: 4000 }), (n, on) => {
        const today = addDays('2022-06-01', on + 900);
        const day = addDays(today, n);
        const found = impossibleDay({ day }, BORN, today);
        expect(found?.message ?? null).toBe(n > 1 ? 'is in the future' : null);
      }),
    );
  });
});

describe('a birth date', () => {
  it('lies in the past, and no more than twenty years back', () => {
    expect(impossibleBirth(TODAY, TODAY)).toBeNull();
    expect(impossibleBirth('2006-04-01', TODAY)).toBeNull();
    expect(impossibleBirth(addDays(TODAY, 1), TODAY)?.message).toBe('is in the future');
    expect(impossibleBirth('2005-03-01', TODAY)?.message).toBe('is more than twenty years back');
  });
});

describe('the end of a session', () => {
  it('is open, or not before its beginning', () => {
    const start = '2026-03-10T09:00:00.000Z';
    expect(impossibleEnd(start, null)).toBeNull();
    expect(impossibleEnd(start, start)).toBeNull();
    expect(impossibleEnd(start, '2026-03-10T08:59:59.000Z')).toEqual({
      field: 'endedAt',
      message: 'is before the session began',
    });
  });
});
