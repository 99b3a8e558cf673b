import { LIBRARY } from '@gumo/core/activities';
import { newHousehold } from '@gumo/core/vocabulary';
import type { PlanEntry } from '@gumo/core/vocabulary';
import { ApiProblem, Api } from '../../common/api';
import type { CardWhy, WeekDay } from '@gumo/core/contract';
import { Place, TODAY, aChild, id } from '../../testing/place';
import { type CardView, WeekCard } from './week-card';
import { WhyPanel } from './why-panel';

const ilse = aChild(1, 'Ilse');
const kofi = aChild(2, 'Kofi');
const FROM = '2026-03-09';
const entry: PlanEntry = {
  id: id(50),
  day: TODAY,
  momentId: 'table',
  activityId: 'two-plates',
  participants: [
    { childId: ilse.id, rangeMax: 5 },
    { childId: kofi.id, rangeMax: 10 },
  ],
  minutes: 6,
  with: '',
  state: 'planned',
  version: 1,
};
const moment = newHousehold(id(99), 'Spindle Cottage').moments.find((one) => one.id === 'table')!;
const view = (more: Partial<CardView> = {}): CardView => ({
  key: 'k',
  entry,
  activity: LIBRARY.find((one) => one.id === 'two-plates')!,
  moment,
  children: [ilse, kofi],
  loose: true,
  coming: false,
  cautions: [],
  ...more,
});
const day = (date: string, open: boolean): WeekDay => ({
  day: date,
  open,
  closed: !open,
  closure: null,
  usual: true,
  past: false,
  here: [],
  away: [],
});
const why: CardWhy = {
  children: [
    { childId: kofi.id, top: 10, skillId: 'bond-5', sentence: 'The ways to make five.' },
    { childId: id(77), top: 5, skillId: null, sentence: 'Somebody who is gone.' },
  ],
  meanwhile: 'Ilse has Land in a cup meanwhile.',
  instead: 'Next best here: Handfuls.',
  also: ['It has not been used for a while.'],
  others: [
    { activityId: 'handfuls', title: 'Handfuls', childIds: [ilse.id], words: 'half as much' },
  ],
  broken: [],
  needs: ['2 plates', '10 counters'],
};

async function open(more: Partial<CardView> = {}, answer: Partial<CardWhy> = {}) {
  const place = await Place.open(WhyPanel, {
    inputs: {
      from: FROM,
      view: view(more),
      days: [day(TODAY, true), day('2026-03-11', true), day('2026-03-12', false)],
      childById: { [ilse.id]: ilse, [kofi.id]: kofi },
    },
    answers: { [`/weeks/${FROM}/cards/${entry.id}/why`]: { ...why, ...answer } },
  });
  const heard: unknown[] = [];
  const { swapped, pinned, vacated, banned, moved, closed, changed } =
    place.fixture.componentInstance;
  swapped.subscribe((one) => heard.push(['swapped', one]));
  moved.subscribe((one) => heard.push(['moved', one]));
  for (const [name, one] of Object.entries({ pinned, vacated, banned, closed, changed })) {
    one.subscribe(() => heard.push(name));
  }
  return { place, heard };
}

describe('why a card stands there', () => {
  it('is said for each child in focus, and who minds whom', async () => {
    const { place } = await open();
    expect(place.find('h2').textContent).toBe('Two plates');
    expect(place.text).toContain('Tuesday, Table');
    expect(place.all('.children li').length).toBe(1);
    expect(place.all('.children p')).toEqual(['Kofi to 10. The ways to make five.']);
    expect(place.text).toContain('Ilse has Land in a cup meanwhile.');
    expect(place.all('.needs li')).toEqual(['2 plates', '10 counters']);
  });

  it('names what could stand in its place, and takes it', async () => {
    const { place, heard } = await open();
    expect(place.find('.others li').textContent).toContain('half as much · Ilse');
    await place.click('Take it: Handfuls Take it');
    expect(heard).toEqual([['swapped', 'handfuls']]);
  });

  it('can be pinned, edited, emptied, banned and moved to another open day', async () => {
    const { place, heard } = await open();
    for (const words of ['Pin', 'Edit', 'Leave it empty', 'Not this week', 'Wednesday']) {
      await place.click(words);
    }
    await place.click('Close');
    expect(heard).toEqual([
      'pinned',
      'changed',
      'vacated',
      'banned',
      ['moved', '2026-03-11'],
      'closed',
    ]);
    expect(place.text).not.toContain('Thursday');
  });

  it('is only read where the card stays as it is', async () => {
    const { place } = await open({ loose: false });
    expect(place.text).not.toContain('Change it');
    expect(place.text).not.toContain('Instead of it');
  });

  it('says which rule was passed by hand', async () => {
    const { place } = await open({}, { broken: ['Two table times on one day.'] });
    expect(place.find('.note').textContent).toContain('By hand: Two table times on one day.');
  });

  it('says so where the reasons cannot be had', async () => {
    const place = await Place.open(WhyPanel, {
      inputs: { from: FROM, view: view(), days: [], childById: {} },
      providers: [
        {
          provide: Api,
          useValue: { get: () => Promise.reject(new ApiProblem(404, 'There is no such card.')) },
        },
      ],
    });
    expect(place.find('[role=alert]').textContent).toContain('There is no such card.');
  });
});

describe('a card of the week', () => {
  const card = async (more: Partial<CardView> = {}) => {
    const place = await Place.open(WeekCard, { inputs: { view: view(more) } });
    const heard: string[] = [];
    place.fixture.componentInstance.opened.subscribe(() => heard.push('opened'));
    place.fixture.componentInstance.pinned.subscribe(() => heard.push('pinned'));
    return { place, heard };
  };

  it('says what, when and with whom, and opens on a tap', async () => {
    const { place, heard } = await card();
    expect(place.find('.title').textContent).toBe('Two plates');
    expect(place.find('.meta').textContent).toContain('6 min');
    expect(place.element.querySelectorAll('.pegs gumo-child-symbol').length).toBe(2);
    expect(place.find('.open .cdk-visually-hidden').textContent).toContain('Ilse');
    place.find('.open').click();
    expect(heard).toEqual(['opened']);
  });

  it('is pinned by its own button, as long as it is no plan in the making', async () => {
    const { place, heard } = await card();
    await place.click('Pin Two plates');
    expect(heard).toEqual(['pinned']);
    place.fixture.componentRef.setInput('view', view({ loose: false, coming: true }));
    await place.settle();
    expect(place.find<HTMLButtonElement>('.pin').disabled).toBe(true);
  });

  it('says what to mind, and that everyone is away', async () => {
    const { place } = await card({ cautions: ['cords stay with you.'], children: [] });
    expect(place.find('.beware').textContent).toContain('mind: cords stay with you.');
    expect(place.text).toContain('everyone is away');
  });

  it('is ticked when it is done, and not pinned any more', async () => {
    const { place } = await card({ entry: { ...entry, state: 'done' } });
    expect(place.element.querySelector('.sign')).not.toBeNull();
    expect(place.element.querySelector('.pin')).toBeNull();
  });
});
