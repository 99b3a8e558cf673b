import { MatTableHarness } from '@angular/material/table/testing';
import { STRANDS, STRAND_TITLES } from '@gumo/core/skills';
import type { Coverage } from '@gumo/core/contract';
import { Place, aChild, id } from '../../testing/place';
import { CoverageRows } from './coverage-rows';

const ilse = aChild(1, 'Ilse');
const kofi = aChild(2, 'Kofi');
const coverage: readonly Coverage[] = [
  {
    childId: ilse.id,
    touched: [
      { strand: 'count', days: 3 },
      { strand: 'say', days: 1 },
    ],
    missing: [{ strand: 'bond', because: 'comes later' }],
  },
  { childId: kofi.id, touched: [], missing: [] },
  // Somebody who has left since.
  { childId: id(9), touched: [{ strand: 'count', days: 2 }], missing: [] },
] as unknown as readonly Coverage[];

describe('the coverage of a week', () => {
  const opened = async () => {
    const place = await Place.open(CoverageRows, {
      inputs: { coverage, childById: { [ilse.id]: ilse, [kofi.id]: kofi } },
    });
    await place.until(() => place.element.querySelectorAll('tbody tr').length === 2);
    return place;
  };

  it('has a row a child who is here, and a column a strand', async () => {
    const place = await opened();
    const table = await place.loader.getHarness(MatTableHarness);
    const [head] = await table.getHeaderRows();
    expect(await head!.getCellTextByIndex()).toEqual([
      'Child',
      ...STRANDS.map((strand) => STRAND_TITLES[strand]),
    ]);
    const rows = await table.getRows();
    const names = await Promise.all(rows.map(async (row) => (await row.getCellTextByIndex())[0]));
    expect(names.map((name) => name!.replace(/^\w\s*/, (mark) => mark.trim()))).toEqual([
      jasmine.stringMatching(/Ilse$/),
      jasmine.stringMatching(/Kofi$/),
    ]);
  });

  it('says days by dots and in words, and why there are none', async () => {
    const place = await opened();
    const cells = (strand: (typeof STRANDS)[number]) =>
      place.element.querySelectorAll('tbody tr')[0]!.querySelectorAll('td, th')[
        1 + STRANDS.indexOf(strand)
      ]!;
    expect(cells('count').querySelectorAll('i').length).toBe(3);
    expect(cells('count').textContent).toContain('3 days');
    expect(cells('say').textContent).toContain('1 day');
    expect(cells('say').textContent).not.toContain('days');
    expect(cells('bond').textContent!.trim()).toBe('comes later');
    expect(cells('measure').textContent!.trim()).toBe('');
  });
});
