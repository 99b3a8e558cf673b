import { emptyState } from '@gumo/core/evidence';
import type { Observation, PlanEntry, Session } from '@gumo/core/vocabulary';
import type { DayAnswer } from '@gumo/core/contract';
import type { OutboxEntry } from '@gumo/core/contract';

import { dayWithWaiting, progressWithWaiting, sessionWithWaiting } from './waiting';

const DAY = '2026-03-10';
const entry = { id: 'e1', day: DAY, state: 'planned', participants: [] } as unknown as PlanEntry;
const session = { id: 's1', planEntryId: 'e1', day: DAY, participants: [] } as unknown as Session;
const answer: DayAnswer = {
  day: DAY,
  sheet: { day: DAY, away: ['c1'], gotReady: [] },
  entries: [entry],
  ready: [],
  cautions: {},
  open: [],
};

describe('a day with what waits on this device', () => {
  const begun: OutboxEntry = { kind: 'session', session };

  it('shows who came and went, and what lies ready', () => {
    const day = dayWithWaiting(answer, [
      { kind: 'mark', day: DAY, mark: { what: 'away', childId: 'c1', on: false } },
      { kind: 'mark', day: DAY, mark: { what: 'away', childId: 'c2', on: true } },
      { kind: 'mark', day: DAY, mark: { what: 'ready', key: 'bowl', on: true } },
      { kind: 'mark', day: '2026-03-11', mark: { what: 'away', childId: 'c3', on: true } },
    ]);
    expect(day.sheet).toEqual({ day: DAY, away: ['c2'], gotReady: ['bowl'] });
  });

  it('goes on with what was begun here, and has done what was ended', () => {
    const open = dayWithWaiting(answer, [begun, begun]);
    expect(open.open).toEqual([session]);
    expect(open.entries[0]!.state).toBe('begun');
    const end: OutboxEntry = {
      kind: 'end',
      sessionId: 's1',
      end: { endedAt: `${DAY}T09:10:00.000Z`, mood: null },
    };
    const done = dayWithWaiting(answer, [begun, end]);
    expect(done.open).toEqual([]);
    expect(done.entries[0]!.state).toBe('done');
  });
});

describe('a child with what waits on this device', () => {
  it('is counted anew from what is held and what was noted since, of this child alone', async () => {
    const tried = (n: number, childId: string): OutboxEntry => ({
      kind: 'observation',
      observation: {
        id: `o${n}`,
        childId,
        sessionId: null,
        skillId: 'total-5',
        itemId: `n${n}`,
        at: `${DAY}T09:0${n}:00.000Z`,
        day: DAY,
        outcome: 'own',
        triedFirst: true,
        materials: [],
        record: { kind: 'count', n, words: n, lastWord: n, skipped: 0, doubled: 0, answer: n },
      } as unknown as Observation,
    });
    const waiting = [tried(3, 'c1'), tried(4, 'c1'), tried(5, 'c2')];
    const now = await progressWithWaiting(emptyState('c1', 'balanced'), waiting, DAY);
    const view = now.views.find((one) => one.skillId === 'total-5')!;
    expect([view.status, view.scored]).toEqual(['started', 2]);
    expect(now.day).toBe(DAY);
  });
});

describe('a session with what waits on this device', () => {
  const tried = { id: 'o1', sessionId: 's1' } as unknown as Observation;
  const noted: OutboxEntry = { kind: 'observation', observation: tried };

  it('goes on from what was begun here, where the server never had it', () => {
    expect(sessionWithWaiting('s1', null, [noted])).toBeNull();
    const so = sessionWithWaiting('s1', null, [{ kind: 'session', session }, noted, noted]);
    expect(so).toEqual({ session, observations: [tried], voided: [] });
  });

  it('adds nothing twice, takes back what was undone, and is over where it was ended', () => {
    const known = { session, observations: [tried], voided: [] };
    const back: OutboxEntry = { kind: 'voiding', voiding: { observationId: 'o1' } as never };
    const end = { endedAt: `${DAY}T09:10:00.000Z`, mood: null };
    const so = sessionWithWaiting('s1', known, [
      noted,
      back,
      { kind: 'end', sessionId: 's1', end },
    ]);
    expect(so!.observations).toEqual([tried]);
    expect(so!.voided).toEqual(['o1']);
    expect(so!.session.endedAt).toBe(end.endedAt);
  });
});
