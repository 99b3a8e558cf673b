import { TestBed } from '@angular/core/testing';
import { MatCheckboxHarness } from '@angular/material/checkbox/testing';
import { Store } from '@ngrx/store';
import type { DayAnswer, NeedLine } from '@gumo/core/contract';
import { DayActions } from '../../state/day';
import { Place, TODAY, aChild, aMaterial } from '../../testing/place';
import { GetReady } from './get-ready';

const ilse = aChild(1, 'Ilse');
const kofi = aChild(2, 'Kofi');
const discs = aMaterial(3, 'felt discs');
const beads = aMaterial(4, 'glass beads');
const line = (more: Partial<NeedLine> = {}): NeedLine => ({
  key: 'counter',
  use: 'counter',
  words: 'like counters',
  count: 30,
  sum: '30',
  wish: null,
  consumable: false,
  material: discs,
  has: 40,
  short: 0,
  standIns: [],
  away: [],
  barred: null,
  instead: null,
  for: ['handfuls'],
  moments: ['floor'],
  ...more,
});

async function open(
  ready: NeedLine[],
  cautions: DayAnswer['cautions'] = {},
): Promise<Place<GetReady>> {
  const place = await Place.open(GetReady, { children: [ilse, kofi] });
  const answer: DayAnswer = {
    day: TODAY,
    sheet: { day: TODAY, away: [], gotReady: [] },
    entries: [],
    ready,
    cautions,
    open: [],
  };
  const store = TestBed.inject(Store);
  store.dispatch(DayActions.opened({ day: TODAY }));
  store.dispatch(DayActions.loaded({ answer }));
  await place.settle();
  return place;
}

describe('lay ready', () => {
  it('says how many of what, from where, and counts what is ticked', async () => {
    const place = await open([line(), line({ key: 'bowl', words: 'bowl', count: 1 })]);
    expect(place.all('h4')).toEqual(['handfuls']);
    expect(place.all('li')[0]).toMatch(/30 felt discs\s*box 3/);
    expect(place.find('header').textContent).toContain('0 of 2');
    const box = await place.loader.getHarness(MatCheckboxHarness.with({ label: /30 felt discs/ }));
    await box.check();
    expect(place.find('header').textContent).toContain('1 of 2');
    expect(await box.isChecked()).toBeTrue();
    await box.uncheck();
    expect(place.find('header').textContent).toContain('0 of 2');
  });

  it('goes by the moments of the day, each thing where it is needed first', async () => {
    const place = await open([
      line({ key: 'a', moments: ['table'], for: ['Two plates'] }),
      line({
        key: 'b',
        words: 'bowl',
        moments: ['table', 'floor'],
        for: ['A lot and a few', 'Two plates'],
      }),
    ]);
    expect(place.all('h3')).toEqual(['Floor', 'Table']);
    expect(place.all('h4')).toEqual(['A lot and a few', 'Two plates']);
    expect(place.all('li')[0]).toContain('also for Two plates');
    expect(place.all('li')[1]).not.toContain('also for');
  });

  it('names what is short and what would do', async () => {
    const standIns = [{ material: beads, has: 60, because: 'enough of them' }];
    const place = await open([line({ count: 55, short: 15, standIns })]);
    expect(place.find('.short').textContent).toContain('15 short');
    expect(place.find('.short').textContent).toContain('glass beads would do');
  });

  it('tells an unlisted thing from a short one', async () => {
    const place = await open([line({ material: null, has: 0 })]);
    expect(place.text).toContain('like counters not in the list of materials');
    expect(place.element.querySelector('.short')).toBeNull();
    TestBed.resetTestingModule();
    const gone = await open([line({ material: null, has: 0, short: 30 })]);
    expect(gone.find('.short').textContent).toContain('not in the house');
  });

  it('says what applies to who is here, once, with local rules; nothing where nothing applies', async () => {
    const words = 'Glass beads stay in their boxes: small parts, and Ilse is in reach.';
    const place = await open([line()], { a: [words], b: [words] });
    expect(place.all('.caution p').filter((one) => one === words).length).toBe(1);
    expect(place.find('.rules').textContent).toContain('local child-care licensing rules');
    TestBed.resetTestingModule();
    const nothing = await open([line()], { a: [] });
    expect(nothing.element.querySelector('.caution')).toBeNull();
  });

  it('says what is kept away from an allergy, and what can be made instead', async () => {
    const barred = { because: 'holds wheat', allergies: ['wheat'] };
    const instead = {
      use: 'dough' as const,
      name: 'cornstarch dough',
      ingredients: ['cornstarch'],
    };
    const place = await open([line({ words: 'dough', material: null, has: 0, barred, instead })]);
    expect(place.find('.short').textContent).toContain('holds wheat: keep it away');
    expect(place.find('.short').textContent).toContain('make cornstarch dough');
  });
});
