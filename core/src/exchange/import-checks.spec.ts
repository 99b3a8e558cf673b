import { newHousehold } from '../vocabulary/index.js';
import type { PlanEntry } from '../vocabulary/index.js';
import { aChild, aTry } from '../vocabulary/testing.js';
import {
  FORMAT,
  FORMAT_VERSION,
  type HouseholdFile,
  strangersInPlan,
  withoutImpossible,
} from './index.js';

const id = (n: number): string => `00000000-0000-4000-8000-${String(n).padStart(12, '0')}`;
const TODAY = '2026-03-10';
const [WREN, SESSION, TRY, VOID] = [id(2), id(4), id(5), id(6)];
const empty: HouseholdFile = {
  format: FORMAT,
  version: FORMAT_VERSION,
  day: TODAY,
  household: newHousehold(id(1), 'Spindle Cottage'),
  children: [aChild({ id: WREN, name: 'Wren', birthDate: '2022-02-28' })],
  materials: [],
  activities: [],
  songs: [],
  kits: [],
  sessions: [],
  observations: [],
  voidings: [],
  overrides: [],
  placements: [],
  plan: [],
  days: [],
  notes: [],
  prints: [],
  graphs: [],
  families: [],
  samples: [],
  weeks: [],
};
const session = (
  day: string,
  startedAt = `${day}T09:00:00.000Z`,
): HouseholdFile['sessions'][0] => ({
  id: SESSION,
  activityId: 'handfuls',
  planEntryId: null,
  day,
  startedAt,
  endedAt: null,
  mood: null,
  participants: [{ childId: WREN, rangeMax: 5 }],
});
const tried = (day: string, at = `${day}T09:05:00.000Z`) =>
  aTry({ id: TRY, childId: WREN, sessionId: SESSION, day, at });
const note = (day: string): HouseholdFile['notes'][0] => ({
  id: id(9),
  childId: WREN,
  at: `${day}T09:00:00.000Z`,
  day,
  words: 'hums the row',
  notedBy: '',
});
const sift = (more: Partial<HouseholdFile>) => withoutImpossible({ ...empty, ...more }, TODAY);

describe('a household file that is brought in', () => {
  it('keeps everything that can have happened', () => {
    const all = {
      sessions: [session('2026-03-09')],
      observations: [tried('2026-03-09')],
      notes: [note(TODAY)],
    };
    const { file, leftOut } = sift(all);
    expect(file).toEqual({ ...empty, ...all });
    expect(leftOut).toEqual([]);
  });

  it('leaves out what is in the future or before the birth, each in a sentence with its child', () => {
    const { file, leftOut } = sift({
      observations: [tried('2030-01-01'), { ...tried('2021-01-01'), id: id(7) }],
      notes: [note('2026-03-12')],
    });
    expect(file.observations).toEqual([]);
    expect(file.notes).toEqual([]);
    expect(leftOut).toEqual([
      'A try on 2030-01-01 of Wren: day is in the future.',
      'A try on 2021-01-01 of Wren: day is before the birth of the child.',
      'A note on 2026-03-12 of Wren: day is in the future.',
    ]);
  });

  it('keeps a try of a session that cannot be: what was seen was seen', () => {
    const { file, leftOut } = sift({
      sessions: [session('2026-03-20')],
      observations: [tried('2026-03-09')],
    });
    expect(file.sessions).toEqual([]);
    expect(file.observations).toEqual([{ ...tried('2026-03-09'), sessionId: null }]);
    expect(leftOut).toEqual(['A session on 2026-03-20: day is in the future.']);
  });

  it('opens the end of a session that ended before it began', () => {
    const before = { ...session('2026-03-09'), endedAt: '2026-03-09T08:00:00.000Z' };
    const { file, leftOut } = sift({ sessions: [before] });
    expect(file.sessions).toEqual([{ ...before, endedAt: null }]);
    expect(leftOut).toEqual([
      'The end of a session on 2026-03-09: endedAt is before the session began.',
    ]);
  });

  it('leaves out what takes back something left out, and what was undone in the future', () => {
    const back = (at: string) => ({ id: VOID, observationId: TRY, at, notedBy: '' });
    const gone = sift({
      observations: [tried('2030-01-01')],
      voidings: [back('2026-03-09T10:00:00.000Z')],
    });
    expect(gone.file.voidings).toEqual([]);
    expect(gone.leftOut.length).toBe(1);
    const future = sift({
      observations: [tried('2026-03-09')],
      voidings: [back('2031-03-09T10:00:00.000Z')],
    });
    expect(future.file.observations.length).toBe(1);
    expect(future.file.voidings).toEqual([]);
    const kept = [back('2026-03-09T10:00:00.000Z')];
    expect(sift({ observations: [tried('2026-03-09')], voidings: kept }).file.voidings).toEqual(
      kept,
    );
  });

  it('judges by no birth date that cannot be one', () => {
    const { file } = sift({
      children: [aChild({ id: WREN, birthDate: '2031-01-01' })],
      observations: [tried('2026-03-09')],
    });
    expect(file.observations.length).toBe(1);
  });

  it('names children and activities of its plan that are not in it', () => {
    const entry = (activityId: string, childId: string): PlanEntry =>
      ({ activityId, participants: [{ childId, rangeMax: 5 }] }) as unknown as PlanEntry;
    const plan = [entry('handfuls', WREN), entry(id(50), WREN), entry('handfuls', id(3))];
    expect(strangersInPlan({ ...empty, plan })).toEqual([
      { field: 'plan.1.activityId', message: 'is not an activity of this file' },
      { field: 'plan.2.participants.0.childId', message: 'is not a child of this file' },
    ]);
  });
});
