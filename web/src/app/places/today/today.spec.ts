import { TestBed } from '@angular/core/testing';
import { MatButtonHarness } from '@angular/material/button/testing';
import { MatButtonToggleHarness } from '@angular/material/button-toggle/testing';
import { ActivatedRoute, Router, convertToParamMap } from '@angular/router';
import type { Child, PlanEntry, Session } from '@gumo/core/vocabulary';
import { Store } from '@ngrx/store';
import { BehaviorSubject } from 'rxjs';
import { ApiProblem } from '../../common/api';
import type { DayAnswer } from '@gumo/core/contract';
import { DayActions, dayFeature } from '../../state/day';
import { Starting } from '../../state/starting';
import { Place, TODAY, aChild, aDay, id } from '../../testing/place';
import { Today } from './today';

const ilse = aChild(1, 'Ilse');
const kofi = aChild(2, 'Kofi');
const card = (n: number, momentId: string, activityId: string, more: Partial<PlanEntry> = {}) => ({
  id: id(n),
  day: TODAY,
  momentId,
  activityId,
  participants: [{ childId: ilse.id, rangeMax: 5 }],
  minutes: 5,
  with: '',
  state: 'planned' as const,
  version: 1,
  ...more,
});
const session: Session = {
  id: id(40),
  activityId: 'handfuls',
  planEntryId: id(21),
  day: TODAY,
  startedAt: `${TODAY}T08:00:00.000Z`,
  endedAt: null,
  mood: null,
  participants: [{ childId: ilse.id, rangeMax: 5 }],
};

interface Setting {
  readonly day?: Partial<DayAnswer>;
  readonly children?: readonly Child[];
  readonly query?: Readonly<Record<string, string>>;
  readonly role?: 'owner' | 'helper';
  readonly refusal?: ApiProblem;
}

async function open({ day, children = [ilse, kofi], query = {}, role, refusal }: Setting = {}) {
  const started = jasmine.createSpy('start').and.resolveTo();
  const place = await Place.open(Today, {
    children,
    ...(refusal && { refusal }),
    answers: {
      '/access': { door: 'home', role: role ?? 'owner', device: null },
      '/health': { now: null },
    },
    replies: { [`POST /days/${TODAY}/plan`]: { cards: 2, notes: ['Nothing fits at noon.'] } },
    providers: [
      { provide: Starting, useValue: { start: started } },
      {
        provide: ActivatedRoute,
        useValue: { queryParamMap: new BehaviorSubject(convertToParamMap(query)) },
      },
    ],
  });
  TestBed.inject(Store).dispatch(DayActions.loaded({ answer: aDay(day) }));
  await place.settle();
  const button = (text: string | RegExp) =>
    place.loader.getHarness(MatButtonHarness.with({ text }));
  return { place, started, button };
}
const titles = (place: Place<Today>): string[] => place.all('gumo-entry-card h3');
const summary = (place: Place<Today>): string => place.all('header p')[0]!;

describe('today', () => {
  it('stands in the household’s own order of moments, what is led before what is left out', async () => {
    const { place } = await open({
      day: {
        entries: [
          card(22, 'table', 'handfuls'),
          card(23, 'floor', 'peg-rail', { invitation: true }),
          card(24, 'floor', 'two-plates'),
          card(25, 'floor', 'stairs', { state: 'left' }),
        ],
      },
    });
    expect(place.all('.when h2')).toEqual(['Floor', 'Table']);
    expect(titles(place).length).toBe(3);
    expect(titles(place)[0]).toContain('Two plates');
    expect(place.all('.invitation')).toEqual(['Invitation · 5 min, by themselves']);
  });

  it('says in words and numbers what is still to come', async () => {
    const { place } = await open({ day: { entries: [card(22, 'table', 'handfuls')] } });
    expect(summary(place)).toBe('One moment planned · about 5 minutes with the children');
    const both = [
      card(22, 'table', 'handfuls', { state: 'done' }),
      card(23, 'floor', 'two-plates', { minutes: 12 }),
      card(24, 'floor', 'peg-rail', { minutes: 12, invitation: true }),
    ];
    const store = TestBed.inject(Store);
    const answer = store.selectSignal(dayFeature.selectAnswer)()!;
    store.dispatch(DayActions.loaded({ answer: { ...answer, entries: both } }));
    await place.settle();
    // The adult’s minutes: what is left out beside asks for none.
    expect(summary(place)).toBe('One moment still planned · about 12 minutes with the children');
    const done = both.map((one) => ({ ...one, state: 'done' as const }));
    store.dispatch(DayActions.loaded({ answer: { ...answer, entries: done } }));
    await place.settle();
    expect(summary(place)).toBe('Everything planned for today is done');
  });

  it('begins a card with those who are here, or goes on where it was begun', async () => {
    const { place, started } = await open({
      day: {
        sheet: { day: TODAY, away: [kofi.id], gotReady: [] },
        entries: [
          card(20, 'floor', 'two-plates', {
            participants: [
              { childId: ilse.id, rangeMax: 5 },
              { childId: kofi.id, rangeMax: 10 },
            ],
          }),
          card(21, 'table', 'handfuls'),
        ],
        open: [session],
      },
    });
    await place.click('Start Two plates Start');
    expect(started).toHaveBeenCalledOnceWith(
      'two-plates',
      [{ childId: ilse.id, rangeMax: 5 }],
      id(20),
    );
    const went = spyOn(TestBed.inject(Router), 'navigate').and.resolveTo(true);
    await place.click(/^Continue /);
    expect(went).toHaveBeenCalledOnceWith(['/run', session.id]);
    expect(started).toHaveBeenCalledTimes(1);
  });

  it('offers nothing to begin where everyone planned is away', async () => {
    const { place } = await open({
      day: {
        sheet: { day: TODAY, away: [ilse.id], gotReady: [] },
        entries: [card(20, 'floor', 'two-plates')],
      },
    });
    expect(place.text).toContain('Everyone planned for this is away');
    expect(place.all('gumo-entry-card button').filter((words) => words === 'Start')).toEqual([]);
  });

  it('notes who is away by one tap, and not before the day is known', async () => {
    const place = await Place.open(Today, {
      children: [ilse],
    });
    const here = await place.loader.getHarness(MatButtonToggleHarness.with({ text: /Ilse/ }));
    expect(await here.isDisabled()).toBe(true);
    const store = TestBed.inject(Store);
    store.dispatch(DayActions.loaded({ answer: aDay() }));
    await place.settle();
    expect(await here.isChecked()).toBe(true);
    await here.toggle();
    await place.settle();
    expect([...store.selectSignal(dayFeature.selectAway)()]).toEqual([ilse.id]);
    expect(await here.getText()).toContain('is away today');
  });

  it('plans the rest of the day again, and says what came of it', async () => {
    const { place, button } = await open();
    await (await button(/Plan the rest of the day/)).click();
    await place.settle();
    expect(place.sent.at(-1)).toEqual({
      method: 'POST',
      path: `/days/${TODAY}/plan`,
      body: { now: '09:00' },
    });
    expect(place.find('p.planned').getAttribute('role')).toBe('status');
    expect(place.find('p.planned').textContent).toContain(
      'Two cards are planned for the rest of the day. Nothing fits at noon.',
    );
  });

  it('says why it could not be planned again', async () => {
    const { place, button } = await open({ refusal: new ApiProblem(409, 'It is being planned.') });
    await (await button(/Plan the rest of the day/)).click();
    await place.settle();
    expect(place.find('[role=alert]').textContent).toContain('It is being planned.');
  });

  it('names what has just ended, with the way to each child', async () => {
    const { place } = await open({ query: { ended: 'two-plates', child: kofi.id } });
    expect(place.find('.ended').textContent).toContain('Two plates');
    expect(place.find<HTMLAnchorElement>('.ended a', 'Kofi').getAttribute('href')).toBe(
      `/children/${kofi.id}`,
    );
  });

  it('lets a helper run the day, and change nothing of it', async () => {
    const { place } = await open({
      role: 'helper',
      day: { entries: [card(20, 'floor', 'two-plates')] },
    });
    expect(place.all('.tune').length).toBe(0);
    expect(place.text).not.toContain('Add an activity');
    expect(place.all('gumo-entry-card button')).toEqual(['Start']);
  });

  it('offers the first step to a house without children', async () => {
    const { place } = await open({ children: [] });
    expect(place.find<HTMLAnchorElement>('a', 'Start the first hour').getAttribute('href')).toBe(
      '/start',
    );
    expect(place.find<HTMLAnchorElement>('a', 'Add the first child').getAttribute('href')).toBe(
      '/children/new',
    );
    expect(place.text).not.toContain('I have five minutes');
  });

  it('shows the cautions of a card, and those alone', async () => {
    const { place } = await open({
      day: {
        entries: [card(20, 'floor', 'two-plates'), card(21, 'table', 'handfuls')],
        cautions: { [id(21)]: ['Small parts: not near Ilse.'] },
      },
    });
    expect(place.all('.beware')).toEqual(['Small parts: not near Ilse.']);
  });
});
