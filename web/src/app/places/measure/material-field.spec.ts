import { MatAutocompleteHarness } from '@angular/material/autocomplete/testing';
import { Place } from '../../testing/place';
import { MaterialField } from './material-field';

describe('the field for a thing', () => {
  const opened = async (inputs: object = {}) => {
    const place = await Place.open(MaterialField, {
      inputs: { offered: ['cork discs', 'shoe', 'stone'], taken: [], ...inputs },
    });
    const added: string[] = [];
    place.fixture.componentInstance.added.subscribe((name) => added.push(name));
    const field = await place.loader.getHarness(MatAutocompleteHarness);
    const enter = async (): Promise<void> => {
      const key = new KeyboardEvent('keydown', { key: 'Enter', bubbles: true });
      place.find('input').dispatchEvent(key);
      await place.settle();
    };
    return { place, added, field, enter };
  };

  it('takes what is typed, is free for the next, and lies over nothing', async () => {
    const { added, field, enter } = await opened();
    await field.focus();
    await field.enterText('pillow');
    await enter();
    expect(added).toEqual(['pillow']);
    expect(await field.getValue()).toBe('');
    expect(await field.isOpen()).toBe(false);
  });

  it('offers what fits the letters so far, and not what lies there already', async () => {
    const { added, field } = await opened({ taken: ['stone'] });
    await field.focus();
    await field.enterText('s');
    const options = await field.getOptions();
    expect(await Promise.all(options.map((one) => one.getText()))).toEqual(['cork discs', 'shoe']);
    await field.selectOption({ text: 'shoe' });
    expect(added).toEqual(['shoe']);
  });

  it('takes nothing twice, nothing empty, and nothing more where it is full', async () => {
    const { place, added, field, enter } = await opened({ taken: ['stone'] });
    for (const name of ['stone', '  ']) {
      await field.clear();
      await field.enterText(name);
      await enter();
    }
    place.fixture.componentRef.setInput('full', true);
    await field.clear();
    await field.enterText('pillow');
    await enter();
    expect(added).toEqual([]);
  });
});
