import type { Provider } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { MAT_DIALOG_DATA, MatDialogRef } from '@angular/material/dialog';
import { MatSnackBar } from '@angular/material/snack-bar';
import { emptyState } from '@gumo/core/evidence';
import { Store } from '@ngrx/store';
import { Subject } from 'rxjs';
import { Api } from '../common/api';
import { ChildrenActions } from '../state/children';
import type { OutboxEntry } from '@gumo/core/contract';
import { Outbox } from '../state/outbox';
import { Place, TODAY, aChild } from '../testing/place';
import { QuickNoteDialog } from './quick-note-dialog';

const ilse = aChild(1, 'Ilse');
const kofi = aChild(2, 'Kofi');

async function open(childId: string | null = null, providers: Provider[] = []) {
  const put: OutboxEntry[] = [];
  const closed = { times: 0 };
  const takeBack = new Subject<void>();
  const place = await Place.open(QuickNoteDialog, {
    children: [ilse, kofi],
    answers: {
      [`/children/${ilse.id}/evidence`]: emptyState(ilse.id, 'balanced'),
      [`/children/${kofi.id}/evidence`]: emptyState(kofi.id, 'balanced'),
    },
    providers: [
      { provide: MAT_DIALOG_DATA, useValue: { childId } },
      { provide: MatDialogRef, useValue: { close: () => closed.times++ } },
      { provide: MatSnackBar, useValue: { open: () => ({ onAction: () => takeBack }) } },
      { provide: Outbox, useValue: { put: (one: OutboxEntry) => Promise.resolve(put.push(one)) } },
      ...providers,
    ],
  });
  return { place, put, closed, takeBack };
}

describe('a quick note', () => {
  afterEach(() => TestBed.resetTestingModule());

  it('keeps what the family told as a note from home, never as a try', async () => {
    const { place, put } = await open(kofi.id);
    const text = place.find<HTMLTextAreaElement>('textarea');
    text.value = 'We counted the spoons';
    text.dispatchEvent(new Event('input'));
    await place.click('The family told me', 'mat-checkbox label');
    await place.click('Save the words');
    expect(put.map((one) => one.kind)).toEqual(['note']);
    expect(put[0]).toEqual({
      kind: 'note',
      note: jasmine.objectContaining({ childId: kofi.id, from: 'home' }),
    } as unknown as OutboxEntry);
  });

  it('keeps to the child that was chosen, in whatever order answers and lists come in', async () => {
    const waiting: (() => void)[] = [];
    const get = (path: string): Promise<unknown> =>
      new Promise((resolve) => {
        const child = path.includes(kofi.id) ? kofi : ilse;
        waiting.push(() => resolve(emptyState(child.id, 'balanced')));
      });
    const { place } = await open(null, [{ provide: Api, useValue: { get } }]);
    await place.click(/Kofi/, '[role=radio]');
    const [ofIlse, ofKofi] = waiting as [() => void, () => void];
    ofKofi();
    await place.settle();
    ofIlse();
    await place.settle();
    expect(place.all('.skills li').length).toBe(5);
    TestBed.inject(Store).dispatch(
      ChildrenActions.loaded({ children: [{ ...ilse }, { ...kofi }] }),
    );
    await place.settle();
    expect(place.find('[role=radio][aria-checked=true]').textContent).toContain('Kofi');
  });

  it('offers five skills of several strands, and is done with the second tap', async () => {
    const { place, put, closed } = await open();
    await place.click(/Kofi/, '[role=radio]');
    expect(place.all('.skills li').length).toBe(5);
    const first = place.all('.skills li > span')[0]!;
    await place.click(`${first}, not yet not yet`);
    expect(closed.times).toBe(1);
    expect(put.length).toBe(1);
    const [parcel] = put;
    if (parcel?.kind !== 'observation') throw new Error('no observation');
    expect(parcel.observation).toEqual(
      jasmine.objectContaining({
        childId: kofi.id,
        day: TODAY,
        outcome: 'not-yet',
        sessionId: null,
        itemId: null,
      }),
    );
  });

  it('takes numbers: counted six, touched seven', async () => {
    const { place, put } = await open(kofi.id);
    place.fixture.componentInstance['counted'].set('total-10');
    await place.settle();
    await place.click('six');
    await place.click('touched one twice');
    await place.click('7');
    await place.click('Not yet');
    const [parcel] = put;
    if (parcel?.kind !== 'observation') throw new Error('no observation');
    expect(parcel.observation.record).toEqual(
      jasmine.objectContaining({ kind: 'count', n: 6, lastWord: 7, doubled: 1 }),
    );
    expect(parcel.observation.counts!.map((one) => one.skillId).sort()).toEqual(['total-10']);
    expect(parcel.observation.round).toBeUndefined();
  });

  it('begins with the child at the tray', async () => {
    const { place } = await open(kofi.id);
    expect(place.find('[aria-checked="true"]').textContent).toContain('Kofi');
  });

  it('keeps words by themselves, and takes them back', async () => {
    const { place, put, takeBack } = await open(ilse.id);
    expect(place.find<HTMLButtonElement>('button', 'Save the words').disabled).toBeTrue();
    const area = place.find<HTMLTextAreaElement>('textarea');
    area.value = '  counts the stairs  ';
    area.dispatchEvent(new Event('input'));
    await place.settle();
    await place.click('Save the words');
    expect(put[0]).toEqual(
      jasmine.objectContaining({
        kind: 'note',
        note: jasmine.objectContaining({ childId: ilse.id, words: 'counts the stairs' }),
      }),
    );
    takeBack.next();
    expect(put[1]?.kind).toBe('note-back');
  });

  it('takes a try back by a further fact', async () => {
    const { place, put, takeBack } = await open(ilse.id);
    await place.click(/, on their own own$/);
    takeBack.next();
    const [first, second] = put;
    if (first?.kind !== 'observation' || second?.kind !== 'voiding') throw new Error('not both');
    expect(second.voiding.observationId).toBe(first.observation.id);
  });
});
