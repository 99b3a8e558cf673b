import fc from 'fast-check';
import { addDays } from '../vocabulary/index.js';
import { type BackupFile, KEPT, backupNotice, backupsToDrop } from './index.js';

const copyOn = (day: string, time = '09-00'): BackupFile => ({
  name: `${day}-${time}`,
  day,
  at: `${day}T${time}`,
});
const daily = (from: string, days: number): BackupFile[] =>
  Array.from({ length: days }, (_, i) => copyOn(addDays(from, i)));
const keptOf = (copies: readonly BackupFile[]): string[] => {
  const dropped = new Set(backupsToDrop(copies));
  return copies.filter((one) => !dropped.has(one)).map((one) => one.day);
};

describe('which copies stay', () => {
  it('are seven days, the last of four weeks and of twelve months, after two years of copies', () => {
    const kept = keptOf(daily('2024-03-11', 730));
    // 10 March 2026 is a Tuesday: its week has two days among the seven, so have the seven two weeks.
    expect(kept.slice(-7)).toEqual(daily('2026-03-04', 7).map((one) => one.day));
    expect(kept).toContain('2026-02-22');
    expect(kept).toContain('2026-03-01');
    expect(kept.filter((day) => day <= '2026-02-01')).toEqual([
      '2025-04-30',
      '2025-05-31',
      '2025-06-30',
      '2025-07-31',
      '2025-08-31',
      '2025-09-30',
      '2025-10-31',
      '2025-11-30',
      '2025-12-31',
      '2026-01-31',
    ]);
  });

  it('are never more than the numbers say, hold the newest, and do not change when asked again', () => {
    fc.assert(
      fc.property(
        fc.uniqueArray(fc.integer({ min: 0, max: 900 }), { maxLength: 120 }),
        (offsets) => {
          const copies = offsets.map((n) => copyOn(addDays('2024-01-01', n)));
          const kept = keptOf(copies);
          expect(kept.length).toBeLessThanOrEqual(KEPT.days + KEPT.weeks + KEPT.months);
          const newest = [...offsets].sort((a, b) => b - a)[0];
          if (newest !== undefined) expect(kept).toContain(addDays('2024-01-01', newest));
          expect(keptOf(kept.map((day) => copyOn(day)))).toEqual(kept);
        },
      ),
    );
  });

  it('keep one a day, the last', () => {
    const copies = [copyOn('2026-03-10', '08-00'), copyOn('2026-03-10', '17-00')];
    expect(backupsToDrop(copies).map((one) => one.at)).toEqual(['2026-03-10T08-00']);
  });
});

describe('a word about the copies', () => {
  it('comes after three days, with a full disk, and where there is none', () => {
    const notice = (last: string | null, free = 1e12): string =>
      backupNotice(last, '2026-03-10', free, 1e6);
    expect(notice('2026-03-07')).toBe('');
    expect(notice('2026-03-06')).toContain('4 days old');
    expect(notice(null)).toContain('no good backup');
    expect(notice('2026-03-10', 1e6)).toContain('disk is nearly full');
    // A clock that was set back makes no copy old.
    expect(notice('2026-04-01')).toBe('');
  });
});
