import { TestBed } from '@angular/core/testing';
import { Printing } from '../../common/printing';
import { open } from './testing/open';

describe('graphs', () => {
  afterEach(() => TestBed.resetTestingModule());

  it('starts a graph empty, fills it by taps, by number or from a sorted basket, and saves it', async () => {
    const { place } = await open('charts', ['Kofi']);
    expect(place.text).toContain('Put something in the columns');
    await place.click('a sorted basket', '[role=radio]');
    const words = (): string =>
      place.find('gumo-materials-chart').querySelector('svg')!.getAttribute('aria-label')!;
    expect(words()).toBe('blue: 3, red: 2');
    await place.click('by kind', '[role=radio]');
    expect(words()).toBe('cork discs: 3, felt balls: 2');
    await place.click('Take it into the graph');
    for (const name of 'dogs carts birds cats bikes'.split(' ')) {
      await place.fill(/^Column/, name);
      await place.click('Add');
    }
    // More than six columns stand side by side.
    await place.click(/^More: dogs/);
    const many = place.find<HTMLInputElement>('[aria-label="How many: carts"]');
    many.value = '31';
    many.dispatchEvent(new Event('change'));
    await place.settle();
    expect(words()).toBe(
      'cork discs: 3, felt balls: 2, dogs: 1, carts: 31, birds: 0, cats: 0, bikes: 0',
    );
    many.value = 'a few';
    many.dispatchEvent(new Event('change'));
    await place.settle();
    expect(place.find('[role=alert]').textContent).toContain('“carts” there are must be a whole');
    await place.fill(/^Title/, 'What came by');
    await place.click('Save the graph');
    const [sent] = place.sent;
    expect([sent!.method, sent!.path]).toEqual(['POST', '/graphs']);
    expect(sent!.body).toEqual(
      jasmine.objectContaining({ title: 'What came by', day: '2026-03-10', each: 1, version: 1 }),
    );
    expect(place.text).toContain('Saved');
    // Another tool in between: the graph is still on the table.
    place.fixture.componentRef.setInput('tool', 'jar');
    await place.settle();
    place.fixture.componentRef.setInput('tool', 'charts');
    await place.settle();
    expect(words()).toContain('carts: 31');
    const opened = spyOn(TestBed.inject(Printing), 'open').and.resolveTo();
    await place.click('2', '[aria-label="A box stands for"] [role=radio]');
    await place.click('Print');
    const [path, graph] = opened.calls.mostRecent().args as [string, { columns: unknown[] }];
    expect(path).toBe('/papers/graph.pdf');
    expect(graph.columns[0]).toEqual({ name: 'cork discs: 3', items: ['', '1'] });
  });
});
