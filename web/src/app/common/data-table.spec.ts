import { ChangeDetectionStrategy, Component, signal } from '@angular/core';
import { MatTableHarness } from '@angular/material/table/testing';
import { Place } from '../testing/place';
import { Cell, type Column, DataTable } from './data-table';

interface Row {
  readonly name: string;
  readonly count: number;
}

@Component({
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [Cell, DataTable],
  template: `
    <gumo-data-table label="What lies there" [columns]="columns" [rows]="rows()">
      <ng-template [gumoCell]="rows()" let-row let-column="column">
        {{ column.id === 'name' ? row.name : row.count }}
      </ng-template>
    </gumo-data-table>
  `,
})
class Materials {
  readonly columns: readonly Column[] = [
    { id: 'name', words: 'Material' },
    { id: 'count', words: 'How many', class: 'count', heard: true },
  ];
  readonly rows = signal<readonly Row[]>([
    { name: 'cup', count: 3 },
    { name: 'bowl', count: 1 },
  ]);
}

describe('a table', () => {
  const opened = async () => {
    const place = await Place.open(Materials);
    return { place, table: await place.loader.getHarness(MatTableHarness) };
  };

  it('has its columns and rows as data, and follows them', async () => {
    const { place, table } = await opened();
    expect(await table.getCellTextByIndex()).toEqual([
      ['cup', '3'],
      ['bowl', '1'],
    ]);
    place.fixture.componentInstance.rows.update((rows) => rows.slice(1));
    await place.settle();
    expect(await table.getCellTextByIndex()).toEqual([['bowl', '1']]);
  });

  it('is called by its name, reached by keys, and each row by its first cell', async () => {
    const { place } = await opened();
    expect(place.find('table').getAttribute('aria-label')).toBe('What lies there');
    expect(place.find('gumo-data-table').getAttribute('tabindex')).toBe('0');
    expect(place.all('[role=rowheader]')).toEqual(['cup', 'bowl']);
    expect(place.all('th[scope=col]')).toEqual(['Material', 'How many']);
  });

  it('lets the head of a column be heard and not seen', async () => {
    const { place } = await opened();
    const [seen, heard] = [...place.element.querySelectorAll('th span')];
    expect(seen!.classList.contains('cdk-visually-hidden')).toBe(false);
    expect(heard!.classList.contains('cdk-visually-hidden')).toBe(true);
  });
});
