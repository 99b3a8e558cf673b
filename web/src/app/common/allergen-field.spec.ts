import { MatAutocompleteHarness } from '@angular/material/autocomplete/testing';
import { MatChipGridHarness } from '@angular/material/chips/testing';
import { Place } from '../testing/place';
import { AllergenField } from './allergen-field';

describe('the field for allergens', () => {
  const opened = async (value: readonly string[] = []) => {
    const place = await Place.open(AllergenField, { inputs: { label: 'Allergies', value } });
    const grid = await place.loader.getHarness(MatChipGridHarness);
    const list = await place.loader.getHarness(MatAutocompleteHarness);
    const type = async (words: string): Promise<void> => {
      const field = place.find<HTMLInputElement>('input');
      field.value = words;
      field.dispatchEvent(new Event('input'));
      field.dispatchEvent(new KeyboardEvent('keydown', { key: 'Enter', keyCode: 13 }));
      await place.settle();
    };
    const now = (): readonly string[] => place.fixture.componentInstance.value();
    return { place, grid, list, type, now };
  };

  it('shows what is known by the name that people use', async () => {
    const { grid } = await opened(['tree-nut', 'kiwi']);
    const rows = await grid.getRows();
    const words = await Promise.all(rows.map((one) => one.getText()));
    expect(words.map((one) => one.replace('×', '').trim())).toEqual(['tree nuts', 'kiwi']);
  });

  it('takes a word of the list by its tag, and any other as it is', async () => {
    const { type, now } = await opened();
    await type('Tree nuts');
    await type('kiwi');
    expect(now()).toEqual(['tree-nut', 'kiwi']);
  });

  it('takes nothing twice and nothing empty', async () => {
    const { type, now } = await opened(['kiwi']);
    await type('kiwi');
    await type('   ');
    expect(now()).toEqual(['kiwi']);
  });

  it('offers what fits the letters and is not there yet', async () => {
    const { place, list, now } = await opened();
    await list.focus();
    await list.enterText('wool');
    const [option] = await list.getOptions();
    expect(await option!.getText()).toBe('wool');
    await option!.click();
    await place.settle();
    expect(now()).toEqual(['wool']);
    expect(await list.getValue()).toBe('');
    await list.enterText('wool');
    expect(await list.isOpen()).toBe(false);
  });

  it('lets one go', async () => {
    const { place, now } = await opened(['tree-nut', 'kiwi']);
    await place.click(/^Remove tree nuts/);
    expect(now()).toEqual(['kiwi']);
  });
});
