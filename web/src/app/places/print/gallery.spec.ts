import { TestBed } from '@angular/core/testing';
import { SHEETS, SHEET_GROUPS } from '@gumo/core/sheets';
import { Place } from '../../testing/place';
import { Gallery } from './gallery';

describe('the gallery of sheets', () => {
  afterEach(() => TestBed.resetTestingModule());

  it('has every sheet in one of seven groups, with its drawing', async () => {
    const place = await Place.open(Gallery, {});
    expect(place.all('h2')).toEqual(SHEET_GROUPS.map(([, title]) => title));
    expect(place.all('li').length).toBe(SHEETS.length);
    expect(place.element.querySelectorAll('gumo-small-picture').length).toBe(SHEETS.length);
  });

  it('is searched by what lies on a sheet, and says where nothing is called so', async () => {
    const place = await Place.open(Gallery, {});
    await place.fill(/^Search sheets/, 'shadow');
    expect(place.all('li')).toEqual(['Find the one that is alike', 'Join what belongs together']);
    expect(place.find('[role=status]').textContent).toContain('2 sheets');
    await place.fill(/^Search sheets/, 'nothing like it');
    expect(place.all('li')).toEqual([]);
    expect(place.element.textContent).toContain('No sheet is called so.');
  });
});
