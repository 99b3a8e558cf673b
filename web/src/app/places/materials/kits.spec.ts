import { MatSelectHarness } from '@angular/material/select/testing';
import type { Kit } from '@gumo/core/vocabulary';
import { Place, TODAY, aMaterial, id } from '../../testing/place';
import { Kits } from './kits';

const discs = aMaterial(1, 'cork discs');
const cups = aMaterial(2, 'egg cups');
const kit: Kit = {
  id: id(9),
  title: 'Wet afternoon',
  activityId: null,
  contents: [
    { materialId: discs.id, count: 12 },
    { materialId: cups.id, count: 3 },
  ],
  changedOn: '2026-02-01',
  changeAfterWeeks: 4,
  checked: null,
  version: 3,
};
const open = (kits: readonly Kit[] = [kit]) =>
  Place.open(Kits, { materials: [discs, cups], answers: { '/kits': kits } });

describe('the kits', () => {
  it('say what is in them, and when it is time to change that', async () => {
    const old = await open();
    expect(old.text).toContain('12 cork discs, 3 egg cups');
    expect(old.text).toContain('for table time');
    expect(old.text).toContain('time to change what is in it');
  });

  it('are left as they are where they were changed lately, or are never to be', async () => {
    const place = await open([
      { ...kit, changedOn: TODAY },
      { ...kit, id: id(10), changeAfterWeeks: 0 },
    ]);
    expect(place.text).not.toContain('time to change');
  });

  it('are packed with things of the house, each with its count', async () => {
    const place = await open([]);
    await place.click(/Pack one/);
    await place.fill(/^Name/, 'Train trip');
    const put = await place.loader.getHarness(
      MatSelectHarness.with({ selector: ':not([formcontrolname])' }),
    );
    await put.clickOptions({ text: 'egg cups' });
    await place.settle();
    await place.fill(/egg cups/, '4');
    await place.submit();
    const { title, contents, changedOn, version } = place.sent[0]!.body as Kit;
    expect({ title, contents, changedOn, version }).toEqual({
      title: 'Train trip',
      contents: [{ materialId: cups.id, count: 4 }],
      changedOn: TODAY,
      version: 1,
    });
  });

  it('lose what is set to nothing, which counts as a change', async () => {
    const place = await open();
    await place.click('Change');
    await place.fill(/egg cups/, '0');
    await place.submit();
    const { contents, changedOn } = place.sent[0]!.body as Kit;
    expect(contents).toEqual([{ materialId: discs.id, count: 12 }]);
    expect(changedOn).toBe(TODAY);
  });

  it('keep their day where only the name was changed', async () => {
    const place = await open();
    await place.click('Change');
    await place.fill(/^Name/, 'Dry afternoon');
    await place.submit();
    expect((place.sent[0]!.body as Kit).changedOn).toBe('2026-02-01');
  });

  it('are checked before and after: what is missing is named', async () => {
    const place = await open();
    await place.click('Check');
    await place.fill(/cork discs/, '10');
    await place.click('After');
    const { checked } = place.sent[0]!.body as Kit;
    expect(checked).toEqual({
      day: TODAY,
      when: 'after',
      missing: [{ materialId: discs.id, count: 2 }],
    });
  });

  it('take no count that is none', async () => {
    const place = await open();
    await place.click('Check');
    await place.fill(/cork discs/, '-1');
    await place.click('After');
    expect(place.sent).toEqual([]);
    expect(place.all('mat-error').length).toBe(1);
  });

  it('name what was missing the last time', async () => {
    const checked = {
      day: TODAY,
      when: 'after' as const,
      missing: [{ materialId: cups.id, count: 1 }],
    };
    expect((await open([{ ...kit, checked }])).text).toContain('missing: 1 egg cups');
  });
});
