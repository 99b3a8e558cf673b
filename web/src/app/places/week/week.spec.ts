import { TestBed } from '@angular/core/testing';
import type { PlanEntry } from '@gumo/core/vocabulary';
import { Store } from '@ngrx/store';
import { ApiProblem } from '../../common/api';
import { WeekActions } from '../../state/week';
import type { CardWhy, WeekAnswer } from '@gumo/core/contract';
import { Place, TODAY, aChild, id } from '../../testing/place';
import { Week } from './week';

const MONDAY = '2026-03-09';
const ilse = aChild(1, 'Ilse');
const kofi = aChild(2, 'Kofi');
const entry = (n: number, more: Partial<PlanEntry> = {}): PlanEntry => ({
  id: id(n),
  day: TODAY,
  momentId: 'floor',
  activityId: 'handfuls',
  participants: [
    { childId: ilse.id, rangeMax: 5 },
    { childId: kofi.id, rangeMax: 10 },
  ],
  minutes: 10,
  with: '',
  state: 'planned',
  version: 3,
  ...more,
});
const answer = (more: Partial<WeekAnswer> = {}): WeekAnswer => ({
  sheet: { from: MONDAY, closed: [], banned: ['stairs'], empty: [], worth: null, version: 2 },
  days: [9, 10, 11, 12, 13, 14, 15].map((date) => ({
    day: `2026-03-${String(date).padStart(2, '0')}`,
    open: date > 9 && date < 14,
    closed: false,
    closure: null,
    usual: date < 14,
    past: date === 9,
    here: [ilse.id, kofi.id],
    away: [],
  })),
  entries: [
    entry(20),
    entry(21, { day: '2026-03-12', activityId: 'two-plates', momentId: 'table', pinned: true }),
    entry(22, { day: '2026-03-12', activityId: 'song-count', momentId: 'snack', state: 'done' }),
  ],
  cautions: {},
  coverage: [
    {
      childId: ilse.id,
      touched: [{ strand: 'count', days: 2 }],
      missing: [{ strand: 'bond', because: 'no table time left' }],
    },
  ],
  unserved: [{ childId: kofi.id, skillId: 'mirror-see', missing: ['safety mirror'] }],
  opening: {
    name: 'a safety mirror',
    minutes: 5,
    how: 'Buy a mirror of acrylic.',
    activityIds: ['mirror-table'],
  },
  changed: [],
  refusals: [],
  notes: ['A lot and a few then comes 3 times this week.'],
  words: { brings: 'Three cards meet 4 of the children’s next steps.', nearness: '' },
  job: null,
  ...more,
});
const why: CardWhy = {
  children: [
    {
      childId: ilse.id,
      top: 5,
      skillId: 'touch-5',
      sentence: 'One touch, one word. 2 of 3 on their own.',
    },
  ],
  meanwhile: 'Meanwhile Kofi has Sort the basket, by himself.',
  instead: 'Next best here: Land in a cup with Ilse, worth half as much.',
  also: ['3 minutes to set up.'],
  others: [
    {
      activityId: 'land-in-cup',
      title: 'Land in a cup',
      childIds: [ilse.id],
      words: 'half as much',
    },
  ],
  broken: [],
  needs: ['30 like counters: wooden bobbins, box 1'],
};

async function open(
  more: Partial<WeekAnswer> = {},
  setting: { replies?: Record<string, unknown>; refusal?: ApiProblem } = {},
): Promise<Place<Week>> {
  const place = await Place.open(Week, {
    children: [ilse, kofi],
    answers: { [`/weeks/${MONDAY}/cards/${id(20)}/why`]: why },
    ...setting,
  });
  TestBed.inject(Store).dispatch(WeekActions.loaded({ answer: answer(more) }));
  await place.settle();
  return place;
}
const cell = (place: Place<Week>, band: number, day: number): string[] => {
  const cells = [...place.element.querySelectorAll('.cell')];
  const days = place.all('.head').length;
  return [...cells[band * days + day]!.querySelectorAll('.title')].map((one) =>
    (one.textContent ?? '').trim(),
  );
};

describe('the week', () => {
  it('names its usual days before they are there', async () => {
    const empty = await Place.open(Week, { children: [ilse, kofi] });
    expect(empty.text).toContain('Week 9 to 13 March');
  });

  it('names a single day as one', async () => {
    const usualOnly = answer().days.map((day) => ({ ...day, usual: day.day === '2026-03-13' }));
    const single = await open({ days: usualOnly, entries: [] });
    expect(single.text).toContain('Week 13 March');
  });

  it('shows the days to come across and the bands down, and what the week touches', async () => {
    const place = await open();
    expect(place.text).toContain('Week 10 to 13 March');
    expect(place.all('.head h2')).toEqual([
      'Tuesday 10',
      'Wednesday 11',
      'Thursday 12',
      'Friday 13',
    ]);
    expect(cell(place, 1, 0)).toEqual(['A lot and a few']);
    expect(cell(place, 2, 2)).toEqual(['Two plates']);
    expect(place.text).toContain('Three cards meet 4');
    expect(place.all('gumo-coverage-rows tbody tr').length).toBe(1);
    expect(place.text).toContain('no table time left');
    expect(place.text).toContain('comes 3 times this week');
    expect(place.all('.banned button')).toEqual(['Stairs and steps']);
    // What is done has nothing to pin.
    expect(place.all('.pin').length).toBe(2);
  });

  it('says why a card is there, and what can be done with it', async () => {
    const place = await open();
    await place.click(/^A lot and a few Floor/);
    const panel = place.find('gumo-why-panel').textContent ?? '';
    for (const words of [
      'Ilse to 5.',
      '2 of 3 on their own',
      'half as much',
      'wooden bobbins, box 1',
    ]) {
      expect(panel).toContain(words);
    }
    await place.click(/^Take it: Land in a cup/);
    expect(place.sent.at(-1)).toEqual({
      method: 'POST',
      path: `/weeks/${MONDAY}/cards/${id(20)}/swap`,
      body: { version: 3, activityId: 'land-in-cup' },
    });
    expect(panel).toContain('Meanwhile Kofi has Sort the basket');
  });

  it('shows what is left out beside what is led, in the same row', async () => {
    const besides = entry(23, {
      activityId: 'sort-basket',
      participants: [{ childId: kofi.id, rangeMax: 5 }],
      invitation: true,
    });
    const place = await open({ entries: [...answer().entries, besides] });
    expect(cell(place, 1, 0)).toEqual(['A lot and a few', 'Sort the basket']);
    expect(place.find('gumo-week-card', /Sort the basket/).textContent).toContain('Invitation');
    expect(place.find('gumo-week-card', /A counting song/).textContent).toContain('all who like');
  });

  it('says what to get next, and which next steps nothing here serves', async () => {
    const place = await open();
    const gaps = place.find('gumo-week-gaps').textContent ?? '';
    expect(gaps.replace(/\s+/g, ' ')).toMatch(
      /a safety mirror about 5 minutes ?Buy a mirror of acrylic. It opens Mirror table/,
    );
    expect(gaps).toMatch(/Kofi: needs safety mirror/);
  });

  it('makes the week lighter', async () => {
    const place = await open();
    await place.click('Lighter');
    expect((place.sent[0]!.body as WeekAnswer['sheet']).fullness).toBe('lighter');
    expect(place.text).toContain('A lighter week: plan it again to see it.');
  });

  it('offers to plan the rest anew after a change', async () => {
    const place = await open({ changed: ['Kofi had a first look.'] });
    expect(place.find('.changed').textContent).toContain('Kofi had a first look.');
    await place.click('Plan the rest again');
    expect(place.sent[0]).toEqual(
      jasmine.objectContaining({ method: 'POST', path: `/weeks/${MONDAY}/plan` }),
    );
  });

  it('pins, empties and takes out of the week', async () => {
    const path = `/weeks/${MONDAY}`;
    const place = await open(
      {},
      { replies: { [`POST ${path}/cards/${id(20)}/empty`]: null, [`POST ${path}/ban`]: null } },
    );
    await place.click(/^Pin A lot and a few/);
    expect(place.sent[0]).toEqual({
      method: 'PUT',
      path: `/plan/${id(20)}`,
      body: { ...entry(20), pinned: true },
    });
    await place.click(/^A lot and a few Floor/);
    await place.click('Leave it empty');
    expect(place.sent[1]!.path).toBe(`${path}/cards/${id(20)}/empty`);
    expect(place.text).toContain('The place stays empty.');
    await place.click(/^A lot and a few Floor/);
    await place.click('Not this week');
    expect(place.sent[2]!.body).toEqual({ activityId: 'handfuls' });
    await place.click(/^Let Stairs and steps come again/);
    expect((place.sent[3]!.body as WeekAnswer['sheet']).banned).toEqual([]);
  });

  it('moves a card by key, and says which limit that passes', async () => {
    const path = `/weeks/${MONDAY}/cards/${id(20)}/move`;
    const moved = entry(20, { day: '2026-03-11', pinned: true, version: 4 });
    const note = 'Wednesday then has 3 set-out activities; 2 is the most.';
    const place = await open(
      {},
      { replies: { [`POST ${path}`]: { entry: moved, notes: [note] } } },
    );
    place
      .find('gumo-week-card', /A lot and a few/)
      .dispatchEvent(new KeyboardEvent('keydown', { key: 'ArrowRight', shiftKey: true }));
    await place.settle();
    expect(place.sent).toEqual([{ method: 'POST', path, body: { version: 3, day: '2026-03-11' } }]);
    expect(cell(place, 1, 1)).toEqual(['A lot and a few']);
    expect(place.find('.said').className).toContain('bad');
    expect(place.text).toContain(note);
    // What is done stays, and so does what stands on the last day.
    const before = place.sent.length;
    place
      .find('gumo-week-card', /A counting song/)
      .dispatchEvent(new KeyboardEvent('keydown', { key: 'ArrowLeft', shiftKey: true }));
    await place.settle();
    expect(place.sent.length).toBe(before);
  });

  it('puts a card back where a caution stands against its new day', async () => {
    const refusal = new ApiProblem(422, 'Two plates needs small parts: not with Ilse.');
    const place = await open({}, { refusal });
    place
      .find('gumo-week-card', /A lot and a few/)
      .dispatchEvent(new KeyboardEvent('keydown', { key: 'ArrowRight', shiftKey: true }));
    await place.settle();
    expect(place.text).toContain('needs small parts: not with Ilse');
    TestBed.inject(Store).dispatch(WeekActions.loaded({ answer: answer() }));
    await place.settle();
    expect(cell(place, 1, 0)).toEqual(['A lot and a few']);
  });

  it('marks who is away, and closes a day', async () => {
    const place = await open({}, { replies: { [`POST /weeks/${MONDAY}/away`]: null } });
    await place.click('Ilse on Tuesday I');
    expect(place.sent[0]).toEqual({
      method: 'POST',
      path: `/weeks/${MONDAY}/away`,
      body: { day: TODAY, childId: ilse.id, away: true },
    });
    await place.settle();
    const card = place.find('gumo-week-card', /A lot and a few/);
    expect(card.querySelectorAll('gumo-child-symbol').length).toBe(1);
    await place.click(/^Close Friday/);
    expect((place.sent[1]!.body as WeekAnswer['sheet']).closed).toEqual(['2026-03-13']);
  });

  it('gives back a place that was left empty', async () => {
    const { sheet } = answer();
    const empty = [{ day: TODAY, band: 'anytime' as const }];
    const place = await open({ sheet: { ...sheet, empty } });
    expect(place.all('.empty')).toEqual(['left empty']);
    await place.click(/^Let the planner fill it again/);
    expect((place.sent[0]!.body as WeekAnswer['sheet']).empty).toEqual([]);
  });
});
