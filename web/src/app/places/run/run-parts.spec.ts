import { TestBed } from '@angular/core/testing';
import { MatButtonHarness } from '@angular/material/button/testing';
import { MatButtonToggleHarness } from '@angular/material/button-toggle/testing';
import { MatSlideToggleHarness } from '@angular/material/slide-toggle/testing';
import type { Observation, Outcome } from '@gumo/core/vocabulary';
import { aTry } from '@gumo/core/vocabulary/testing';
import { OutcomeBar, outcomeOfKey } from '../../handling/outcome-bar';
import { Place, aChild, id } from '../../testing/place';
import { Participants } from './participants';
import { SoFar } from './so-far';

const ilse = aChild(1, 'Ilse');
const kofi = aChild(2, 'Kofi');

describe('how it went', () => {
  const opened = async (inputs: object = {}) => {
    const place = await Place.open(OutcomeBar, { inputs: { ...inputs } });
    const noted: Outcome[] = [];
    place.fixture.componentInstance.noted.subscribe((outcome) => noted.push(outcome));
    return { place, noted };
  };

  it('is noted by one tap on one of four', async () => {
    const { place, noted } = await opened();
    for (const words of ['On their own', 'With help', 'Not yet', 'Not today']) {
      await place.click(words);
    }
    expect(noted).toEqual(['own', 'help', 'not-yet', 'not-now']);
  });

  it('cannot be “on their own” before there is an answer, but can be anything else', async () => {
    const { place, noted } = await opened({ open: false });
    const own = await place.loader.getHarness(MatButtonHarness.with({ text: 'On their own' }));
    expect(await own.isDisabled()).toBe(true);
    await place.click('Not yet');
    expect(noted).toEqual(['not-yet']);
  });

  it('is read from a key, in any case, and from no other', () => {
    const read = (key: string): Outcome | null =>
      outcomeOfKey(new KeyboardEvent('keydown', { key }));
    expect(['o', 'H', 'n', 'X', 'z', 'Enter'].map(read)).toEqual([
      'own',
      'help',
      'not-yet',
      'not-now',
      null,
      null,
    ]);
  });
});

describe('who takes part', () => {
  const opened = async (inputs: object = {}) => {
    const place = await Place.open(Participants, {
      inputs: {
        participants: [
          { child: ilse, top: 5 },
          { child: kofi, top: 10 },
        ],
        childId: ilse.id,
        byTurns: true,
        canTakeTurn: true,
        ...inputs,
      },
    });
    const heard: unknown[] = [];
    const { chosen, adultTurn, byTurnsChange } = place.fixture.componentInstance;
    chosen.subscribe((one) => heard.push(one));
    adultTurn.subscribe(() => heard.push('adult'));
    byTurnsChange.subscribe((on) => heard.push(on));
    return { place, heard };
  };

  it('is named with the own range of each, and whose turn it is', async () => {
    const { place } = await opened();
    const toggles = await place.loader.getAllHarnesses(MatButtonToggleHarness);
    const said = await Promise.all(
      toggles.map(async (one) => [
        (await one.getText()).replace(/\s+/g, ' '),
        await one.isChecked(),
      ]),
    );
    expect(said.map(([words]) => words)).toEqual([
      jasmine.stringContaining('Ilse to 5'),
      jasmine.stringContaining('Kofi to 10'),
    ]);
    expect(said.map(([, checked]) => checked)).toEqual([true, false]);
  });

  it('changes with a tap, by turns or not', async () => {
    const { place, heard } = await opened();
    const other = await place.loader.getHarness(MatButtonToggleHarness.with({ text: /Kofi/ }));
    await other.toggle();
    await place.click('My turn');
    await (await place.loader.getHarness(MatSlideToggleHarness)).toggle();
    expect(heard).toEqual([kofi.id, 'adult', false]);
  });

  it('has no turns with one child, and none for the adult before there is an answer', async () => {
    const { place } = await opened({
      participants: [{ child: ilse, rangeMax: 5 }],
      canTakeTurn: false,
    });
    expect(await place.loader.getHarnessOrNull(MatSlideToggleHarness)).toBeNull();
    expect(place.find<HTMLButtonElement>('button', 'My turn').disabled).toBe(true);
  });
});

describe('what was noted so far', () => {
  const opened = async (observations: readonly Observation[]) => {
    const place = await Place.open(SoFar, { inputs: { observations } });
    const back: string[] = [];
    place.fixture.componentInstance.takenBack.subscribe((one) => back.push(one.id));
    return { place, back };
  };
  const tries = Array.from({ length: 8 }, (_, n) => aTry({ childId: ilse.id, id: id(60 + n) }));

  it('shows the last six, newest first, each to be undone', async () => {
    const { place, back } = await opened(tries);
    expect(place.all('li').length).toBe(6);
    await place.click(/^Undo .*on their own$/, 'li button');
    await place.click('Undo the last');
    expect(back).toEqual([tries[0]!.id, tries[0]!.id]);
  });

  it('says when it was the adult’s turn', async () => {
    const { place } = await opened([aTry({ childId: ilse.id, adultTurn: true })]);
    expect(place.all('li')[0]).toContain('your turn');
    expect(place.all('li')[0]).not.toContain('on their own');
  });

  it('offers nothing to take back where nothing was noted', async () => {
    const { place } = await opened([]);
    expect(place.all('li')).toEqual(['Nothing noted yet']);
    expect(place.all('button')).toEqual([]);
    TestBed.resetTestingModule();
  });
});
