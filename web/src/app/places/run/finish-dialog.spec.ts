import { TestBed } from '@angular/core/testing';
import { MAT_DIALOG_DATA, MatDialogRef } from '@angular/material/dialog';
import { LIBRARY } from '@gumo/core/activities';
import { HOME_QUESTION } from '@gumo/core/family';
import { Printing } from '../../common/printing';
import { Place, aChild } from '../../testing/place';
import { FinishDialog, type FinishData } from './finish-dialog';

const kofi = aChild(1, 'Kofi');
const dilara = aChild(2, 'Dilara');
const plates = LIBRARY.find((one) => one.id === 'two-plates')!;

interface Opened {
  readonly place: Place<FinishDialog>;
  readonly ended: unknown[];
  readonly closed: unknown[];
}

async function open(data: Partial<FinishData> = {}): Promise<Opened> {
  const [ended, closed]: [unknown[], unknown[]] = [[], []];
  const all: FinishData = {
    children: [kofi, dilara],
    moved: [],
    next: [],
    also: [],
    home: [],
    made: null,
    addMade: () => Promise.resolve(),
    finish: (end) => ended.push(end),
    ...data,
  };
  const place = await Place.open(FinishDialog, {
    providers: [
      { provide: MAT_DIALOG_DATA, useValue: all },
      { provide: MatDialogRef, useValue: { close: (end: unknown) => closed.push(end) } },
    ],
  });
  return { place, ended, closed };
}

describe('the end of a session', () => {
  afterEach(() => TestBed.resetTestingModule());

  it('takes all calm in one tap, and keeps it of each child', async () => {
    const { place, ended } = await open();
    await place.click('All calm');
    expect(ended).toEqual([
      {
        mood: 'calm',
        moods: [
          { childId: kofi.id, mood: 'calm' },
          { childId: dilara.id, mood: 'calm' },
        ],
      },
    ]);
    expect(place.text).toContain('No bead moved today.');
  });

  it('keeps a mood of those alone of whom one was said, and the adult’s own', async () => {
    const { place, ended } = await open();
    const group = place.find('mat-button-toggle-group', /How Dilara was/);
    [...group.querySelectorAll('button')].find((one) => one.textContent === 'Tense')!.click();
    const mine = place.find('mat-button-toggle-group', /How you were/);
    [...mine.querySelectorAll('button')].find((one) => one.textContent === 'Tense')!.click();
    await place.settle();
    expect(place.text).toContain('Make tomorrow lighter');
    await place.click('Finish');
    expect(ended).toEqual([
      { mood: 'tense', moods: [{ childId: dilara.id, mood: 'tense' }], adult: 'tense' },
    ]);
  });

  it('opens what can go home, to be copied or printed', async () => {
    const lines = ['We played “Two plates”.', 'Say: “How many here?”'];
    const { place } = await open({ home: [{ childId: kofi.id, title: 'Kofi, March 10', lines }] });
    await place.click('All calm');
    const opened = spyOn(TestBed.inject(Printing), 'open').and.resolveTo();
    await place.click('For home');
    expect(place.text).toContain('Say: “How many here?”');
    await place.click('Print');
    expect(opened).toHaveBeenCalledOnceWith('/papers/home.pdf', {
      strips: [{ title: 'Kofi, March 10', lines: [...lines, HOME_QUESTION] }],
    });
  });

  it('keeps no mood where none was said', async () => {
    const { place, ended } = await open();
    await place.click('Finish');
    expect(ended).toEqual([{ mood: null }]);
  });

  it('says which bead moved and why, and what comes next', async () => {
    const moved = { name: 'Kofi', title: 'Makes five', from: 'Started', to: 'Secure' };
    const { place } = await open({
      moved: [{ ...moved, reason: 'Eight of nine on their own, on two days.' }],
      next: ['Next for Kofi: makes ten.'],
    });
    await place.click('All calm');
    expect(place.text).toContain('Kofi: Makes five');
    expect(place.text).toContain('Started → Secure');
    expect(place.text).toContain('on two days');
    expect(place.text).toContain('Next for Kofi');
  });

  it('offers another game for what lies there, and ends with the one chosen', async () => {
    const game = { activity: plates, tops: [5, 5] };
    const { place, closed } = await open({ also: [game] });
    await place.click('All calm');
    await place.click(`Play ${plates.title}`);
    expect(closed).toEqual([game]);
  });

  it('adds what was made once, and says what stood in the way', async () => {
    let calls = 0;
    const addMade = async (): Promise<void> => {
      calls += 1;
      if (calls === 1) throw new Error('The server does not answer.');
    };
    const made = { name: 'dot cards', use: 'card', count: 3 } as const;
    const { place } = await open({ made, addMade });
    await place.click('All calm');
    expect(place.text).toContain('You made dot cards.');
    await place.click('Add to Materials');
    expect(place.find('[role=status]').textContent).toBe('The server does not answer.');
    await place.click('Add to Materials');
    expect(place.find<HTMLButtonElement>('button', 'In Materials').disabled).toBeTrue();
    expect(calls).toBe(2);
  });
});
