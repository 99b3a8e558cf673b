import { TestBed } from '@angular/core/testing';
import { kofi, open } from './testing/open';

describe('mirrors', () => {
  afterEach(() => TestBed.resetTestingModule());

  it('checks both sides of a line on grids, and keeps a figure once', async () => {
    const { place, parcels, noted } = await open('mirrors', ['Mirela']);
    await place.click('both sides of a line', '[role=radio]');
    await place.click(/^row 1, column 2/);
    expect(place.text).toContain('The piece in row 1, column 2 has no match yet.');
    await place.click('Note');
    await place.click(/^row 1, column 3/);
    expect(place.text).toContain('1 pair. Both sides are the same.');
    await place.click('Note');
    await place.click('Note');
    expect(noted().map((one) => [one.itemId, one.outcome])).toEqual([
      ['pieces-2', 'not-yet'],
      ['pieces-2', 'own'],
    ]);
    expect(parcels.filter((one) => one.kind === 'voiding').length).toBe(1);
    // Another line, and a larger grid.
    await place.click('8 × 8', '[role=radio]');
    await place.click('slanting line', '[role=radio]');
    await place.click(/^row 1, column 8/);
    expect(place.text).toContain('no match yet');
    await place.click(/^row 8, column 1/);
    expect(place.text).toContain('Both sides are the same.');
    // A face stands upright.
    await place.click('face', '[role=radio]');
    expect(place.find('[aria-label="Line"] [aria-checked=true]').textContent).toContain('upright');
    expect(place.element.querySelector('.outline')).not.toBeNull();
  });

  it('asks what opens once a figure, and shows what was drawn on the fold', async () => {
    const { place, noted } = await open('mirrors', ['Mirela']);
    await place.click('fold and cut', '[role=radio]');
    for (let i = 0; i < 2; i++) {
      await place.click(/^a heart/, '.cards [role=radio]');
      await place.click('Unfold');
      expect(place.text).toContain('It opens to a heart.');
      await place.click('Fold it again');
    }
    expect(noted().map((one) => [one.skillId, one.itemId, one.outcome])).toEqual([
      ['mirror-fold', 'heart', 'own'],
    ]);
    await place.click('your own', '[role=radio]');
    const paper = place.find<HTMLElement>('.paper');
    const box = paper.getBoundingClientRect();
    const move = (type: string, x: number, y: number): void => {
      paper.dispatchEvent(
        new PointerEvent(type, {
          buttons: 1,
          clientX: box.left + box.width / 2 + x,
          clientY: box.top + y,
        }),
      );
    };
    move('pointerdown', 2, 40);
    move('pointermove', 60, 80);
    move('pointermove', 20, 140);
    move('pointerup', 20, 140);
    await place.settle();
    await place.click('Unfold');
    const path = place.find('.paper .hole').getAttribute('d')!;
    // From the fold, out, back to the fold, and the other way round on the other side.
    expect(path.split('L').length).toBe(8);
    expect(noted().length).toBe(1);
  });

  it('asks how many are seen before it shows them, the thing itself among them', async () => {
    const { place, noted } = await open('mirrors', ['Kofi', 'You']);
    expect(place.element.querySelectorAll('.hinge .image').length).toBe(0);
    for (let i = 0; i < 3; i++) await place.click(/^More, says Kofi/);
    await place.click(/^More, says You/);
    await place.click('Look');
    await place.click('Look');
    expect(place.text).toContain('Opened 90 degrees: you see 4, the thing itself among them.');
    expect(place.element.querySelectorAll('.hinge .image').length).toBe(3);
    expect(noted().map((one) => [one.childId, one.outcome, one.record])).toEqual([
      [kofi.id, 'own', { kind: 'guess', predicted: 4, actual: 4 }],
    ]);
    await place.click(/^Narrower/);
    expect(place.text).toContain('72°');
    expect(place.element.querySelectorAll('.hinge .image').length).toBe(0);
    await place.click('Look');
    // Nobody guessed: nothing is kept.
    expect(noted().length).toBe(1);
  });
});
