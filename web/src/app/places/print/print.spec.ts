import { TestBed } from '@angular/core/testing';
import { MatButtonToggleHarness } from '@angular/material/button-toggle/testing';
import { SHEETS } from '@gumo/core/sheets';
import { Place, aChild, aMaterial, id } from '../../testing/place';
import { Print } from './print';

const open = (inputs: Record<string, unknown> = {}): Promise<Place<Print>> =>
  Place.open(Print, {
    inputs,
    children: [aChild(1, 'Juno', { interests: ['kites'] })],
    materials: [
      aMaterial(5, 'cork discs', { shape: { kind: 'disc', diameterMm: 38, thicknessMm: 3 } }),
    ],
  });
const link = (place: Place<Print>, words: string): URL =>
  new URL(place.find<HTMLAnchorElement>('a[mat-button], a.mat-mdc-button-base', words).href);

describe('the print shop', () => {
  afterEach(() => TestBed.resetTestingModule());

  it('shows every kind of sheet to scale, with a file for each', async () => {
    for (const kind of SHEETS) {
      const place = await open({ sheet: kind.id, child: id(1) });
      expect(place.all('h1')).toEqual([kind.title]);
      const drawing = place.find('.paper').querySelector('svg')!;
      expect(drawing.getAttribute('width')).toMatch(/^(210|297)mm$/);
      expect(link(place, 'Open as PDF').pathname).toBe(`/api/sheets/${kind.id}.pdf`);
      place.fixture.destroy();
      TestBed.resetTestingModule();
    }
  });

  it('is made for a material of the house, turned where it has to be', async () => {
    const place = await open({ sheet: 'ten-frame' });
    expect(place.element.querySelector('.turned')).toBeNull();
    await place.fill(/^material/, 'cork discs, 38 mm');
    expect(place.element.querySelector('.turned')).not.toBeNull();
    expect(link(place, 'Open as PDF').searchParams.get('materialMm')).toBe('38');
  });

  it('takes the range from the address, and says what cannot be made or is no number', async () => {
    const place = await open({ sheet: 'number-cards', low: '3', high: '7' });
    expect(place.find('.paper').getAttribute('aria-label')).toContain('Number cards 3 to 7');
    await place.fill(/^from/, '9');
    expect(place.find('[role=alert]').textContent).toContain('the range ends before it begins');
    await place.fill(/^from/, 'x');
    expect(place.all('[role=alert]').join(' ')).toContain('“from” must be a whole number');
    await place.fill(/^from/, '1');
    expect(place.element.querySelector('[role=alert]')).toBeNull();
  });

  it('turns the pages, and another seed makes another sheet', async () => {
    const place = await open({ sheet: 'clip-strips' });
    const drawing = (): string => place.find('.paper').innerHTML;
    const first = drawing();
    await place.click('Page after ›');
    expect(drawing()).not.toBe(first);
    await place.click('Page before ‹');
    await place.click('Another one');
    expect(drawing()).not.toBe(first);
    expect(link(place, 'This page as SVG').searchParams.get('seed')).toBe('2');
  });

  it('is made for a child with what that child likes, and says so by id alone in the address', async () => {
    const place = await open({ sheet: 'part-whole-cards', child: id(1), high: '40' });
    const words = (): string => place.find('.paper').textContent ?? '';
    expect(words()).toContain('Juno');
    const query = link(place, 'Open as PDF').searchParams;
    expect([query.get('child'), query.get('picture'), query.get('high')]).toEqual([
      id(1),
      'kite',
      '20',
    ]);
    expect(query.toString()).not.toContain('Juno');
    await place.click('Add to print list');
    expect(place.sent.at(-1)!.path).toBe('/sheets/items');
    const body = place.sent.at(-1)!.body as { childId: string; wish: { owner: string } };
    expect([body.childId, body.wish.owner]).toEqual([id(1), '']);
    expect(place.find('[role=status]').textContent).toContain('print list');
  });

  it('shows each number in the ways that are chosen, and two at most on two sides', async () => {
    const place = await open({ sheet: 'number-cards', low: '1', high: '3' });
    await place.click('words');
    expect(place.find('.paper').textContent).toContain('three');
    await place.click('two-sided');
    expect(link(place, 'Open as PDF').searchParams.get('faces')).toBe('numeral,word');
    await place.click('sums');
    expect(place.find('[role=alert]').textContent).toContain('choose just two');
    await place.click('words');
    await place.click('sums');
    await place.click('two-sided');
    // One way always stays.
    await place.click('numerals');
    expect(link(place, 'Open as PDF').searchParams.get('faces')).toBe('numeral');
    const numerals = await place.loader.getHarness(
      MatButtonToggleHarness.with({ text: 'numerals' }),
    );
    expect(await numerals.isChecked()).toBeTrue();
  });
});
