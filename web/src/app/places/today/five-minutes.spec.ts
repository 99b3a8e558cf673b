import { TestBed } from '@angular/core/testing';
import { Router } from '@angular/router';
import type { PlanEntry } from '@gumo/core/vocabulary';
import { ApiProblem } from '../../common/api';
import { DayActions } from '../../state/day';
import { Store } from '@ngrx/store';
import { Place, TODAY, aChild, id } from '../../testing/place';
import { FiveMinutes } from './five-minutes';
import { LeftUndone } from './left-undone';

const ilse = aChild(1, 'Ilse');
const entry: PlanEntry = {
  id: id(50),
  day: TODAY,
  momentId: 'snack',
  activityId: 'song-count',
  participants: [{ childId: ilse.id, rangeMax: 10 }],
  minutes: 3,
  with: '',
  state: 'planned',
  version: 1,
};
const now = {
  moment: { id: 'snack', name: 'Snack' },
  offers: [{ entry, because: 'Ilse: says the words to ten.' }],
};

describe('a few free minutes', () => {
  const open = (offers: unknown = now, refusal?: ApiProblem) =>
    Place.open(FiveMinutes, {
      children: [ilse],
      answers: { [`/days/${TODAY}/now`]: offers },
      replies: { 'POST /plan': entry },
      ...(refusal ? { refusal } : {}),
    });

  it('offer what fits, with whom and why, and begin at once', async () => {
    const place = await open();
    const router = spyOn(TestBed.inject(Router), 'navigate').and.resolveTo(true);
    await place.click(/I have five minutes/);
    expect(place.text).toContain('A counting song');
    expect(place.text).toContain('Ilse: says the words to ten.');
    expect(place.text).toContain('Ilse to 10');
    await place.click('15');
    expect(place.text).toContain('I have fifteen minutes');
    await place.click(/^Start A counting song/);
    await place.settle();
    const [posted] = place.sent;
    expect([posted!.method, posted!.path]).toEqual(['POST', '/plan']);
    expect(posted!.body).toEqual(
      jasmine.objectContaining({ activityId: 'song-count', momentId: 'snack', pinned: true }),
    );
    expect(router.calls.mostRecent().args[0][0]).toBe('/run');
  });

  it('say so where nothing fits, and where the server does not take it', async () => {
    const none = await open({ moment: null, offers: [] });
    await none.click(/I have five minutes/);
    expect(none.text).toContain('Nothing fits in so short');
    TestBed.resetTestingModule();
    const place = await open(now, new ApiProblem(422, 'That moment is gone.'));
    await place.click(/I have five minutes/);
    await place.click(/^Start A counting song/);
    expect(place.find('[role=alert]').textContent).toContain('That moment is gone.');
  });
});

describe('what was left undone', () => {
  it('is named with its day, and brought into today by one tap', async () => {
    const left: PlanEntry = { ...entry, day: '2026-03-09', state: 'left' };
    const path = `/days/${TODAY}/left`;
    const place = await Place.open(LeftUndone, {
      answers: { [path]: [left, { ...left, id: id(51), day: TODAY, activityId: 'stairs' }] },
      replies: { [`POST ${path}/${id(50)}`]: { ...left, day: TODAY, state: 'planned' } },
    });
    const sheet = { day: TODAY, away: [], gotReady: [] };
    TestBed.inject(Store).dispatch(
      DayActions.loaded({
        answer: { day: TODAY, sheet, entries: [], ready: [], cautions: {}, open: [] },
      }),
    );
    await place.settle();
    expect(place.all('li > span')).toEqual([
      'Stairs and steps earlier today',
      'A counting song Monday',
    ]);
    await place.click(/^Bring A counting song into today/);
    expect(place.sent[0]).toEqual({
      method: 'POST',
      path: `${path}/${id(50)}`,
      body: { now: '09:00' },
    });
  });
});
