import { TestBed } from '@angular/core/testing';
import { Router } from '@angular/router';
import { MatSnackBarHarness } from '@angular/material/snack-bar/testing';
import type { OutboxEntry } from '@gumo/core/contract';
import type { PlanEntry } from '@gumo/core/vocabulary';
import { Store } from '@ngrx/store';
import { DayActions } from '../../state/day';
import { Outbox } from '../../state/outbox';
import { Place, TODAY, aChild, aDay, id } from '../../testing/place';
import { Slip } from './slip';

const [ilse, kofi] = [
  aChild(1, 'Ilse', { answerModes: ['speaks'] }),
  aChild(2, 'Kofi', { answerModes: ['speaks'] }),
];
const card = (n: number, activityId: string): PlanEntry => ({
  id: id(n),
  day: TODAY,
  momentId: 'outdoors',
  activityId,
  participants: [
    { childId: ilse.id, rangeMax: 5 },
    { childId: kofi.id, rangeMax: 10 },
  ],
  minutes: 5,
  with: '',
  state: 'planned',
  version: 1,
});

describe('the slip of a day, typed back', () => {
  afterEach(() => TestBed.resetTestingModule());

  async function open(entries: PlanEntry[]) {
    const put: OutboxEntry[] = [];
    const outbox = {
      put: (one: OutboxEntry) => {
        put.push(one);
        return Promise.resolve();
      },
    };
    const place = await Place.open(Slip, {
      children: [ilse, kofi],
      providers: [{ provide: Outbox, useValue: outbox }],
    });
    spyOn(TestBed.inject(Router), 'navigateByUrl').and.resolveTo(true);
    TestBed.inject(Store).dispatch(DayActions.loaded({ answer: aDay({ entries }) }));
    await place.settle();
    const key = async (line: number, key: string): Promise<void> => {
      const group = place.element.querySelectorAll('mat-button-toggle-group')[line]!;
      group
        .querySelector('button')!
        .dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true, cancelable: true }));
      await place.settle();
    };
    return { place, put, key };
  }

  it('keeps what was ticked, line by line, and nothing that was not', async () => {
    const { place, put, key } = await open([card(21, 'next-number')]);
    expect(place.all('li').length).toBe(4);
    expect(place.find<HTMLButtonElement>('button', /^Note 0 answers/).disabled).toBeTrue();
    await key(0, 'o');
    // The next line waits for its key.
    expect(document.activeElement?.closest('li')).toBe(place.element.querySelectorAll('li')[1]);
    await key(1, 'h');
    await key(2, 'o');
    await key(2, 'x');
    await key(3, 'n');
    await place.click('Note 3 answers');
    const tries = put.flatMap((one) => (one.kind === 'observation' ? [one.observation] : []));
    expect(tries.map((one) => [one.childId, one.outcome, one.day, one.activityId])).toEqual([
      [ilse.id, 'own', TODAY, 'next-number'],
      [ilse.id, 'help', TODAY, 'next-number'],
      [kofi.id, 'not-yet', TODAY, 'next-number'],
    ]);
    expect(tries.every((one) => one.sessionId === null && one.counts!.length > 0)).toBeTrue();
    await (await place.loader.getHarness(MatSnackBarHarness)).dismissWithAction();
    await place.settle();
    expect(put.slice(3).map(({ kind }) => kind)).toEqual(['voiding', 'voiding', 'voiding']);
  });

  it('can be ticked by hand and cleared, and says where there is nothing to ask', async () => {
    const { place } = await open([card(21, 'next-number')]);
    await place.click('with help');
    expect(place.find('button', /^Note 1 answer/).textContent).toContain('1 answer');
    await place.click('Clear');
    expect(place.find<HTMLButtonElement>('button', /^Note 0/).disabled).toBeTrue();
    place.fixture.destroy();
    TestBed.resetTestingModule();
    const empty = await open([]);
    expect(empty.place.element.textContent).toContain('Nothing is planned that can be asked');
  });
});
