import { TestBed } from '@angular/core/testing';
import { MAT_DIALOG_DATA, MatDialogRef } from '@angular/material/dialog';
import { Store } from '@ngrx/store';
import { type PlanEntry, newHousehold } from '@gumo/core/vocabulary';
import { ApiProblem } from '../common/api';
import { DayActions } from '../state/day';
import { Place, TODAY, aChild, id } from '../testing/place';
import { EntryDialog } from './entry-dialog';
import { Suggestions } from '../places/today/suggestions';

const ilse = aChild(1, 'Ilse');
const kofi = aChild(2, 'Kofi');
const moments = newHousehold(id(99), 'Spindle Cottage').moments;
const entry: PlanEntry = {
  id: id(50),
  day: TODAY,
  momentId: moments[0]!.id,
  activityId: 'handfuls',
  participants: [{ childId: kofi.id, rangeMax: 10 }],
  minutes: 9,
  with: 'wooden bobbins',
  state: 'planned',
  version: 2,
};
const tops = [
  { childId: ilse.id, top: 3 },
  { childId: kofi.id, top: 10 },
];
let close: jasmine.Spy;

async function open(one: PlanEntry | null, refusal?: ApiProblem): Promise<Place<EntryDialog>> {
  close = jasmine.createSpy('close');
  return Place.open(EntryDialog, {
    children: [ilse, kofi],
    answers: { [`/days/${TODAY}/tops/handfuls`]: tops },
    providers: [
      { provide: MAT_DIALOG_DATA, useValue: { entry: one, day: TODAY, away: [] } },
      { provide: MatDialogRef, useValue: { close } },
    ],
    ...(refusal ? { refusal } : {}),
  });
}
/** Ticks a child in or out. */
async function toggle(place: Place<EntryDialog>, name: RegExp): Promise<void> {
  place.find('mat-checkbox', name).querySelector<HTMLElement>('input')!.click();
  await place.settle();
}

describe('an entry of the day', () => {
  it('shows what is planned, and keeps a change with its version', async () => {
    const place = await open(entry);
    const minutes = place.find<HTMLInputElement>('[formcontrolname=minutes]');
    expect(minutes.value).toBe('9');
    minutes.value = '12';
    minutes.dispatchEvent(new Event('input'));
    await place.click('Save');
    expect(place.sent).toEqual([
      { method: 'PUT', path: `/plan/${entry.id}`, body: { ...entry, minutes: 12, pinned: true } },
    ]);
    expect(close).toHaveBeenCalledTimes(1);
  });

  it('takes each child in with the range that fits', async () => {
    const place = await open(entry);
    await toggle(place, /Ilse/);
    await place.click('Save');
    expect((place.sent[0]!.body as PlanEntry).participants).toEqual([
      { childId: kofi.id, rangeMax: 10 },
      { childId: ilse.id, rangeMax: 3 },
    ]);
  });

  it('is not kept without a child, nor with no minutes', async () => {
    const place = await open(entry);
    await toggle(place, /Kofi/);
    await place.click('Save');
    expect(place.find('[role=alert]').textContent).toContain('Choose at least one child.');
    await toggle(place, /Kofi/);
    const minutes = place.find<HTMLInputElement>('[formcontrolname=minutes]');
    minutes.value = '0';
    minutes.dispatchEvent(new Event('input'));
    await place.click('Save');
    expect(place.sent).toEqual([]);
    expect(close).not.toHaveBeenCalled();
  });

  it('asks for an activity before it is new', async () => {
    const place = await open(null);
    await place.click(/^(Add|Keep)/);
    expect(place.sent).toEqual([]);
    expect(close).not.toHaveBeenCalled();
  });

  it('is taken out with its version', async () => {
    const place = await open(entry);
    await place.click(/Remove/);
    expect(place.sent).toEqual([
      { method: 'DELETE', path: `/plan/${entry.id}?version=2`, body: undefined },
    ]);
    expect(close).toHaveBeenCalledTimes(1);
  });

  it('stays open when another device was first', async () => {
    const place = await open(entry, new ApiProblem(409, 'outdated'));
    await place.click('Save');
    expect(place.find('[role=alert]').textContent).toContain('outdated');
    expect(close).not.toHaveBeenCalled();
  });
});

describe('suggestions for those in nothing yet', () => {
  const step = {
    skillId: 'touch-5',
    title: 'One word for each thing',
    why: 'open',
    because: 'Not started yet, and all it builds on is there.',
    value: 1,
    activityId: 'handfuls',
    activityTitle: 'A lot and a few',
    top: 3,
  };
  async function openWith(found: object[]): Promise<Place<Suggestions>> {
    const place = await Place.open(Suggestions, {
      children: [ilse, kofi],
      answers: { [`/days/${TODAY}/suggestions`]: found },
    });
    const store = TestBed.inject(Store);
    store.dispatch(DayActions.opened({ day: TODAY }));
    const sheet = { day: TODAY, away: [], gotReady: [] };
    const answer = { day: TODAY, sheet, entries: [], ready: [], cautions: {}, open: [] };
    store.dispatch(DayActions.loaded({ answer }));
    await place.settle();
    await place.settle();
    return place;
  }

  it('take no room where everyone is in something', async () => {
    expect((await openWith([])).text).toBe('');
  });

  it('say why, and go into the day with one tap', async () => {
    const place = await openWith([{ childId: ilse.id, step }]);
    expect(place.text).toContain('Ilse One word for each thing');
    expect(place.text).toContain('Not started yet');
    await place.click(/A lot and a few to 3/);
    expect(place.sent[0]!.path).toBe('/plan');
    expect(place.sent[0]!.body).toEqual(
      jasmine.objectContaining({
        day: TODAY,
        activityId: 'handfuls',
        participants: [{ childId: ilse.id, rangeMax: 3 }],
      }),
    );
  });

  it('name no child who has gone since', async () => {
    expect((await openWith([{ childId: id(77), step }])).text).toBe('');
  });
});
