import { Router } from '@angular/router';
import { TestBed } from '@angular/core/testing';
import { Place, TODAY, aChild, aMaterial } from '../../testing/place';
import { ActivityPage } from './activity-page';

const kofi = aChild(2, 'Kofi');
const ilse = aChild(1, 'Ilse', { birthDate: '2023-12-01' });
const answers = (activityId: string, top: number) => ({
  [`/days/${TODAY}/tops/${activityId}`]: [
    { childId: kofi.id, top },
    { childId: ilse.id, top: 3 },
  ],
});
const open = (activityId: string, top: number, materials = [aMaterial(3, 'felt discs')]) =>
  Place.open(ActivityPage, {
    inputs: { id: activityId },
    children: [ilse, kofi],
    materials,
    answers: answers(activityId, top),
  });
const needs = (place: Place<ActivityPage>): string[] => place.all('.needs li');

describe('the page of an activity', () => {
  it('works out what it needs for the children chosen, as a sum, and names what is short', async () => {
    const place = await open('counters-under', 10);
    await place.click(/Kofi/);
    // 1 + 2 + ... + 10 = 10 × 11 ÷ 2 (own arithmetic); forty are there.
    expect(needs(place)[0]).toContain('55');
    expect(needs(place)[0]).toContain('1 + 2 + … + 10 = 55');
    expect(needs(place)[0]).toContain('15 short');
  });

  it('follows the range and the number of children when nobody is chosen', async () => {
    const place = await open('counters-under', 10);
    await place.click('to 20');
    expect(needs(place)[0]).toContain('210');
    await place.click(/Fewer children/);
    expect(place.find('.stepper b').textContent).toBe('1');
  });

  it('keeps small parts from the youngest, and brings them back without her', async () => {
    const beads = aMaterial(4, 'glass beads', {
      shape: { kind: 'ball', diameterMm: 12 },
      count: 60,
    });
    const discs = aMaterial(3, 'felt discs', { count: 60 });
    const place = await open('counters-under', 10, [beads, discs]);
    const counters = (): string => needs(place).find((line) => line.includes('counters')) ?? '';
    await place.click(/Ilse/);
    expect(counters()).toContain('stays away: glass beads (small part)');
    expect(place.text).toContain(
      'Glass beads stay in their boxes: small parts, and Ilse is in reach.',
    );
    await place.click(/Ilse/);
    await place.click(/Kofi/);
    expect(counters()).not.toContain('stays away');
  });

  it('does not begin without a child, and begins with each one’s own range', async () => {
    const place = await open('handfuls', 5);
    await place.click('Start');
    expect(place.find('[role=alert]').textContent).toContain('Choose who takes part.');
    const went = spyOn(TestBed.inject(Router), 'navigate').and.resolveTo(true);
    await place.click(/Kofi/);
    expect(place.text).toContain('Kofi to 5');
    await place.click('Start');
    expect(went).toHaveBeenCalledOnceWith(['/run', jasmine.any(String)]);
  });

  it('goes into the plan of the day, in a moment that takes it', async () => {
    const place = await open('handfuls', 5);
    await place.click(/Kofi/);
    await place.click(/Add to today/);
    expect(place.sent.length).toBe(1);
    expect(place.sent[0]).toEqual({
      method: 'POST',
      path: '/plan',
      body: jasmine.objectContaining({
        day: TODAY,
        activityId: 'handfuls',
        participants: [{ childId: kofi.id, rangeMax: 5 }],
      }),
    });
  });

  it('draws a sample only where there is something to draw', async () => {
    const drawn = await open('handfuls', 5);
    expect(drawn.element.querySelector('.look')).not.toBeNull();
    TestBed.resetTestingModule();
    const told = await open('both-sides-spot', 5);
    expect(told.element.querySelector('.look')).toBeNull();
    expect(told.all('.steps ol li').length).toBeGreaterThanOrEqual(5);
  });

  it('says so where there is no such activity', async () => {
    const place = await open('juggling', 5);
    expect(place.text).toContain('There is no such activity here');
  });
});
