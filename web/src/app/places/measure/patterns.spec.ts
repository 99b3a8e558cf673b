import { TestBed } from '@angular/core/testing';
import { open } from './testing/open';

describe('patterns', () => {
  afterEach(() => TestBed.resetTestingModule());

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
});
