import type { Session } from '@gumo/core/vocabulary';
import type { DaySeen } from '@gumo/core/contract';
import type { OutboxEntry } from '@gumo/core/contract';
import { Outbox } from '../../state/outbox';
import { Place, TODAY, aChild, id } from '../../testing/place';
import { DayEnd } from './day-end';

const ilse = aChild(1, 'Ilse');
const kofi = aChild(2, 'Kofi');
const session = (n: number, endedAt: string | null): Session => ({
  id: id(n),
  activityId: 'handfuls',
  planEntryId: null,
  day: TODAY,
  startedAt: `${TODAY}T08:00:00.000Z`,
  endedAt,
  mood: null,
  participants: [{ childId: ilse.id, rangeMax: 5 }],
});

async function open(seen: Partial<DaySeen>): Promise<{ place: Place<DayEnd>; put: OutboxEntry[] }> {
  const put: OutboxEntry[] = [];
  const outbox = {
    put: (parcel: OutboxEntry) => Promise.resolve(put.push(parcel)),
    flush: () => Promise.resolve(),
  };
  const day: DaySeen = { day: TODAY, sessions: [], skills: [], notes: [], notSeen: [], ...seen };
  const sheet = { day: TODAY, away: [], gotReady: ['counter'], words: 'Rain.' };
  const place = await Place.open(DayEnd, {
    children: [ilse, kofi],
    answers: {
      [`/days/${TODAY}/seen`]: day,
      [`/days/${TODAY}`]: { day: TODAY, sheet, entries: [], ready: [], cautions: {}, open: [] },
    },
    providers: [{ provide: Outbox, useValue: outbox }],
  });
  return { place, put };
}

describe('the end of day', () => {
  it('gathers what was noted by child and skill, and names who was not seen', async () => {
    const { place } = await open({
      sessions: [session(10, `${TODAY}T08:20:00.000Z`)],
      skills: [
        { childId: ilse.id, skillId: 'total-5', outcomes: ['own', 'not-yet', 'own', 'help'] },
      ],
      notes: [
        {
          id: id(20),
          childId: ilse.id,
          at: `${TODAY}T08:30:00.000Z`,
          day: TODAY,
          words: 'counts the stairs',
          notedBy: '',
        },
      ],
      notSeen: [kofi.id],
    });
    expect(place.text).toContain('1 session ended · 1 of 2 children seen');
    expect(place.find('article').textContent).toMatch(/2 on their own, 1 with help, 1 not yet/);
    expect(place.find('.note').textContent).toContain('counts the stairs');
    expect(place.find('.children').textContent).toContain('Kofi');
  });

  it('ends a session that was left open, not before it began', async () => {
    const late = { ...session(11, null), startedAt: `${TODAY}T23:00:00.000Z` };
    const { place, put } = await open({ sessions: [late] });
    await place.click(/End A lot and a few/);
    expect(put).toEqual([
      { kind: 'end', sessionId: late.id, end: { endedAt: late.startedAt, mood: null } },
    ]);
  });

  it('says so where nothing was noted and everyone was seen', async () => {
    const { place } = await open({});
    expect(place.text).toContain('Nothing is noted for this day yet.');
    expect(place.text).toContain('Everyone who is here was seen.');
    expect(place.element.querySelector('.open')).toBeNull();
  });
});
