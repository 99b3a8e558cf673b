import { LIBRARY, findActivity } from '../activities/index.js';
import { newHousehold } from '../vocabulary/index.js';
import type { Child, PlanEntry } from '../vocabulary/index.js';
import { faultsOf, slipPage } from '../sheets/index.js';
import { MOST_SLIP_ROWS, type SlipDay, slipRows, triedAs } from './index.js';

const DAY = '2026-03-10';
const id = (n: number): string => `01960000-0000-7000-8000-${String(n).padStart(12, '0')}`;
const child = (n: number, name: string): Child =>
  ({ id: id(n), name, answerModes: ['speaks'] }) as unknown as Child;
const entry = (n: number, activityId: string, who: PlanEntry['participants']): PlanEntry => ({
  id: id(100 + n),
  day: DAY,
  momentId: 'floor',
  activityId,
  participants: who,
  minutes: 8,
  with: '',
  state: 'planned',
  version: 1,
});
const { moments } = newHousehold(id(1), 'House');
const [ILSE, KOFI] = [child(2, 'Ilse'), child(3, 'Kofi')];
const dayWith = (entries: readonly PlanEntry[]): SlipDay => ({
  day: DAY,
  entries,
  moments,
  children: [ILSE, KOFI],
  activityOf: findActivity,
});

describe('the slip of a day', () => {
  const both = (skillId?: string): PlanEntry['participants'] => [
    { childId: ILSE.id, rangeMax: 5, ...(skillId ? { skillId } : {}) },
    { childId: KOFI.id, rangeMax: 10 },
  ];

  it('asks those in focus what their card asks, in the order of the day; all where none is named', () => {
    const late = { ...entry(1, 'build-frame', both()), momentId: 'outdoors' };
    const rows = slipRows(dayWith([late, entry(2, 'next-number', both())]));
    expect(rows.map(({ name }) => name)).toEqual([
      ...['Ilse', 'Ilse', 'Kofi', 'Kofi', 'Ilse', 'Ilse', 'Kofi', 'Kofi'],
    ]);
    expect(rows.map(({ moment }) => moment).at(0)).toBe('Floor');
    const focused = slipRows(dayWith([entry(2, 'next-number', both('say-next-5'))]));
    expect(new Set(focused.map(({ name }) => name))).toEqual(new Set(['Ilse']));
    expect(focused[0]!.question.counts.map(({ skillId }) => skillId)).toContain('say-next-5');
  });

  it('is the same when it is typed back, whatever was noted meanwhile, and fits one page', () => {
    const entries = LIBRARY.map((activity, i) => entry(i, activity.id, both()));
    const rows = slipRows(dayWith(entries));
    expect(rows).toEqual(slipRows(dayWith([...entries].reverse())));
    expect(rows.length).toBe(MOST_SLIP_ROWS);
    for (const paper of ['a4', 'letter'] as const) {
      const { pages } = slipPage(paper, 'Tuesday 10 March', rows);
      expect(pages.length).toBe(1);
      expect(faultsOf(pages[0]!)).toEqual([]);
    }
  });

  it('has only questions that can be noted as they stand, of every activity', () => {
    for (const activity of LIBRARY) {
      for (const { question } of slipRows(dayWith([entry(1, activity.id, both())]))) {
        for (const outcome of ['own', 'help', 'not-yet'] as const) {
          expect(triedAs(question, null, outcome))
            .withContext(activity.id)
            .not.toBeNull();
        }
      }
    }
  });
});
