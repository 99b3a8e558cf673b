import { SKILLS, skillOf } from '../skills/index.js';
import { STRANDS } from '../vocabulary/index.js';
import { type FamilySkill, familyPage, ideasFor, phraseOf } from './index.js';

const WREN = {
  id: '00000000-0000-4000-8000-000000000001',
  name: 'Wren',
  cautions: { mouths: false, allergies: ['nuts'], note: '' },
};
const SPAN = { from: '2026-01-10', to: '2026-03-10' };
const skill = (
  skillId: string,
  now: string,
  before = 'not-started',
  seen = 3,
  own = seen,
): FamilySkill => ({ skillId, now, before, seen, scored: seen, own });
const words = (lines: readonly { words: string }[]): string[] => lines.map((one) => one.words);

describe('a page for a family', () => {
  it('has a plain phrase for every skill, and none for what is no skill', () => {
    const phrases = SKILLS.map(({ id }) => phraseOf(id));
    expect(new Set(phrases).size).toBe(SKILLS.length);
    // Said after a name, and so without a capital, a stop, or a word of the trade.
    for (const phrase of phrases) {
      expect(phrase).toMatch(/^[a-z]+s /);
      expect(phrase).not.toMatch(/\.$|subitiz|cardinal|ordinal|conserv|one-to-one/i);
    }
    expect(() => phraseOf('no-such-skill')).toThrowError(RangeError);
  });

  it('says what is new first, of one family only the furthest, and what is nearly there', () => {
    const page = familyPage(
      WREN,
      SPAN,
      [
        skill('say-5', 'secure', 'secure'),
        skill('say-10', 'secure', 'secure'),
        skill('total-5', 'secure', 'nearly'),
        skill('bond-2', 'secure', 'secure'),
        skill('bond-3', 'secure', 'secure'),
        skill('give-5', 'nearly', 'started'),
        skill('touch-10', 'started', 'not-started'),
        skill('name-5', 'started', 'started', 0),
      ],
      ['give-10', 'say-20', 'bond-4', 'share'],
      false,
    );
    expect(words(page.knows)).toEqual([
      'Counts five things and knows that the last word is how many: new in this time.',
      'Says the number words to ten.',
      'Knows the ways to make one and two.',
      'Knows the ways to make three, such as two and one.',
    ]);
    expect(words(page.growing)).toEqual([
      'Nearly there: hands over four or five things when asked, and stops there.',
      'Counts ten things, one word for each.',
    ]);
    expect(page.next.map((one) => one.key)).toEqual(['give-10', 'say-20', 'bond-4']);
    expect(page.home.length).toBe(2);
    expect(words(page.cautions)).toEqual(['No nuts.']);
    expect(page.goals.every((goal) => goal.secure > 0 && goal.secure <= goal.of)).toBeTrue();
  });

  it('calls new only what was absent or unsure before; what was never asked is seen for the first time', () => {
    const line = (one: FamilySkill): string | undefined =>
      words(familyPage(WREN, SPAN, [one], [], false).knows)[0];
    expect(line(skill('total-5', 'secure', 'started'))).toContain(': new in this time.');
    expect(line(skill('total-5', 'secure', 'not-started', 9, 6))).toContain('new in this time');
    expect(line(skill('total-5', 'secure'))).toContain(': seen for the first time.');
    expect(line(skill('total-5', 'secure', 'assumed'))).not.toContain(':');
  });

  it('suggests for home what the child can do now, and always two things', () => {
    const nobody = new Set<string>();
    for (const strand of STRANDS) {
      for (const noSmall of [false, true]) {
        const easy = ideasFor([strand], 2, noSmall, nobody);
        expect(easy.length).toBe(2);
        expect(easy.every(({ after }) => after === null)).toBeTrue();
        const all = ideasFor([strand], 2, noSmall, new Set(SKILLS.map(({ id }) => id)));
        expect(all[0]!.after === null || skillOf(all[0]!.after).id).toBeTruthy();
      }
    }
    const stairs = (...can: string[]): string =>
      ideasFor(['say'], 1, false, new Set(can))[0]!.title;
    expect([stairs(), stairs('say-5'), stairs('say-5', 'say-10')]).toEqual([
      ...['Stairs', 'Stirring', 'Stairs from anywhere'],
    ]);
  });

  it('names no small things for a home where they must not be, and says so', () => {
    for (const strand of STRANDS) {
      const all = new Set(SKILLS.map(({ id }) => id));
      expect(ideasFor([strand], 2, true, all).every((one) => !one.small)).toBeTrue();
    }
    const page = familyPage(
      { ...WREN, cautions: { ...WREN.cautions, mouths: true } },
      SPAN,
      [],
      [],
      true,
    );
    expect(words(page.cautions)[0]).toContain('only large things');
    expect(page.home.length).toBe(2);
    expect(page.knows).toEqual([]);
  });
});
