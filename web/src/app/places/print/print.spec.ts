import { TestBed } from '@angular/core/testing';
import { MatCheckboxHarness } from '@angular/material/checkbox/testing';
import { SHEETS } from '@gumo/core/sheets';
import { Place, aChild, aMaterial, id } from '../../testing/place';
import { Print } from './print';

const open = (
  inputs: Record<string, unknown> = {},
  answers: Record<string, unknown> = {},
): Promise<Place<Print>> =>
  Place.open(Print, {
    inputs,
    answers,
    children: [aChild(1, 'Juno', { interests: ['kites'] })],
    materials: [
      aMaterial(5, 'cork discs', { shape: { kind: 'disc', diameterMm: 38, thicknessMm: 3 } }),
      aMaterial(6, 'buttons', {
        shape: { kind: 'disc', diameterMm: 18, thicknessMm: 3 },
        interests: ['kites'],
      }),
    ],
  });
const link = (place: Place<Print>, words: string): URL =>
  new URL(place.find<HTMLAnchorElement>('a[mat-button], a.mat-mdc-button-base', words).href);
const tick = async (place: Place<Print>, label: string): Promise<void> => {
  await (await place.loader.getHarness(MatCheckboxHarness.with({ label }))).toggle();
  await place.settle();
};
const asked = (place: Place<Print>): URLSearchParams => link(place, 'Open as PDF').searchParams;

describe('a sheet to print', () => {
  afterEach(() => TestBed.resetTestingModule());

  it('is shown to scale in every kind, with a file for each', async () => {
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

  it('is made for a thing of the house, turned where it has to be; for a child, one that child likes', async () => {
    const place = await open({ sheet: 'ten-frame' });
    expect(asked(place).get('materialMm')).toBe('38');
    expect(place.element.querySelector('.turned')).not.toBeNull();
    await place.fill(/^Child/, 'Juno');
    expect(asked(place).get('materialMm')).toBe('18');
    expect(place.element.querySelector('.turned')).toBeNull();
    await place.fill(/^Material/, 'cork discs, 38 mm');
    expect(asked(place).get('materialMm')).toBe('38');
    // What was chosen stays while another child is chosen.
    await place.fill(/^Child/, 'anyone');
    expect(asked(place).get('materialMm')).toBe('38');
  });

  it('has the range of the child it is for, and keeps what was chosen on another sheet', async () => {
    const place = await open(
      { sheet: 'number-cards' },
      { '/days/2026-03-10/tops/numbers-about': [{ childId: id(1), top: 5 }] },
    );
    await place.fill(/^Child/, 'Juno');
    expect(asked(place).get('high')).toBe('5');
    await place.fill(/^To/, '8');
    await place.fill(/^Paper/, 'Letter');
    place.fixture.componentRef.setInput('sheet', 'counting-cards');
    await place.settle();
    expect([asked(place).get('high'), asked(place).get('paper')]).toEqual(['8', 'letter']);
    // A look is that of its own kind alone.
    expect(asked(place).get('look')).toBe('');
    place.fixture.componentRef.setInput('sheet', 'dominoes');
    await place.settle();
    await place.click('blank');
    expect(asked(place).get('look')).toBe('blank');
    place.fixture.componentRef.setInput('sheet', 'number-cards');
    await place.settle();
    expect([asked(place).get('high'), asked(place).get('look')]).toEqual(['8', '']);
  });

  it('takes the range from the address, and says under its field what is no number', async () => {
    const place = await open({ sheet: 'number-cards', low: '3', high: '7' });
    expect(place.find('.paper').getAttribute('aria-label')).toContain('Number cards 3 to 7');
    await place.fill(/^From/, '9');
    expect(place.find('[role=alert]').textContent).toContain('the range ends before it begins');
    await place.fill(/^From/, '-2');
    expect(place.all('mat-error')).toEqual(['Must be at least 0.']);
    await place.fill(/^From/, '1');
    expect(place.element.querySelector('[role=alert], mat-error')).toBeNull();
  });

  it('turns the pages, and another variation is another sheet', async () => {
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
    const query = asked(place);
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
    await tick(place, 'two-sided');
    expect([...asked(place).get('faces')!.split(',')].sort()).toEqual(['numeral', 'word']);
    await place.click('sums');
    expect(place.find('[role=alert]').textContent).toContain('choose just two');
    await place.click('words');
    await place.click('sums');
    await tick(place, 'two-sided');
    await place.click('numerals');
    expect(place.find('[role=alert]').textContent).toContain('Choose at least one');
    // The sheet stays as it was until one is chosen again.
    expect(asked(place).get('faces')).toBe('numeral');
  });

  it('shows what to look for, its size and look-alikes where a kind asks for them', async () => {
    const place = await open({ sheet: 'crowd' });
    await place.fill(/^Number to find/, '7');
    expect(place.find('.paper').getAttribute('aria-label')).toContain('Find 7');
    await tick(place, 'with answers');
    expect(place.find('.pages').textContent).toContain('1 of 2');
    await tick(place, 'among look-alikes');
    expect([asked(place).get('target'), asked(place).get('alike')]).toEqual(['7', '1']);
  });
});
