import { TestBed } from '@angular/core/testing';
import { Router } from '@angular/router';
import type { OutboxEntry } from '@gumo/core/contract';
import type { Child } from '@gumo/core/vocabulary';
import { ApiProblem } from '../../common/api';
import { Place, aChild } from '../../testing/place';
import { Outbox } from '../../state/outbox';
import { ChildForm } from './child-form';

const wren = aChild(1, 'Wren', {
  interests: ['snails', 'drums'],
  cautions: { mouths: true, allergies: ['walnut'], note: 'Asks for quiet.' },
  version: 3,
});
/** What was noted: where the age places a child. */
let put: OutboxEntry[] = [];
const open = (inputs: object = {}, refusal?: ApiProblem) =>
  Place.open(ChildForm, {
    children: [wren],
    providers: [
      { provide: Outbox, useValue: { put: (one: OutboxEntry) => Promise.resolve(put.push(one)) } },
    ],
    inputs: { ...inputs },
    ...(refusal ? { refusal } : {}),
  });
const field = (place: Place<ChildForm>, name: string): HTMLInputElement =>
  place.find<HTMLInputElement>(`[formcontrolname=${name}]`);
async function write(place: Place<ChildForm>, name: string, value: string): Promise<void> {
  const one = field(place, name);
  one.value = value;
  for (const event of ['input', 'blur']) one.dispatchEvent(new Event(event));
  await place.settle();
}
const errors = (place: Place<ChildForm>): string[] => place.all('mat-error');

describe('a child’s form', () => {
  beforeEach(() => (put = []));

  it('starts with a mark that nobody has yet', async () => {
    const place = await open();
    const chosen = [...place.element.querySelectorAll<HTMLInputElement>('input:checked')].map(
      (one) => one.value,
    );
    expect(chosen).not.toContain('leaf');
    expect(chosen).not.toContain('moss');
  });

  it('says what is needed and sends nothing', async () => {
    const place = await open();
    await place.submit();
    expect(errors(place)).toEqual([
      'Must not be empty.',
      'Must be a day such as 24 November 2022.',
    ]);
    expect(place.sent).toEqual([]);
  });

  it('knows no child that is yet to be born', async () => {
    const place = await open();
    await write(place, 'name', 'Juniper');
    await write(place, 'birthDate', '2026-03-11');
    await place.submit();
    expect(errors(place)).toEqual(['Must not be after today.']);
    await write(place, 'birthDate', '2026-03-10');
    expect(errors(place)).toEqual([]);
  });

  it('takes likes parted by commas, and says when there are too many', async () => {
    const place = await open();
    spyOn(TestBed.inject(Router), 'navigate').and.resolveTo(true);
    await write(place, 'name', ' Juniper ');
    await write(place, 'birthDate', '2022-03-11');
    await write(place, 'interests', Array.from({ length: 13 }, (_, i) => `like ${i}`).join(','));
    await place.submit();
    expect(errors(place)).toEqual(['Must have at most 12 entries.']);
    await write(place, 'interests', 'trains, , kites ,');
    await place.submit();
    const body = place.sent[0]!.body as Child;
    expect([place.sent[0]!.method, body.name, body.interests]).toEqual([
      'POST',
      'Juniper',
      ['trains', 'kites'],
    ]);
    // The age says where to begin.
    expect(put).toEqual([
      {
        kind: 'placement',
        placement: jasmine.objectContaining({ childId: body.id, byAge: true }),
      },
    ]);
  });

  it('shows what is known of a child and changes it with its version', async () => {
    const place = await open({ id: wren.id });
    const went = spyOn(TestBed.inject(Router), 'navigate').and.resolveTo(true);
    expect(field(place, 'interests').value).toBe('snails, drums');
    expect(place.all('mat-chip-row').map((one) => one.replace('×', '').trim())).toEqual(['walnut']);
    await write(place, 'name', 'Wren-Marie');
    await place.submit();
    expect(put).toEqual([]);
    expect(place.sent[0]).toEqual({
      method: 'PUT',
      path: `/children/${wren.id}`,
      body: { ...wren, name: 'Wren-Marie' },
    });
    expect(went).toHaveBeenCalledOnceWith(['/children', wren.id]);
  });

  it('takes allergens from the list by their tag, and own words as they are', async () => {
    const place = await open({ id: wren.id });
    spyOn(TestBed.inject(Router), 'navigate').and.resolveTo(true);
    const typed = place.find<HTMLInputElement>('gumo-allergen-field input');
    for (const words of ['Tree nuts', 'kiwi', 'walnut']) {
      typed.value = words;
      typed.dispatchEvent(new Event('input'));
      typed.dispatchEvent(new KeyboardEvent('keydown', { key: 'Enter', keyCode: 13 }));
      await place.settle();
    }
    await place.submit();
    const sent = place.sent[0]!.body as Child;
    expect(sent.cautions.allergies).toEqual(['walnut', 'tree-nut', 'kiwi']);
  });

  it('puts what the server found wrong beside its field, and keeps what was written', async () => {
    const refusal = new ApiProblem(422, 'Some fields are wrong', [
      { field: 'birthDate', message: 'lies after today' },
    ]);
    const place = await open({ id: wren.id }, refusal);
    await write(place, 'name', 'Wrenna');
    await place.submit();
    expect(errors(place)).toEqual(['Lies after today.']);
    expect(field(place, 'name').value).toBe('Wrenna');
  });

  it('says so when another device was first', async () => {
    const place = await open({ id: wren.id }, new ApiProblem(409, 'outdated'));
    await write(place, 'name', 'Wrenna');
    await place.submit();
    expect(place.find('[role=alert]').textContent).toContain('outdated');
  });
});
