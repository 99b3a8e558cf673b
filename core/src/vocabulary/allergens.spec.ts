import * as v from 'valibot';
import {
  ALLERGENS,
  ALLERGENS_EU,
  ALLERGENS_US,
  Allergens,
  allergensNamed,
  asAllergen,
  holdsWords,
  meetsAllergy,
} from './allergens.js';

// FASTER Act of 2021 (Public Law 117-11) and FDA's guidance; Regulation (EU) No 1169/2011, Annex II: from memory.
describe('the allergens to choose from', () => {
  it('are the nine of the United States, the fourteen of the European Union, latex and wool', () => {
    expect(ALLERGENS_US.length).toBe(9);
    expect(ALLERGENS_EU.length).toBe(14);
    const all = new Set<string>([...ALLERGENS_US, ...ALLERGENS_EU, 'latex', 'wool']);
    expect([...all].sort()).toEqual(Object.keys(ALLERGENS).sort());
  });

  it('are known by their names, in the singular too; other words stay as they are', () => {
    expect(asAllergen('Peanuts')).toBe('peanut');
    expect(asAllergen('tree nut')).toBe('tree-nut');
    expect(asAllergen('kiwi fruit')).toBe('kiwi fruit');
    expect(v.parse(Allergens, ['Eggs', 'egg', ' kiwi '])).toEqual(['egg', 'kiwi']);
  });
});

describe('own words', () => {
  it('are matched whole, in singular and plural, never as a part of another word', () => {
    expect(holdsWords('walnut shells', 'Walnuts')).toBeTrue();
    expect(holdsWords('nut butter jar', 'nuts')).toBeTrue();
    for (const name of ['doughnut', 'coconut halves', 'nutmeg', 'wooden donuts']) {
      expect(holdsWords(name, 'nut')).withContext(name).toBeFalse();
    }
    expect(holdsWords('strawberries', 'strawberry')).toBeTrue();
    expect(holdsWords('red dye 40 paint', 'red dye 40')).toBeTrue();
  });

  it('mean what they speak of: walnuts and almonds are tree nuts, a pine nut is no peanut', () => {
    expect(allergensNamed('almonds')).toEqual(['tree-nut']);
    expect(allergensNamed('nut butter jar').sort()).toEqual(['peanut', 'tree-nut']);
    expect(allergensNamed('pine nuts')).toEqual(['tree-nut']);
    expect(allergensNamed('wooden bobbins')).toEqual([]);
  });

  it('meet what is tagged, either way round', () => {
    expect(meetsAllergy('tree-nut', 'walnut')).toBeTrue();
    expect(meetsAllergy('walnut', 'tree-nut')).toBeTrue();
    expect(meetsAllergy('peanut', 'nuts')).toBeTrue();
    expect(meetsAllergy('wheat', 'gluten')).toBeTrue();
    expect(meetsAllergy('milk', 'egg')).toBeFalse();
    expect(meetsAllergy('kiwi', 'Kiwis')).toBeTrue();
  });
});
