import { TestBed } from '@angular/core/testing';
import type { Observation } from '@gumo/core/vocabulary';
import type { OutboxEntry } from '@gumo/core/contract';
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
      [`/children/${kofi.id}/details/measuring`]: { hint: 'Inside again.' },
      [`/children/${mirela.id}/details/measuring`]: { hint: null },
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
    await place.fill(/^Lighter or heavier than/, '300');
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
    expect(noted().map((one) => [one.itemId, one.outcome])).toEqual([
      ['heavy-large', 'not-yet'],
      ['light-small', 'help'],
    ]);
    expect(noted()[1]!.record).toEqual({
      kind: 'weigh',
      material: 'sock',
      dividingGrams: 300,
      predicted: 'heavier',
      predictedAgain: 'lighter',
      measuredGrams: 40,
    });
    // One session for both; it ends with the tool.
    expect(parcels.filter((one) => one.kind === 'session').length).toBe(1);
    expect(place.all('.columns .heavier p')).toEqual(['stone 620 g']);
    await place.fill(/^Lighter or heavier than/, '700');
    expect(place.all('.columns .lighter p').length).toBe(2);
    place.fixture.destroy();
    expect(parcels.at(-1)!.kind).toBe('end');
  });

  it('refuses a dividing weight that is no number, and offers a round one', async () => {
    const { place } = await open('weigh');
    for (const name of ['stone', 'sock', 'cup', 'feather']) await add(place, name);
    await place.fill(/^Lighter or heavier than/, '-3');
    expect(place.find('[role=alert]').textContent).toContain('must be a number above 0');
    await place.click('Take it');
    expect(place.element.querySelector('[role=alert]')).toBeNull();
    expect(place.find<HTMLInputElement>('[inputmode=decimal]').value).toBe('100');
  });

  it('orders things on the balance with few weighings, and says what follows by itself', async () => {
    const { place, noted } = await open('balance', ['Kofi', 'Mirela']);
    for (const name of ['stone', 'cup', 'sock']) await add(place, name);
    await place.click('stone', '[aria-label="Heavier, says Kofi"] button');
    await place.click('cup', '[aria-label="Heavier, says Mirela"] button');
    for (let i = 0; i < 3 && place.text.includes('Remove'); i++) await place.click('Remove');
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
    await place.click('Remove');
    expect([pans(), tilt()]).toEqual([['stone', 'cup'], 'rotate(-9deg)']);
    await place.click('the same', '[aria-label="Heavier, says Kofi"] button');
    expect(tilt()).toBe('rotate(0deg)');
    expect(pans()).not.toEqual(['stone', 'cup']);
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

  it('notes every range once, and brings up what helps next', async () => {
    const { place, noted } = await open('jar', ['Kofi', 'Mirela']);
    expect(place.text).toContain('Inside again.');
    const chart = place.element.querySelector('[role=application]')!;
    for (const key of ['ArrowDown', 'ArrowDown', 'ArrowDown']) {
      chart.dispatchEvent(new KeyboardEvent('keydown', { key }));
    }
    await place.settle();
    await place.fill(/^Counted/, '20');
    await place.click('Note all');
    await place.click('Note all');
    expect(noted().map((one) => [one.skillId, one.itemId, one.outcome])).toEqual([
      ['estimate-20', 'n20', 'not-yet'],
      ['estimate-20', 'n20', 'own'],
    ]);
    await place.click('5', '[role=radio]');
    expect(place.element.querySelectorAll('.group').length).toBe(4);
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

  it('checks both sides of a line, and unfolds what was cut', async () => {
    const { place, noted } = await open('mirrors', ['Mirela']);
    await place.click('both sides of a line', '[role=radio]');
    await place.click(/^left, row 1, 2 from the line/);
    expect(place.text).toContain('The piece in row 1 on the left has no match yet.');
    await place.click(/^right, row 1, 2 from the line/);
    expect(place.text).toContain('One pair. Both sides are the same.');
    await place.click('Note');
    await place.click('fold and cut', '[role=radio]');
    await place.click(/^a heart/, '.cards [role=radio]');
    await place.click('Unfold');
    expect(place.text).toContain('It opens to a heart.');
    expect(noted().map((one) => [one.skillId, one.itemId, one.outcome])).toEqual([
      ['mirror-make', 'pieces-2', 'own'],
      ['mirror-fold', 'heart', 'own'],
    ]);
  });

  it('sorts what is among the materials, and asks nothing of an empty chart', async () => {
    const { place } = await open('charts', ['Kofi']);
    await place.click('a sorted basket', '[role=radio]');
    const words = (): string =>
      place.find('gumo-materials-chart').querySelector('svg')!.getAttribute('aria-label')!;
    expect(words()).toBe('blue: 3, red: 2');
    await place.click('by kind', '[role=radio]');
    expect(words()).toBe('cork discs: 3, felt balls: 2');
    await place.click('columns', '[role=radio]');
    for (const name of ['snails', 'kites', 'drums'])
      await place.click(new RegExp(`^Take away ${name}`));
    expect(place.text).toContain('Put something in the columns');
  });
});
