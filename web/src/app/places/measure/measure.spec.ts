import { TestBed } from '@angular/core/testing';
import type { Observation } from '@gumo/core/vocabulary';
import type { OutboxEntry } from '@gumo/core/contract';
import { Printing } from '../../common/printing';
import { Outbox } from '../../state/outbox';
import { Place, aChild, aMaterial } from '../../testing/place';
import { Measure } from './measure';

const kofi = aChild(2, 'Kofi');
const mirela = aChild(3, 'Mirela');

interface Opened {
  readonly place: Place<Measure>;
  readonly parcels: OutboxEntry[];
  noted(): Observation[];
}

const aRange = (low: number, high: number) => ({
  day: '2026-03-02',
  low,
  high,
  actual: 40,
  leaning: 0,
});

async function open(tool: string, participants: readonly string[] = []): Promise<Opened> {
  const parcels: OutboxEntry[] = [];
  const outbox = { put: (parcel: OutboxEntry) => Promise.resolve(void parcels.push(parcel)) };
  const place = await Place.open(Measure, {
    inputs: { tool },
    children: [kofi, mirela],
    materials: [
      aMaterial(5, 'cork discs', { colors: [{ name: 'blue', count: 24 }] }),
      aMaterial(6, 'felt balls', {
        colors: [{ name: 'red', count: 16 }],
        shape: { kind: 'ball', diameterMm: 25 },
      }),
    ],
    answers: {
      [`/children/${kofi.id}/details/measuring`]: { ranges: [aRange(30, 60), aRange(30, 60)] },
      [`/children/${mirela.id}/details/measuring`]: { ranges: [] },
      ['/days/2026-03-10/tops/jar-range']: [
        { childId: kofi.id, top: 50 },
        { childId: mirela.id, top: 20 },
      ],
      ['/days/2026-03-10/tops/columns-chart']: [{ childId: mirela.id, top: 5 }],
    },
    providers: [{ provide: Outbox, useValue: outbox }],
  });
  for (const name of participants)
    await place.click(new RegExp(name), 'gumo-measuring-participants button');
  const noted = (): Observation[] =>
    parcels.flatMap((one) => (one.kind === 'observation' ? [one.observation] : []));
  return { place, parcels, noted };
}

async function add(place: Place<Measure>, name: string): Promise<void> {
  await place.fill(/^Object/, name);
  await place.click('Add');
}

describe('measuring', () => {
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

  it('makes the jar and the questions for those whose range is shortest', async () => {
    const { place } = await open('jar', ['Kofi']);
    expect(place.text).toContain('A target of 50 would not fit');
    await place.click(/Mirela/, 'gumo-measuring-participants button');
    expect(place.text).toContain('For about 16,');
    place.fixture.componentRef.setInput('tool', 'charts');
    await place.settle();
    const chosen = place.find('[aria-label="Questions"] [aria-checked="true"]');
    expect(chosen.textContent!.trim()).toBe('to 5');
  });

  it('marks a gap by key, and notes what a child counted with its slips', async () => {
    const { place, noted } = await open('along', ['Kofi']);
    for (let i = 0; i < 3; i++) await place.click('Lay one');
    const last = [...place.element.querySelectorAll('.unit')].at(-1)!;
    for (let i = 0; i < 2; i++) {
      last.dispatchEvent(new KeyboardEvent('keydown', { key: 'ArrowRight' }));
    }
    await place.settle();
    expect(place.text).toContain('A gap between 2 and 3.');
    await place.click(/^Note/);
    expect(noted()[0]!.record).toEqual(
      jasmine.objectContaining({ kind: 'length', measured: 3, gaps: true, overlaps: false }),
    );
    expect(noted()[0]!.outcome).toBe('not-yet');
  });

  it('keeps what was guessed and nothing else, and puts it right with the count', async () => {
    const { place, parcels, noted } = await open('jar', ['Kofi', 'Mirela', 'You']);
    expect(place.text).toContain('Inside again: could some more be crossed out?');
    const touch = (who: string, n: number): Promise<void> => {
      const chart = [...place.element.querySelectorAll('[role=application]')].find((one) =>
        one.getAttribute('aria-label')!.startsWith(who),
      )!;
      const cell = chart.querySelectorAll('span')[n - 1]!;
      Object.assign(cell, { releasePointerCapture: () => undefined });
      cell.dispatchEvent(new PointerEvent('pointerdown', { bubbles: true }));
      return place.settle();
    };
    // Too few is said first, and 51 of them are: what is left is the upper half.
    await touch('Kofi', 51);
    expect(place.text).toContain('52 to 100');
    await place.click('too many', '[aria-label="What Kofi rules out"] [role=radio]');
    await touch('Kofi', 81);
    expect(place.text).toContain('52 to 80');
    const one = place.find<HTMLInputElement>('[aria-label="One number, says You"]');
    one.value = '70';
    one.dispatchEvent(new Event('change'));
    await place.settle();
    await place.fill(/^Counted/, '20');
    expect(place.text).toContain('20 is below the range, by 32');
    // Mirela made no guess: nothing is inside, and nothing is kept of her.
    expect(place.text).toContain('No guess was made.');
    await place.click('Note all');
    await place.click('Note all');
    expect(noted().map((each) => [each.childId, each.itemId, each.outcome, each.note])).toEqual([
      [kofi.id, 'n20', 'not-yet', 'Counted by tens.'],
    ]);
    await place.fill(/^Counted/, '62');
    await place.click('fives', '[role=radio]');
    await place.click('Note all');
    expect(parcels.at(-2)!.kind).toBe('voiding');
    expect(noted()[1]!.record).toEqual({ kind: 'range', low: 52, high: 80, actual: 62 });
    expect(noted()[1]!.outcome).toBe('own');
    expect(place.element.querySelectorAll('.group').length).toBe(13);
  });

  it('copies a grid, matches a row and finds a shadow, each noted once', async () => {
    const { place, noted } = await open('patterns', ['Kofi']);
    await place.click('copy a grid', '[role=radio]');
    const model = place.all('[aria-label="The model"] span').map((_, i) => i);
    const words = [...place.element.querySelectorAll('[aria-label="The model"] svg')].map(
      (one) => one.getAttribute('aria-label') ?? '',
    );
    const layable = place.element.querySelectorAll<HTMLElement>(
      '[aria-label="What to lay"] button',
    );
    for (const i of model) {
      const kind = ['blue', 'orange', 'green'].indexOf(words[i]!.split(' ')[0]!);
      layable[kind]!.click();
      await place.click(new RegExp(`^place ${i + 1}`));
    }
    expect(place.find('.told').textContent).toBe('Just the same.');
    await place.click('alike and shadow', '[role=radio]');
    const sought = place.find('.sought').getAttribute('aria-label')!;
    await place.click(new RegExp(`^${sought}`), '.cards button');
    expect(place.find('.told').textContent).toBe('That one.');
    await place.click(new RegExp(`^${sought}`), '.cards button');
    expect(noted().map((one) => [one.itemId, one.outcome])).toEqual([
      ['grid-2', 'own'],
      ['shadow', 'own'],
    ]);
  });

  it('hides a mistake of the row’s own pieces, also in a row that grows', async () => {
    const { place, noted } = await open('patterns', ['Kofi']);
    await place.click('find the mistake', '[role=radio]');
    await place.click('ABCD', '[role=radio]');
    const row = '[aria-label="The row"]';
    const pieces = (): string[] =>
      [...place.element.querySelectorAll(`${row} svg`)].map((one) =>
        one.getAttribute('aria-label')!,
      );
    for (let n = 0; n < 3; n++) {
      for (const words of new Set(pieces()))
        expect(['blue round', 'orange square', 'green three-cornered', 'violet star']).toContain(
          words,
        );
      await place.click('Another one');
    }
    await place.click(/^a row that grows/);
    expect(new Set(pieces()).size).toBe(2);
    for (let at = 1; at <= pieces().length; at++) {
      await place.click(`place ${at}`, `${row} button`);
      if (place.find('.told').textContent!.startsWith('That is the one.')) break;
    }
    expect(place.find('.told').textContent).toMatch(
      /^That is the one\. (Another one belongs there|One was laid twice|One was left out)\.$/,
    );
    // The first answer is what is kept.
    expect(noted().length).toBe(1);
  });

  it('says where a row that was chosen differs, and finds a pattern laid of something else', async () => {
    const { place, noted } = await open('patterns', ['Kofi']);
    await place.click('match rows', '[role=radio]');
    await place.click('3', '[aria-label="Length"] [role=radio]');
    const rows = place.element.querySelectorAll<HTMLElement>('.whole-row button');
    const read = (of: Element): string =>
      [...of.querySelectorAll('svg')].map((one) => one.getAttribute('aria-label')).join();
    const sought = read(place.find('[aria-label="The row to find"]'));
    const wrong = [...rows].find((one) => read(one) !== sought)!;
    wrong.click();
    await place.settle();
    expect(place.find('.told').textContent).toMatch(/look at place [1-3]\.$/);
    expect(noted()[0]!.itemId).toBe('length-3');
    await place.click('the same pattern', '[role=radio]');
    expect(place.text).toContain('Which row goes the same way?');
    expect(read(place.find('.whole-row'))).not.toBe(
      read(place.find('[aria-label="The row to find"]')),
    );
  });

  it('checks both sides of a line on grids, and keeps a figure once', async () => {
    const { place, parcels, noted } = await open('mirrors', ['Mirela']);
    await place.click('both sides of a line', '[role=radio]');
    await place.click(/^row 1, column 2/);
    expect(place.text).toContain('The piece in row 1, column 2 has no match yet.');
    await place.click('Note');
    await place.click(/^row 1, column 3/);
    expect(place.text).toContain('1 pair. Both sides are the same.');
    await place.click('Note');
    await place.click('Note');
    expect(noted().map((one) => [one.itemId, one.outcome])).toEqual([
      ['pieces-2', 'not-yet'],
      ['pieces-2', 'own'],
    ]);
    expect(parcels.filter((one) => one.kind === 'voiding').length).toBe(1);
    // Another line, and a larger grid.
    await place.click('8 × 8', '[role=radio]');
    await place.click('slanting line', '[role=radio]');
    await place.click(/^row 1, column 8/);
    expect(place.text).toContain('no match yet');
    await place.click(/^row 8, column 1/);
    expect(place.text).toContain('Both sides are the same.');
    // A face stands upright.
    await place.click('face', '[role=radio]');
    expect(place.find('[aria-label="Line"] [aria-checked=true]').textContent).toContain('upright');
    expect(place.element.querySelector('.outline')).not.toBeNull();
  });

  it('asks what opens once a figure, and shows what was drawn on the fold', async () => {
    const { place, noted } = await open('mirrors', ['Mirela']);
    await place.click('fold and cut', '[role=radio]');
    for (let i = 0; i < 2; i++) {
      await place.click(/^a heart/, '.cards [role=radio]');
      await place.click('Unfold');
      expect(place.text).toContain('It opens to a heart.');
      await place.click('Fold it again');
    }
    expect(noted().map((one) => [one.skillId, one.itemId, one.outcome])).toEqual([
      ['mirror-fold', 'heart', 'own'],
    ]);
    await place.click('your own', '[role=radio]');
    const paper = place.find<HTMLElement>('.paper');
    const box = paper.getBoundingClientRect();
    const move = (type: string, x: number, y: number): void => {
      paper.dispatchEvent(
        new PointerEvent(type, {
          buttons: 1,
          clientX: box.left + box.width / 2 + x,
          clientY: box.top + y,
        }),
      );
    };
    move('pointerdown', 2, 40);
    move('pointermove', 60, 80);
    move('pointermove', 20, 140);
    move('pointerup', 20, 140);
    await place.settle();
    await place.click('Unfold');
    const path = place.find('.paper .hole').getAttribute('d')!;
    // From the fold, out, back to the fold, and the other way round on the other side.
    expect(path.split('L').length).toBe(8);
    expect(noted().length).toBe(1);
  });

  it('asks how many are seen before it shows them, the thing itself among them', async () => {
    const { place, noted } = await open('mirrors', ['Kofi', 'You']);
    expect(place.element.querySelectorAll('.hinge .image').length).toBe(0);
    for (let i = 0; i < 3; i++) await place.click(/^More, says Kofi/);
    await place.click(/^More, says You/);
    await place.click('Look');
    await place.click('Look');
    expect(place.text).toContain('Opened 90 degrees: you see 4, the thing itself among them.');
    expect(place.element.querySelectorAll('.hinge .image').length).toBe(3);
    expect(noted().map((one) => [one.childId, one.outcome, one.record])).toEqual([
      [kofi.id, 'own', { kind: 'guess', predicted: 4, actual: 4 }],
    ]);
    await place.click(/^Narrower/);
    expect(place.text).toContain('72°');
    expect(place.element.querySelectorAll('.hinge .image').length).toBe(0);
    await place.click('Look');
    // Nobody guessed: nothing is kept.
    expect(noted().length).toBe(1);
  });

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
