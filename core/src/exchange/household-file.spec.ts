import fc from 'fast-check';
import * as v from 'valibot';
import { addDays, daysBetween, newHousehold } from '../vocabulary/index.js';
import { aChild } from '../vocabulary/testing.js';
import { FORMAT, FORMAT_VERSION, HouseholdFile, shiftTo } from './index.js';

const id = (n: number): string => `00000000-0000-4000-8000-${String(n).padStart(12, '0')}`;
const file: HouseholdFile = {
  format: FORMAT,
  version: FORMAT_VERSION,
  day: '2026-03-10',
  household: newHousehold(id(1), 'Spindle Cottage'),
  children: [aChild({ id: id(2), birthDate: '2022-02-28' })],
  materials: [],
  activities: [],
  songs: [],
  kits: [
    {
      id: id(3),
      title: 'Table box',
      activityId: null,
      contents: [],
      changedOn: '2026-02-20',
      changeAfterWeeks: 4,
      checked: { day: '2026-03-01', when: 'after', missing: [] },
      version: 1,
    },
  ],
  sessions: [
    {
      id: id(4),
      activityId: 'handfuls',
      planEntryId: null,
      day: '2026-03-09',
      startedAt: '2026-03-09T09:00:00.000Z',
      endedAt: null,
      mood: null,
      participants: [{ childId: id(2), rangeMax: 5 }],
    },
  ],
  observations: [],
  voidings: [],
  overrides: [],
  placements: [],
  plan: [],
  days: [{ day: '2026-03-10', away: [], gotReady: [] }],
  notes: [
    {
      id: id(9),
      childId: id(2),
      at: '2026-03-10T09:00:00.000Z',
      day: '2026-03-10',
      words: 'hums the row',
      notedBy: '',
    },
  ],
  prints: [],
  graphs: [],
  families: [],
  samples: [],
  weeks: [
    {
      from: '2026-03-09',
      closed: ['2026-03-13'],
      banned: ['handfuls'],
      empty: [{ day: '2026-03-11', band: 'table' }],
      worth: null,
      version: 1,
    },
  ],
};

describe('the household file', () => {
  it('is what its own format says', () => expect(v.is(HouseholdFile, file)).toBeTrue());

  it('names what is wrong by its place', () => {
    const faults = (value: unknown): string[] => {
      const found = v.safeParse(HouseholdFile, value);
      return (found.issues ?? []).map((one) => `${v.getDotPath(one)} ${one.message}`);
    };
    expect(faults({ ...file, format: 'other' })).toEqual(['format must be "gumo-household"']);
    expect(faults({ ...file, version: 9 })).toEqual(['version must be one of 1, 2, 3, 4, 5, 6']);
    const [wren] = file.children;
    expect(faults({ ...file, children: [{ ...wren, name: '' }] })).toEqual([
      'children.0.name must not be empty',
    ]);
  });

  it('moves whole: every span stays, and moving back gives the same file', () => {
    fc.assert(
      fc.property(fc.integer({ min: -3000, max: 3000 }), (days) => {
        const to = addDays(file.day, days);
        const moved = shiftTo(file, to);
        expect(v.is(HouseholdFile, moved)).toBeTrue();
        expect(moved.day).toBe(to);
        expect(daysBetween(moved.children[0]!.birthDate, moved.day)).toBe(
          daysBetween(file.children[0]!.birthDate, file.day),
        );
        expect(daysBetween(moved.kits[0]!.checked!.day, moved.day)).toBe(9);
        expect(moved.sessions[0]!.startedAt.slice(0, 10)).toBe(moved.sessions[0]!.day);
        expect(moved.sessions[0]!.startedAt.slice(10)).toBe('T09:00:00.000Z');
        // A week that would no longer begin on a Monday is left behind.
        const weeks = days % 7 === 0 ? file.weeks : [];
        expect(moved.weeks.map((week) => week.closed[0])).toEqual(
          weeks.map(() => addDays('2026-03-13', days)),
        );
        expect(shiftTo(moved, file.day)).toEqual({ ...file, weeks });
      }),
      { numRuns: 50 },
    );
  });
});
