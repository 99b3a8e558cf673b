import { GOALS } from './goals.js';
import { SKILLS, faultsOf, matchSkills, skillOf } from './map.js';
import type { Skill } from './types.js';

describe('the skill map', () => {
  it('is sound: no circles, no unknown builds-on, no doubled ids', () => {
    expect(faultsOf(SKILLS)).toEqual([]);
  });

  it('finds a circle, an unknown skill and a doubled item', () => {
    const [a, b] = [skillOf('touch-5'), skillOf('give-3')];
    const looped: Skill[] = [
      { ...a, buildsOn: ['give-3'] },
      { ...b, items: [b.items[0]!, b.items[0]!] },
      { ...skillOf('total-5'), buildsOn: ['nowhere'] },
    ];
    const found = faultsOf(looped).join('; ');
    expect(found).toContain('circle');
    expect(found).toContain('unknown nowhere');
    expect(found).toContain('give-3 has an item twice');
  });

  it('says something for families and what to watch for everywhere', () => {
    for (const skill of SKILLS) {
      expect(skill.families.length).withContext(skill.id).toBeGreaterThan(10);
      expect(skill.watchFor.length).withContext(skill.id).toBeGreaterThan(5);
    }
  });

  it('spreads the items from -1.5 to 1.5, one step more for the hard ones', () => {
    const at = (skill: string, item: string): number =>
      skillOf(skill).items.find((one) => one.id === item)!.difficulty;
    expect(at('touch-5', 'n1')).toBe(-1.5);
    expect(at('touch-5', 'n5')).toBe(1.5);
    expect(at('name-20', 'n15')).toBeGreaterThan(at('name-20', 'n19'));
  });

  it('takes families by pattern', () => {
    expect(matchSkills(['say-*'])).toEqual(['say-5', 'say-10', 'say-20', 'say-50', 'say-100']);
    expect(matchSkills(['write-*', 'say-back-5'])).toContain('write-slant');
    expect(matchSkills(['more-*'])).toEqual([]);
  });
});

/**
 * What the published goals ask, from memory, in numbers only: Common Core (2010), England's early
 * learning goals (2021), Head Start (2015). The map must reach them.
 */
describe('published goals', () => {
  const matching = (code: string): Skill[] =>
    SKILLS.filter((skill) => skill.matches.includes(code));
  const numbersOf = (skills: Skill[]): Set<number> =>
    new Set(skills.flatMap((skill) => skill.items.map((item) => item.number)));
  const covers = (found: Set<number>, from: number, to: number): void => {
    for (let n = from; n <= to; n++) expect(found.has(n)).withContext(String(n)).toBeTrue();
  };

  it('are all named with a source, and none is named in vain', () => {
    const codes = GOALS.map((goal) => goal.code);
    const used = new Set(SKILLS.flatMap((skill) => skill.matches));
    expect([...used].filter((code) => !codes.includes(code))).toEqual([]);
    expect(codes.filter((code) => !used.has(code))).toEqual([]);
    expect(GOALS.every((goal) => goal.fromMemory && goal.source.includes('20'))).toBeTrue();
  });

  it('K.CC.A.1: the words to a hundred', () => {
    expect(Math.max(...matching('K.CC.A.1').map((skill) => skill.to))).toBe(100);
  });

  it('K.CC.A.2: on from any number to nineteen', () => {
    covers(numbersOf(matching('K.CC.A.2').filter((skill) => skill.id.startsWith('say-on'))), 2, 19);
  });

  it('K.CC.A.3: 0 to 20 written, and 0 to 20 put to an amount', () => {
    const writes = matching('K.CC.A.3').filter((skill) => skill.id.startsWith('write'));
    covers(numbersOf(writes), 0, 20);
    const matches = [...matching('K.CC.A.3'), skillOf('match-5')].filter((skill) =>
      skill.id.startsWith('match'),
    );
    covers(numbersOf(matches), 0, 20);
  });

  it('K.CC.B.4: one word a thing, the last word is how many, the next is one more', () => {
    covers(numbersOf(matching('K.CC.B.4a')), 1, 10);
    covers(numbersOf(matching('K.CC.B.4b')), 1, 10);
    expect(matching('K.CC.B.4c').length).toBeGreaterThan(0);
  });

  it('K.CC.B.5: to twenty in a row, to ten scattered, and counted out to twenty', () => {
    expect(matching('K.CC.B.5').map((skill) => skill.id)).toEqual(
      jasmine.arrayContaining(['touch-20', 'layout-10', 'give-20']),
    );
    expect(skillOf('layout-10').items.some((item) => item.id === 'n10-scatter')).toBeTrue();
  });

  it('Head Start and England: words to twenty, amounts and numerals begun', () => {
    covers(new Set(matching('HS 1').map((skill) => skill.to)), 5, 5);
    expect(skillOf('say-20').matches).toEqual(['HS 1', 'ELG-NP']);
    expect(matching('HS 3').every((skill) => skill.strand === 'count')).toBeTrue();
    expect(matching('HS 5').every((skill) => skill.strand === 'numeral')).toBeTrue();
  });
});
