import { MatButtonHarness } from '@angular/material/button/testing';
import { MatCheckboxHarness } from '@angular/material/checkbox/testing';
import { MatInputHarness } from '@angular/material/input/testing';
import { MatRadioButtonHarness } from '@angular/material/radio/testing';
import { MatSelectHarness } from '@angular/material/select/testing';
import { MatStepHarness } from '@angular/material/stepper/testing';
import { HOUSEHOLD_THINGS } from '@gumo/core/materials';
import { Material, READY_DAYS } from '@gumo/core/vocabulary';
import * as v from 'valibot';
import { Outbox } from '../../state/outbox';
import { Place, aChild, aMaterial, id } from '../../testing/place';
import { Start } from './start';
import { StartChildren } from './start-children';
import { StartMaterials } from './start-materials';

const outbox = (put: unknown[]) => ({
  provide: Outbox,
  useValue: { put: async (one: unknown) => void put.push(one), flush: async () => undefined },
});

describe('the children of the first hour', () => {
  it('come one after the other, each by name and month, placed by age and nothing else', async () => {
    const put: { kind: string; placement: { byAge: boolean; childId: string } }[] = [];
    const place = await Place.open(StartChildren, { providers: [outbox(put)] });
    const name = await place.loader.getHarness(MatInputHarness);
    const [month, year] = await place.loader.getAllHarnesses(MatSelectHarness);
    const add = await place.loader.getHarness(
      MatButtonHarness.with({ text: 'Add the first child' }),
    );
    await add.click();
    expect(place.sent).toEqual([]);
    await name.setValue('Ilse');
    await month!.clickOptions({ text: 'April' });
    await year!.clickOptions({ text: '2023' });
    await add.click();
    const [sent] = place.sent;
    expect([sent!.method, sent!.path]).toEqual(['POST', '/children']);
    const child = sent!.body as ReturnType<typeof aChild>;
    expect([child.name, child.birthDate]).toEqual(['Ilse', '2023-04-15']);
    expect(put.map(({ kind, placement }) => [kind, placement.byAge, placement.childId])).toEqual([
      ['placement', true, child.id],
    ]);
    expect(await name.getValue()).toBe('');
    await place.loader.getHarness(MatButtonHarness.with({ text: 'Add the next child' }));
  });

  it('are not born in a month that is still to come', async () => {
    const place = await Place.open(StartChildren, { providers: [outbox([])] });
    await (await place.loader.getHarness(MatInputHarness)).setValue('Ilse');
    const [month, year] = await place.loader.getAllHarnesses(MatSelectHarness);
    await month!.clickOptions({ text: 'May' });
    await year!.clickOptions({ text: '2026' });
    await (await place.loader.getHarness(MatButtonHarness.with({ text: /Add the/ }))).click();
    expect(place.sent).toEqual([]);
    expect(place.text).toContain('Must not be after today.');
  });
});

describe('the materials of the first hour', () => {
  it('are a hundred ordinary things and more, each as the list of materials takes it', () => {
    expect(HOUSEHOLD_THINGS.length).toBeGreaterThanOrEqual(100);
    const names = HOUSEHOLD_THINGS.map(({ material }) => material.name);
    expect(new Set(names).size).toBe(names.length);
    for (const { material } of HOUSEHOLD_THINGS) {
      const whole = { ...material, id: id(1), version: 1 };
      expect(v.safeParse(Material, whole).success).withContext(material.name).toBeTrue();
    }
  });

  it('are ticked with one tap, counted about, and say at once what is a small part', async () => {
    const place = await Place.open(StartMaterials, {
      materials: [aMaterial(1, 'Cups')],
      replies: { 'POST /materials/batch': [] },
    });
    const tick = async (label: string): Promise<void> =>
      (await place.loader.getHarness(MatCheckboxHarness.with({ label }))).check();
    const cups = await place.loader.getHarness(MatCheckboxHarness.with({ label: 'cups' }));
    expect([await cups.isChecked(), await cups.isDisabled()]).toEqual([true, true]);
    await tick('wooden cubes');
    await tick('plates');
    const many = await place.loader.getHarness(
      MatInputHarness.with({ selector: '[aria-label="About how many wooden cubes"]' }),
    );
    await many.setValue('60');
    await many.blur();
    expect(place.element.querySelector('.things .small')?.textContent).toContain('small part');
    await (
      await place.loader.getHarness(MatButtonHarness.with({ text: 'Add 2 materials' }))
    ).click();
    const { rows } = place.sent[0]!.body as { rows: readonly Material[] };
    expect(rows.map(({ name, count }) => [name, count])).toEqual([
      ['plates', 6],
      ['wooden cubes', 60],
    ]);
    expect(rows[1]!.colors.map(({ count }) => count)).toEqual([20, 20, 20]);
  });
});

describe('the first hour', () => {
  it('opens at the first step that is not done, and keeps each step as it is done', async () => {
    const place = await Place.open(Start, {
      children: [aChild(1, 'Ilse')],
      providers: [outbox([])],
    });
    const steps = await place.loader.getAllHarnesses(MatStepHarness);
    expect(await Promise.all(steps.map((one) => one.getLabel()))).toEqual([
      ...['Children', 'The day', 'Materials', 'What to begin with', 'First week'],
    ]);
    await (
      await place.loader.getHarness(MatButtonHarness.with({ text: 'That is everybody' }))
    ).click();
    expect((place.sent.at(-1)!.body as { firstHour: unknown }).firstHour).toEqual({
      done: ['children'],
      dismissed: false,
    });
    await (
      await place.loader.getHarness(MatRadioButtonHarness.with({ label: 'Morning only' }))
    ).check();
    await (await place.loader.getHarness(MatButtonHarness.with({ text: 'Use this day' }))).click();
    const { moments } = place.sent.at(-1)!.body as { moments: readonly { name: string }[] };
    const morning = READY_DAYS.find((one) => one.id === 'morning')!;
    expect(moments.map(({ name }) => name)).toEqual(morning.moments.map(({ name }) => name));
  });
});
