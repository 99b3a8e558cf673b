import { MatExpansionPanelHarness } from '@angular/material/expansion/testing';
import type { Observation } from '@gumo/core/vocabulary';
import { Place, TODAY, aChild, id } from '../../testing/place';
import { SessionsTab } from './sessions-tab';

const kofi = aChild(2, 'Kofi');
const line = {
  id: id(10),
  activityId: 'handfuls',
  planEntryId: null,
  day: TODAY,
  startedAt: `${TODAY}T08:00:00.000Z`,
  endedAt: `${TODAY}T08:10:00.000Z`,
  mood: 'calm',
  participants: [{ childId: kofi.id, rangeMax: 10, earlier: [5] }],
  tries: 2,
};
const observation = (n: number, childId: string, more: Partial<Observation>): Observation => ({
  id: id(n),
  childId,
  sessionId: line.id,
  activityId: 'handfuls',
  skillId: 'total-10',
  itemId: 'n7',
  at: `${TODAY}T08:05:00.000Z`,
  day: TODAY,
  outcome: 'not-yet',
  triedFirst: true,
  answered: 'spoken',
  reason: null,
  materials: [],
  notedBy: '',
  note: '',
  record: {
    kind: 'count',
    language: 'en',
    n: 7,
    layout: 'row',
    words: 8,
    lastWord: 8,
    skipped: 0,
    doubled: 1,
    answer: 8,
    recounted: false,
  },
  ...more,
});

const open = (): Promise<Place<SessionsTab>> =>
  Place.open(SessionsTab, {
    children: [kofi],
    inputs: { id: kofi.id },
    answers: {
      [`/children/${kofi.id}/sessions`]: [line],
      [`/children/${kofi.id}/pace`]: {
        minutes: 3,
        reason: '3 minutes: tense on March 9, so it stays at the shortest, and a day without.',
        restOn: TODAY,
        earlier: false,
      },
      [`/children/${kofi.id}/notes`]: [
        {
          id: id(20),
          childId: kofi.id,
          at: `${TODAY}T08:30:00.000Z`,
          day: TODAY,
          words: 'drums the numbers',
          notedBy: '',
        },
      ],
      [`/sessions/${line.id}`]: {
        session: line,
        observations: [
          { seq: 1, voided: false, observation: observation(30, kofi.id, {}) },
          { seq: 2, voided: true, observation: observation(31, kofi.id, { itemId: 'n8' }) },
          { seq: 3, voided: false, observation: observation(32, id(3), { itemId: 'n9' }) },
        ],
      },
    },
  });

describe('the sessions of a child', () => {
  it('say how long the next one at the table is, and why', async () => {
    const place = await open();
    expect(place.all('.pace')[0]).toBe(
      'At the table next: 3 minutes: tense on March 9, so it stays at the shortest, and a day without. Without table time on Tue 10 Mar.',
    );
  });

  it('stand with the ranges they went through, the mood and the words noted', async () => {
    const place = await open();
    expect(place.all('mat-panel-title')).toEqual(['A lot and a few']);
    expect(place.all('mat-panel-description > *')).toEqual([
      'Tue 10 Mar',
      'to 5, then to 10',
      '2 tries',
      'calm',
    ]);
    expect(place.all('.notes p')[0]).toBe('Tue 10 Mar drums the numbers');
  });

  it('open to their tries: this child’s that stand, what was answered and what slipped', async () => {
    const place = await open();
    const panel = await place.loader.getHarness(MatExpansionPanelHarness);
    await panel.expand();
    expect(place.all('mat-expansion-panel li > *')).toEqual([
      'The last word is how many, to ten: seven',
      'not yet',
      'counted 7 to 8; touched one twice',
    ]);
    await panel.collapse();
    expect(await panel.isExpanded()).toBeFalse();
  });
});
