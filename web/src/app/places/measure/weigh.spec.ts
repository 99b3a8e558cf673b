import { TestBed } from '@angular/core/testing';
import { Printing } from '../../common/printing';
import { add, kofi, open } from './testing/open';

describe('weighing', () => {
  afterEach(() => TestBed.resetTestingModule());

  it('keeps predictions with the weighing, the second beside the first after a surprise', async () => {
    const { place, parcels, noted } = await open('weigh', ['Kofi']);
    for (const name of ['stone', 'sock', 'cup']) await add(place, name);
    await place.click('real scale', '[role=radio]');
    // Nothing is offered from weights that nobody read.
    expect(place.text).toContain('Weigh two or more');
    await place.fill(/^Lighter or heavier than/, '300');
    const size = (material: string, words: string): Promise<void> =>
      place.click(words, `[aria-label="How large is ${material}"] [role=radio]`);
    const say = (material: string, side: string): Promise<void> => {
      place.find(`[aria-label="Kofi on ${material}"] [aria-label="${side}"]`).click();
      return place.settle();
    };
    const weigh = async (material: string, grams: string): Promise<void> => {
      const field = place.find<HTMLInputElement>(`[aria-label="Reading for ${material} in g"]`);
      field.value = grams;
      field.dispatchEvent(new Event('change'));
      await place.settle();
    };
    await say('stone', 'lighter');
    await say('sock', 'heavier');
    await weigh('stone', '620');
    expect(place.text).toContain('a surprise');
    await say('sock', 'lighter');
    await weigh('sock', '40');
    // Nobody has said how large they are: no item is made up.
    expect(noted()).toEqual([]);
    await size('stone', 'small');
    await size('sock', 'small');
    expect(noted().map((one) => [one.itemId, one.outcome])).toEqual([
      ['heavy-small', 'not-yet'],
      ['light-small', 'help'],
    ]);
    expect(noted()[1]!.record).toEqual({
      kind: 'weigh',
      material: 'sock',
      dividingGrams: 300,
      predicted: 'heavier',
      predictedAgain: 'lighter',
      measuredGrams: 40,
      found: 'lighter',
    });
    // One session for both; it ends with the tool.
    expect(parcels.filter((one) => one.kind === 'session').length).toBe(1);
    expect(place.all('.sides .heavier p')).toEqual(['stone 620 g']);
    // A reading that was wrong is put right: what was kept is taken back, and kept as it was.
    await weigh('sock', '12.9 oz');
    expect(parcels.filter((one) => one.kind === 'voiding').map((one) => one.voiding)).toEqual([
      jasmine.objectContaining({ observationId: noted()[1]!.id }),
    ]);
    expect(noted()[2]!.record).toEqual(
      jasmine.objectContaining({ material: 'sock', measuredGrams: 12.9 * 28.349523125 }),
    );
    // Another mark is another round; the first one stays, and nothing is judged by the new mark.
    const before = parcels.length;
    await place.fill(/^Lighter or heavier than/, '700');
    expect(place.all('.sides .lighter p')).toEqual([]);
    expect(place.find('.earlier').textContent).toContain('Round 1: 300 g');
    await say('stone', 'lighter');
    expect(parcels.length).toBe(before);
    await place.click(/^As before: stone/);
    expect(place.all('.sides .lighter p')).toEqual(['stone 620 g']);
    expect(noted().at(-1)!.record).toEqual(
      jasmine.objectContaining({ dividingGrams: 700, predicted: 'lighter' }),
    );
    place.fixture.destroy();
    expect(parcels.at(-1)!.kind).toBe('end');
  });

  it('refuses a dividing weight that is no number, and offers a round one', async () => {
    const { place } = await open('weigh');
    await place.click('scale on screen', '[role=radio]');
    for (const name of ['stone', 'sock', 'cup', 'feather']) await add(place, name);
    expect(place.text).toContain('The weights of the scale on screen are made up.');
    await place.fill(/^Lighter or heavier than/, '-3');
    expect(place.find('[role=alert]').textContent).toContain('must be a weight above 0');
    await place.click('Take it');
    expect(place.element.querySelector('[role=alert]')).toBeNull();
    expect(place.find<HTMLInputElement>('[inputmode=decimal]').value).toBe('100');
  });

  it('orders things on the balance with few weighings, and says what follows by itself', async () => {
    const { place, noted } = await open('balance', ['Kofi', 'Mirela']);
    for (const name of ['stone', 'cup', 'sock']) await add(place, name);
    await place.click('stone', '[aria-label="Heavier, says Kofi"] button');
    await place.click('cup', '[aria-label="Heavier, says Mirela"] button');
    for (let i = 0; i < 3 && place.text.includes('Weigh them'); i++)
      await place.click('Weigh them');
    expect(place.text).toContain('From light to heavy: sock, then cup, then stone.');
    expect(noted().map((one) => one.outcome)).toEqual(['own', 'not-yet']);
    await place.click('units against object', '[role=radio]');
    await place.click('sock', '[aria-label="Which object"] button');
    for (let i = 0; i < 4; i++) await place.click(/^One unit more/);
    expect(place.text).toContain('3 and a bit more.');
  });

  it('shows what was just weighed until a child looks at the next two, and asks for no pair twice', async () => {
    const { place } = await open('balance', ['Kofi']);
    for (const name of ['stone', 'cup', 'sock']) await add(place, name);
    const pans = (): string[] => place.all('.stage svg .hang text');
    const tilt = (): string => place.find('.stage .beam').style.transform;
    expect([pans(), tilt()]).toEqual([['stone', 'cup'], 'rotate(0deg)']);
    await place.click('Weigh them');
    expect([pans(), tilt()]).toEqual([['stone', 'cup'], 'rotate(-9deg)']);
    await place.click('the same', '[aria-label="Heavier, says Kofi"] button');
    expect(tilt()).toBe('rotate(0deg)');
    expect(pans()).not.toEqual(['stone', 'cup']);
  });

  it('takes back what was kept of a weighing that was not so', async () => {
    const { place, parcels, noted } = await open('balance', ['Kofi', 'You']);
    await add(place, 'stone');
    await add(place, 'pillow');
    await place.click('small', '[aria-label="How large is stone"] [role=radio]');
    await place.click('large', '[aria-label="How large is pillow"] [role=radio]');
    await place.click('real balance', '[role=radio]');
    await place.click('pillow', '[aria-label="Heavier, says Kofi"] button');
    await place.click('stone', '[aria-label="Heavier, says You"] button');
    await place.click('stone', '[aria-label="Which side went down"] button');
    // What an adult guesses is no evidence.
    expect(noted().map((one) => [one.childId, one.itemId, one.outcome])).toEqual([
      [kofi.id, 'heavier-close', 'not-yet'],
    ]);
    await place.click('Undo the last one');
    expect(parcels.at(-1)).toEqual(
      jasmine.objectContaining({
        kind: 'voiding',
        voiding: jasmine.objectContaining({ observationId: noted()[0]!.id }),
      }),
    );
  });

  it('asks for heaviest and lightest before it shows them, and has the round printed', async () => {
    const { place } = await open('weigh', ['Kofi']);
    for (const name of ['stone', 'sock', 'cup']) await add(place, name);
    await place.click('real scale', '[role=radio]');
    await place.fill(/^Lighter or heavier than/, '300');
    for (const [name, grams] of [
      ['stone', '620'],
      ['sock', '40'],
      ['cup', '310'],
    ]) {
      const field = place.find<HTMLInputElement>(`[aria-label="Reading for ${name} in g"]`);
      field.value = grams!;
      field.dispatchEvent(new Event('change'));
      await place.settle();
    }
    expect(place.text).not.toContain('From light to heavy');
    await place.click('cup', '[aria-label="The heaviest"] [role=radio]');
    await place.click('Show the order');
    expect(place.all('.found p')).toEqual([
      'Heaviest: you thought cup; it is stone.',
      'From light to heavy: sock, cup, stone.',
      'The heaviest: stone. The lightest: sock.',
      'Nearest to each other: sock and cup, 270 g apart.',
    ]);
    const opened = spyOn(TestBed.inject(Printing), 'open').and.resolveTo();
    await place.click('Print this round');
    expect(opened).toHaveBeenCalledOnceWith(
      '/papers/graph.pdf',
      jasmine.objectContaining({ title: 'Lighter or heavier than 300 g' }),
    );
  });

  it('says which reading and which measure cannot be, and keeps what stood there', async () => {
    const { place, noted } = await open('weigh', ['Kofi']);
    await add(place, 'stone');
    await place.click('real scale', '[role=radio]');
    const field = place.find<HTMLInputElement>('[aria-label="Reading for stone in g"]');
    field.value = 'heavy';
    field.dispatchEvent(new Event('change'));
    await place.settle();
    expect(place.find('[role=alert]').textContent).toContain('The reading for stone must be');
    expect(noted()).toEqual([]);
    place.fixture.componentRef.setInput('tool', 'jar');
    await place.settle();
    await place.fill(/^across/, '-4');
    expect(place.find('[role=alert]').textContent).toContain('“across” must be a number');
    expect(place.text).toContain('about 763 ml');
  });
});
