import { SKILLS, skillOf } from '@gumo/core/skills';
import { layStrings, linksOf } from './string-layout';

describe('the strings', () => {
  it('hold every skill once, one row a strand where there is room, within the width', () => {
    for (const width of [340, 620, 860, 1200]) {
      const layout = layStrings(width);
      expect(layout.byId.size).toBe(SKILLS.length);
      const right = Math.max(...[...layout.byId.values()].map((place) => place.x));
      expect(right).withContext(String(width)).toBeLessThanOrEqual(width);
    }
    expect(layStrings(860).rows.length).toBe(11);
    expect(layStrings(340).rows.length).toBeGreaterThan(20);
  });

  it('keep neighbors apart, beads and labels', () => {
    for (const { places } of layStrings(860).rows) {
      places.slice(1).forEach((place, i) => {
        const before = places[i]!;
        expect(place.x - before.x).toBeGreaterThanOrEqual(40);
        expect(place.low).not.toBe(before.low);
      });
    }
  });

  it('tie a bead to what it builds on and to what builds on it', () => {
    const links = linksOf(layStrings(860), 'bond-5');
    const ids = (kind: string): string[] =>
      links.filter((link) => link.kind === kind).map((link) => link.id);
    expect(ids('below')).toEqual([...skillOf('bond-5').buildsOn]);
    expect(ids('above')).toContain('double-10');
    expect(links.every((link) => link.path.startsWith('M'))).toBeTrue();
  });
});
