import { MAT_DIALOG_DATA, MatDialogRef } from '@angular/material/dialog';
import { MatButtonHarness } from '@angular/material/button/testing';
import { MatRadioGroupHarness } from '@angular/material/radio/testing';
import { Place } from '../testing/place';
import { ConflictDialog } from './conflict-dialog';

describe('what two devices changed', () => {
  const opened = async () => {
    const closed = jasmine.createSpy('close');
    const clashes = [
      { field: 'name', name: 'Name', here: 'egg cups', there: 'small cups' },
      { field: 'count', name: 'How many', here: '10', there: '12' },
    ];
    const place = await Place.open(ConflictDialog, {
      providers: [
        { provide: MAT_DIALOG_DATA, useValue: { what: 'egg cups', clashes } },
        { provide: MatDialogRef, useValue: { close: closed, id: 'one', _containerInstance: {} } },
      ],
    });
    const groups = await place.loader.getAllHarnesses(MatRadioGroupHarness);
    const keep = await place.loader.getHarness(MatButtonHarness.with({ text: 'Save' }));
    const choose = async (at: number, label: RegExp): Promise<void> => {
      await groups[at]!.checkRadioButton({ label });
      await place.settle();
    };
    return { place, closed, groups, keep, choose };
  };

  it('stands side by side, field by field, and nothing is chosen for anybody', async () => {
    const { place, groups, keep } = await opened();
    expect(place.all('legend')).toEqual(['Name', 'How many']);
    expect(groups.length).toBe(2);
    for (const group of groups) expect(await group.getCheckedValue()).toBeNull();
    expect(place.all('.value')).toEqual(['egg cups', 'small cups', '10', '12']);
    expect(await keep.isDisabled()).toBe(true);
  });

  it('is kept only when every field is settled', async () => {
    const { closed, keep, choose } = await opened();
    await choose(0, /small cups/);
    expect(await keep.isDisabled()).toBe(true);
    await choose(1, /10/);
    expect(await keep.isDisabled()).toBe(false);
    await choose(0, /egg cups/);
    await keep.click();
    expect(closed).toHaveBeenCalledOnceWith({ name: 'here', count: 'here' });
  });

  it('is left without keeping anything', async () => {
    const { place, closed, choose } = await opened();
    await choose(0, /small cups/);
    await place.click('Back, without keeping');
    expect(closed).toHaveBeenCalledOnceWith(null);
  });
});
