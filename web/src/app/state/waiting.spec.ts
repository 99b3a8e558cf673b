import { emptyState } from '@gumo/core/evidence';
import type { Observation, PlanEntry, Sitting } from '@gumo/core/vocabulary';
import type { DayAnswer } from './answers';
import type { Parcel } from './outbox';
import { dayWithWaiting, progressWithWaiting, sittingWithWaiting } from './waiting';

const DAY = '2026-03-10';
const entry = { id: 'e1', day: DAY, state: 'planned', takers: [] } as unknown as PlanEntry;
const sitting = { id: 's1', planEntryId: 'e1', day: DAY, takers: [] } as unknown as Sitting;
const answer: DayAnswer = {
  day: DAY,
  sheet: { day: DAY, away: ['c1'], laidReady: [] },
  entries: [entry],
  ready: [],
  cautions: {},
  open: [],
};

describe('a day with what waits on this device', () => {
  const begun: Parcel = { kind: 'sitting', sitting };

  it('shows who came and went, and what lies ready', () => {
    const day = dayWithWaiting(answer, [
      { kind: 'mark', day: DAY, mark: { what: 'away', childId: 'c1', on: false } },
      { kind: 'mark', day: DAY, mark: { what: 'away', childId: 'c2', on: true } },
      { kind: 'mark', day: DAY, mark: { what: 'ready', key: 'bowl', on: true } },
      { kind: 'mark', day: '2026-03-11', mark: { what: 'away', childId: 'c3', on: true } },
    ]);
    expect(day.sheet).toEqual({ day: DAY, away: ['c2'], laidReady: ['bowl'] });
  });

  it('goes on with what was begun here, and has done what was ended', () => {
    const open = dayWithWaiting(answer, [begun, begun]);
    expect(open.open).toEqual([sitting]);
    expect(open.entries[0]!.state).toBe('begun');
    const end: Parcel = {
      kind: 'end',
      sittingId: 's1',
      end: { endedAt: `${DAY}T09:10:00.000Z`, mood: null },
    };
    const done = dayWithWaiting(answer, [begun, end]);
    expect(done.open).toEqual([]);
    expect(done.entries[0]!.state).toBe('done');
  });
});

describe('a child with what waits on this device', () => {
  it('is counted anew from what is held and what was noted since, of this child alone', async () => {
    const tried = (n: number, childId: string): Parcel => ({
      kind: 'observation',
      observation: {
        id: `o${n}`,
        childId,
        sittingId: null,
        skillId: 'total-5',
        itemId: `n${n}`,
        at: `${DAY}T09:0${n}:00.000Z`,
        day: DAY,
        outcome: 'own',
        triedFirst: true,
        things: [],
        record: { kind: 'count', n, words: n, lastWord: n, skipped: 0, doubled: 0, answer: n },
      } as unknown as Observation,
    });
    const waiting = [tried(3, 'c1'), tried(4, 'c1'), tried(5, 'c2')];
    const now = await progressWithWaiting(emptyState('c1', 'middle'), waiting, DAY);
    const view = now.views.find((one) => one.skillId === 'total-5')!;
    expect([view.standing, view.scored]).toEqual(['started', 2]);
    expect(now.day).toBe(DAY);
  });
});

describe('a sitting with what waits on this device', () => {
  const tried = { id: 'o1', sittingId: 's1' } as unknown as Observation;
  const noted: Parcel = { kind: 'observation', observation: tried };

  it('goes on from what was begun here, where the server never had it', () => {
    expect(sittingWithWaiting('s1', null, [noted])).toBeNull();
    const so = sittingWithWaiting('s1', null, [{ kind: 'sitting', sitting }, noted, noted]);
    expect(so).toEqual({ sitting, observations: [tried], voided: [] });
  });

  it('adds nothing twice, takes back what was taken back, and is over where it was ended', () => {
    const known = { sitting, observations: [tried], voided: [] };
    const back: Parcel = { kind: 'voiding', voiding: { observationId: 'o1' } as never };
    const end = { endedAt: `${DAY}T09:10:00.000Z`, mood: null };
    const so = sittingWithWaiting('s1', known, [
      noted,
      back,
      { kind: 'end', sittingId: 's1', end },
    ]);
    expect(so!.observations).toEqual([tried]);
    expect(so!.voided).toEqual(['o1']);
    expect(so!.sitting.endedAt).toBe(end.endedAt);
  });
});
