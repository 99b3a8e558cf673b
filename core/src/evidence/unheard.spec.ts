import { SKILLS, saidAloud, skillOf } from '../skills/index.js';
import { knowing } from '../rounds/testing.js';
import { conclude, viewOf } from './conclude.js';
import { readySkills } from './ready-skills.js';

const TODAY = '2026-03-10';

describe('a child who does not speak', () => {
  // Sure of giving to five: the words to five are assumed from it.
  const state = knowing(['give-5', 'total-5']);

  it('is not taken to say the words, whatever builds on them; a child who speaks is', () => {
    const say = skillOf('say-5');
    const spoken = viewOf(say, state, TODAY);
    const silent = viewOf(say, state, TODAY, { speaks: false });
    expect(spoken.status).toBe('assumed');
    expect(silent.status).toBe('not-started');
    expect(silent.reason).toMatch(/^Not asked aloud/);
    expect(silent.due).toBeNull();
  });

  it('is concluded about as any other in what can be shown, pointed to or laid', () => {
    const spoken = conclude(state, TODAY);
    const silent = conclude(state, TODAY, { speaks: false });
    SKILLS.forEach((skill, i) => {
      if (!saidAloud(skill)) expect(silent[i]).withContext(skill.id).toEqual(spoken[i]);
    });
  });

  it('is offered nothing that can only be said, and is held up by none of it', () => {
    const wanted = readySkills(state, TODAY, false).map(({ skillId }) => skillId);
    expect(wanted.filter((id) => saidAloud(skillOf(id)))).toEqual([]);
    // One more builds on the number just after, which can only be said.
    expect(skillOf('plus1-5').buildsOn).toContain('say-next-5');
    expect(wanted).toContain('plus1-5');
  });
});
