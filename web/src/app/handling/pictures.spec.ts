import { TestBed } from '@angular/core/testing';
import type { SymbolShape } from '@gumo/core/vocabulary';
import { CautionList } from '../common/caution-list';
import { SYMBOL_FILL, SYMBOL_PATH, ChildSymbol } from '../common/child-symbol';
import { Place } from '../testing/place';
import { MinuteRing } from './minute-ring';
import { PartWhole } from './part-whole';

/** Contrast of two colors written as #rrggbb (WCAG 2.2, relative luminance). */
function contrast(one: string, other: string): number {
  const light = (color: string): number => {
    const [r = 0, g = 0, b = 0] = [1, 3, 5].map((at) => {
      const part = parseInt(color.slice(at, at + 2), 16) / 255;
      return part <= 0.04045 ? part / 12.92 : ((part + 0.055) / 1.055) ** 2.4;
    });
    return 0.2126 * r + 0.7152 * g + 0.0722 * b;
  };
  const [high = 0, low = 0] = [light(one), light(other)].sort((a, b) => b - a);
  return (high + 0.05) / (low + 0.05);
}

describe('a child’s felt mark', () => {
  const opened = (name: string, shape: SymbolShape = 'leaf') =>
    Place.open(ChildSymbol, { inputs: { name, symbol: { shape, color: 'moss' } } });

  it('carries the first letter of the name, and says nothing to a reader of the screen', async () => {
    const place = await opened(' ilse ');
    expect(place.text).toBe('I');
    expect(place.element.querySelectorAll('[aria-hidden=true]').length).toBe(2);
  });

  it('carries it lower where the shape lies lower', async () => {
    const place = await opened('Kofi', 'hill');
    expect(place.element.querySelector('.low')).not.toBeNull();
  });

  // White letters on felt: WCAG 2.2, 1.4.3, 4.5:1.
  it('has colors on which a white letter is read, and a drawing for every shape', () => {
    for (const [color, fill] of Object.entries(SYMBOL_FILL)) {
      expect(contrast('#ffffff', fill)).withContext(color).toBeGreaterThanOrEqual(4.5);
    }
    expect(new Set(Object.values(SYMBOL_PATH)).size).toBe(Object.keys(SYMBOL_PATH).length);
    expect(contrast('#ffffff', '#000000')).toBeCloseTo(21, 6);
  });
});

describe('a whole and its parts', () => {
  it('is drawn with a line to each part, and said as a sentence', async () => {
    const place = await Place.open(PartWhole, { inputs: { whole: 6, parts: [1, 2, 3] } });
    expect(place.all('text')).toEqual(['6', '1', '2', '3']);
    expect(place.element.querySelectorAll('path').length).toBe(3);
    expect(place.find('svg').getAttribute('aria-label')).toBe('6 made of 1 and 2 and 3');
  });

  it('lets no ring touch another or the edge, up to five parts', async () => {
    for (const parts of [[5], [2, 3], [1, 1, 1, 1, 1]]) {
      const place = await Place.open(PartWhole, { inputs: { whole: 5, parts } });
      const rings = [...place.element.querySelectorAll('circle')].slice(1);
      const across = rings.map((ring) => Number(ring.getAttribute('cx')));
      const wide = Number(place.find('svg').getAttribute('viewBox')!.split(' ')[2]);
      expect(Math.min(...across)).toBeGreaterThanOrEqual(23);
      expect(Math.max(...across)).toBeLessThanOrEqual(wide - 23);
      across.slice(1).forEach((x, i) => expect(x - across[i]!).toBeGreaterThan(46));
      TestBed.resetTestingModule();
    }
  });
});

describe('the minutes of a session', () => {
  const drawn = async (minutes: number): Promise<string> => {
    const place = await Place.open(MinuteRing, { inputs: { minutes, most: 8 } });
    return place.find('.gone').getAttribute('d') ?? '';
  };

  it('are nothing at first', async () => {
    // From the top and back to it: no angle in between.
    expect(await drawn(0)).not.toMatch(/A24,24,0,1/);
  });

  it('fill the ring once, and no further', async () => {
    const place = await Place.open(MinuteRing, { inputs: { minutes: 8, most: 8 } });
    const full = place.find('.all').getAttribute('d');
    expect(place.find('.gone').getAttribute('d')).toBe(full);
    place.fixture.componentRef.setInput('minutes', 20);
    await place.settle();
    expect(place.find('.gone').getAttribute('d')).toBe(full);
  });
});

describe('cautions', () => {
  it('are nothing where none applies', async () => {
    const place = await Place.open(CautionList, { inputs: { words: [] } });
    expect(place.text).toBe('');
  });

  it('stand each by itself, and defer to local rules once', async () => {
    const words = ['Small parts: not with Ilse.', 'Peanuts: not with Kofi.'];
    const place = await Place.open(CautionList, { inputs: { words } });
    expect(place.all('p:not(.rules)')).toEqual(words);
    expect(place.all('.rules').length).toBe(1);
    expect(place.find('.rules').textContent).toMatch(/rules/i);
    place.fixture.componentRef.setInput('withRules', false);
    await place.settle();
    expect(place.all('.rules')).toEqual([]);
  });
});
