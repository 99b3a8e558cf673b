import { MANIPULATIVES } from '@gumo/core/handling';
import { Place } from '../testing/place';
import { ToTheChild } from './to-the-child';

const scene = MANIPULATIVES[0]!.scene(MANIPULATIVES[0]!.start);

async function turn(seconds: number): Promise<{ place: Place<ToTheChild>; closed: () => number }> {
  const place = await Place.open(ToTheChild, { inputs: { scene, seconds } });
  let times = 0;
  place.fixture.componentInstance.closed.subscribe(() => times++);
  await place.settle();
  return { place, closed: () => times };
}
const isCovered = (place: Place<ToTheChild>): boolean =>
  place.element.querySelector('.mask') !== null;

describe('the picture turned to the child', () => {
  beforeEach(() => jasmine.clock().install());
  afterEach(() => jasmine.clock().uninstall());

  it('shows nothing but the picture; a tap hides it and another shows it', async () => {
    const { place } = await turn(0);
    expect(isCovered(place)).toBeFalse();
    expect(place.element.querySelectorAll('button').length).toBe(2);
    expect(place.text).toBe('');
    await place.click(/seven counters/);
    expect(isCovered(place)).toBeTrue();
    await place.click(/Covered/);
    expect(isCovered(place)).toBeFalse();
  });

  it('covers a quick look after its seconds, and shows it again at a tap', async () => {
    const { place } = await turn(2);
    expect(isCovered(place)).toBeTrue();
    await place.click(/Covered/);
    jasmine.clock().tick(1999);
    expect(isCovered(place)).toBeFalse();
    jasmine.clock().tick(1);
    await place.settle();
    expect(isCovered(place)).toBeTrue();
  });

  it('goes back only when the corner is held, or at Escape', async () => {
    const { place, closed } = await turn(0);
    const corner = place.find('.corner');
    corner.dispatchEvent(new PointerEvent('pointerdown'));
    jasmine.clock().tick(300);
    corner.dispatchEvent(new PointerEvent('pointerup'));
    jasmine.clock().tick(2000);
    expect(closed()).toBe(0);
    corner.dispatchEvent(new PointerEvent('pointerdown'));
    jasmine.clock().tick(700);
    expect(closed()).toBe(1);
    document.dispatchEvent(new KeyboardEvent('keydown', { key: 'Escape' }));
    expect(closed()).toBe(2);
  });
});
