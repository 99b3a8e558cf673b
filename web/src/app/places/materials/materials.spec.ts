import { TestBed } from '@angular/core/testing';
import type { Kit, Material } from '@gumo/core/vocabulary';
import { ApiProblem } from '../../common/api';
import { Place, TODAY, aMaterial, id } from '../../testing/place';
import { Materials } from './materials';
import { Kits } from './kits';
import { MaterialRow } from './material-row';

const discs = aMaterial(1, 'cork discs');
const cups = aMaterial(2, 'egg cups', { use: 'cup', count: 10, shape: { kind: 'unknown' } });
const bowls = aMaterial(3, 'bowls', { use: 'bowl', count: 0, shape: { kind: 'unknown' } });
const needsCups = {
  key: 'cup',
  use: 'cup',
  words: 'cups in a box',
  count: 12,
  sum: '12',
  wish: null,
  consumable: false,
  material: cups,
  has: 10,
  short: 2,
  standIns: [{ material: bowls, has: 4, because: 'enough of them' }],
  away: [],
  barred: null,
  instead: null,
  for: ['Land in a cup'],
  moments: [],
};

describe('the household', () => {
  it('puts what is short this week and what is gone on top', async () => {
    const place = await Place.open(Materials, {
      materials: [discs, cups, bowls],
      answers: { '/needs': [needsCups] },
    });
    expect(place.all('.row .name')).toEqual([
      'egg cups 2 short this week',
      'bowls none left',
      'cork discs',
    ]);
    expect(place.text).toContain('bowls would do: enough of them');
  });

  it('says of what nobody measured that it counts as a small part, but for what is large', async () => {
    const chestnuts = aMaterial(4, 'chestnuts', { use: 'loose', shape: { kind: 'unknown' } });
    const place = await Place.open(Materials, { materials: [discs, chestnuts, bowls] });
    const sizes = place.all('.row .size');
    expect(sizes.filter((words) => words.includes('not measured')).length).toBe(1);
    expect(place.all('.row').find((row) => row.includes('chestnuts'))).toContain('not measured');
  });

  it('finds by every word, in what, use, box and interests', async () => {
    const place = await Place.open(Materials, { materials: [discs, cups, bowls] });
    const search = place.find<HTMLInputElement>('input[type=search]');
    for (const [words, names] of [
      ['DISCS box', ['cork discs']],
      ['cup', ['egg cups']],
      ['cup disc', []],
    ] as const) {
      search.value = words;
      search.dispatchEvent(new Event('input'));
      await place.settle();
      expect(place.all('.row .name'))
        .withContext(words)
        .toEqual([...names]);
    }
  });

  it('says of pasted lines what was read and what was not, and adds only the good ones', async () => {
    const place = await Place.open(Materials);
    await place.click(/Paste a list/);
    const lines = place.find<HTMLTextAreaElement>('textarea');
    lines.value = '24 cork discs blue, 30 mm, box 3\n5000 beads';
    lines.dispatchEvent(new Event('input'));
    await place.settle();
    expect(place.all('.read .fault').length).toBe(1);
    await place.click('Add 1 material');
    expect(place.sent.map((one) => one.path)).toEqual(['/materials/batch']);
    const { rows } = place.sent[0]!.body as { rows: Material[] };
    expect(rows.map((one) => [one.count, one.name, one.box])).toEqual([
      [24, 'cork discs', 'box 3'],
    ]);
  });

  it('opens a new thing in the list and closes it again', async () => {
    const place = await Place.open(Materials);
    expect(place.text).toContain('What you have to count');
    await place.click(/Add a material/);
    expect(place.element.querySelector('gumo-material-row')).not.toBeNull();
    await place.click('Cancel');
    expect(place.element.querySelector('gumo-material-row')).toBeNull();
  });
});

describe('a thing in its place', () => {
  const open = (material: Material, isNew = false, refusal?: ApiProblem) =>
    Place.open(MaterialRow, { inputs: { material, isNew }, ...(refusal ? { refusal } : {}) });

  it('keeps what was changed, with the version it was read with', async () => {
    const place = await open(discs);
    await place.fill(/^How many/, '55');
    await place.fill(/^Colors/, '24 blue, 31 orange, nonsense');
    await place.fill(/^Likes/, 'snails, , drums');
    await place.submit();
    expect(place.sent[0]!.method).toBe('PUT');
    expect(place.sent[0]!.body).toEqual({
      ...discs,
      count: 55,
      colors: [
        { count: 24, name: 'blue' },
        { count: 31, name: 'orange' },
      ],
      interests: ['snails', 'drums'],
    });
  });

  it('tells at once whether it is a small part, from its measures', async () => {
    const place = await open(discs);
    const before = place.find('.verdict').textContent;
    await place.fill(/across, mm/, '20');
    expect(place.find('.verdict').textContent).not.toBe(before);
    expect(place.find('.verdict').textContent).toContain('not with children under three');
  });

  it('asks for the measures of another shape', async () => {
    const place = await open(discs);
    const measures = (): number => place.all('label').filter((one) => one.includes('mm')).length;
    await place.fill(/^Shape/, 'block');
    expect(measures()).toBe(3);
    await place.fill(/^Shape/, 'not measured');
    expect(measures()).toBe(0);
  });

  it('names the wrong field and sends nothing', async () => {
    const place = await open({ ...discs, name: '' }, true);
    await place.submit();
    expect(place.all('mat-error')).toEqual(['Must not be empty.']);
    expect(place.sent).toEqual([]);
  });

  it('keeps what was written when another device was first', async () => {
    const place = await open(discs, false, new ApiProblem(409, 'outdated'));
    await place.fill(/^What/, 'cork rounds');
    await place.submit();
    expect(place.find('[role=alert]').textContent).toContain('outdated');
    expect(place.find<HTMLInputElement>('input.name').value).toBe('cork rounds');
  });
});

describe('kits', () => {
  const kit: Kit = {
    id: id(20),
    title: 'Table box',
    activityId: null,
    contents: [
      { materialId: discs.id, count: 10 },
      { materialId: cups.id, count: 4 },
    ],
    changedOn: '2026-02-10',
    changeAfterWeeks: 4,
    checked: null,
    version: 3,
  };
  const open = (one: Kit = kit) =>
    Place.open(Kits, { materials: [discs, cups], answers: { '/kits': [one] } });

  it('tell what is in them, and when it is time to change that', async () => {
    // 10 February to 10 March 2026 is 28 days, four weeks.
    const place = await open();
    expect(place.text).toContain('10 cork discs, 4 egg cups');
    expect(place.text).toContain('time to change what is in it');
    TestBed.resetTestingModule();
    const fresh = await open({ ...kit, changedOn: '2026-02-11' });
    expect(fresh.text).not.toContain('time to change');
    TestBed.resetTestingModule();
    const never = await open({ ...kit, changeAfterWeeks: 0 });
    expect(never.text).not.toContain('time to change');
  });

  it('are checked before and after, and keep what is missing', async () => {
    const place = await open();
    await place.click('Check');
    await place.fill(/of 10 cork discs/, '8');
    await place.click('After');
    expect(place.sent[0]!.body).toEqual({
      ...kit,
      checked: { day: TODAY, when: 'after', missing: [{ materialId: discs.id, count: 2 }] },
    });
  });

  it('begin their weeks anew only when what is in them changes', async () => {
    const place = await open();
    await place.click('Change');
    await place.fill(/^Name/, 'Window box');
    await place.click('Save');
    expect((place.sent[0]!.body as Kit).changedOn).toBe('2026-02-10');
    await place.click('Change');
    await place.fill(/cork discs$/, '12');
    await place.click('Save');
    expect((place.sent[1]!.body as Kit).changedOn).toBe(TODAY);
  });

  it('are unpacked with their version', async () => {
    const place = await open();
    await place.click('Change');
    await place.click('Unpack');
    expect(place.sent[0]!.path).toBe(`/kits/${kit.id}?version=3`);
  });
});
