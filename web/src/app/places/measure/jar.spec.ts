import { TestBed } from '@angular/core/testing';
import { kofi, open } from './testing/open';

describe('the jar, and units along a thing', () => {
  afterEach(() => TestBed.resetTestingModule());

  it('makes the jar and the questions for those whose range is shortest', async () => {
    const { place } = await open('jar', ['Kofi']);
    expect(place.text).toContain('A target of 50 would not fit');
    await place.click(/Mirela/, 'gumo-measuring-participants button');
    expect(place.text).toContain('For about 16,');
    place.fixture.componentRef.setInput('tool', 'charts');
    await place.settle();
    const chosen = place.find('[aria-label="Questions"] [aria-checked="true"]');
    expect(chosen.textContent!.trim()).toBe('to 5');
  });

  it('marks a gap by key, and notes what a child counted with its slips', async () => {
    const { place, noted } = await open('along', ['Kofi']);
    for (let i = 0; i < 3; i++) await place.click('Lay one');
    const last = [...place.element.querySelectorAll('.unit')].at(-1)!;
    for (let i = 0; i < 2; i++) {
      last.dispatchEvent(new KeyboardEvent('keydown', { key: 'ArrowRight' }));
    }
    await place.settle();
    expect(place.text).toContain('A gap between 2 and 3.');
    await place.click(/^Note/);
    expect(noted()[0]!.record).toEqual(
      jasmine.objectContaining({ kind: 'length', measured: 3, gaps: true, overlaps: false }),
    );
    expect(noted()[0]!.outcome).toBe('not-yet');
  });

  it('keeps what was guessed and nothing else, and puts it right with the count', async () => {
    const { place, parcels, noted } = await open('jar', ['Kofi', 'Mirela', 'You']);
    expect(place.text).toContain('Inside again: could some more be crossed out?');
    const touch = (who: string, n: number): Promise<void> => {
      const chart = [...place.element.querySelectorAll('[role=application]')].find((one) =>
        one.getAttribute('aria-label')!.startsWith(who),
      )!;
      const cell = chart.querySelectorAll('span')[n - 1]!;
      Object.assign(cell, { releasePointerCapture: () => undefined });
      cell.dispatchEvent(new PointerEvent('pointerdown', { bubbles: true }));
      return place.settle();
    };
    // Too few is said first, and 51 of them are: what is left is the upper half.
    await touch('Kofi', 51);
    expect(place.text).toContain('52 to 100');
    await place.click('too many', '[aria-label="What Kofi rules out"] [role=radio]');
    await touch('Kofi', 81);
    expect(place.text).toContain('52 to 80');
    const one = place.find<HTMLInputElement>('[aria-label="One number, says You"]');
    one.value = '70';
    one.dispatchEvent(new Event('change'));
    await place.settle();
    await place.fill(/^Counted/, '20');
    expect(place.text).toContain('20 is below the range, by 32');
    // Mirela made no guess: nothing is inside, and nothing is kept of her.
    expect(place.text).toContain('No guess was made.');
    await place.click('Note all');
    await place.click('Note all');
    expect(noted().map((each) => [each.childId, each.itemId, each.outcome, each.note])).toEqual([
      [kofi.id, 'n20', 'not-yet', 'Counted by tens.'],
    ]);
    await place.fill(/^Counted/, '62');
    await place.click('fives', '[role=radio]');
    await place.click('Note all');
    expect(parcels.at(-2)!.kind).toBe('voiding');
    expect(noted()[1]!.record).toEqual({ kind: 'range', low: 52, high: 80, actual: 62 });
    expect(noted()[1]!.outcome).toBe('own');
    expect(place.element.querySelectorAll('.group').length).toBe(13);
  });
});
