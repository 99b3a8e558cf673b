import { TestBed } from '@angular/core/testing';
import { SKILLS } from '@gumo/core/skills';
import { Store, provideState } from '@ngrx/store';
import type { NextStep } from '@gumo/core/contract';
import { ChildrenActions } from '../../state/children';
import { ProgressActions, progressFeature } from '../../state/progress';
import { Place, TODAY, aChild, aView } from '../../testing/place';
import { Overview } from './overview';

const ilse = aChild(1, 'Ilse', { birthDate: '2023-04-02', interests: ['snails', 'soup'] });
const kofi = aChild(2, 'Kofi', { birthDate: '2021-06-05', interests: [] });
const step = (title: string): NextStep => ({
  skillId: 'total-5',
  title,
  why: 'due',
  because: '',
  value: 1,
  activityId: null,
  activityTitle: null,
  top: null,
});

async function open(due: readonly NextStep[] = [], children = [ilse, kofi]) {
  const place = await Place.open(Overview, {
    children,
    providers: [provideState(progressFeature)],
  });
  const views = SKILLS.map(({ id }) =>
    aView(id, { status: id === 'touch-5' ? 'secure' : 'not-started' }),
  );
  const answer = {
    childId: ilse.id,
    day: TODAY,
    views,
    steps: [step('One touch, one word'), step('Goes on from any number')],
    due: [...due],
    look: null,
    days: [],
  };
  TestBed.inject(Store).dispatch(ProgressActions.loaded({ answer }));
  await place.settle();
  return place;
}

describe('the children', () => {
  it('have a card each, with age and likes, and the way to their page', async () => {
    const place = await open();
    expect(place.all('.who strong')).toEqual(['Ilse', 'Kofi']);
    const [first, second] = place.all('.who .soft');
    expect(first).toBe('2 years 11 months · likes snails and soup');
    expect(second).toBe('4 years 9 months');
    expect(place.find<HTMLAnchorElement>('.cards a').getAttribute('href')).toBe(
      `/children/${ilse.id}`,
    );
  });

  it('show their strings small, every skill one bead', async () => {
    const place = await open();
    const [card] = place.element.querySelectorAll('.cards li');
    expect(card!.querySelectorAll('gumo-bead').length).toBe(SKILLS.length);
  });

  it('name one next step, and what to come back to in words', async () => {
    const none = await open();
    expect(none.all('.foot')[0]).toBe('Next One touch, one wordDue nothing to review');
    TestBed.resetTestingModule();
    const one = await open([step('Says the words to ten')]);
    expect(one.all('.foot')[0]).toContain('Due Says the words to ten');
    expect(one.all('.foot')[0]).not.toContain('more');
    TestBed.resetTestingModule();
    const three = await open([step('Says the words to ten'), step('b'), step('c')]);
    expect(three.all('.foot')[0]).toContain('Says the words to ten and 2 more');
  });

  it('who are archived stand apart, and are shown on asking', async () => {
    const place = await open([], [ilse, { ...kofi, archived: true }]);
    expect(place.all('.who strong')).toEqual(['Ilse']);
    expect(place.text).not.toContain('Kofi');
    await place.click(/archived/i);
    expect(place.text).toContain('Kofi');
  });

  it('are asked for where there are none, and not before that is known', async () => {
    const place = await open([], []);
    expect(place.find<HTMLAnchorElement>('.empty a').getAttribute('href')).toBe('/start');
    TestBed.inject(Store).dispatch(ChildrenActions.loaded({ children: [ilse] }));
    await place.settle();
    expect(place.element.querySelector('.empty')).toBeNull();
  });
});
