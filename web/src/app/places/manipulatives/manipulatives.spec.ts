import { TestBed } from '@angular/core/testing';
import { MANIPULATIVES } from '@gumo/core/handling';
import { Place } from '../../testing/place';
import { Manipulatives } from './manipulatives';

const words = (place: Place<Manipulatives>): string => place.all('.words')[0] ?? '';
const open = (material?: string): Promise<Place<Manipulatives>> =>
  Place.open(Manipulatives, { inputs: material ? { material } : {} });

describe('the table', () => {
  it('lays out every thing, with its controls, its sentence and its sum', async () => {
    for (const one of MANIPULATIVES) {
      const place = await open(one.id);
      expect(place.all('h1')).toEqual([one.title]);
      expect(words(place)).toBe(one.sentence(one.start).words);
      expect(place.element.querySelectorAll('.controls > *:not(gumo-used-in)').length).toBe(
        one.controls(one.start).length,
      );
      place.fixture.destroy();
      TestBed.resetTestingModule();
    }
  });

  it('follows the hand: a counter tapped on a plate goes to the other, and the sentence with it', async () => {
    const place = await open('plates');
    expect(words(place)).toBe('Four and two make six.');
    place
      .find('.on-it [data-id="counter-0-0"]')
      .dispatchEvent(new MouseEvent('click', { bubbles: true }));
    await place.settle();
    expect(words(place)).toBe('Three and three make six.');
    expect(place.find('.sum').textContent).toBe('3 + 3 = 6');
    expect(place.find('gumo-part-whole svg').getAttribute('aria-label')).toBe('6 made of 3 and 3');
    await place.click('More: plate 1 +');
    expect(words(place)).toBe('Four and three make seven.');
    await place.click('Numerals', '[role=radio]');
    expect(place.element.querySelectorAll('.on-it gumo-scene .piece').length).toBe(0);
  });

  it('shakes the tray and tells the adult how likely what came was', async () => {
    const place = await open('tray');
    await place.click('Shake and open');
    expect(place.find('.about').textContent).toMatch(
      /1 of 7 ways seen; this one comes [\d.]+ times/,
    );
    expect(place.element.querySelectorAll('.on-it gumo-scene .piece').length).toBe(6);
    await place.click('Lid on', '[role=radio]');
    expect(place.element.querySelectorAll('.on-it gumo-scene .piece').length).toBe(0);
    expect(words(place)).toBe('What lies inside?');
  });

  it('counts aloud in words, one piece after the other, and stops when asked', async () => {
    const place = await open('domino');
    jasmine.clock().install();
    try {
      await place.click('Count aloud');
      expect(words(place)).toBe('one');
      jasmine.clock().tick(900);
      await place.settle();
      expect(words(place)).toBe('two');
      expect(place.element.querySelectorAll('.counted').length).toBe(2);
      await place.click('Stop');
      expect(words(place)).toBe('Four and two make six.');
    } finally {
      jasmine.clock().uninstall();
    }
  });

  it('turns what lies there to the child', async () => {
    const place = await open('frame');
    await place.click('Turn to the child');
    expect(place.find('[role=dialog]').getAttribute('aria-label')).toBe('Picture for the child');
  });
});
