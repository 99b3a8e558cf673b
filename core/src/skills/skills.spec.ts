import * as v from 'valibot';
import { GOALS, goalCode } from './goals.js';
import { SKILLS, faultsOf, matchSkills, skillOf, skillsOfStrand } from './map.js';
import { STRANDS, Skill } from './types.js';

/** Ids are stored with evidence: none may change, go missing or move. */
const IDS: Record<string, string> = {
  say: 'say-5 say-10 say-back-5 say-next-5 say-20 say-back-10 say-on-10 say-next-10 say-50 say-on-20 say-100 say-back-20 say-120',
  count:
    'touch-5 give-3 total-5 touch-10 give-5 layout-5 total-10 same-5 give-10 place-5 layout-10 touch-20 same-10 give-20',
  glance: 'glance-3 glance-5 frame-5 frame-10 glance-parts glance-frame',
  numeral:
    'name-5 draw-lines match-5 order-5 name-10 write-first order-10 match-10 write-slant gap-10 name-20 forms-10 write-turns match-20 order-20 gap-20 name-100 write-20',
  compare:
    'more-clear more-5 plus1-5 more-10 minus1-5 greater-10 plus1-10 minus1-10 differ-10 sign-10',
  bond: 'bond-2 bond-3 bond-4 bond-5 hide-5 bond-6 double-10 bond-10 three-parts-5 bond-7 bond-8 bond-9 hide-10 three-parts-10 bond-20 double-20',
  add: 'join-5 away-5 join-10 story-5 sentence-plus away-10 on-10 sentence-minus add-three-10 fluent-5 sentence-gap story-10 add-three-20 join-20 away-20',
  beyond:
    'halves partner-10 share step-2 teens step-10 partner-20 step-5 groups tens-ones coins step-down rows split-more groups-more',
  measure: 'which-more order-three holds-more units-along divide-weight estimate-20 estimate-100',
  sort: 'alike sort-one shape-find sort-other chart-build chart-read chart-differ',
  pattern:
    'pattern-match mirror-see pattern-copy mirror-spot pattern-next pattern-fix mirror-make mirror-fold pattern-unit',
};

describe('the skill map', () => {
  it('is sound: no circles, no unknown builds-on, no doubled ids', () => {
    expect(faultsOf(SKILLS)).toEqual([]);
  });

  it('keeps every id in its strand and its order, and fits the vocabulary', () => {
    for (const strand of STRANDS) {
      const ids = skillsOfStrand(strand).map((skill) => skill.id);
      expect(ids).withContext(strand).toEqual(IDS[strand]!.split(' '));
    }
    for (const skill of SKILLS) {
      expect(v.safeParse(Skill, skill).success).withContext(skill.id).toBeTrue();
    }
  });

  it('holds every ordered pair of a bond, and every part in view', () => {
    for (let n = 3; n <= 10; n++) {
      const parts = skillOf(`bond-${n}`).items.map((item) => item.parts.join('+'));
      expect(new Set(parts).size)
        .withContext(String(n))
        .toBe(n + 1);
      expect(skillOf(`bond-${n}`).items.every((item) => item.number === n)).toBeTrue();
    }
    expect(skillOf('hide-5').items.length).toBe(3 + 4 + 5 + 6);
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
    expect(matchSkills(['say-*'])).toEqual([
      'say-5',
      'say-10',
      'say-20',
      'say-50',
      'say-100',
      'say-120',
    ]);
    expect(matchSkills(['write-*', 'say-back-5'])).toContain('write-slant');
    expect(matchSkills(['more-*'])).toEqual(['more-clear', 'more-5', 'more-10']);
    expect(matchSkills(['frame-*', 'step-*'])).toContain('step-down');
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
    const used = new Set(SKILLS.flatMap((skill) => skill.matches.map(goalCode)));
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

  it('K.OA.A.3-5 and K.CC.C: bonds, sums within five, amounts and numerals compared', () => {
    covers(numbersOf(matching('K.OA.A.3').filter((skill) => skill.strand === 'bond')), 1, 9);
    expect(matching('K.OA.A.4').map((skill) => skill.id)).toContain('bond-10');
    expect(skillOf('fluent-5').items.every((item) => item.number <= 5)).toBeTrue();
    expect(matching('K.CC.C.7').map((skill) => skill.id)).toEqual(['greater-10']);
  });

  it('Head Start and England: words to twenty, amounts and numerals begun', () => {
    covers(new Set(matching('HS 1').map((skill) => skill.to)), 5, 5);
    expect(skillOf('say-20').matches).toEqual(['HS 1', 'ELG-NP']);
    expect(matching('HS 3').every((skill) => skill.strand === 'count')).toBeTrue();
    expect(matching('HS 5').every((skill) => skill.strand === 'numeral')).toBeTrue();
  });
});
