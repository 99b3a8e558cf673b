import { Place } from '../testing/place';
import { type OnShelf, Shelf } from './shelf';

const SQUARE =
  '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 1 1"><path d="M0 0h1v1z"/></svg>';

describe('a shelf', () => {
  const item = (name: string, draw: () => string | null): OnShelf => ({
    id: name,
    title: `The ${name}`,
    link: ['/table', name],
    draw,
  });

  it('names each thing with its drawing, and marks the one that is open', async () => {
    const draw = jasmine.createSpy('draw').and.returnValue(SQUARE);
    const place = await Place.open(Shelf, {
      inputs: { label: 'Materials', here: 'dice', all: [item('frame', draw), item('dice', draw)] },
    });
    expect(place.all('a')).toEqual(['The frame', 'The dice']);
    expect(place.all('[aria-current=page]')).toEqual(['The dice']);
    expect(place.find<HTMLAnchorElement>('a').getAttribute('href')).toBe('/table/frame');
    await place.until(() => place.element.querySelectorAll('img').length === 2);
    const [picture] = place.element.querySelectorAll('img');
    expect(decodeURIComponent(picture!.src)).toContain('<path d="M0 0h1v1z"/></svg>');
    // The name stands beside it: the picture says nothing more.
    expect(picture!.alt).toBe('');
    expect(draw).toHaveBeenCalledTimes(1);
  });

  it('shows a sign where there is nothing to draw', async () => {
    const place = await Place.open(Shelf, {
      inputs: { label: 'Materials', here: '', all: [item('song', () => null)] },
    });
    await place.until(() => place.element.querySelector('gumo-icon') !== null);
    expect(place.element.querySelector('img')).toBeNull();
  });
});
