import { MatSnackBarHarness } from '@angular/material/snack-bar/testing';
import { TestBed } from '@angular/core/testing';
import { type PrintItem, usualWish } from '@gumo/core/sheets';
import { Place, TODAY, aChild, id } from '../../testing/place';
import { PrintList } from './print-list';

const item = (n: number, kind: string, more: Partial<PrintItem> = {}): PrintItem => ({
  id: id(n),
  kind,
  childId: null,
  wish: usualWish(),
  addedOn: TODAY,
  version: 1,
  ...more,
});
const proposal = (kind: string, childId: string | null): unknown => ({
  kind,
  childId,
  because: 'Fill the frame',
  day: TODAY,
  wish: usualWish(),
});

describe('sheets that are collected', () => {
  afterEach(() => TestBed.resetTestingModule());
  const open = (items: PrintItem[], proposed: unknown[]): Promise<Place<PrintList>> =>
    Place.open(PrintList, {
      children: [aChild(1, 'Juno'), aChild(2, 'Wren')],
      answers: { '/sheets/items': items, '/sheets/proposed': proposed },
    });

  it('adds what the plan wants, a mat for each child, and counts the pages', async () => {
    const place = await open(
      [],
      [proposal('ten-frame', id(1)), proposal('ten-frame', id(2)), proposal('number-cards', null)],
    );
    expect(place.all('h1, h2')).toEqual(['Print list', 'What today needs']);
    await place.click(/^Add all$/);
    const { method, path, body } = place.sent.at(-1)!;
    expect(`${method} ${path}`).toBe('POST /sheets/items/batch');
    const { rows } = body as { rows: PrintItem[] };
    expect(rows.map((row) => [row.kind, row.childId])).toEqual([
      ['ten-frame', id(1)],
      ['ten-frame', id(2)],
      ['number-cards', null],
    ]);
  });

  it('leaves out what lies there already, and takes out what is not wanted', async () => {
    const kept = [item(7, 'ten-frame', { childId: id(1) }), item(8, 'bingo')];
    kept[1] = { ...kept[1]!, wish: { ...usualWish(), high: 20 } };
    const place = await open(kept, [proposal('ten-frame', id(1)), proposal('ten-frame', id(2))]);
    const lines = place.all('li');
    expect(lines.length).toBe(3);
    expect(lines[0]).toContain('Juno');
    expect(lines[1]).toContain('2 pages');
    expect(lines[2]).toContain('Wren');
    // All are taken out at once, and come back at once.
    const before = place.all('li');
    const sent = place.sent.length;
    await place.click('Remove all');
    await place.settle();
    expect(place.all('li')).not.toEqual(before);
    await (await place.loader.getHarness(MatSnackBarHarness)).dismissWithAction();
    await place.settle();
    expect(place.sent.slice(sent).map((one) => one.method)).toEqual([
      'DELETE',
      'DELETE',
      'POST',
      'POST',
    ]);
    expect(place.all('li')).toEqual(before);

    await place.click(/^Remove Bingo/);
    expect(place.sent.at(-1)!.path).toBe(`/sheets/items/${id(8)}?version=1`);
    expect(place.all('li').length).toBe(2);
  });
});
