import { SKILLS } from '../skills/index.js';
import type { SkillView } from './conclude.js';
import { changesBetween, whatChanged } from './what-changed.js';

const [first, second, third, fourth, fifth] = SKILLS;
const view = (skillId: string, status: SkillView['status']): SkillView =>
  ({ skillId, status: status }) as SkillView;

describe('what a way to go on changes', () => {
  it('is every skill whose status is another, one that was not there before as well', () => {
    expect(
      changesBetween(
        [view('a', 'nearly'), view('b', 'secure')],
        [view('a', 'secure'), view('b', 'secure'), view('c', 'started'), view('d', 'not-started')],
      ),
    ).toEqual([
      { skillId: 'a', from: 'nearly', to: 'secure' },
      { skillId: 'c', from: 'not-started', to: 'started' },
    ]);
  });

  it('is said in a sentence, and so is nothing', () => {
    expect(whatChanged('balanced', [])).toBe(
      'With balanced, the same evidence leads to the same beads today.',
    );
    expect(whatChanged('follow-child', [])).toMatch(
      / What builds on a nearly is offered as well\.$/,
    );
    // Between two statuses that are both open nothing that counts has changed.
    const open = [{ skillId: first!.id, from: 'started', to: 'nearly' } as const];
    expect(whatChanged('balanced', open)).toMatch(/same beads today/);
  });

  it('names up to three skills and counts the rest', () => {
    const up = [first, second, third, fourth, fifth].map((skill) => ({
      skillId: skill!.id,
      from: 'nearly' as const,
      to: 'secure' as const,
    }));
    expect(whatChanged('follow-child', up.slice(0, 1))).toContain(
      `“${first!.title}” counts as known.`,
    );
    expect(whatChanged('balanced', up)).toBe(
      `With balanced, “${first!.title}”, “${second!.title}”, “${third!.title}” and two more count as known.`,
    );
    const down = { skillId: second!.id, from: 'secure', to: 'nearly' } as const;
    expect(whatChanged('secure-first', [down])).toBe(
      `With secure first, “${second!.title}” asks for more evidence.`,
    );
    expect(whatChanged('secure-first', [up[0]!, down])).toContain('; ');
  });
});
