import type { CameUp as What } from '@gumo/core/rounds';
import { Place } from '../../testing/place';
import { CameUp } from './came-up';

const what = (more: Partial<What> = {}): What => ({
  words: 'Came up',
  slots: ['first die', 'second die'],
  least: 2,
  low: 1,
  high: 6,
  deal: [],
  ...more,
});
const opened = async (given: Partial<What> = {}, came: readonly number[] = []) => {
  const place = await Place.open(CameUp, { inputs: { what: what(given), came } });
  const said: (readonly number[])[] = [];
  place.fixture.componentInstance.changed.subscribe((numbers) => {
    said.push(numbers);
    place.fixture.componentRef.setInput('came', numbers);
  });
  return { place, said };
};
const keysOf = (place: Place<CameUp>): string[] => place.all('.keys button');

describe('what chance decided', () => {
  it('is tapped, one number after the other, each with what it is of', async () => {
    const { place, said } = await opened();
    expect(place.text).not.toContain('Lay one');
    expect(keysOf(place)).toEqual(['1', '2', '3', '4', '5', '6']);
    expect(place.text).toContain('first die');
    await place.click('4');
    expect(place.text).toContain('second die');
    await place.click('2', '.keys button');
    expect(said).toEqual([[4], [4, 2]]);
    // Both are known: there is nothing more to tap.
    expect(keysOf(place)).toEqual([]);
  });

  it('can be changed from any number on', async () => {
    const { place, said } = await opened({}, [4, 2]);
    await place.click(/^4, change/, '.line button');
    expect(said).toEqual([[]]);
    expect(keysOf(place).length).toBe(6);
  });

  it('is typed with digits where the row would be too long, and never beyond the range', async () => {
    const { place, said } = await opened({ slots: [''], least: 1, low: 10, high: 60 });
    expect(keysOf(place).length).toBe(12);
    await place.click('more …');
    const done = (): HTMLButtonElement =>
      place.find<HTMLButtonElement>('.keys button', /That’s it/);
    expect(done().disabled).toBeTrue();
    await place.click('4', '.digits button');
    expect(done().disabled).toBeTrue();
    await place.click('7', '.digits button');
    expect(place.find('output').textContent).toBe('47');
    // A third digit begins anew: 473 is beyond the range.
    await place.click('3', '.digits button');
    expect(place.find('output').textContent).toBe('3');
    await place.click('1', '.digits button');
    await place.click('That’s it');
    expect(said).toEqual([[31]]);
  });

  it('may be several of a set, each tapped once more to take it away', async () => {
    const { place, said } = await opened({ slots: ['', '', ''], least: 1, high: 4 }, [2]);
    const key = (n: string): HTMLElement => place.find('.keys button', n);
    expect(key('2').getAttribute('aria-pressed')).toBe('true');
    expect(key('3').getAttribute('aria-pressed')).toBe('false');
    await place.click('3', '.keys button');
    await place.click('2', '.keys button');
    expect(said).toEqual([[2, 3], [3]]);
  });

  it('may be dealt where chance has not brought one way yet', async () => {
    const { place, said } = await opened({
      deal: [
        [1, 4],
        [2, 3],
      ],
    });
    await place.click('Lay one that has not come');
    expect(said).toEqual([[1, 4]]);
  });
});
