import { padFor } from '@gumo/core/pads';
import { questionForItem } from '@gumo/core/rounds';
import type { CaptureRecord, RecordOf } from '@gumo/core/vocabulary';
import { Place } from '../testing/place';
import { AnswerPad, keyTyped } from './answer-pad';

const SETTING = { languages: [{ tag: 'en', name: 'English' }] };

/** A pad that goes on from what was tapped, as the run screen does. */
class Tray {
  record: CaptureRecord | null = null;
  private constructor(readonly place: Place<AnswerPad>) {}

  static async open(skillId: string, itemId: string): Promise<Tray> {
    const question = questionForItem(skillId, itemId, ['speaks'])!;
    const groups = padFor(question, null, SETTING);
    const place = await Place.open(AnswerPad, { inputs: { groups } });
    const tray = new Tray(place);
    place.fixture.componentInstance.tapped.subscribe((record) => {
      tray.record = record;
      place.fixture.componentRef.setInput('groups', padFor(question, record, SETTING));
    });
    return tray;
  }

  pressed(label: string): string | null {
    return this.place.find('button', label).getAttribute('aria-pressed');
  }
}

describe('the answer pad', () => {
  it('shows the expected answer at once, takes another with one tap and goes back with one more', async () => {
    const tray = await Tray.open('give-5', 'n4');
    expect(tray.pressed('4')).toBe('true');
    await tray.place.click('6');
    expect(tray.record).toEqual({ kind: 'give', asked: 4, given: 6 });
    expect(tray.pressed('4')).toBe('false');
    expect(tray.pressed('6')).toBe('true');
    await tray.place.click('6');
    expect(tray.record).toBeNull();
  });

  it('marks what was left out, said twice and swapped on the way, and says so aloud', async () => {
    const tray = await Tray.open('say-20', 'to-20');
    await tray.place.click('17');
    await tray.place.click('15');
    expect((tray.record as RecordOf<'reach'>).leftOut).toEqual([15]);
    expect(tray.place.find('button.left-out').getAttribute('aria-label')).toBe('15, left out');
    await tray.place.click('15, left out 15');
    expect(tray.place.find('button.twice').getAttribute('aria-label')).toBe('15, said twice');
    await tray.place.click('15, said twice 15');
    expect(tray.place.find('button.swapped').getAttribute('aria-label')).toContain('swapped');
  });

  it('takes the slips of a count beside its answer, and another total than the last word', async () => {
    const tray = await Tray.open('total-10', 'n7');
    await tray.place.click('touched one twice');
    await tray.place.click('9');
    expect(tray.record).toEqual(jasmine.objectContaining({ lastWord: 9, doubled: 2 }));
    await tray.place.click('another number when asked');
    expect(tray.place.text).toContain('what was answered to “how many?”');
  });

  it('draws pieces and rows of a pattern, and changes a piece with a tap', async () => {
    const tray = await Tray.open('pattern-next', 'ab-2');
    expect(tray.place.element.querySelectorAll('.pieces svg').length).toBe(2);
    await tray.place.click(/^place 1: A/);
    expect((tray.record as RecordOf<'pattern'>).answer).toEqual(['B', 'B']);
  });

  it('lays out whole rows to choose from where one is to be matched', async () => {
    const tray = await Tray.open('pattern-match', 'length-3');
    const rows = [...tray.place.element.querySelectorAll('.rows button')];
    expect(rows.length).toBeGreaterThanOrEqual(3);
    expect(rows.filter((one) => one.getAttribute('aria-pressed') === 'true').length)
      .withContext('the child chooses')
      .toBe(0);
    for (const row of rows) expect(row.querySelectorAll('svg').length).toBe(3);
  });

  it('exchanges neighbors of an order, and never claims that a card is pressed', async () => {
    const tray = await Tray.open('order-5', 'n1');
    await tray.place.click(/^2, exchange with 3/);
    expect((tray.record as RecordOf<'order'>).placed).toEqual([1, 3, 2, 4, 5]);
    expect(tray.place.element.querySelectorAll('[aria-pressed]').length).toBe(0);
  });
});

describe('digits that are typed', () => {
  it('stand for a key of the first row of numbers, and for nothing where there is none', () => {
    const groups = padFor(questionForItem('give-10', 'n9', ['speaks'])!, null, SETTING);
    expect(keyTyped(groups, '8')?.next).toEqual({ kind: 'give', asked: 9, given: 8 });
    expect(keyTyped(groups, '88')).toBeNull();
    const choice = padFor(questionForItem('partner-10', 'n4', ['speaks'])!, null, SETTING);
    expect(keyTyped(choice, '4')).toBeNull();
  });
});
